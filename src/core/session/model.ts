/**
 * The shape of a session: blocks in order, each in one format. Seconds, metres and kilograms throughout.
 * What a format adds to a block lives with the format, in `formats/`. Fields with `?` are left out where they
 * say nothing, so that a plain session stays plain in files and in the database.
 */
import type { Tempo } from '../library';
import type { Amrap } from './formats/amrap';
import type { Emom } from './formats/emom';
import type { ForTime } from './formats/for-time';
import type { HardIntervals } from './formats/hard-intervals';
import type { Holds } from './formats/holds';
import type { Circuit } from './formats/interval-circuit';
import type { Stations } from './formats/stations';
import type { SteadyCardio } from './formats/steady-cardio';
import type { StraightSets } from './formats/straight-sets';
import type { Superset } from './formats/superset';

export const ROLES = ['warm-up', 'main', 'cool-down'] as const;
export type Role = (typeof ROLES)[number];

/** What one set of an exercise asks for; per side when the part says so. */
export type Target =
	{ kind: 'reps'; reps: number } | { kind: 'seconds'; seconds: number } | { kind: 'metres'; metres: number };

/**
 * Repetitions that are more or less than whole: one and a quarter (a quarter repetition added to each), one and
 * a half, or the lower or upper half alone.
 */
export const PARTIALS = { '1¼': 1.25, '1½': 1.5, 'lower half': 0.5, 'upper half': 0.5 } as const;
export type PartialRule = keyof typeof PARTIALS;

/** One exercise within a block. `kg` null means bodyweight; `tempo` null means the exercise's own. */
export interface Part {
	exercise: string;
	target: Target;
	/** What the participant may do instead: seconds for repetitions, or the other way round. */
	or?: Target;
	perSide: boolean;
	tempo: Tempo | null;
	kg: number | null;
	partial?: PartialRule;
}

/** What has to be changed before a block begins, and the seconds it takes in place of the ordinary way there. */
export interface Setup {
	text: string;
	seconds: number;
}

/** What every block has, whatever its format. */
export interface BlockBase {
	role: Role;
	parts: Part[];
	setup?: Setup;
}

export type Block =
	| StraightSets
	| Superset
	| Circuit
	| Emom
	| ForTime
	| Amrap
	| Stations
	| SteadyCardio
	| HardIntervals
	| Holds;
export type FormatName = Block['format'];

/** Blocks `from` to `to` (indexes, inclusive) are done `times` over, with `rest` seconds between. */
export interface Repeat {
	from: number;
	to: number;
	times: number;
	rest: number;
}

export interface Link {
	title: string;
	/** http or https. */
	url: string;
}

export interface Session {
	blocks: Block[];
	repeats?: Repeat[];
	/** For the participants, above the first block. */
	note?: string;
	/** Videos, music. */
	links?: Link[];
	/** What is done after it, one thing each: a walk, rolling, a bath. */
	recovery?: string[];
}

/** Bounds that keep a typing slip (10,000 sets) from becoming a session; all inclusive. */
export const LIMITS = {
	blocks: 60,
	parts: 30,
	sets: 50,
	reps: 1000,
	seconds: 7200,
	metres: 50_000,
	kg: 500,
	minutes: 120,
	tempoPhase: 20,
	nameLength: 80,
	repeats: 20,
	/** Of everything that is repeated, so that times by times does not run away. */
	passes: 20,
	segments: 20_000,
	setupText: 120,
	note: 2000,
	links: 10,
	linkTitle: 80,
	linkUrl: 500,
	recovery: 10,
	recoveryText: 160,
	heartRate: [60, 220],
	people: 300
} as const;
