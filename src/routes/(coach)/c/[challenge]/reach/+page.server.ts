import { redirect } from '@sveltejs/kit';
import { addDays, dateIn, DAY_MS } from '$core/calendar';
import { MOST_LATER } from '$contracts/reach';
import { excuseSpan } from '$lib/server/done/attendance/excuses';
import { lastDays } from '$lib/server/done/attendance/roll';
import {
	adviceAbout,
	decideIncident,
	endSparing,
	followUp,
	incidentsOf
} from '$lib/server/contact/incidents/incidents';
import { houseOf, practiceOf } from '$lib/server/records/practice';
import { inNeed, type InNeed } from '$lib/server/contact/reach/triage';
import { excuseProposed } from '$lib/server/contact/reach/excuse-proposed';
import { easeIn, isEased, reentryFor } from '$lib/server/contact/reach/reentry';
import { noteReach, removeReach } from '$lib/server/contact/reach/reaches';
import { formText, spanIn } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { coachIn } from '$lib/server/edge/web/viewer';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import type { Challenge, OwnedChallenge } from '$lib/server/records/challenge';
import type { OwnPerson } from '$lib/server/records/enrolments';
import { markRead, threadOf, unansweredIn, writeTo } from '$lib/server/contact/messages/messages';
import { carryOn } from '$lib/server/contact/post/letters';
import { valuesOf } from '$lib/server/contact/post/posts';
import { postSettingsOf } from '$lib/server/contact/post/settings';
import { htmlOfLetter } from '$core/text/html';
import { ASK_AGAIN_DAYS } from '$core/health';
import { insteadOf } from '$core/run';
import { byName } from '$core/people';
import { MOST_LETTERS, type Message } from '$contracts/message';
import {
	draftAfter,
	heardAgo,
	isOwedPraise,
	lastUnanswered,
	type Dealt,
	type ReasonKind,
	type Said
} from '$core/triage';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** People in the list; more are not dealt with in a day. */
const MOST_LISTED = 300;
/** Days shown of the one who is open. */
const DAYS_SHOWN = 21;
/** People named who have not heard from their coach for the longest. */
const MOST_UNHEARD = 5;

const inList = ({ person, reasons }: InNeed) => ({
	id: person.id,
	name: person.name,
	zone: person.zone,
	reasons: reasons.map(({ kind }) => kind)
});

function opened({ person, row, reasons, answered, checkins, reaches, finish }: InNeed, until: number) {
	return {
		id: person.id,
		name: person.name,
		zone: person.zone,
		level: person.level,
		reasons,
		answered,
		reaches,
		finish,
		adherence: row.adherence,
		...lastDays(row, until, DAYS_SHOWN),
		checkins: checkins.slice(0, 5)
	};
}

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const { challenge, asOf, day } = await event.parent();
	const all = await inNeed(event.locals, challenge, asOf);
	const house = await houseOf(app.db, challenge.coachId);
	const open = all.filter(({ reasons }) => reasons.length > 0);
	const asked = event.url.searchParams.get('person');
	const shown = all.find(({ person }) => person.id === asked) ?? open[0];
	const at = shown ? open.indexOf(shown) : -1;
	const today = dateIn(challenge.coachZone, app.clock.now());
	const thread = shown ? await threadOf(app.db, shown.person.id, asOf) : [];
	return {
		people: open.slice(0, MOST_LISTED).map(inList),
		count: open.length,
		all: all.length,
		shown: shown ? opened(shown, day ?? 0) : null,
		incidents: shown ? await incidentsWith(event.locals, shown, challenge, asOf) : [],
		/** What may stand in the place of what hurts. */
		exercises: shown ? (await practiceOf(app.db, challenge.coachId)).library.names() : [],
		reentry: shown ? await wayBack(event.locals, shown, asOf) : null,
		thread,
		/** What they wrote last, where nobody has answered it. */
		waiting: shown ? stillAsked(thread, shown.reaches, asOf) : null,
		/** Days off that they seem to have written of. */
		excuse: shown ? excuseProposed(thread, shown.person, shown.row.days, challenge, asOf) : null,
		/** Of the next message. */
		messageId: app.ids.uuid(),
		draft: shown ? await draftOf(event.locals, shown, challenge, { thread, now: asOf }) : '',
		unanswered: await unansweredIn(app.db, challenge.id, all, asOf),
		/** Whose turn it is after the one who is open, and before. */
		next: (at < 0 ? open[0] : (open[at + 1] ?? open[at - 1]))?.person.id ?? null,
		previous: at > 0 ? open[at - 1]!.person.id : null,
		finishFrom: house.finishFrom,
		againAfter: house.againAfter,
		unheard: unheardOf(all, asOf),
		owed: owedOf(all, asOf),
		tomorrow: addDays(today, 1),
		askAgainOn: addDays(today, ASK_AGAIN_DAYS),
		/** Of the message that goes with a decision about pain. */
		replyId: app.ids.uuid(),
		latest: addDays(today, MOST_LATER)
	};
};

