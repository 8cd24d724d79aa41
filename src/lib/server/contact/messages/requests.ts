/** What participants would like of the plan, and what comes of it. */
import { requestAnswerSchema, requestSchema, type PlanRequest } from '$contracts/ask';
import type { Person } from '../../records/person';
import type { OwnedChallenge } from '../../records/challenge';
import { instant, type Queries } from '../../platform/db/database';
import type { OwnPerson } from '../../records/enrolments';
import { withTransaction, type Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { writeTo } from './messages';

/** Of one person: open at once, and altogether. */
const MOST_OPEN = 3;
const MOST = 40;
/** Shown at once. */
const SHOWN = 100;

const COLUMNS = `r.id, r.wants, r.area, r.said, r.at, r.answered_at as "answeredAt", r.answer`;

/** What somebody asked for, the newest first. */
export const requestsOf = (db: Queries, id: EnrolmentId): Promise<PlanRequest[]> =>
	db.query(
		`select ${COLUMNS} from request r where r.enrolment_id = $1 order by r.at desc, r.id limit ${MOST}`,
		[id]
	);

/** Somebody asks for something of the plan; sent twice with its id, it is kept once. @throws Refusal 400, 409; 404 for an id of somebody else's */
export async function request({ db, clock }: Context, { enrolmentId }: Person, raw: unknown): Promise<void> {
	const { id, wants, area, said } = validate(requestSchema, raw);
	await db.transaction(async (tx) => {
		await tx.query('select 1 from enrolment where id = $1 for update', [enrolmentId]);
		const before = await requestsOf(tx, enrolmentId);
		if (before.some((one) => one.id === id)) return;
		const [others] = await tx.query('select 1 from request where id = $1', [id]);
		if (others) throw notFound('request');
		if (before.filter(({ answeredAt }) => answeredAt === null).length >= MOST_OPEN)
			throw new Refusal(
				409,
				`${MOST_OPEN} requests of yours wait for an answer already. Take one back first.`
			);
		if (before.length >= MOST)
			throw new Refusal(409, `You have asked ${MOST} times. Write your coach a message.`);
		await tx.query(
			`insert into request (id, enrolment_id, wants, area, said, at) values ($1, $2, $3, $4, $5, $6)`,
			[id, enrolmentId, wants, wants === 'other' ? null : area, said, instant(clock.now())]
		);
	});
}

/** Takes back what nobody has answered yet. @throws Refusal 404 */
export async function takeBackRequest(db: Queries, { enrolmentId }: Person, id: string): Promise<void> {
	const gone = await db.query(
		'delete from request where enrolment_id = $1 and id = $2 and answered_at is null returning id',
		[enrolmentId, idOf(id, 'request')]
	);
	if (gone.length === 0) throw notFound('request');
}

export interface ChallengeRequest extends PlanRequest {
	person: { id: EnrolmentId; name: string };
	by: string | null;
}

/** What was asked for in a challenge: open ones first, the first to wait first; then those that were answered last. */
export const requestsIn = (db: Queries, challengeId: ChallengeId): Promise<ChallengeRequest[]> =>
	db.query(
		`select ${COLUMNS}, jsonb_build_object('id', e.id, 'name', p.name) as person, c.name as by
		 from request r join enrolment e on e.id = r.enrolment_id join participant p on p.id = e.participant_id
		 left join coach c on c.id = r.answered_by where e.challenge_id = $1 and e.left_at is null
		 order by r.answered_at is not null, case when r.answered_at is null then r.at end, r.answered_at desc, r.id limit ${SHOWN}`,
		[challengeId]
	);

/** How many of a challenge wait for an answer. */
export async function openRequests(db: Queries, challengeId: ChallengeId): Promise<number> {
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>(
		`select count(*)::int as n from request r join enrolment e on e.id = r.enrolment_id
		 where e.challenge_id = $1 and r.answered_at is null and e.left_at is null`,
		[challengeId]
	);
	return n;
}

/**
 * A coach says what comes of a request, in a message to whoever asked; all or nothing of it.
 *
 * @param raw.answer yes, later or no @param raw.text the message @param raw.messageId of the message
 * @throws Refusal 400, 404; 409 where it has been answered, and for somebody who has left
 */
export async function answerRequest(
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	coach: CoachId,
	id: string,
	raw: { answer: unknown; text: unknown; messageId: unknown }
): Promise<void> {
	const { answer } = validate(requestAnswerSchema, raw);
	await context.db.transaction(async (tx) => {
		const [found] = await tx.query<{ answered: boolean }>(
			'select answered_at is not null as answered from request where enrolment_id = $1 and id = $2 for update',
			[person.id, idOf(id, 'request')]
		);
		if (!found) throw notFound('request');
		if (found.answered) throw new Refusal(409, 'It has been answered already.');
		await tx.query('update request set answered_at = $2, answered_by = $3, answer = $4 where id = $1', [
			id,
			instant(context.clock.now()),
			coach,
			answer
		]);
		await writeTo(
			withTransaction(context, tx),
			challenge,
			person,
			coach,
			{ id: raw.messageId, text: raw.text },
			[],
			'Answered a request'
		);
	});
}
