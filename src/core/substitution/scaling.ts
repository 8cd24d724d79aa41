import { kitOfItems, type Kit, type Limitation } from '../kit';
import type { Level } from '../people';
import type { Practice } from '../practice';
import { sessionFor, type Session } from '../session';
import { chosenFor, hasLevels } from './choose';
import { substituteAt } from './substitute-part';

export const SCALE_LEVELS = ['easier', 'base', 'harder'] as const;
export type ScaleLevel = (typeof SCALE_LEVELS)[number];
export const KIT_PRESETS = ['as planned', 'band only', 'one dumbbell', 'nothing'] as const;
export type KitPreset = (typeof KIT_PRESETS)[number];

/** Whose loads a level of scaling has; null: those of all are named. */
const LEVEL_OF: Readonly<Record<ScaleLevel, Level | null>> = {
	easier: 'beginner',
	base: null,
	harder: 'trained'
};

const STEPS: Readonly<Record<ScaleLevel, number>> = { easier: -1, base: 0, harder: 1 };

/** What counts as nothing, beside what every home has: something soft or raised to stand on. */
const HOUSEHOLD = kitOfItems(['mat', 'step']);
/** What people are taken to have in a preview. */
export const PRESET_KITS: Readonly<Record<KitPreset, Kit | null>> = {
	'as planned': null,
	'band only': [...HOUSEHOLD, ...kitOfItems(['band', 'loop band'])],
	'one dumbbell': [...HOUSEHOLD, { kind: 'adjustable', from: 0.5, to: 100, step: 0.5, count: 1 }],
	nothing: HOUSEHOLD
};

export interface ScaleChange {
	block: number;
	part: number;
	from: string;
	to: string;
	/** In words: `one step easier`, `not at hand, band variation`. */
	why: string;
}

export interface Scaled {
	session: Session;
	changes: ScaleChange[];
	/** What stays although it should not: nothing like it can be done. */
	stuck: { block: number; part: number; exercise: string; why: string }[];
}

/**
 * The session as someone of another level, with other equipment or with limits would do it, with the loads of that level. What changes is named with
 * its reason; what nothing fits for stays and is named too. Stretches and mobility keep their level.
 */
export function scaleSession(
	planned: Session,
	level: ScaleLevel,
	kit: Kit | null,
	practice: Practice,
	limits: readonly Limitation[] = []
): Scaled {
	const { library } = practice;
	const of = LEVEL_OF[level];
	const session = of ? sessionFor(planned, of) : planned;
	const fitting = { kit, limits };
	const scaled: Scaled = { session, changes: [], stuck: [] };
	session.blocks.forEach((block, b) =>
		block.parts.forEach((part, p) => {
			const exercise = library.find(part.exercise);
			if (!exercise) return;
			const stuck = (name: string, why: string) =>
				scaled.stuck.push({ block: b, part: p, exercise: name, why });
			// Where the coach gave loads by level, these are what differs.
			const levels = !planned.blocks[b]?.parts[p]?.kgByLevel && hasLevels(exercise, block.role);
			const steps = levels ? STEPS[level] : 0;
			const { to, why, noStep } = chosenFor(part, exercise, steps, fitting, practice);
			if (noStep) stuck(exercise.name, `no ${level} variation`);
			if (!to) stuck(exercise.name, 'nothing like it with this equipment and these limits');
			if (!to || to === exercise) return;
			scaled.changes.push({ block: b, part: p, from: exercise.name, to: to.name, why: why.join('; ') });
			scaled.session = substituteAt(scaled.session, b, p, to, practice);
		})
	);
	return scaled;
}
