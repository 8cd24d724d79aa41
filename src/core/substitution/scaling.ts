import { AT_HOME, type Exercise, type Item, type Library, type Muscle } from '../exercise';
import type { Practice } from '../practice';
import { putBlock, putPart, type Session } from '../session';
import { substitutePart } from './substitute-part';

export const SCALE_LEVELS = ['easier', 'base', 'harder'] as const;
export type ScaleLevel = (typeof SCALE_LEVELS)[number];
export const KIT_PRESETS = ['as planned', 'band only', 'one dumbbell', 'nothing'] as const;
export type KitPreset = (typeof KIT_PRESETS)[number];

export interface ScaleChange {
	block: number;
	part: number;
	from: string;
	to: string;
	/** In words: `one step easier`, `no dumbbells: band form`. */
	why: string;
}

export interface Scaled {
	session: Session;
	changes: ScaleChange[];
	/** What stays although it should not: no form fits. */
	stuck: { block: number; part: number; exercise: string; why: string }[];
}

/** What counts as nothing: what every home has, and something soft or raised to stand on. */
const HOUSEHOLD: ReadonlySet<Item> = new Set([...AT_HOME, 'mat', 'step']);

/** Whether an exercise can be done with a kit. */
export function possibleWith(exercise: Exercise, kit: KitPreset): boolean {
	if (kit === 'as planned') return true;
	return exercise.equipment.every(({ item, count }) => {
		if (HOUSEHOLD.has(item)) return true;
		if (kit === 'band only') return item === 'band' || item === 'loop band';
		return kit === 'one dumbbell' && (item === 'dumbbell' || item === 'light dumbbell') && count === 1;
	});
}

/** Shared muscles of two exercises, primary ones weighing twice: 0…1 (weighted Jaccard index). */
export function likeness(a: Exercise, b: Exercise): number {
	const weight = (e: Exercise, muscle: Muscle) =>
		e.primary.includes(muscle) ? 2 : e.assisting.includes(muscle) ? 1 : 0;
	const all = new Set([...a.primary, ...a.assisting, ...b.primary, ...b.assisting]);
	let [both, either] = [0, 0];
	for (const muscle of all) {
		const [x, y] = [weight(a, muscle), weight(b, muscle)];
		both += Math.min(x, y);
		either += Math.max(x, y);
	}
	return either > 0 ? both / either : 0;
}

/** The form of an exercise for a kit: its family first, then its ladder, then the nearest of the same pattern. */
function forKit(exercise: Exercise, kit: KitPreset, library: Library): { to: Exercise; why: string } | null {
	const fits = (e: Exercise) => !e.retired && e.name !== exercise.name && possibleWith(e, kit);
	const prefer = kit === 'band only' ? 'band' : kit === 'one dumbbell' ? 'dumbbell' : 'bodyweight';
	const family = library
		.alternatives(exercise.name)
		.filter(({ exercise: e }) => fits(e))
		.sort((a, b) => Number(b.kit === prefer) - Number(a.kit === prefer));
	if (family[0]) return { to: family[0].exercise, why: `${family[0].kit} form` };
	for (let next = library.easier(exercise.name); next; next = library.easier(next.name))
		if (fits(next)) return { to: next, why: 'an easier variation' };
	const [near] = library.all
		.filter((e) => fits(e) && e.pattern === exercise.pattern)
		.map((e) => ({ e, like: likeness(exercise, e) }))
		.filter(({ like }) => like >= 0.3)
		.sort((a, b) => b.like - a.like);
	return near ? { to: near.e, why: 'same movement, nearest muscles' } : null;
}

const KIT_WORDS: Record<KitPreset, string> = {
	'as planned': '',
	'band only': 'only a band',
	'one dumbbell': 'one dumbbell',
	nothing: 'no equipment'
};

/**
 * The session as someone of another level, or with other equipment, would do it. What changes is named with its
 * reason; what no form fits stays and is named too. Stretches and mobility keep their level.
 */
export function scaleSession(
	session: Session,
	level: ScaleLevel,
	kit: KitPreset,
	practice: Practice
): Scaled {
	const { library } = practice;
	const scaled: Scaled = { session, changes: [], stuck: [] };
	session.blocks.forEach((block, b) =>
		block.parts.forEach((part, p) => {
			const exercise = library.find(part.exercise);
			if (!exercise) return;
			let to = exercise;
			const why: string[] = [];
			const levels =
				exercise.pattern !== 'stretch' && exercise.pattern !== 'mobility' && block.role === 'main';
			if (level !== 'base' && levels) {
				const next = level === 'easier' ? library.easier(exercise.name) : library.harder(exercise.name);
				if (next) {
					to = next;
					why.push(`one step ${level}`);
				} else scaled.stuck.push({ block: b, part: p, exercise: exercise.name, why: `no ${level} form` });
			}
			if (!possibleWith(to, kit)) {
				const form = forKit(to, kit, library);
				if (form) {
					to = form.to;
					why.push(`${KIT_WORDS[kit]}: ${form.why}`);
				} else
					scaled.stuck.push({
						block: b,
						part: p,
						exercise: to.name,
						why: `nothing like it with ${KIT_WORDS[kit]}`
					});
			}
			if (to === exercise) return;
			scaled.changes.push({ block: b, part: p, from: exercise.name, to: to.name, why: why.join('; ') });
			const now = scaled.session.blocks[b];
			if (now)
				scaled.session = putBlock(scaled.session, b, putPart(now, p, substitutePart(part, to, practice)));
		})
	);
	return scaled;
}
