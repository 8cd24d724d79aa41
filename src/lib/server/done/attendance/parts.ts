/** What was done in the parts of a day, put together. */
import { MOST_OF_DAY, type CheckinInput } from '$contracts/check-in';
import { BANDS } from '$core/heart';
import { addedTo, fullLog, type LoggedSet } from '$core/day';
import type { PrescribedExercise } from '$core/session';
import { Refusal } from '../../platform/errors';

export type Said = Pick<
	CheckinInput,
	'effort' | 'energy' | 'sleepHours' | 'well' | 'hurts' | 'note' | 'beyond'
>;
export type RunInput = NonNullable<CheckinInput['run']>;

/** A text of two parts of a day. @throws Refusal 409 where it is longer than a day's may be: nothing of it is dropped */
function bothTexts(field: 'hurts' | 'note', before: Said, later: Said): string | null {
	const text = [...new Set([before[field], later[field]].filter(Boolean))].join('\n');
	if (text.length > MOST_OF_DAY[field])
		throw new Refusal(
			409,
			`What you wrote of this day is ${text.length} letters by now, of ${MOST_OF_DAY[field]}. Say it in fewer.`
		);
	return text || null;
}

/** What was said of two parts of a day: the later word, and all that was written. */
export function saidOfBoth(before: Said, later: Said): Said {
	const beyond = [...before.beyond, ...later.beyond];
	if (beyond.length > MOST_OF_DAY.beyond)
		throw new Refusal(
			409,
			`That is ${beyond.length} exercises beyond the plan in one day, of ${MOST_OF_DAY.beyond}. Put some together.`
		);
	return {
		effort: later.effort ?? before.effort,
		energy: later.energy ?? before.energy,
		sleepHours: later.sleepHours ?? before.sleepHours,
		well: wellOfBoth(before.well, later.well),
		hurts: bothTexts('hurts', before, later),
		note: bothTexts('note', before, later),
		beyond
	};
}

/** How somebody is, told twice a day: the later word of each, and all that is sore. */
const wellOfBoth = (before: Said['well'], later: Said['well']): Said['well'] => ({
	mood: later.mood ?? before.mood,
	soreness: { ...before.soreness, ...later.soreness },
	waterLitres: later.waterLitres ?? before.waterLitres,
	fuelMet: later.fuelMet ?? before.fuelMet,
	win: later.win ?? before.win,
	pain: later.pain ?? before.pain
});

type Heart = NonNullable<RunInput['heart']>;

function heartOfBoth(before: Heart, later: Heart): Heart {
	const seconds = before.seconds + later.seconds;
	return {
		average: (before.average * before.seconds + later.average * later.seconds) / Math.max(1, seconds),
		highest: Math.max(before.highest, later.highest),
		seconds,
		bands: Object.fromEntries(
			BANDS.map((band) => [band, before.bands[band] + later.bands[band]])
		) as Heart['bands']
	};
}

/** Two parts of a day that were led: the time of both, the results and the reports of both. */
export function runOfBoth(before: RunInput | null, later: RunInput | null): RunInput | null {
	if (!before || !later) return later ?? before;
	return {
		seconds: before.seconds + later.seconds,
		scores: [...before.scores, ...later.scores],
		hurts: [...before.hurts, ...later.hurts],
		heart:
			before.heart && later.heart ? heartOfBoth(before.heart, later.heart) : (later.heart ?? before.heart)
	};
}

/** What was done, set by set, with what stood for the day before where it adds to that; refuses sets that are not asked for. */
export function logOf(
	input: Pick<CheckinInput, 'done' | 'sets'>,
	asked: PrescribedExercise[],
	before: readonly LoggedSet[]
): LoggedSet[] {
	if (input.done === 'none') return [...before];
	const log = input.sets ?? (input.done === 'all' ? fullLog(asked) : []);
	const byPlace = new Map(asked.map((exercise) => [`${exercise.block}.${exercise.part}`, exercise]));
	const seen = new Set<string>();
	log.forEach((set, i) => {
		const exercise = byPlace.get(`${set.block}.${set.part}`);
		const key = `${set.block}.${set.part}.${set.set}`;
		if (!exercise || set.set > exercise.sets || seen.has(key))
			throw new Refusal(400, 'The log does not fit the session of this day.', [
				{
					field: `sets[${i}]`,
					message: seen.has(key) ? 'this set stands twice' : 'the session has no such set'
				}
			]);
		seen.add(key);
	});
	return addedTo(before, log);
}