/** For how long what somebody wrote last is shown above the next message: four weeks. */
const SHOWN_FOR = 28 * DAY_MS;

/** What they wrote last, where nobody has answered it, also while it is put off. */
function stillAsked(thread: readonly Message[], reaches: readonly Dealt[], now: number): Message | null {
	const asked = lastUnanswered(
		thread,
		reaches.filter(({ way }) => way !== 'later'),
		now
	);
	return asked && now - asked.at < SHOWN_FOR ? asked : null;
}

/** What could be written to somebody: the beginning of a message, as this coach writes. */
async function draftOf(
	locals: App.Locals,
	shown: InNeed,
	{ name: challenge }: Challenge,
	written: { thread: readonly Said[]; now: number }
): Promise<string> {
	const coach = coachIn(locals);
	const tone = await postSettingsOf(locals.app.db, coach.id);
	const values = valuesOf(shown, { coach: coach.name, challenge, team: null });
	return draftAfter(shown.reasons[0] ?? null, tone, values, {
		...written,
		dealt: shown.reaches,
		me: coach.name
	});
}

/** The way back that is proposed to somebody, where it has not been taken. */
async function wayBack({ app }: App.Locals, { row, person }: InNeed, asOf: number) {
	const proposed = reentryFor(row, asOf);
	return proposed && !(await isEased(app, person, proposed)) ? proposed : null;
}

/** What happened to somebody, with what they could do in place of each exercise that is off. */
async function incidentsWith(locals: App.Locals, { person }: InNeed, challenge: Challenge, asOf: number) {
	const { db } = locals.app;
	const practice = await practiceOf(db, challenge.coachId);
	const all = await incidentsOf(db, person.id, asOf);
	return all.map((incident) => ({
		...incident,
		advice: adviceAbout(incident, all),
		instead:
			incident.exercises[0] === undefined || incident.decidedAt !== null
				? null
				: insteadOf(incident.exercises[0], incident.area, person, practice)
	}));
}

/** Those who have not heard from a coach for the longest, or never. */
const unheardOf = (all: readonly InNeed[], asOf: number) =>
	all
		.map(({ person: { id, name }, reaches }) => ({ id, name, days: heardAgo(reaches, asOf) }))
		.sort((a, b) => (b.days ?? Number.MAX_SAFE_INTEGER) - (a.days ?? Number.MAX_SAFE_INTEGER))
		.slice(0, MOST_UNHEARD);

/** Those who did all of their week, and whom nobody has praised lately; who did most of it first. */
const owedOf = (all: readonly InNeed[], asOf: number) =>
	all
		.filter(({ reaches, row }) => isOwedPraise(reaches, row.weeks.recent, asOf))
		.sort((a, b) => b.row.weeks.recent.due - a.row.weeks.recent.due || byName(a.person, b.person))
		.map(({ person: { id, name }, row }) => ({ id, name, due: row.weeks.recent.due }));

/** What a form of this page is about. */
async function sentBy(event: RequestEvent) {
	const challenge = await ownChallenge(event);
	const form = await event.request.formData();
	return { challenge, form, person: await ownPerson(event, formText(form, 'person')) };
}

/** Why somebody needs their coach at this moment. */
async function openReasons(
	{ locals }: Pick<RequestEvent, 'locals'>,
	challenge: OwnedChallenge,
	{ id }: OwnPerson
): Promise<ReasonKind[]> {
	const all = await inNeed(locals, challenge, locals.app.clock.now());
	return all.find(({ person }) => person.id === id)?.reasons.map(({ kind }) => kind) ?? [];
}

