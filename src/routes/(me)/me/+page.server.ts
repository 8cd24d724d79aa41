import { redirect } from '@sveltejs/kit';
import { dayTally } from '$core/attendance';
import { dateOfDay, milestonesOf, placeAmong } from '$core/calendar';
import { signOutDevice, switchTo } from '$lib/server/account/auth/link';
import { formText } from '$lib/server/edge/web/form-text';
import { dropToken, keepToken, tokenIn } from '$lib/server/edge/web/cookies';
import { forReading, nextOpens, openDay, standingOf } from '$lib/server/done/day/own-day';
import { holdDetails } from '$lib/server/contact/incidents/own-hold';
import { recentPain } from '$lib/server/people/health/pain';
import { shelfOn } from '$lib/server/done/shelf/shelf';
import { answerPoll, ownPolls } from '$lib/server/training/challenge/polls';
import { upFor } from '$lib/server/training/challenge/announcements';
import { tick } from '$lib/server/edge/forms/tick-form';
import { orError, orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

/** Today, the last days that may still be done, the newest first, and the questions as long as nobody has answered them. */
const keptPages = (days: readonly number[], answered: boolean): string[] => [
	'/me',
	'/me/stop',
	...days
		.slice(-4)
		.toReversed()
		.flatMap((day) => [`/me/day/${day}/run`, `/me/day/${day}/check-in`]),
	...(answered ? [] : ['/me/intake'])
];

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const standing = await standingOf(app, person);
	const { challenge, days, today, plan, shiftDays } = standing;
	// Yesterday's day may still be open; the newest that has opened is today's.
	const newest = today === null ? undefined : days[today - 1];
	const shown = newest?.open ? await orError(openDay(app, person, newest.day, standing)) : null;
	const open = days.filter(({ day, state }) => state === 'open' && day !== today && plan[day - 1]?.sessionId);
	const milestones = milestonesOf(plan);
	return {
		challenge: { name: challenge.name, goal: challenge.goal, lateWorth: challenge.lateWorth },
		day: shown && forReading(shown, person),
		date: shown ? dateOfDay(shown.day, challenge.startsOn, shiftDays) : null,
		/** When the next day opens: all that is said of it. */
		nextOpens: nextOpens(standing),
		days: days.map(({ state, credit, pain }) => ({ state, credit, pain })),
		total: days.length,
		/** Which of the sessions today’s is, and how many are left: what keeps people going. */
		place: shown ? placeAmong(milestones, shown.day) : null,
		halfway: shown !== null && shown.day === milestones.halfway,
		unread: standing.unread,
		/** What was decided about pain lately, or waits to be. */
		pain: recentPain(standing.pain, app.clock.now()),
		announcements: upFor(standing.announcements, days, app.clock.now()),
		polls: ownPolls(app, person, standing),
		open: open.map(({ day, state, window }) => ({ day, state, closes: window.closes })),
		/** Pages that the device keeps for when there is no connection. */
		keep: keptPages(
			[...open.map(({ day }) => day), ...(shown?.session && !shown.checkin ? [shown.day] : [])],
			person.suited.answered
		),
		over: today === days.length && (days.at(-1)?.window.due ?? 0) <= app.clock.now(),
		tally: dayTally(days, standing.extras.credit),
		company: standing.company,
		others: person.others,
		/** What keeps sessions from them, and whether the questions are to be answered. */
		hold: standing.hold?.reason ?? null,
		holdDetails: standing.hold && (await holdDetails(app, person, standing.hold)),
		questions: person.suited.answered ? (person.asksAgain ? ('again' as const) : null) : ('first' as const),
		/** Sessions beside the plan that they may take. */
		shelf: shelfOn(app, standing).length
	};
};

export const actions: Actions = {
	tick,
	poll: async ({ request, locals }) => {
		const form = await request.formData();
		const raw = { poll: formText(form, 'poll'), choice: formText(form, 'choice') || null };
		const done = await orFail(answerPoll(locals.app, personIn(locals), raw), { poll: raw.poll });
		return 'failed' in done ? done.failed : { voted: raw.poll };
	},
	switch: async ({ request, locals, cookies, url }) => {
		const before = tokenIn(cookies, url, 'person') ?? '';
		const to = formText(await request.formData(), 'to');
		const token = await switchTo(locals.app, personIn(locals), to, before);
		if (token) keepToken(cookies, url, 'person', token);
		redirect(303, '/me');
	},
	leave: async ({ locals, cookies, url }) => {
		const token = tokenIn(cookies, url, 'person');
		if (token) await signOutDevice(locals.app, token);
		dropToken(cookies, url, 'person');
		redirect(303, '/sign-in');
	}
};
