import Papa from 'papaparse';
import { ValidationError } from 'yup';
import {
	EXERCISE_LIMITS,
	needText,
	JOINTS,
	RATED,
	readNeed,
	STANDARD,
	type DemandInput,
	type Exercise,
	type Library,
	type Rated
} from '$core/exercise';
import { bodyOf, exerciseSchema, type ExerciseInput } from '$contracts/exercise';
import { readAs } from '$contracts/read';

type RatedColumn = Exclude<Rated, 'trunkPressure'> | 'trunk pressure';
const columnOf = (field: Rated): RatedColumn => (field === 'trunkPressure' ? 'trunk pressure' : field);
const DEMAND_COLUMNS = [
	...JOINTS,
	'trunk pressure',
	'arms',
	'balance',
	'can hold on',
	'impact',
	'floor transfer',
	'space',
	'lever',
	'relative load'
] as const;
type DemandColumn = (typeof DEMAND_COLUMNS)[number];

/** The columns in order; docs/formats/exercises-csv.md says what stands in each. */
const COLUMNS = [
	'name',
	'counted in',
	'per side',
	'tempo',
	'pattern',
	'muscles',
	'assisting',
	'equipment',
	'position',
	...DEMAND_COLUMNS,
	'cues',
	'cautions',
	'easier',
	'harder',
	'looks like',
	'own'
] as const;
type Column = (typeof COLUMNS)[number];

/** Yes or no as a cell has it; undefined for anything else. */
const yes = (text: string | undefined): boolean | undefined =>
	/^(yes|y|true|1|per side)$/i.test(text ?? '')
		? true
		: /^(no|n|false|0|)$/i.test(text ?? '')
			? false
			: undefined;

/** A demand as a cell has it; empty if it is not set, or no weight is held. */
const cellOf = (value: DemandInput[keyof DemandInput]): string =>
	typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value ?? '');
const demandCells = (demands: DemandInput): Record<DemandColumn, string> => ({
	...(Object.fromEntries(RATED.map((field) => [columnOf(field), cellOf(demands[field])])) as Record<
		RatedColumn,
		string
	>),
	arms: cellOf(demands.arms),
	balance: cellOf(demands.balance),
	'can hold on': cellOf(demands.canHoldOn),
	impact: cellOf(demands.impact),
	'floor transfer': cellOf(demands.floorTransfer),
	space: cellOf(demands.space),
	lever: cellOf(demands.lever),
	'relative load': cellOf(demands.relativeLoad)
});

/** What a row says of the demands; an empty cell says nothing, and counts as the highest of the movement. */
function demandsIn(row: Partial<Record<Column, string>>): Record<string, unknown> {
	const said = (column: DemandColumn) => row[column]?.trim() || undefined;
	const flag = (column: 'can hold on' | 'floor transfer') => {
		const text = said(column);
		if (text !== undefined && yes(text) === undefined)
			throw new ValidationError(`${column}: “${text}” is neither yes nor no`);
		return text === undefined ? undefined : yes(text);
	};
	return {
		...Object.fromEntries(RATED.map((field) => [field, said(columnOf(field))])),
		arms: said('arms'),
		balance: said('balance'),
		canHoldOn: flag('can hold on'),
		impact: said('impact'),
		floorTransfer: flag('floor transfer'),
		space: said('space'),
		lever: said('lever'),
		relativeLoad: said('relative load')
	};
}

const rowOf = (e: Exercise, library: Library): Record<Column, string> => ({
	name: e.name,
	'counted in': e.countedIn,
	'per side': e.perSide ? 'yes' : 'no',
	tempo: e.tempo?.join('-') ?? '',
	pattern: e.pattern,
	muscles: e.primary.join('; '),
	assisting: e.assisting.join('; '),
	equipment: e.equipment.map(needText).join('; '),
	position: e.position,
	...demandCells(e.demandsSet),
	cues: e.cues.join(' | '),
	cautions: e.cautions.map(({ text }) => text).join(' | '),
	easier: library.easier(e.name)?.name ?? '',
	harder: library.harder(e.name)?.name ?? '',
	'looks like': e.looksLike ?? '',
	own: e.ownId ? 'yes' : 'no'
});

