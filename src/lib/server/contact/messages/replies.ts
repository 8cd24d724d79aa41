/** A coach's short answers to what comes in: one of her own lines, at once. */
import { replySchema } from '$contracts/message';
import { fillTemplate, readTemplate } from '$core/text/template';
import { REASON_KINDS } from '$core/triage';
import type { OwnedChallenge } from '../../records/challenge';
import type { Queries } from '../../platform/db/database';
import { enrolmentOf } from '../../records/enrolments';
import { teamsIn } from '../../people/teams';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { CoachId, EnrolmentId } from '../../platform/ids';
import { postSettingsOf } from '../post/settings';
import { valuesOf } from '../post/posts';
import { inNeed } from '../reach/triage';
import { validate } from '../../platform/validate';
import { writeAbout } from './messages';

/** What came in, and may be answered. */
interface CameIn {
	enrolmentId: EnrolmentId;
	day: number | null;
	hurts: string | null;
}

async function cameInById(db: Queries, { id }: OwnedChallenge, about: string): Promise<CameIn> {
	const [found] = await db.query<CameIn>(
		`select r.enrolment_id as "enrolmentId", r.day, r.hurts
		 from result r join enrolment e on e.id = r.enrolment_id
		 where r.id = $1 and r.replaced_at is null and e.challenge_id = $2`,
		[idOf(about, 'result'), id]
	);
	if (!found) throw notFound('result');
	return found;
}

/**
 * Answers a result with one of the coach's own lines. It stands in the application and goes by no mail; reasons for praise
 * are dealt with by it, and no other ones.
 *
 * @param raw.about the result @param raw.line which line, from 1 @param raw.id of the message: sent twice, it is kept once
 * @throws Refusal 400, 404; 409 for a result that tells of pain, and where a line asks for what they do not have
 */
export async function replyTo(
	context: Context,
	challenge: OwnedChallenge,
	coach: { id: CoachId; name: string },
	raw: unknown
): Promise<void> {
	const { id, about, line } = validate(replySchema, raw);
	const { db, clock } = context;
	const result = await cameInById(db, challenge, about);
	if (result.hurts !== null)
		throw new Refusal(409, 'It tells of pain, so a line won’t do. Open it under Reach out.');
	const { replies } = await postSettingsOf(db, coach.id);
	const template = replies[line - 1];
	if (template === undefined) throw new Refusal(400, `There is no line ${line}; you have ${replies.length}.`);
	const person = await enrolmentOf(db, challenge, result.enrolmentId);
	const one = (await inNeed({ app: { db } }, challenge, clock.now())).find(
		(other) => other.person.id === person.id
	);
	if (!one) throw new Refusal(409, `${person.name} has left this challenge and would not see it.`);
	const team = (await teamsIn(db, challenge.id)).find(({ id: own }) => own === one.person.team)?.name ?? null;
	const values = valuesOf(one, { coach: coach.name, challenge: challenge.name, team });
	const { text, missing } = fillTemplate(readTemplate(template), values);
	if (missing[0])
		throw new Refusal(409, `There is no {${missing[0]}} for ${person.name}. Choose another line.`);
	const praise = one.reasons.map(({ kind }) => kind).filter((kind) => REASON_KINDS[kind] === 'praise');
	await writeAbout(context, challenge, person, coach.id, { id, text }, { about, day: result.day, praise });
}
