import { redirect } from '@sveltejs/kit';
import { dayTally } from '$core/attendance';
import { milestonesOf, placeAmong } from '$core/calendar';
import { gainsOf } from '$core/progress';
import { nextOpens, openDay, standingOf } from '$lib/server/done/day/own-day';
import { saidAbout } from '$lib/server/contact/messages/messages';
import { pastDaysOf } from '$lib/server/done/progress/done-days';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const standing = await standingOf(app, person);
	const { day, checkin, session } = await orError(openDay(app, person, Number(params.day), standing));
	if (!checkin || !session) redirect(303, '/me');
	const past = await pastDaysOf(app, person);
	const now = past.find(({ id }) => id === checkin.id);
	const { days, extras } = standing;
	return {
		day,
		name: session.name,
		checkin: { done: checkin.done, credit: checkin.credit, standing: checkin.standing },
		gains: now ? gainsOf(past, now) : null,
		blocks: session.outline.blocks.map(({ title }) => title),
		left: { days: days.length - day, sessions: placeAmong(milestonesOf(standing.plan), day).left },
		nextOpens: nextOpens(standing),
		days: days.map(({ state, credit, pain }) => ({ state, credit, pain })),
		tally: dayTally(days, extras.credit),
		units: person.units,
		said: await saidAbout(app.db, person.enrolmentId, day)
	};
};
