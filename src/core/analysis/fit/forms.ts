import type { Practice } from '../../practice';
import {
	blockSeconds,
	formatOf,
	numberOf,
	withNumber,
	type Block,
	type Field,
	type Session
} from '../../session';

/** What may be turned to make a session fit. */
export type Knob = NonNullable<Field<Block>['knob']>;

export interface Change {
	block: number;
	/** What is changed, as its field is called: `rounds`, `rest`; null for how often blocks are repeated. */
	label: string;
	from: number;
	to: number;
	unit: string;
}

/** Warm-up and cool-down keep this share of their length. */
const FLOOR_SHARE = 0.75;

/** Rounds are turned one by one, seconds by fives. */
const STEP: Record<Knob, number> = { often: 1, work: 5, rest: 5 };
/** Steps either way: further where one knob is turned alone, and further for large numbers. */
const REACH = {
	alone: { often: [4, 0.6], work: [4, 0.6], rest: [8, 0.8] },
	together: { often: [2, 0.4], work: [2, 0.4], rest: [4, 0.5] }
} as const;
/** Values that one number may take either way; what needs more is another session. */
const MOST_STEPS = 20;

/** Forms of one block that are tried; where there would be more, the longest rows of values are thinned. */
const MOST_FORMS = 800;

/** Losing a set weighs more than losing some rest. */
export const WEIGHT: Record<Knob, number> = { often: 3, work: 1.5, rest: 1 };

/** Values that a field may take, nearest to its own first. */
function valuesOf(
	block: Block,
	field: Field<Block>,
	knob: Knob,
	[fewest, share]: readonly [steps: number, share: number]
): number[] {
	const now = numberOf(block, field.key);
	if (now === null) return [];
	const step = field.unit === 'clock' ? 60 : STEP[knob];
	const floor =
		knob === 'rest' ? 5 : field.unit === 'clock' ? 60 : knob === 'work' && field.unit === 's' ? 10 : 1;
	const least = Math.min(now, floor);
	const steps = Math.min(MOST_STEPS, Math.max(fewest, Math.ceil((share * now) / step)));
	const values = [now];
	for (let i = 1; i <= steps; i++)
		for (const value of [now - i * step, now + i * step]) if (value >= least) values.push(value);
	return values;
}

/** One form of a block: its numbers turned, what that changes and how far it is from the original. */
export interface Form {
	block: Block;
	seconds: number;
	distance: number;
	changes: Change[];
}

/** The fields of a block that the knobs turn, each with its values, in all no more than `MOST_FORMS` together. */
function turnable(
	block: Block,
	knobs: readonly Knob[]
): { field: Field<Block>; knob: Knob; values: number[] }[] {
	const reach = REACH[knobs.length > 1 ? 'together' : 'alone'];
	const rows = formatOf(block).fields.flatMap((field) => {
		if (!field.knob || !knobs.includes(field.knob)) return [];
		const values = valuesOf(block, field, field.knob, reach[field.knob]);
		return values.length > 0 ? [{ field, knob: field.knob, values }] : [];
	});
	for (;;) {
		const longest = [...rows].sort((a, b) => b.values.length - a.values.length)[0];
		const all = rows.reduce((product, { values }) => product * values.length, 1);
		if (!longest || all <= MOST_FORMS) return rows;
		// Its own value stays; of the others, which come in pairs below and above, every second pair.
		longest.values = longest.values.filter((_, i) => i === 0 || Math.ceil(i / 2) % 2 === 0);
	}
}

/** Every form of a block that the knobs allow, for each length only the nearest one. */
export function formsOf(session: Session, b: number, knobs: readonly Knob[], practice: Practice): Form[] {
	const original = session.blocks[b];
	if (!original) return [];
	let forms: Form[] = [{ block: original, seconds: 0, distance: 0, changes: [] }];
	for (const { field, knob, values } of turnable(original, knobs)) {
		const now = numberOf(original, field.key) ?? 0;
		const unit = field.unit === 'clock' || field.unit === 's' ? 's' : field.unit;
		forms = forms.flatMap((form) =>
			values.map((value): Form => {
				if (value === now) return form;
				return {
					block: withNumber(form.block, field.key, value),
					seconds: 0,
					// Each further field that is touched costs something of its own: few changes beat many small ones.
					distance: form.distance + 0.1 + (WEIGHT[knob] * Math.abs(value - now)) / Math.max(now, STEP[knob]),
					changes: [...form.changes, { block: b, label: field.label, from: now, to: value, unit }]
				};
			})
		);
	}
	const length = blockSeconds(original, practice);
	const least = original.role === 'main' ? 0 : FLOOR_SHARE * length;
	const nearest = new Map<number, Form>();
	for (const form of forms) {
		const own =
			form.changes.length === 0 ? length : Math.round(blockSeconds(form.block, practice) * 100) / 100;
		if (own < least) continue;
		const best = nearest.get(own);
		if (!best || form.distance < best.distance) nearest.set(own, { ...form, seconds: own });
	}
	return [...nearest.values()];
}

/** The session with its repeats gone through `by` times more or less each; null when one would be left out. */
export function withRepeats(session: Session, by: number): { session: Session; changes: Change[] } | null {
	if (!session.repeats || by === 0) return by === 0 ? { session, changes: [] } : null;
	const repeats = session.repeats.map((repeat) => ({ ...repeat, times: repeat.times + by }));
	if (repeats.some((repeat) => repeat.times < 2)) return null;
	const changes = session.repeats.map((repeat) => ({
		block: repeat.from,
		label: 'times',
		from: repeat.times,
		to: repeat.times + by,
		unit: ''
	}));
	return { session: { ...session, repeats }, changes };
}
