/** Pausing or leaving by oneself: the coach reads it among the messages, and days count as with an excuse. */
import { ownLeaveSchema, ownPauseSchema } from '$contracts/own-pause';
import { dateOfDay } from '$core/calendar';
import { daysChanged } from '../../changes/changed';
import type { Standing } from '../../done/day/own-day';
import type { Person } from '../../records/person';
import { pause, pausesOf, removePause, type Pause } from '../../done/attendance/excuses';
import { noteChange } from '../../changes/holds';
import { writeToCoach } from './messages';
import { withTransaction, type Context } from '../../platform/context';
import { notFound, Refusal } from '../../platform/errors';
import { validate } from '../../platform/validate';
import { endDays } from '../../people/leave';

/** Pauses that a person took and that are not over. */
export async function ownPauses({ db }: Context, { enrolmentId }: Person, today: number): Promise<Pause[]> {
	const all = await pausesOf(db, enrolmentId);
	return all.filter(({ own, toDay }) => own && (toDay === null || toDay >= today));
}

const because = (reason: string | null): string => (reason ? ` ${reason}` : '');

/** As it is said to the coach: `Thu 14 May to Sun 17 May`. */
function spanText({ challenge, shiftDays }: Standing, from: number, to: number): string {
	const dateOf = (day: number) =>
		new Intl.DateTimeFormat('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'short',
			timeZone: 'UTC'
		}).format(new Date(`${dateOfDay(day, challenge.startsOn, shiftDays)}T00:00:00Z`));
	return from === to ? dateOf(from) : `${dateOf(from)} to ${dateOf(to)}`;
}

/** Pauses some days from today on. The message has the id of the form: sent twice it is kept once. @throws Refusal 400 */
export async function pauseOwnDays(
	context: Context,
	person: Person,
	standing: Standing,
	raw: unknown
): Promise<void> {
	const { id, fromDay, toDay, reason } = validate(ownPauseSchema, raw);
	const today = standing.today ?? 1;
	if (fromDay < today || toDay > standing.days.length)
		throw new Refusal(400, 'Choose days from today on.', [
			{ field: 'fromDay', message: 'a day from today on' }
		]);
	await context.db.transaction(async (tx) => {
		const within = withTransaction(context, tx);
		const known = await tx.query('select 1 from message where id = $1', [id]);
		if (known.length > 0) return;
		await pause(
			within,
			{ id: person.enrolmentId, challengeId: person.challengeId },
			{ fromDay, toDay, reason: reason || 'No reason given' },
			true
		);
		await noteChange(tx, person.participantId, 'participant', 'Paused', context.clock.now());
		await writeToCoach(within, person, {
			id,
			text: `I’m pausing ${spanText(standing, fromDay, toDay)}.${because(reason)}`
		});
	});
}

/** Ends a pause that the person took by themselves. @throws Refusal 404, also for one of the coach's */
export async function endOwnPause(context: Context, person: Person, id: string): Promise<void> {
	const own = (await pausesOf(context.db, person.enrolmentId)).find((one) => one.id === id && one.own);
	if (!own) throw notFound('pause');
	await removePause(context, { id: person.enrolmentId, challengeId: person.challengeId }, own.id);
}

/** Leaves for good: what was done stays, the link and the devices end. @throws Refusal 400, 409 for somebody who has left */
export async function leaveOwn(context: Context, person: Person, raw: unknown): Promise<void> {
	const { id, reason } = validate(ownLeaveSchema, raw);
	const now = context.clock.now();
	await context.db.transaction(async (tx) => {
		const within = withTransaction(context, tx);
		await writeToCoach(within, person, { id, text: `I’m leaving the challenge.${because(reason)}` });
		const how = { now, newId: () => context.ids.uuid(), reason: reason || 'Left by themselves' };
		if ((await endDays(tx, [person.enrolmentId], how)).length === 0)
			throw new Refusal(409, 'You have left this challenge already.');
		await noteChange(tx, person.participantId, 'participant', 'Left the challenge', now);
		await daysChanged(context, tx, person.challengeId, [person.enrolmentId]);
	});
}
