/** One question to everybody of a challenge, a team or a level. */
import {
	pollAnswerSchema,
	POLL_LIMITS,
	pollSchema,
	type OwnPoll,
	type Poll,
	type PollResult
} from '$contracts/ask';
import { addDays, dateIn, instantOf } from '$core/calendar';
import { isMeant, type Audience } from '$core/post';
import type { Level } from '$core/people';
import type { Person } from '../../records/person';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { pollsSince, type StandingRow } from '../../records/standing-row';
import { validate } from '../../platform/validate';
import type { OwnedChallenge } from '../../records/challenge';

/** Of one challenge: open at once, and altogether. */
const MOST_OPEN = 5;
const MOST = 100;

const COLUMNS = `q.id, q.question, q.choices, q.audience, q.shown, q.at, q.closes_at as "closesAt"`;

/** Polls that are on anybody's page now or were until lately, the newest first. */
export const pollsFor = (
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	challengeId: ChallengeId
): Promise<Poll[]> =>
	db.query(
		`select ${COLUMNS} from poll q where q.challenge_id = $1 and q.closes_at > $2 order by q.at desc, q.id limit ${2 * MOST_OPEN}`,
		[challengeId, instant(pollsSince(clock.now()))]
	);

/** Somebody as polls see them. */
interface Asked {
	id: EnrolmentId;
	name: string;
	team: string | null;
	level: Level;
}

const isAsked = ({ id, team, level }: Omit<Asked, 'name'>, { audience }: Pick<Poll, 'audience'>): boolean =>
	isMeant({ id, team, level, reasons: [], toDo: false }, audience);

/**
 * Asks a question.
 *
 * @param audience null: none was chosen
 * @throws Refusal 400 with faults; 409 when too many are open
 */
