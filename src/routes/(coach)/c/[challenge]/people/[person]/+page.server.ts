import { error, fail, redirect } from '@sveltejs/kit';
import { holdAt } from '$core/health';
import { kitText } from '$core/kit';
import {
	excuseSpan,
	excusesOf,
	pause,
	pausesOf,
	removePause,
	unexcuse
} from '$lib/server/done/attendance/excuses';
import { againOf } from '$lib/server/done/attendance/again';
import { checkinsOf } from '$lib/server/done/attendance/history';
import { planIn } from '$lib/server/done/attendance/of-request';
import { recordIn, takeBackIn } from '$lib/server/edge/forms/record-form';
import { rollRow } from '$lib/server/done/attendance/roll';
import { renewLink, revokeLink } from '$lib/server/people/links';
import { addOverride, removeOverride } from '$lib/server/changes/overrides';
import { overridesOf } from '$lib/server/records/overrides';
import { ownExercises } from '$lib/server/records/library';
import { revokePersonCalendarLink } from '$lib/server/edge/exports/calendar/links';
import { carryOn } from '$lib/server/contact/post/letters';
import { inviteByMail } from '$lib/server/contact/post/invitations';
import { recordClearance, takeBackClearance } from '$lib/server/people/health/clearances';
import { spaceOf } from '$lib/server/platform/space';
import { addDocument, documentsOf, removeDocument } from '$lib/server/people/health/documents';
import { companyOf } from '$lib/server/people/teams';
import { threadOf } from '$lib/server/contact/messages/messages';
import { addNote, changeNote, notesOf, removeNote } from '$lib/server/people/notes';
import { lookAtAnswers, mindOf } from '$lib/server/people/health/looks';
import { changesOf } from '$lib/server/records/health';
import { setHour } from '$lib/server/people/hour';
import { excuseProposed } from '$lib/server/contact/reach/excuse-proposed';
import { askAgain, isConsentTold } from '$lib/server/people/intake';
import { changeEquipment, changePerson } from '$lib/server/people/change';
import { addDays, dateIn, LAST_ZONE } from '$core/calendar';
import { challengesOf } from '$lib/server/records/challenge';
import { challengesWith, comeBack, leave, moveTo } from '$lib/server/people/leave';
import { unenrol } from '$lib/server/people/enrol';
import { type OwnPerson } from '$lib/server/records/enrolments';
import { takingsOf } from '$lib/server/done/shelf/shelf';
import { formText, spanIn } from '$lib/server/edge/web/form-text';
import { overrideFrom } from '$lib/server/edge/forms/override-form';
import { orError, orFail } from '$lib/server/edge/web/http';
import { coachIn } from '$lib/server/edge/web/viewer';
import { sentIn } from '$lib/server/edge/web/uploads';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import { sendNewLinkNotice } from '$lib/server/people/new-link';
import { shownLink } from '$lib/server/edge/web/shown-link';
import { noteEvent, requireProof } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Messages that are shown, the newest; all of them are under Reach out. */
const THREAD_SHOWN = 6;

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const { asOf } = await event.parent();
	const challenge = await ownChallenge(event);
	const person = await ownPerson(event, event.params.person);
	const plan = await planIn(event.locals, challenge);
	const { days, adherence, extras, trend, silent } = rollRow(person, challenge, plan, asOf);
	const thread = await threadOf(app.db, person.id, asOf);
	const { strip: _strip, extras: _extras, suited: _suited, holds, kit, kitUnread, ...shown } = person;
	return {
		person: { ...shown, equipment: kitText(kit, kitUnread), unread: kitUnread },
		mind: await mindOf(app, person, asOf),
		hold: holdAt(holds, asOf),
		...(await elsewhereOf(event, person).then(({ inChallenges, others }) => ({
			inChallenges,
			others: others.map(({ id, name }) => ({ id, name }))
		}))),
		consentTold: await isConsentTold(app.db, person.participantId),
		documents: await documentsOf(app.db, person.participantId),
		space: { used: await spaceOf(app.db, person.participantId), most: app.config.space.person },
		company: await companyOf(app.db, person.id),
		notes: await notesOf(app.db, person.participantId),
		changes: await changesOf(app.db, person.participantId, asOf),
		days,
		adherence,
		extras,
		thread: thread.slice(-THREAD_SHOWN),
		/** Days off that they seem to have written of. */
		excuse: excuseProposed(thread, person, days, challenge, asOf),
		again: await againOf(app.db, person.id, asOf),
		taken: await takingsOf(app.db, person.id, asOf),
		trend,
		silent,
		own: await ownExercises(app.db, challenge.coachId),
		overrides: await overridesOf(app.db, person.id, asOf),
		pauses: await pausesOf(app.db, person.id),
		checkins: await checkinsOf(app, person.id, asOf),
		excuses: await excusesOf(app, person.id),
		zones: Intl.supportedValuesOf('timeZone')
	};
};

