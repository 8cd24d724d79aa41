/** Recording results, as the roll and the page of a person post it. */
import { PLAN_LIMITS } from '$core/plan';
import { formText } from '../web/form-text';
import { orError, orFail } from '../web/http';
import { ownPerson, type ChallengeEvent } from '../web/own';
import { coachIn } from '../web/viewer';
import { recordDays, takeBackRecorded } from '../../done/attendance/recorded';

/** Days of a form, from one to another; none where it says no days. */
function daysIn(form: FormData): number[] {
	const [from, to] = [Number(formText(form, 'from')), Number(formText(form, 'to'))];
	if (!Number.isInteger(from) || !Number.isInteger(to) || from < 1 || to < from || to > PLAN_LIMITS.days)
		return [];
	return Array.from({ length: to - from + 1 }, (_, i) => from + i);
}

export async function recordIn(event: ChallengeEvent & { request: Request }) {
	const form = await event.request.formData();
	const person = await ownPerson(event, formText(form, 'person'));
	const days = daysIn(form);
	const { app } = event.locals;
	const given = form.getAll('id').map(String);
	const raw = {
		days,
		// Without scripts the form has none: each press records anew, and what is there already is replaced.
		ids: given.length > 0 ? given : days.map(() => app.ids.uuid()),
		share: formText(form, 'share'),
		effort: formText(form, 'effort'),
		note: ''
	};
	const done = await orFail(recordDays(app, person, coachIn(event.locals).id, raw), { recording: true });
	return 'failed' in done ? done.failed : { recorded: days, about: person.id };
}

export async function takeBackIn(event: ChallengeEvent & { request: Request }) {
	const form = await event.request.formData();
	const person = await ownPerson(event, formText(form, 'person'));
	const days = formText(form, 'days')
		.split(',')
		.map(Number)
		.filter((day) => Number.isInteger(day) && day >= 1 && day <= PLAN_LIMITS.days);
	await orError(takeBackRecorded(event.locals.app, person, days));
	return { takenBackDays: days, about: person.id };
}
