import { askedAndDone, comparedDays } from '$core/progress';
import { standingOf } from '$lib/server/done/day/own-day';
import { notFound } from '$lib/server/platform/errors';
import { pastDaysOf, type PastDay } from '$lib/server/done/progress/done-days';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

const briefOf = ({ id, day, at, again, name, credit, effort, seconds, scores, hurts, note }: PastDay) => ({
	...{ id, day, at, again, name, credit, effort, seconds, scores, hurts, note }
});

/** A day as it was done, against what was asked and against another time that the same session was done. */
export const load: PageServerLoad = async ({ params, url, locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const past = await pastDaysOf(app, person);
	const ofDay = past.filter(({ day }) => String(day) === params.day);
	const wanted = url.searchParams.get('time');
	const shown = wanted === null ? ofDay.at(-1) : ofDay.find(({ id }) => id === wanted);
	if (!shown) return orError(Promise.reject(notFound('result')));
	const { days, hold } = await standingOf(app, person);
	const same = past.filter(({ sessionId, id }) => sessionId === shown.sessionId && id !== shown.id);
	const with_ = url.searchParams.get('with');
	const other = same.find(({ id }) => id === with_) ?? same.findLast(({ at }) => at < shown.at) ?? same.at(0);
	return {
		shown: briefOf(shown),
		exercises: askedAndDone(shown),
		/** This day as it was done at first, and again. */
		times: ofDay.map(briefOf),
		same: same.map(briefOf),
		other: other ? briefOf(other) : null,
		// The earlier one is the one before, whichever is looked at.
		compared: other ? (other.at < shown.at ? comparedDays(other, shown) : comparedDays(shown, other)) : [],
		mayRepeat: !hold && (days[shown.day - 1]?.open ?? false) && days[shown.day - 1]?.state !== 'held',
		units: person.units
	};
};
