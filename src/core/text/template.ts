import { nearest } from './nearest';

/** What a template may ask for of each person, with what it stands for. */
export const TEMPLATE_FIELDS = {
	name: 'the name they go by',
	'full name': 'their name as it is enrolled',
	coach: 'your name, as they know you',
	challenge: 'the name of the challenge',
	day: 'the day of the challenge that it is for them',
	'days left': 'days still to come for them, today not counted',
	'sessions done': 'sessions of which they did something',
	done: 'the share of their due work that is done, as 84 %',
	streak: 'due days in a row without a miss, up to now',
	team: 'the name of their team'
} as const;
export type TemplateField = keyof typeof TEMPLATE_FIELDS;
const NAMES = Object.keys(TEMPLATE_FIELDS) as TemplateField[];

/** What each field is for one person; null: there is nothing of the kind. */
export type FieldValues = Readonly<Record<TemplateField, string | null>>;

type Part = { text: string } | { field: TemplateField };

export interface TemplateFault {
	/** Both from 1. */
	line: number;
	column: number;
	/** What is wrong and what would be right. */
	message: string;
}

export interface Template {
	parts: readonly Part[];
	faults: readonly TemplateFault[];
}

const FIELD = /\{([^{}\n]*)(\}?)|\}/g;

function placeIn(text: string, index: number): { line: number; column: number } {
	const before = text.slice(0, index).split('\n');
	return { line: before.length, column: before.at(-1)!.length + 1 };
}

/** Reads a text in which `{name}` and the like stand for what is each person's own. All its faults are told at once. */
export function readTemplate(text: string): Template {
	const parts: Part[] = [];
	const faults: TemplateFault[] = [];
	let from = 0;
	for (const match of text.matchAll(FIELD)) {
		if (match.index > from) parts.push({ text: text.slice(from, match.index) });
		from = match.index + match[0].length;
		const wanted = match[1]?.trim().toLowerCase().replace(/\s+/g, ' ');
		const field = NAMES.find((name) => name === wanted);
		if (field && match[2]) parts.push({ field });
		else faults.push({ ...placeIn(text, match.index), message: faultOf(match[0], wanted) });
	}
	if (from < text.length) parts.push({ text: text.slice(from) });
	return { parts, faults };
}

function faultOf(written: string, wanted: string | undefined): string {
	if (wanted === undefined) return 'a } without a { before it';
	if (!written.endsWith('}')) return `“${written.slice(0, 30)}” has no } at its end`;
	const close = nearest(wanted, NAMES);
	return close
		? `there is no field {${wanted}}; did you mean {${close}}?`
		: `there is no field {${wanted.slice(0, 30)}}; there are ${NAMES.map((name) => `{${name}}`).join(', ')}`;
}

export interface Filled {
	text: string;
	/** Fields of which this person has nothing. */
	missing: TemplateField[];
}

/** The text for one person. A field of which they have nothing is left out of the text, and named. */
export function fillTemplate({ parts }: Pick<Template, 'parts'>, values: FieldValues): Filled {
	const missing = new Set<TemplateField>();
	const text = parts
		.map((part) => {
			if ('text' in part) return part.text;
			const value = values[part.field];
			if (value === null) missing.add(part.field);
			return value ?? '';
		})
		.join('');
	return { text, missing: [...missing] };
}
