/** The way back for somebody who was away: proposed from their days, taken by the coach. */
import { reentryOf, type ReentryStep } from '$core/adapt';
import { daysBetween, dateIn } from '$core/calendar';
import { checkinTimes, type Origin } from '$core/day';
import { holdAt } from '$core/health';
import type { OwnedChallenge } from '../../records/challenge';
import { planOf } from '../../records/plan-days';
import { rollRow, type RollRow } from '../../done/attendance/roll';
import { addOverride } from '../../changes/overrides';
import { overridesOf } from '../../records/overrides';
import type { OwnPerson } from '../../records/enrolments';
import { withTransaction, type Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';

export interface Reentry {
	daysOff: number;
	steps: ReentryStep[];
}

/**
 * What is proposed to somebody who has been away for a week or more and trains again, or may from today on; null: nothing.
 * @param asOf epoch milliseconds
 */
export function reentryFor({ person, days }: Pick<RollRow, 'person' | 'days'>, asOf: number): Reentry | null {
	// Nothing is released to somebody on hold, so there is nothing to ease them into.
	if (holdAt(person.holds, asOf)) return null;
	const times = checkinTimes(person.strip)
		.filter((at) => at <= asOf)
		.sort((a, b) => b - a);
	const [last, before] = times;
	if (last === undefined) return null;
	const apart = (from: number, to: number) => daysBetween(dateIn(person.zone, from), dateIn(person.zone, to));
	// Away until now, or back with the last check-in.
	const since = apart(last, asOf);
	const daysOff = since >= 7 ? since : since <= 2 && before !== undefined ? apart(before, last) : 0;
	const next = days
		.filter(
			({ theirs, kind, state }) =>
				theirs && kind !== 'rest' && kind !== 'test' && (state === 'open' || state === 'ahead')
		)
		.map(({ day }) => day);
	const steps = reentryOf(daysOff, next);
	return steps.length === 0 ? null : { daysOff, steps };
}

const WHY = 'eases you back in';

/** Whether the way back has been taken. */
export async function isEased(
	{ db, clock }: Context,
	{ id }: Pick<OwnPerson, 'id'>,
	{ steps }: Reentry
): Promise<boolean> {
	const [first] = steps;
	const now = await overridesOf(db, id, clock.now());
	return now.some(({ origin, fromDay }) => origin.kind === 're-entry' && fromDay === first?.fromDay);
}

/** Makes the next sessions of somebody smaller, as it is proposed. @throws Refusal 409 where there is nothing to propose */
export async function easeIn(context: Context, challenge: OwnedChallenge, person: OwnPerson): Promise<void> {
	const now = context.clock.now();
	const row = rollRow(person, challenge, await planOf(context.db, challenge), now);
	const proposed = reentryFor(row, now);
	if (!proposed || (await isEased(context, person, proposed)))
		throw new Refusal(409, `There is no way back to propose for ${person.name} at the moment.`);
	const origin: Origin = { kind: 're-entry', id: context.ids.uuid() };
	await context.db.transaction(async (tx) => {
		for (const { share, fromDay, toDay } of proposed.steps)
			await addOverride(withTransaction(context, tx), person, origin, {
				target: { kind: 'day' },
				change: { kind: 'scale', share },
				fromDay,
				toDay,
				why: WHY
			});
	});
}
