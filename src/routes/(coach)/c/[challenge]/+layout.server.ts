import {
	addDays,
	dateOfDay,
	dayInZone,
	instantOf,
	milestonesOf,
	placeAmong,
	type Milestones
} from '$core/calendar';
import { counted, dayText } from '$lib/format';
import type { Challenge } from '$lib/server/records/challenge';
import { planIn, rollIn } from '$lib/server/done/attendance/of-request';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { LayoutServerLoad } from './$types';

/** Where a challenge stands, in words; halfway and the days left are what keeps people going. */
function standText(challenge: Challenge, groupDay: number, milestones: Milestones): string {
	const days = challenge.days;
	const date = (day: number) => dayText(dateOfDay(day, challenge.startsOn));
	if (groupDay < 1) return `starts in ${counted(1 - groupDay, 'day')}, ${date(1)}`;
	if (groupDay > days) return `ended ${date(days)}`;
	const { halfway } = milestones;
	const half =
		halfway === null
			? ''
			: groupDay === halfway
				? ' · halfway today'
				: ` · halfway ${groupDay > halfway ? 'was' : 'is'} ${date(halfway)}`;
	const { left } = placeAmong(milestones, groupDay);
	return `day ${groupDay} of ${days} · ${counted(days - groupDay, 'day')} and ${counted(left, 'session')} left${half}`;
}

export const load: LayoutServerLoad = async ({ params, locals, url }) => {
	const { app } = locals;
	const challenge = await ownChallenge({ params, locals });
	const plan = await planIn(locals, challenge);
	const now = app.clock.now();
	const days = plan.length;
	const groupDay = dayInZone(challenge.startsOn, challenge.coachZone, now);
	const today = groupDay >= 1 && groupDay <= days ? groupDay : null;

	// Looking back at day d is looking at the group as it stood when that day ended on the coach's clock.
	const asked = Number(url.searchParams.get('day'));
	const latest = Math.min(groupDay, days);
	const looked = Number.isInteger(asked) && asked >= 1 && asked <= days ? asked : null;
	const back = looked !== null && looked < latest;
	const asOf = back ? instantOf(addDays(challenge.startsOn, looked), 0, challenge.coachZone) - 1 : now;
	const roll = await rollIn(locals, challenge, asOf);
	const milestones = milestonesOf(plan);
	return {
		challenge,
		stand: standText(challenge, groupDay, milestones),
		rail: plan.map(({ day, date, kind, cancelled }, i) => ({
			day,
			date,
			kind,
			cancelled,
			...(roll.totals[i] ?? { credit: 0, people: 0 })
		})),
		today,
		groupDay,
		halfway: milestones.halfway,
		/** The day that the pages speak of, and the instant as of which they do. */
		day: looked ?? today ?? (groupDay < 1 ? null : days),
		asOf,
		back
	};
};
