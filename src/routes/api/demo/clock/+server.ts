import { error, redirect } from '@sveltejs/kit';
import { addDays, dateIn, instantOf } from '$core/calendar';
import { demoWorld } from '$demo/world';
import { carryOn } from '$lib/server/contact/post/letters';
import { REMINDERS } from '$lib/server/contact/post/reminders';
import { wayBack } from '$lib/server/edge/web/way-back';
import type { RequestHandler } from './$types';

const HOUR = 3_600_000;
const MORNING = 7 * 60 + 40;

/** Moves the demo clock on and lets the invented people live through the time between, or goes back. */
export const POST: RequestHandler = async ({ request, locals, url }) => {
	const { app, visitor } = locals;
	const world = demoWorld();
	const coach = await visitor.coach();
	if (!app.demoClock || !world || !coach) error(404, 'There is no such page here.');
	const form = await request.formData();
	const move = form.get('move');
	const before = app.clock.now();
	if (move === 'real') {
		app.demoClock.backToReal();
		await world.goBack();
	} else if (move === 'hour' || move === 'morning') {
		const today = dateIn(coach.zone, before);
		const morning = instantOf(today, MORNING, coach.zone);
		const next = morning > before ? morning : instantOf(addDays(today, 1), MORNING, coach.zone);
		app.demoClock.moveTo(move === 'hour' ? before + HOUR : next);
		await world.catchUp();
		await world.train();
	} else error(400, 'The clock moves by an hour, to the next morning, or back to the real time.');
	await carryOn(app);
	await app.jobs.send(app.db, REMINDERS, {});
	redirect(303, wayBack(form.get('back'), url.origin, '/'));
};
