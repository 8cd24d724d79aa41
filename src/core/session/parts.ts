/**
 * What blocks are made of, whatever their format. Seconds, metres and kilograms throughout. Fields with `?` are left out
 * where they say nothing, so that a plain session stays plain in files and in the database.
 */
import { JOINTS, type Tempo } from '../exercise';

export const ROLES = ['warm-up', 'main', 'cool-down'] as const;
export type Role = (typeof ROLES)[number];

/** What one set of an exercise asks for; per side when the part says so. `to`: from the amount up to this, at will. */
export type Target = { to?: number } & (
	{ kind: 'reps'; reps: number } | { kind: 'seconds'; seconds: number } | { kind: 'metres'; metres: number }
);

/** Loads that have no number: bands by colour, and weights of which the person knows best what they are. */
export const RESISTANCES = [
	'light',
	'medium',
	'heavy',
	'light band',
	'medium band',
	'heavy band',
	'yellow band',
	'red band',
	'green band',
	'blue band',
	'black band',
	'purple band',
	'orange band',
	'grey band',
	'silver band',
	'gold band',
	'long band',
	'mini band'
] as const;
export type Resistance = (typeof RESISTANCES)[number];

/**
 * Repetitions that are more or less than whole: one and a quarter (a quarter repetition added to each), one and
 * a half, or the lower or upper half alone.
 */
export const PARTIALS = { '1¼': 1.25, '1½': 1.5, 'lower half': 0.5, 'upper half': 0.5 } as const;
export type PartialRule = keyof typeof PARTIALS;

/** When another exercise is done in place of the one asked for: at will, or because of what hurts. */
export const INSTEAD_WHEN = ['choice', ...JOINTS] as const;
export type InsteadWhen = (typeof INSTEAD_WHEN)[number];

/** What may be done in place of an exercise, as much of it. */
export interface Instead {
	when: InsteadWhen;
	exercise: string;
}

/** One exercise within a block. `kg` null means bodyweight; `tempo` null means the exercise's own. */
export interface Part {
	exercise: string;
	target: Target;
	/** What the participant may do instead: seconds for repetitions, or the other way round. */
	or?: Target;
	perSide: boolean;
	tempo: Tempo | null;
	/** Of one weight. */
	kg: number | null;
	/** Of one weight, level by level in the order of `LEVELS`; the middle one is `kg`. */
	kgByLevel?: [number, number, number];
	/** How many weights of `kg`; left out: one. */
	weights?: number;
	/** A load without a number, where there is no `kg`. */
	resistance?: Resistance;
	partial?: PartialRule;
	/** Amounts of the sets one by one, in the unit of the target, which has the first; beyond them the last holds. */
	each?: number[];
	/** Seconds a kilometre, where metres are covered at a pace of their own. */
	pace?: number;
	/** The metres are covered there and back. */
	eachWay?: true;
	/** How hard it should be, 0…10. */
	effort?: { low: number; high: number };
	/** What may be done in its place; each reason but `choice` once. */
	instead?: Instead[];
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
	/** When in the day it is done, with those after it: `Evening`. Left out: right after the one before. */
	dayPart?: string;
}

/** Bounds that keep a typing slip (10,000 sets) from becoming a session; all inclusive. */
export const LIMITS = {
	blocks: 60,
	parts: 30,
	/** In all blocks together. */
	exercises: 300,
	sets: 50,
	reps: 1000,
	seconds: 7200,
	/** Seconds of a session: it ends on the day it began. */
	session: 86_400,
	metres: 50_000,
	kg: 500,
	/** Weights of an exercise. */
	weights: 4,
	/** What may be done in place of one exercise. */
	instead: 8,
	minutes: 120,
	tempoPhase: 20,
	nameLength: 80,
	/** Letters of a typed line. */
	line: 2000,
	repeats: 20,
	/** Of everything that is repeated, so that times by times does not run away. */
	passes: 20,
	segments: 20_000,
	setupText: 120,
	dayPart: 100,
	note: 2000,
	links: 10,
	linkTitle: 80,
	linkUrl: 500,
	recovery: 10,
	recoveryText: 160,
	heartRate: [60, 220],
	/** Seconds a kilometre: 30 km/h to 2 km/h. */
	pace: [120, 1800],
	people: 300
} as const;
