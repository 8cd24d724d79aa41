/** What keeps sessions from a person, in their own words, and what they say when somebody qualified has said yes. */
import { okSchema } from '$contracts/incident';
import { dateIn } from '$core/calendar';
import type { Hold } from '$core/health';
import { screen } from '$core/health';
import type { Person } from '../../records/person';
import { writeToCoach } from '../messages/messages';
import type { Store } from '../../platform/row-files';
import type { SentFile } from '../../platform/sent-file';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { validate } from '../../platform/validate';
import { addDocument } from '../../people/health/documents';
import { answersOf } from '../../records/health';

export interface HoldDetails {
	/** Why, as they told it themselves. */
	reasons: string[];
	/** Whom to ask: `a doctor`, `a doctor or midwife`. */
	ask: string[];
	/** Since when; epoch milliseconds. */
	since: number;
}

/** Why nothing is released to a person now. */
export async function holdDetails(
	{ db, clock }: Context,
	{ participantId, enrolmentId, zone }: Person,
	hold: Hold
): Promise<HoldDetails> {
	if (hold.reason === 'stopped') {
		const stops = await db.query<{ said: string }>(
			`select said from incident where enrolment_id = $1 and kind = 'stop sign' and decided_at is null order by at desc limit 5`,
			[enrolmentId]
		);
		return { reasons: stops.map(({ said }) => said), ask: ['a doctor or midwife'], since: hold.from };
	}
	const answers = hold.reason === 'pain' ? null : await answersOf(db, participantId);
	const reasons = answers ? screen(answers, dateIn(zone, clock.now())).reasons : [];
	return {
		reasons: reasons.map(({ text }) => text),
		ask: [...new Set(reasons.map(({ ask }) => ask))],
		since: hold.from
	};
}

/**
 * Tells the coach who has said yes, with the paper, if there is one. It opens nothing by itself: the coach records it.
 * Sent twice by its id it is told once. @throws Refusal 400, 409, 413
 */
export async function tellOk(
	context: Context & { config: Store },
	person: Person,
	raw: unknown,
	file: SentFile | null
): Promise<void> {
	const { id, who, on, note } = validate(okSchema, raw);
	if (on > dateIn(person.zone, context.clock.now()))
		throw new Refusal(400, 'That day is still to come.', [{ field: 'on', message: 'a day up to today' }]);
	const known = await context.db.query('select 1 from message where id = $1', [id]);
	if (known.length > 0) return;
	if (file) await addDocument(context, person, file, 'participant');
	const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
		new Date(`${on}T00:00:00Z`)
	);
	const paper = file ? ' The paper is among my documents.' : '';
	await writeToCoach(context, person, {
		id,
		text: `I have the OK to train: ${who}, on ${day}.${note ? ` ${note}` : ''}${paper}`
	});
}