/** Other challenges of theirs, and those of the coach that they could go on in. */
async function elsewhereOf({ locals }: Pick<RequestEvent, 'locals'>, { participantId, coachId }: OwnPerson) {
	const { app } = locals;
	const inThem = await challengesWith(app.db, participantId);
	const all = await challengesOf(app.db, coachIn(locals).id, 'coach');
	const today = dateIn(LAST_ZONE, app.clock.now());
	// Whoever goes on elsewhere stays with whose participant they are.
	const others = all.filter(
		(one) =>
			one.coachId === coachId &&
			addDays(one.startsOn, one.days - 1) >= today &&
			!inThem.some(({ challengeId }) => challengeId === one.id)
	);
	return { inChallenges: inThem, others };
}

const person = (event: RequestEvent) => ownPerson(event, event.params.person);

export const actions: Actions = {
	record: (event) => recordIn(event),
	takeBackRecorded: (event) => takeBackIn(event),
	link: async (event) => {
		const own = await person(event);
		const { app } = event.locals;
		const by = coachIn(event.locals).id;
		const secret = await renewLink(app, own, by);
		await sendNewLinkNotice(app, { enrolmentId: own.id, by });
		return { link: await shownLink(event, await ownChallenge(event), { enrolmentId: own.id, secret }) };
	},
	/** A link of their own goes to them by mail. */
	mailLink: async (event) => {
		const own = await person(event);
		const { app } = event.locals;
		const challenge = await ownChallenge(event);
		const base = `${event.url.origin}/join/`;
		const done = await orFail(inviteByMail(app, challenge, coachIn(event.locals), base, {}, own.id), {
			inviting: true
		});
		if ('failed' in done) return done.failed;
		await noteEvent(event, 'link-made', { enrolmentId: own.id });
		await carryOn(app);
		return { linkMailed: true };
	},
	revoke: async (event) => {
		const own = await person(event);
		await revokeLink(event.locals.app, own);
		await noteEvent(event, 'link-revoked', { enrolmentId: own.id });
		return { revoked: true };
	},
	endCalendar: async (event) => {
		const { id } = await person(event);
		await revokePersonCalendarLink(event.locals.app.db, id);
		await noteEvent(event, 'calendar-link-ended', { enrolmentId: id });
		return { calendarEnded: true };
	},
	change: async (event) => {
		const form = await event.request.formData();
		const raw = { ...Object.fromEntries(form), limits: form.getAll('limits') };
		const done = await orFail(changePerson(event.locals.app, await person(event), raw));
		return 'failed' in done ? done.failed : { changed: true };
	},
	equipment: async (event) => {
		const equipment = formText(await event.request.formData(), 'equipment');
		const done = await orFail(changeEquipment(event.locals.app, await person(event), equipment), {
			editing: 'equipment' as const
		});
		return 'failed' in done ? done.failed : { changed: true };
	},
	hour: async (event) => {
		const hour = formText(await event.request.formData(), 'hour');
		const done = await orFail(setHour(event.locals.app, (await person(event)).id, { hour }, 'coach'), {
			editing: 'hour' as const
		});
		return 'failed' in done ? done.failed : { changed: true };
	},
	excuse: async (event) => {
		const span = spanIn(await event.request.formData());
		const challenge = await ownChallenge(event);
		const done = await orFail(excuseSpan(event.locals.app, challenge, await person(event), span), {
			editing: 'excuse' as const
		});
		return 'failed' in done ? done.failed : { changed: true };
	},
	leave: async (event) => {
		const own = await person(event);
		const done = await orFail(leave(event.locals.app, own));
		if ('failed' in done) return done.failed;
		await noteEvent(event, 'link-revoked', { enrolmentId: own.id });
		return { changed: true };
	},
	back: async (event) => {
		const done = await orFail(comeBack(event.locals.app, await person(event)));
		return 'failed' in done ? done.failed : { changed: true };
	},
	move: async (event) => {
		const { app } = event.locals;
		const own = await person(event);
		const wanted = formText(await event.request.formData(), 'to');
		const to = (await elsewhereOf(event, own)).others.find(({ id }) => id === wanted);
		if (!to) error(404, 'There is no such challenge to go on in.');
		const done = await orFail(moveTo(app, own, to, coachIn(event.locals).id));
		if ('failed' in done) return done.failed;
		return { moved: { to: to.name, link: await shownLink(event, to, done.ok) } };
	},
	addDocument: async (event) => {
		const own = await person(event);
		const file = sentIn(await event.request.formData(), 'file');
		const done = await orFail(addDocument(event.locals.app, own, file));
		return 'failed' in done
			? fail(done.failed.status, { documentFault: done.failed.data.message })
			: { changed: true };
	},
	removeDocument: async (event) => {
		const form = await event.request.formData();
		await orError(removeDocument(event.locals.app, await person(event), formText(form, 'document')));
		return { changed: true };
	},
	/** A note, or one that there is as it is to be now. */
	addNote: async (event) => {
		const form = await event.request.formData();
		const raw = { body: formText(form, 'body'), html: formText(form, 'html') };
		const id = formText(form, 'note');
		const own = await person(event);
		const done = await orFail(
			id ? changeNote(event.locals.app, own, id, raw) : addNote(event.locals.app, own, raw)
		);
		return 'failed' in done
			? fail(done.failed.status, { noteFault: done.failed.data.message })
			: { changed: true };
	},
	removeNote: async (event) => {
		const form = await event.request.formData();
		await orError(removeNote(event.locals.app, await person(event), formText(form, 'note')));
		return { changed: true };
	},
	look: async (event) => {
		const looked = await lookAtAnswers(event.locals.app, await person(event), coachIn(event.locals).name);
		return { looked };
	},
	ask: async (event) => {
		await askAgain(event.locals.app, (await person(event)).participantId);
		return { changed: true };
	},
	clear: async (event) => {
		const raw = Object.fromEntries(await event.request.formData());
		const done = await orFail(recordClearance(event.locals.app, await person(event), raw));
		return 'failed' in done ? done.failed : { changed: true };
	},
	takeBack: async (event) => {
		const form = await event.request.formData();
		const done = await orFail(
			takeBackClearance(event.locals.app, await person(event), formText(form, 'clearance'))
		);
		return 'failed' in done ? done.failed : { changed: true };
	},
	unexcuse: async (event) => {
		const form = await event.request.formData();
		const done = await orFail(unexcuse(event.locals.app, await person(event), { day: form.get('day') }));
		return 'failed' in done ? done.failed : { changed: true };
	},
	pause: async (event) => {
		const form = await event.request.formData();
		const raw = {
			fromDay: formText(form, 'fromDay'),
			toDay: formText(form, 'toDay') || null,
			reason: formText(form, 'reason')
		};
		const done = await orFail(pause(event.locals.app, await person(event), raw));
		return 'failed' in done ? done.failed : { changed: true };
	},
	endPause: async (event) => {
		const form = await event.request.formData();
		const done = await orFail(removePause(event.locals.app, await person(event), formText(form, 'pause')));
		return 'failed' in done ? done.failed : { changed: true };
	},
	differ: async (event) => {
		const raw = overrideFrom(await event.request.formData());
		const origin = { kind: 'coach', id: coachIn(event.locals).id } as const;
		const done = await orFail(addOverride(event.locals.app, await person(event), origin, raw));
		return 'failed' in done ? done.failed : { changed: true };
	},
	same: async (event) => {
		const form = await event.request.formData();
		const done = await orFail(
			removeOverride(event.locals.app, await person(event), formText(form, 'override'))
		);
		return 'failed' in done ? done.failed : { changed: true };
	},
	unenrol: async (event) => {
		const challenge = await ownChallenge(event);
		const own = await person(event);
		requireProof(event, `/c/${challenge.id}/people/${own.id}`);
		const done = await orFail(unenrol(event.locals.app, own));
		if ('failed' in done) return done.failed;
		await noteEvent(event, 'person-removed');
		redirect(303, `/c/${challenge.id}/people`);
	}
};
