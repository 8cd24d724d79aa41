import { roleTitle } from '../analysis';
import type { Exercise } from '../exercise';
import { cautionsFor, readIn, type Limitation, type Units } from '../kit';
import { cuesFor, cuesSaidTo, type Practice } from '../practice';
import {
	askedOf,
	compileSession,
	formatOf,
	haveReady,
	howText,
	limitsWhen,
	secondsPerRep,
	targetText,
	type Part,
	type PrescribedExercise,
	type Session
} from '../session';
import { canDo, substitute, type Fitting } from '../substitution';
import {
	BODY_AREAS,
	unitsOf,
	type BodyArea,
	type Course,
	type CourseExercise,
	type Variation
} from './course';
import { stepsOf } from './steps';

/** Whose course it is: what they may do in place of an exercise hangs on it, and in what they read loads. */
export interface CourseFor extends Fitting {
	units: Units;
}

/** What must not be asked of somebody whom something hurts; elsewhere nothing is known of it but that this exercise hurts. */
const limitsOfArea = (area: BodyArea): readonly Limitation[] =>
	area === 'elsewhere' ? [] : limitsWhen(area);

const variationOf = (exercise: Exercise | null, { house }: Practice): Variation | null =>
	exercise && {
		name: exercise.name,
		figure: exercise.looksLike ?? exercise.name,
		cue: cuesFor(exercise, house)[0] ?? null
	};

/**
 * What somebody may do in place of an exercise that hurts: what the coach named for it, otherwise the nearest that they can do
 * and that spares the place. Where nothing is known of the place, the nearest easier form of it; never the exercise itself.
 */
function ifHurts(
	part: Pick<Part, 'instead'>,
	exercise: Exercise,
	area: BodyArea,
	who: Fitting,
	practice: Practice
): Variation | null {
	const { library } = practice;
	const limits = [...who.limits, ...limitsOfArea(area)];
	const named = part.instead?.find(({ when }) => when === area);
	const own = named && library.find(named.exercise);
	if (own && own !== exercise && canDo(own, { ...who, limits })) return variationOf(own, practice);
	const found =
		area === 'elsewhere'
			? library.easier(exercise.name)
			: substitute(exercise, { ...who, limits }, practice)?.exercise;
	return found && found !== exercise && canDo(found, { ...who, limits })
		? variationOf(found, practice)
		: null;
}

/** The name of what somebody may do in place of an exercise in which something hurts, as far as it is known where; null: nothing. */
export function insteadOf(
	name: string,
	area: string | null,
	who: Fitting,
	practice: Practice
): string | null {
	const exercise = practice.library.find(name);
	const place = BODY_AREAS.find((one) => one === area) ?? 'elsewhere';
	if (!exercise) return null;
	const spares = (where: BodyArea) => ifHurts({ instead: undefined }, exercise, where, who, practice);
	// Where the exercise asks nothing of the place that hurts, an easier form of it is what is left.
	return (spares(place) ?? spares('elsewhere'))?.name ?? null;
}

function exerciseOf(
	part: Part,
	asked: PrescribedExercise,
	saysHowMuch: boolean,
	who: CourseFor,
	practice: Practice
): CourseExercise {
	const { library, house } = practice;
	const exercise = library.find(part.exercise);
	const may = (next: Exercise | null) => (next && canDo(next, who) ? variationOf(next, practice) : null);
	return {
		block: asked.block,
		part: asked.part,
		name: part.exercise,
		figure: exercise?.looksLike ?? part.exercise,
		much: saysHowMuch ? '' : targetText(part),
		load: readIn(howText(part), who.units),
		kg: part.kg,
		unit: unitsOf(asked),
		sets: asked.sets,
		amounts: Array.from({ length: asked.sets }, (_, i) => askedOf(asked, i + 1)),
		perSide: asked.perSide,
		tempo: part.tempo ?? exercise?.tempo ?? house.tempo,
		repSeconds: secondsPerRep(part, practice),
		cues: exercise ? cuesSaidTo(exercise, house, who.limits) : [],
		cautions: exercise ? cautionsFor(exercise, who.limits) : [],
		easier: may(library.easier(part.exercise)),
		harder: may(library.harder(part.exercise)),
		ifHurts: Object.fromEntries(
			BODY_AREAS.map((area) => [area, exercise && ifHurts(part, exercise, area, who, practice)])
		) as CourseExercise['ifHurts']
	};
}

/**
 * A session as somebody goes through it.
 *
 * @param asked what it asks for, in the order of its blocks and parts, with the places that the log has
 */
export function courseOf(
	name: string,
	{ session, asked }: { session: Session; asked: readonly PrescribedExercise[] },
	who: CourseFor,
	practice: Practice
): Course {
	const timeline = compileSession(session, practice);
	const parts = session.blocks.flatMap((block) =>
		block.parts.map((part) => ({ part, saysHowMuch: formatOf(block).target !== undefined }))
	);
	return {
		name,
		ready: readIn(haveReady(session, practice), who.units),
		blocks: session.blocks.map((block) => ({
			role: block.role,
			title: roleTitle(block),
			summary: readIn(formatOf(block).summary(block, practice), who.units),
			setup: block.setup?.text ?? null,
			dayPart: block.dayPart ?? null,
			called: formatOf(block).called?.(block) ?? null,
			rate: formatOf(block).rate?.(block) ?? null
		})),
		exercises: parts.flatMap(({ part, saysHowMuch }, i) => {
			const of = asked[i];
			return of ? [exerciseOf(part, of, saysHowMuch, who, practice)] : [];
		}),
		steps: stepsOf(session, timeline, asked),
		seconds: timeline.totals.duration
	};
}
