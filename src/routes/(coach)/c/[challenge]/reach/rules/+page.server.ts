import { reviewRules } from '$core/triage';
import { TRIAGE_RULES, triageRulesSchema } from '$contracts/house';
import { challengeOf, challengesOf } from '$lib/server/records/challenge';
import { enrolmentsOf } from '$lib/server/records/enrolments';
import { houseOf } from '$lib/server/records/practice';
import { saveHouse } from '$lib/server/training/practice/house';
import { heldBack, reviewedOf } from '$lib/server/contact/reach/review';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { ownChallenge, practiceOwner } from '$lib/server/edge/web/own';
import { validate } from '$lib/server/platform/validate';
import { coachIn } from '$lib/server/edge/web/viewer';
import { dayInZone } from '$core/calendar';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const own = await ownChallenge(event);
	const now = app.clock.now();
	const house = await houseOf(app.db, own.coachId);
	const asked = Object.fromEntries(
		TRIAGE_RULES.map((name) => [name, event.url.searchParams.get(name) ?? String(house[name])])
	);
	const read = await orFail(Promise.resolve().then(() => validate(triageRulesSchema, asked)));
	const all = await challengesOf(app.db, coachIn(event.locals).id, 'coach');
	const begun = all.filter((one) => dayInZone(one.startsOn, one.coachZone, now) > 3);
	const chosen = event.url.searchParams.get('challenge') ?? own.id;
	const challenge = await orError(challengeOf(app.db, coachIn(event.locals).id, chosen, 'coach'));
	const day = Math.min(dayInZone(challenge.startsOn, challenge.coachZone, now), challenge.days);
	const over = dayInZone(challenge.startsOn, challenge.coachZone, now) > challenge.days;
	const looked = async (rules: typeof house) => {
		const people = await reviewedOf(app.db, challenge, { from: 2, to: day, house: rules, now });
		const names = new Map<string, string>(
			(await enrolmentsOf(app.db, challenge.id)).map(({ id, name }) => [id, name])
		);
		const namedBy = (ids: readonly string[]) => ids.map((id) => names.get(id) ?? '');
		const { hits, misses, alarms, quiet, warning } = reviewRules(people, over ? challenge.days : day);
		return {
			hits: namedBy(hits),
			misses: namedBy(misses),
			alarms: namedBy(alarms),
			quiet: quiet.length,
			warning,
			/** How many would have come up on each morning. */
			mornings: (people[0]?.mornings ?? []).map(({ day: of }, i) => ({
				day: of,
				people: people.filter(({ mornings }) => (mornings[i]?.reasons.length ?? 0) > 0).length
			}))
		};
	};
	return {
		rules: asked,
		saved: TRIAGE_RULES.every((name) => Number(asked[name]) === house[name]),
		fault: 'failed' in read ? read.failed.data.message : null,
		challenges: begun.map(({ id, name }) => ({ id, name })),
		of: { id: challenge.id, name: challenge.name, over, day, days: challenge.days },
		looked: 'failed' in read || day < 3 ? null : heldBack(looked({ ...house, ...read.ok }))
	};
};

export const actions: Actions = {
	save: async (event) => {
		const { db } = event.locals.app;
		const form = await event.request.formData();
		const coach = await practiceOwner(event);
		const rules = Object.fromEntries(TRIAGE_RULES.map((name) => [name, formText(form, name)]));
		const done = await orFail(saveHouse(db, coach, { ...(await houseOf(db, coach)), ...rules }));
		return 'failed' in done ? done.failed : { kept: true };
	}
};
