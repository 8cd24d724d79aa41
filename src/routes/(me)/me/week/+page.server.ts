import { redirect } from '@sveltejs/kit';
import { keepWeekly, weekliesOf } from '$lib/server/people/body/weekly';
import { standingOf } from '$lib/server/done/day/own-day';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Weeks that have begun for somebody, and the one that is asked about: the last whose end is near or over. */
async function weeksOf({ locals }: Pick<RequestEvent, 'locals'>) {
	const standing = await standingOf(locals.app, personIn(locals));
	const { days } = standing;
	const opened = days.findLast(({ open }) => open)?.day ?? 0;
	const begun = Math.ceil(opened / 7);
	return { standing, begun, asked: Math.max(1, opened % 7 >= 1 && opened % 7 <= 3 ? begun - 1 : begun) };
}

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const { standing, begun, asked } = await weeksOf(event);
	if (begun === 0) redirect(303, '/me');
	const wanted = Number(event.url.searchParams.get('week'));
	const week = Number.isInteger(wanted) && wanted >= 1 && wanted <= begun ? wanted : asked;
	const said = await weekliesOf(app.db, personIn(event.locals).enrolmentId, app.clock.now());
	const sessions = standing.plan.slice((week - 1) * 7, week * 7).flatMap(({ session }) => session ?? []);
	return {
		week,
		begun,
		said: said.find((one) => one.week === week) ?? null,
		done: standing.days
			.slice((week - 1) * 7, week * 7)
			.map(({ state, credit, pain }) => ({ state, credit, pain })),
		sessions: [...new Set(sessions)],
		id: app.ids.uuid()
	};
};

export const actions: Actions = {
	default: async (event) => {
		const form = await event.request.formData();
		const { begun } = await weeksOf(event);
		const raw = Object.fromEntries(
			['id', 'favourite', 'hardest', 'obstacle', 'confidence'].map((name) => [name, formText(form, name)])
		);
		const week = Number(formText(form, 'week'));
		const done = await orFail(keepWeekly(event.locals.app, personIn(event.locals), { week, begun }, raw), {
			typed: raw
		});
		return 'failed' in done ? done.failed : { kept: true };
	}
};
