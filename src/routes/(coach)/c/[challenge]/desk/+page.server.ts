import { DAY_MS } from '$core/calendar';
import { adherence, endingOf } from '$core/attendance';
import { cameIn, heldOf, openingsOf, stillOpenOf } from '$lib/server/contact/desk/desk';
import { decideOffered, offeredIn } from '$lib/server/done/attendance/offered';
import { readinessOf } from '$lib/server/contact/desk/readiness';
import { planIn, rollIn } from '$lib/server/done/attendance/of-request';
import { lastDays, type RollRow } from '$lib/server/done/attendance/roll';
import { presentIn } from '$lib/server/done/live/presence';
import { openFormChecks } from '$lib/server/contact/messages/form-checks';
import { unansweredIn } from '$lib/server/contact/messages/messages';
import { openRequests } from '$lib/server/contact/messages/requests';
import { replyTo } from '$lib/server/contact/messages/replies';
import { postSettingsOf } from '$lib/server/contact/post/settings';
import { inNeed } from '$lib/server/contact/reach/triage';
import { fitAhead, misfitsOn, sharesFor } from '$lib/server/training/fit/ahead';
import { addOverride } from '$lib/server/changes/overrides';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

/** Days that are shown of somebody to reach. */
const RECENT = 14;

/** Misfits that are shown with what would shorten them. */
const MOST_OFFERS = 12;
/** People shown who need their coach. */
const MOST_NEED = 6;

/** People shown of those who did the most. */
const MOST_PRAISED = 5;

/** What a challenge came to, with names in place of rows. */
function endingShown(rows: readonly RollRow[], days: number) {
	const { finished, dropped, neverBegan, most, ...rest } = endingOf(rows, days);
	const named = (all: readonly RollRow[]) => all.map(({ person: { id, name } }) => ({ id, name }));
	return {
		...rest,
		finished: finished.length,
		dropped: named(dropped),
		neverBegan: named(neverBegan),
		most: most.slice(0, MOST_PRAISED).map(({ person: { id, name }, adherence: { rate, due } }) => ({
			id,
			name,
			rate,
			due
		}))
	};
}

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge, asOf, day, groupDay, back } = await parent();
	const plan = await planIn(locals, challenge);
	const { rows } = await rollIn(locals, challenge, asOf);
	const all = await inNeed(locals, challenge, asOf);
	const need = all.filter(({ reasons }) => reasons.length > 0);
	const people = rows.map(({ person }) => person);
	const soon = day === null ? [1, 2] : [day, ...plan.slice(day, day + 2).map((one) => one.day)];
	const misfits = await misfitsOn(app, challenge, soon, people);
	const shares = await sharesFor(app, challenge, misfits.slice(0, MOST_OFFERS), people);
	const weekTo = (last: number) =>
		adherence(rows.flatMap(({ days }) => days.slice(Math.max(0, last - 7), Math.max(0, last))));
	const isOver = groupDay > plan.length && !back;
	return {
		/** What it came to, once it is over. */
		ending: isOver ? endingShown(rows, plan.length) : null,
		stillOpen: stillOpenOf(rows, asOf),
		week: day === null ? null : weekTo(day),
		weekBefore: day === null || day <= 7 ? null : weekTo(day - 7),
		planned: day === null ? null : (plan[day - 1] ?? null),
		next: plan.slice(day ?? 0, (day ?? 0) + 2),
		openings: day === null ? [] : openingsOf(rows, day, asOf),
		people: rows.length,
		held: heldOf(rows, asOf),
		/** What is left to do before day one; null once it has begun. */
		readiness:
			day === null
				? await readinessOf(
						app.db,
						challenge.id,
						people.filter(({ leftAt }) => leftAt === null),
						asOf
					)
				: null,
		/** On the day that is out and the two after it. */
		misfits: misfits.map((one, i) => ({ ...one, share: shares[i] ?? null })),
		need: need.slice(0, MOST_NEED).map(({ person, row, reasons }) => ({
			id: person.id,
			name: person.name,
			zone: person.zone,
			reasons,
			...lastDays(row, day ?? RECENT, RECENT)
		})),
		needCount: need.length,
		formChecks: await openFormChecks(app.db, challenge.id),
		/** Who has written and waits for an answer. */
		waiting: (await unansweredIn(app.db, challenge.id, all, asOf)).length,
		requests: await openRequests(app.db, challenge.id),
		offered: await offeredIn(app.db, challenge.id),
		present: await presentIn(app.db, challenge.id, asOf),
		cameIn: (await cameIn(app.db, challenge.id, asOf - DAY_MS, asOf)).map((row) => ({
			...row,
			/** Of the message that answers it. */
			messageId: app.ids.uuid()
		})),
		replies: (await postSettingsOf(app.db, coachIn(locals).id)).replies
	};
};

/** Takes or leaves a result that a device sent after its day had closed. */
const decide =
	(taken: boolean): Actions[string] =>
	async (event) => {
		const challenge = await ownChallenge(event);
		const id = formText(await event.request.formData(), 'id');
		const done = await orFail(decideOffered(event.locals.app, challenge, id, taken), {});
		if ('failed' in done) return done.failed;
	};

export const actions: Actions = {
	take: decide(true),
	pass: decide(false),
	/** Answers what came in with one of the coach's own lines. */
	reply: async (event) => {
		const form = await event.request.formData();
		const raw = Object.fromEntries(['id', 'about', 'line'].map((name) => [name, formText(form, name)]));
		const challenge = await ownChallenge(event);
		const done = await orFail(replyTo(event.locals.app, challenge, coachIn(event.locals), raw), {
			about: raw.about
		});
		return 'failed' in done ? done.failed : { replied: raw.about };
	},
	/** Less of one day's session for one person, so that it fits the time they have. */
	shorten: async (event) => {
		const form = await event.request.formData();
		const [day, share] = [Number(formText(form, 'day')), Number(formText(form, 'share'))];
		const person = await ownPerson(event, formText(form, 'person'));
		const done = await orFail(
			addOverride(
				event.locals.app,
				person,
				{ kind: 'coach', id: coachIn(event.locals).id },
				{
					target: { kind: 'day' },
					change: { kind: 'scale', share: share / 100 },
					fromDay: day,
					toDay: day,
					why: 'Shorter, to fit the time you have'
				}
			)
		);
		if ('failed' in done) return done.failed;
		await fitAhead(event.locals.app, await ownChallenge(event));
		return { changed: true };
	}
};
