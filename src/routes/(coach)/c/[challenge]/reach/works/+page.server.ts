import { ownWeekOf, whatWorked } from '$core/triage';
import { houseOf } from '$lib/server/records/practice';
import { heldBack, reviewedOf } from '$lib/server/contact/reach/review';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { PageServerLoad } from './$types';

/** Days that are looked back. */
const LOOKS_BACK = 28;

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const challenge = await ownChallenge(event);
	const { groupDay } = await event.parent();
	const now = app.clock.now();
	const to = Math.min(groupDay, challenge.days);
	const from = Math.max(1, to - LOOKS_BACK + 1);
	const looked = async () => {
		const house = await houseOf(app.db, challenge.coachId);
		const people = await reviewedOf(app.db, challenge, { from, to, house, now });
		return { worked: whatWorked(people, now), week: ownWeekOf(people, now) };
	};
	// It takes a moment with many people: the page is there meanwhile.
	return { from, to, looked: to < 1 ? null : heldBack(looked()) };
};