export async function askPoll(
	{ db, clock, ids }: Context,
	challenge: OwnedChallenge,
	coach: CoachId,
	audience: Audience | null,
	raw: unknown
): Promise<void> {
	const { question, choices, closesOn, shown } = validate(pollSchema, raw);
	if (audience?.kind !== 'all' && audience?.kind !== 'team' && audience?.kind !== 'level')
		throw new Refusal(400, 'Choose whom you ask: everyone, a team or a level.');
	const now = clock.now();
	const today = dateIn(challenge.coachZone, now);
	const refuse = (message: string) => new Refusal(400, message, [{ field: 'closesOn', message }]);
	if (closesOn < today) throw refuse('choose today or a day after it');
	if (closesOn > addDays(today, POLL_LIMITS.days))
		throw refuse(`at most ${POLL_LIMITS.days} days from today`);
	await db.transaction(async (tx) => {
		// Held: two at once are counted one after the other.
		await tx.query('select 1 from challenge where id = $1 for update', [challenge.id]);
		const [{ open, all } = { open: 0, all: 0 }] = await tx.query<{ open: number; all: number }>(
			`select count(*) filter (where closes_at > $2)::int as open, count(*)::int as all from poll where challenge_id = $1`,
			[challenge.id, instant(now)]
		);
		if (open >= MOST_OPEN)
			throw new Refusal(409, `${MOST_OPEN} polls are open already. Close one before you ask the next.`);
		if (all >= MOST) throw new Refusal(409, `There are ${MOST} polls already; delete one first.`);
		await tx.query(
			`insert into poll (id, challenge_id, coach_id, question, choices, audience, shown, at, closes_at)
			 values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
			[
				ids.uuid(),
				challenge.id,
				coach,
				question,
				choices,
				JSON.stringify(audience),
				shown,
				instant(now),
				instant(instantOf(addDays(closesOn, 1), 0, challenge.coachZone))
			]
		);
	});
}

/** Ends one now; its answers stay. @throws Refusal 404 */
export async function closePoll(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	{ id }: OwnedChallenge,
	poll: string
): Promise<void> {
	const closed = await db.query(
		'update poll set closes_at = least(closes_at, $3) where challenge_id = $1 and id = $2 returning id',
		[id, idOf(poll, 'poll'), instant(clock.now())]
	);
	if (closed.length === 0) throw notFound('poll');
}

/** Deletes one with all its answers. @throws Refusal 404 */
export async function deletePoll(
	{ db }: Pick<Context, 'db'>,
	{ id }: OwnedChallenge,
	poll: string
): Promise<void> {
	const gone = await db.query('delete from poll where challenge_id = $1 and id = $2 returning id', [
		id,
		idOf(poll, 'poll')
	]);
	if (gone.length === 0) throw notFound('poll');
}

/** Polls of a challenge with what came in, the newest first. */
export async function pollsIn(db: Queries, challengeId: ChallengeId): Promise<PollResult[]> {
	const polls = await db.query<Poll & { by: string | null; given: Record<string, number> }>(
		`select ${COLUMNS}, c.name as by,
			coalesce((select jsonb_object_agg(a.enrolment_id, a.choice) from poll_answer a where a.poll_id = q.id), '{}') as given
		 from poll q left join coach c on c.id = q.coach_id where q.challenge_id = $1 order by q.at desc, q.id limit ${MOST}`,
		[challengeId]
	);
	if (polls.length === 0) return [];
	const people = await db.query<Asked & { left: boolean }>(
		`select e.id, p.name, e.team_id as team, p.level, e.left_at is not null as left
		 from enrolment e join participant p on p.id = e.participant_id where e.challenge_id = $1 order by p.name, e.id`,
		[challengeId]
	);
	return polls.map(({ given, ...poll }) => {
		const of = (some: typeof people) => some.map(({ id, name }) => ({ id, name }));
		return {
			...poll,
			answers: poll.choices.map((_, i) => of(people.filter(({ id }) => given[id] === i))),
			silent: of(people.filter((one) => !one.left && given[one.id] === undefined && isAsked(one, poll)))
		};
	});
}

/** What decides which polls ask somebody, and what they have answered. */
interface Asking {
	polls: readonly Poll[];
	votes: StandingRow['votes'];
	counts: StandingRow['counts'];
	company: { teamId: string | null };
}

/** Polls that ask somebody, the newest first: those that are open, and those that ended lately and show their numbers. */
export function ownPolls(
	{ clock }: Pick<Context, 'clock'>,
	{ enrolmentId: id, suited: { level } }: Pick<Person, 'enrolmentId' | 'suited'>,
	{ polls, votes, counts, company: { teamId: team } }: Asking
): OwnPoll[] {
	const now = clock.now();
	const asking = polls.filter(
		(poll) => poll.at <= now && poll.closesAt > pollsSince(now) && isAsked({ id, team, level }, poll)
	);
	return asking.flatMap(({ audience: _audience, shown: _shown, ...poll }): OwnPoll[] => {
		const open = poll.closesAt > now;
		const given = counts[poll.id];
		const said = given ? poll.choices.map((_, i) => given[i] ?? 0) : null;
		return open || said ? [{ ...poll, open, choice: votes[poll.id] ?? null, counts: said }] : [];
	});
}

/** Somebody answers, or answers otherwise while it is open. @throws Refusal 400, 404; 409 when it is over */
export async function answerPoll(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	person: Pick<Person, 'enrolmentId' | 'suited'>,
	raw: unknown
): Promise<void> {
	const { poll, choice } = validate(pollAnswerSchema, raw);
	const wanted = idOf(poll, 'poll');
	const [found] = await db.query<Poll & { team: string | null }>(
		`select ${COLUMNS}, e.team_id as team from poll q join enrolment e on e.challenge_id = q.challenge_id
		 where q.id = $1 and e.id = $2`,
		[wanted, person.enrolmentId]
	);
	const { enrolmentId: id, suited } = person;
	if (!found || !isAsked({ id, team: found.team, level: suited.level }, found)) throw notFound('poll');
	if (found.closesAt <= clock.now()) throw new Refusal(409, 'This poll has closed. Thank you all the same.');
	if (choice < 0 || choice >= found.choices.length) throw new Refusal(400, 'Choose one of the answers.');
	await db.query(
		`insert into poll_answer (poll_id, enrolment_id, choice, at) values ($1, $2, $3, $4)
		 on conflict (poll_id, enrolment_id) do update set choice = excluded.choice, at = excluded.at`,
		[found.id, id, choice, instant(clock.now())]
	);
}
