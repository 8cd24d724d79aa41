import type { Level } from '../../people';
import type { InsteadWhen, PartialRule, Resistance, Role } from '../parts';

/** From `low` to `high`; the same twice where one number was typed. */
export interface Span {
	low: number;
	high: number;
}

interface Kinds {
	role: { role: Role };
	/** A bullet, `1.` or `A1`: who typed it parts exercises by it. */
	label: object;
	/** Known, perhaps with several meanings. */
	name: object;
	/** In quotation marks: taken as it stands. */
	quoted: { name: string };
	/** A word for a format, or for several that it may mean, by name. */
	keyword: { formats: string[]; word: string };
	/** How often: `3 x`, `3 sets`, `x 3`. */
	times: { count: number; unit: 'sets' | 'rounds' | 'x'; after: boolean };
	/** How much: of one set, or of each where they differ. `by` turns the unit typed into seconds or metres. */
	amount: { each: Span[]; unit: 'reps' | 'seconds' | 'metres' | null; by: number };
	or: object;
	/** What is done in place of the exercise before: `or band squat`, `if the knee hurts: sit to chair`. */
	instead: { when: InsteadWhen; name: string };
	slot: { work: number; rest: number; hard: boolean };
	rest: Span & { where: 'inside' | 'between' | 'after' | null };
	'last-rest': object;
	limit: { seconds: number; bare: boolean };
	every: { seconds: number };
	people: { count: number };
	/** Half of the group is elsewhere. */
	halves: object;
	change: { seconds: number };
	side: object;
	/** There and back. */
	'each-way': object;
	/** Seconds a kilometre. */
	pace: { seconds: number };
	tempo: { phases: [number, number, number, number] };
	partial: { rule: PartialRule };
	effort: Span;
	load: { count: number; kg: number | null; byLevel?: [number, number, number] };
	/** What one level lifts: `beginners 8 kg`. */
	'level-load': { level: Level; kg: number };
	resistance: { resistance: Resistance };
	'bare-load': { amount: number };
	drop: { times: number; percent: number; on: 'last' | 'every' };
	bpm: Span;
	'talk-test': object;
	percent: object;
	colon: object;
	sign: { sign: string };
	filler: object;
	word: object;
	other: object;
}
export type PhraseKind = keyof Kinds;
/** A stretch of a typed line, from and to in characters, and what it says by itself. */
export type Phrase<K extends PhraseKind = PhraseKind> = {
	[Kind in K]: { kind: Kind; from: number; to: number; text: string } & Kinds[Kind];
}[K];
