import { holdAt } from '$core/health';
import { kitText } from '$core/kit';
import { peopleIn } from '$lib/server/attendance/of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { challenge } = await parent();
	const people = await peopleIn(locals, challenge);
	return {
		people: people.map(
			({
				id,
				name,
				email,
				zone,
				level,
				kit,
				kitUnread,
				fromDay,
				shiftDays,
				lastSeen,
				hasLink,
				answeredAt,
				leftAt,
				holds
			}) => ({
				id,
				name,
				email,
				zone,
				level,
				equipment: kitText(kit, kitUnread),
				fromDay,
				shiftDays,
				lastSeen,
				hasLink,
				answered: answeredAt !== null,
				left: leftAt !== null,
				hold: holdAt(holds, locals.app.clock.now())?.reason ?? null
			})
		)
	};
};
