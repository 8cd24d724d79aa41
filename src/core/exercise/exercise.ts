/** What is known of an exercise, and the words it is told in. Seconds, metres and kilograms throughout. */
import { JOINTS, type DemandInput, type Demands } from './demands';

/** Seconds down, held at the bottom, up, held at the top. */
export type Tempo = readonly [down: number, bottom: number, up: number, top: number];

/** How an exercise is counted when a line does not say. */
export const COUNTED_IN = ['reps', 'seconds', 'metres'] as const;
export type CountedIn = (typeof COUNTED_IN)[number];

/** What the body does, from the point of view of what has to be balanced against what. */
export const PATTERNS = [
	'squat',
	'knee extension',
	'lunge',
	'hinge',
	'bridge',
	'push forward',
	'push up',
	'pull back',
	'pull down',
	'raise',
	'curl',
	'elbow extension',
	'carry',
	'trunk',
	'calf',
	'hip side',
	'jump',
	'step',
	'combination',
	'mobility',
	'stretch'
] as const;
export type Pattern = (typeof PATTERNS)[number];

export const MUSCLES = [
	'chest',
	'front shoulder',
	'side shoulder',
	'rear shoulder',
	'upper back',
	'lats',
	'biceps',
	'triceps',
	'forearms',
	'abs',
	'obliques',
	'lower back',
	'glutes',
	'outer hip',
	'inner thigh',
	'hip flexors',
	'quads',
	'hamstrings',
	'calves',
	'shins'
] as const;
export type Muscle = (typeof MUSCLES)[number];

export const POSITIONS = [
	'standing',
	'supported',
	'seated',
	'floor seated',
	'kneeling',
	'all fours',
	'front lying',
	'back lying',
	'side lying',
	'hanging'
] as const;
export type Position = (typeof POSITIONS)[number];

export const ITEMS = [
	'dumbbell',
	'light dumbbell',
	'band',
	'loop band',
	'mat',
	'chair',
	'bench',
	'wall',
	'step',
	'low step',
	'stairs',
	'table',
	'loaded backpack',
	'water bottle',
	'towel',
	'broomstick',
	'pull-up bar',
	'rope',
	'roller',
	'cushion'
] as const;
export type Item = (typeof ITEMS)[number];

/** Furniture and household things: everybody has them, or something that does. */
export const AT_HOME: ReadonlySet<Item> = new Set([
	'chair',
	'wall',
	'towel',
	'table',
	'cushion',
	'stairs',
	'low step',
	'water bottle',
	'broomstick'
]);

export interface Need {
	item: Item;
	count: number;
}

/** What a caution can be about: a sore joint, a pregnancy after the first trimester, weeks after birth, poor balance, a weak pelvic floor. */
export const CONCERNS = [...JOINTS, 'later pregnancy', 'after birth', 'balance'] as const;
export type Concern = (typeof CONCERNS)[number];

/** A caution of an exercise, and whom it concerns. */
export interface Caution {
	text: string;
	/** Those whom one of these concerns; empty for everyone. */
	concerns: readonly Concern[];
}

export interface Exercise {
	name: string;
	/** Names it went by before, under which older sessions still find it. */
	formerly: readonly string[];
	countedIn: CountedIn;
	perSide: boolean;
	/** Null: the pace assumed for all. */
	tempo: Tempo | null;
	pattern: Pattern;
	primary: readonly Muscle[];
	assisting: readonly Muscle[];
	/** What must be within reach; empty for bodyweight on bare floor. */
	equipment: readonly Need[];
	position: Position;
	/** What it demands of the body; complete, also for the coach's own. */
	demands: Demands;
	/** The demands that were rated; for the coach's own, the others count as the highest of the pattern. */
	demandsSet: DemandInput;
	/** What to say or show while it is done, the most important first. */
	cues: readonly string[];
	cautions: readonly Caution[];
	/** Cues that contradict something of a person, and whom they are not shown to. */
	withheldCues: readonly { cue: string; from: readonly Concern[] }[];
	/** The coach's own, by id; null for the library that ships. */
	ownId: string | null;
	/** No longer offered; sessions that have it keep it. */
	retired: boolean;
	/** Name of the exercise whose figure stands for it; null: its own, where there is one. */
	looksLike: string | null;
	/** For the coach's own: the next easier and the next harder form, by name. */
	easier: string | null;
	harder: string | null;
}

/** Bounds of what a coach may enter; inclusive. */
export const EXERCISE_LIMITS = { name: 80, cues: 4, cautions: 6, text: 160, needs: 8, own: 2000 } as const;

/** The names as they stand in tables, files and messages: `2 dumbbell, mat`. */
export const needText = ({ item, count }: Need): string => (count > 1 ? `${count} ${item}` : item);

const PLURALS: Partial<Record<Item, string>> = { 'loaded backpack': 'loaded backpacks', stairs: 'stairs' };
/** As one says it: `2 dumbbells`, `mat`. */
export const needWords = ({ item, count }: Need): string =>
	count > 1 ? `${count} ${PLURALS[item] ?? `${item}s`}` : item;

/** Reads `2 dumbbell`; null when there is no such thing. */
export function readNeed(text: string): Need | null {
	const found = /^\s*(?:(\d+)\s+)?(.+?)\s*$/.exec(text.toLowerCase());
	const name = found?.[2] ?? '';
	const item = ITEMS.find((known) => known === name || `${known}s` === name);
	const count = Number(found?.[1] ?? 1);
	return item && count >= 1 && count <= 9 ? { item, count } : null;
}