/** The whole library as CSV (RFC 4180), the coach's own last. */
export function exercisesCsv(library: Library): string {
	const rows = library.all.filter((e) => !e.retired).map((e) => rowOf(e, library));
	return `${Papa.unparse(rows, { columns: [...COLUMNS], newline: '\r\n', escapeFormulae: true })}\r\n`;
}

export interface FileFault {
	/** Line of the file, from 1. */
	line: number;
	message: string;
}

export interface ReadExercises {
	inputs: ExerciseInput[];
	/** Names that are there already and so are passed over. */
	known: string[];
	faults: FileFault[];
}

const list = (text: string | undefined, sign: RegExp): string[] =>
	(text ?? '')
		.split(sign)
		.map((word) => word.trim())
		.filter(Boolean);

function inputOf(row: Partial<Record<Column, string>>): unknown {
	const needs = list(row.equipment, /;/);
	const unknown = needs.find((text) => readNeed(text) === null);
	if (unknown) throw new ValidationError(`equipment: there is no “${unknown}”`);
	return {
		name: row.name,
		countedIn: row['counted in'] || 'reps',
		perSide: yes(row['per side']),
		tempo: row.tempo ? row.tempo.split('-') : null,
		pattern: row.pattern,
		primary: list(row.muscles, /;/),
		assisting: list(row.assisting, /;/),
		equipment: needs.map(readNeed),
		position: row.position || 'standing',
		demands: demandsIn(row),
		cues: list(row.cues, /\|/),
		cautions: list(row.cautions, /\|/),
		looksLike: row['looks like'] || null,
		easier: row.easier || null,
		harder: row.harder || null
	};
}

/** Lines that are read at most: all that a library may have of its own, and the standard ones that an export holds. */
const MOST_LINES = EXERCISE_LIMITS.own + 500;

/** Reads exercises of a coach's own from CSV; every fault with its line, nothing is written. */
export function readExercisesCsv(text: string, library: Library): ReadExercises {
	const { data, errors, meta } = Papa.parse<Partial<Record<Column, string>>>(text.replace(/^\uFEFF/, ''), {
		header: true,
		skipEmptyLines: 'greedy',
		preview: MOST_LINES + 1,
		transformHeader: (header) => header.trim().toLowerCase()
	});
	const result: ReadExercises = { inputs: [], known: [], faults: [] };
	const quotes = errors.find((error) => error.type === 'Quotes');
	if (quotes)
		return { ...result, faults: [{ line: (quotes.row ?? 0) + 1, message: 'a quoted cell is not closed' }] };
	if (!data[0] || !('name' in data[0]) || !('pattern' in data[0]) || !('muscles' in data[0]))
		return {
			...result,
			faults: [{ line: 1, message: `the first line names the columns: ${COLUMNS.join(', ')}` }]
		};
	if (data.length > MOST_LINES) {
		const message = `more than ${MOST_LINES.toLocaleString('en')} lines; as many are read at most`;
		return { ...result, faults: [{ line: MOST_LINES + 2, message }] };
	}
	for (const column of meta.fields ?? [])
		if (column && !(COLUMNS as readonly string[]).includes(column))
			result.faults.push({
				line: 1,
				message: `there is no column “${column}”; there are ${COLUMNS.join(', ')}`
			});
	const names = new Set<string>();
	data.forEach((row, i) => {
		const line = i + 2;
		const name = row.name?.trim() ?? '';
		if (name && (STANDARD.find(name) || library.find(name))) {
			result.known.push(name);
			return;
		}
		try {
			if (names.has(name.toLowerCase())) throw new ValidationError(`${name} stands twice in the file`);
			names.add(name.toLowerCase());
			const { value, faults } = readAs(exerciseSchema, inputOf(row), { stripUnknown: true });
			if (value) result.inputs.push(bodyOf(value));
			for (const { message } of faults ?? []) result.faults.push({ line, message });
		} catch (cause) {
			if (!(cause instanceof ValidationError)) throw cause;
			for (const message of cause.errors) result.faults.push({ line, message });
		}
	});
	return result;
}
