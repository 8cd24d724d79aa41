/** A whole challenge as one file; docs/formats/challenge.schema.json says the same. */
import stringify from 'safe-stable-stringify';
import type { Plan } from '$core/plan';
import type { BUNDLE_KIND, BUNDLE_VERSION, BundleFrame } from '$contracts/bundle';
import type { Session } from '$core/session';
import type { ExerciseInput } from '$contracts/exercise';

export interface BundleSession {
	/** What days and rules call it in this file. */
	key: string;
	name: string;
	tags: string[];
	/** The oldest first; days without a number have the last. */
	versions: Session[];
}

export interface Bundle {
	kind: typeof BUNDLE_KIND;
	version: typeof BUNDLE_VERSION;
	name: string;
	goal: string;
	frame: BundleFrame;
	/** The coach’s own, as far as they are used. */
	exercises: ExerciseInput[];
	sessions: BundleSession[];
	/** Sessions by key: `s1`, or `s1@2` for the second of its versions where that is not the last. */
	plan: Plan;
	/** Sessions on request, by key. */
	shelf?: { session: string; counts: boolean }[];
	messages: { day: number; text: string }[];
}

/** The order in which fields stand at the top; below it they go by the alphabet. */
const TOP = [
	'kind',
	'version',
	'name',
	'goal',
	'frame',
	'exercises',
	'sessions',
	'plan',
	'shelf',
	'messages'
] as const;

/** The order of letters as they are coded: no database and no language has another. */
export const byLetters = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** A value with the fields of every object in the order of their letters. */
const ordered = (value: unknown): unknown => JSON.parse(stringify(value) ?? 'null');

/** A bundle as text: the same bundle is the same text, letter by letter. */
export const bundleText = (bundle: Bundle): string =>
	`${JSON.stringify(Object.fromEntries(TOP.flatMap((name) => (bundle[name] === undefined ? [] : [[name, ordered(bundle[name])]]))), null, '\t')}\n`;

/** A session with its exercises under other names. */
export const withNames = (body: Session, nameOf: (name: string) => string): Session => ({
	...body,
	blocks: body.blocks.map((block) => ({
		...block,
		parts: block.parts.map((part) => ({ ...part, exercise: nameOf(part.exercise) }))
	}))
});

/** Whether two values say the same, whatever the order of their fields. */
export const alike = (a: unknown, b: unknown): boolean => stringify(a) === stringify(b);