/** Opens whoever is next. */
const onTo = ({ id }: OwnedChallenge, next: string): never =>
	redirect(303, `/c/${id}/reach${next ? `?person=${encodeURIComponent(next)}` : ''}`);

export const actions: Actions = {
	/** Sends a message, and notes that it was written. */
	write: async (event) => {
		const { app } = event.locals;
		const { challenge, form, person } = await sentBy(event);
		const raw = {
			id: formText(form, 'id'),
			html: formText(form, 'html'),
			text: formText(form, 'body'),
			draft: formText(form, 'draft').slice(0, MOST_LETTERS)
		};
		const coach = coachIn(event.locals).id;
		const reasons = await openReasons(event, challenge, person);
		const done = await orFail(writeTo(app, challenge, person, coach, raw, reasons), {
			writing: raw.html || htmlOfLetter(raw.text),
			/** Where there are no scripts, as it was typed. */
			typed: raw.text
		});
		if ('failed' in done) return done.failed;
		await carryOn(app);
		onTo(challenge, formText(form, 'next'));
	},
	/** The answers of somebody have been seen. */
	read: async (event) => {
		const { person } = await sentBy(event);
		await markRead(event.locals.app, person.id, 'participant');
		return { read: true };
	},
	/** What they wrote last needs no answer; why they need their coach, if they do, is not dealt with by that. */
	settle: async (event) => {
		const { challenge, form, person } = await sentBy(event);
		const raw = { way: 'settled', note: '', until: null };
		await orError(noteReach(event.locals.app, challenge, person, coachIn(event.locals).id, [], raw));
		await markRead(event.locals.app, person.id, 'participant');
		onTo(challenge, formText(form, 'next'));
	},
	note: async (event) => {
		const { app } = event.locals;
		const { challenge, form, person } = await sentBy(event);
		const raw = {
			way: formText(form, 'way'),
			note: formText(form, 'note'),
			until: formText(form, 'until') || null
		};
		const reasons = await openReasons(event, challenge, person);
		const done = await orFail(noteReach(app, challenge, person, coachIn(event.locals).id, reasons, raw), raw);
		if ('failed' in done) return done.failed;
		onTo(challenge, formText(form, 'next'));
	},
	excuse: async (event) => {
		const { challenge, form, person } = await sentBy(event);
		const done = await orFail(excuseSpan(event.locals.app, challenge, person, spanIn(form)), {
			excusing: true
		});
		return 'failed' in done ? done.failed : { excused: true };
	},
	decide: async (event) => {
		const { app } = event.locals;
		const { challenge, form, person } = await sentBy(event);
		const raw = {
			decision: formText(form, 'decision'),
			exercise: formText(form, 'exercise'),
			note: formText(form, 'note'),
			followUpOn: formText(form, 'followUpOn'),
			reply: formText(form, 'reply'),
			replyId: formText(form, 'replyId') || null
		};
		const incident = formText(form, 'incident');
		const done = await orFail(
			decideIncident(app, challenge, person, coachIn(event.locals).id, incident, raw),
			{ deciding: incident, reply: raw.reply }
		);
		if (!('failed' in done)) await carryOn(app);
		return 'failed' in done ? done.failed : { decided: true };
	},
	ease: async (event) => {
		const { challenge, person } = await sentBy(event);
		await orError(easeIn(event.locals.app, challenge, person));
		return { eased: true };
	},
	followUp: async (event) => {
		const { form, person } = await sentBy(event);
		const raw = { outcome: formText(form, 'outcome') };
		await orError(followUp(event.locals.app, person, formText(form, 'incident'), raw));
		return { followedUp: true };
	},
	endSparing: async (event) => {
		const { form, person } = await sentBy(event);
		await orError(endSparing(event.locals.app, person, formText(form, 'incident')));
		return { followedUp: true };
	},
	remove: async (event) => {
		const { form, person } = await sentBy(event);
		await orError(removeReach(event.locals.app, person, formText(form, 'id')));
		return { removed: true };
	}
};
