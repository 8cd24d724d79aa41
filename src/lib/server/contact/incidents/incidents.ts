/** Signs to stop at, and what coaches decide about them and about pain. */
import { decisionSchema, followUpSchema, stopSchema, type Incident } from '$contracts/incident';
import { dateIn, dayInZone, DAY_MS } from '$core/calendar';
import { adviseOn, readPain, STOP_SIGN_WORDS, type PainAdvice, type PainReport } from '$core/health';
import { instantOfDevice } from '$core/day';
import type { ReasonKind } from '$core/triage';
import type { Person } from '../../records/person';
import type { OwnedChallenge } from '../../records/challenge';
import { addOverride, revokeOverrides } from '../../changes/overrides';
import { instant, type Queries } from '../../platform/db/database';
import type { OwnPerson } from '../../records/enrolments';
import { withTransaction, type Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { writeTo } from '../messages/messages';
import { noteReach } from '../reach/reaches';
import { validate } from '../../platform/validate';
import { settlePain } from '../../people/health/answers';
import { projectHolds } from '../../changes/holds';

const COLUMNS = `i.id, i.kind, i.day, i.said, i.area, i.areas, i.intensity, i.feels, i.exercises, i.at, i.decided_at as "decidedAt", c.name as "decidedBy", i.decision, i.note,
	i.follow_up_on as "followUpOn", i.followed_up_at as "followedUpAt", i.over_at as "overAt"`;
/** Of one person that are read. */
const SHOWN = 30;

/** What happened to somebody up to an instant, the newest first. */
export const incidentsOf = (db: Queries, id: EnrolmentId, until: number): Promise<Incident[]> =>
	db.query(
		`select ${COLUMNS} from incident i left join coach c on c.id = i.decided_by
		 where i.enrolment_id = $1 and i.at <= $2 order by i.at desc, i.id limit ${SHOWN}`,
		[id, instant(until)]
	);

/** An incident as far as it decides what is proposed. */
function reportOf({ at, areas, intensity, feels, said }: Incident): PainReport {
	const read = readPain(said);
	return { at, areas, intensity, isSharp: feels === 'sharp' || read.isSharp, isRising: read.isRising };
}

/** What is proposed about pain; null for anything else, and for what has been decided. */
export const adviceAbout = (incident: Incident, all: readonly Incident[]): PainAdvice | null =>
	incident.kind === 'pain' && incident.decidedAt === null
		? adviseOn(
				reportOf(incident),
				all.filter(({ kind, decision }) => kind === 'pain' && decision !== 'withdrawn').map(reportOf)
			)
		: null;

/** Reports of one person in a day. */
const MOST_A_DAY = 20;
/** A report that waited longer on a device is dated to this long ago: milliseconds. */
const LONGEST_WAIT = 7 * DAY_MS;

/**
 * Somebody had to stop at a warning sign: nothing is released to them from now on until a coach has on record that somebody
 * qualified said yes. Sent twice by its id it is kept once. @throws Refusal 400, 409 when it is too much
 */
export async function reportStop(
	{ db, clock }: Context,
	{ enrolmentId, participantId }: Person,
	raw: unknown
): Promise<void> {
	const { id, sign, note, enrolment, stoppedAt, sentAt } = validate(stopSchema, raw);
	if (enrolment !== null && enrolment !== enrolmentId)
		throw new Refusal(
			403,
			'This report is another person’s. It is sent when that person is back on this device.'
		);
	const now = clock.now();
	const at = Math.max(now - LONGEST_WAIT, stoppedAt === null ? now : instantOfDevice(stoppedAt, sentAt, now));
	await db.transaction(async (tx) => {
		await tx.query('select 1 from enrolment where id = $1 for update', [enrolmentId]);
		const [known] = await tx.query<{ own: boolean }>(
			'select enrolment_id = $2 as own from incident where id = $1',
			[id, enrolmentId]
		);
		if (known?.own) return;
		if (known) throw notFound('report');
		const today = await tx.query('select id from incident where enrolment_id = $1 and at > $2', [
			enrolmentId,
			instant(now - DAY_MS)
		]);
		if (today.length >= MOST_A_DAY)
			throw new Refusal(409, 'Your coach has been told. If you need help now, call your emergency number.');
		await tx.query(
			`insert into incident (id, enrolment_id, kind, said, at) values ($1, $2, 'stop sign', $3, $4)`,
			[id, enrolmentId, note ? `${STOP_SIGN_WORDS[sign]}: ${note}` : STOP_SIGN_WORDS[sign], instant(at)]
		);
		await projectHolds(tx, [participantId], now);
	});
}

/**
 * A coach decides about an incident, and answers with the same press: it is on record as what was done about the person, too.
 * @throws Refusal 400, 404, 409 where it has been decided
 */
export async function decideIncident(
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	coach: CoachId,
	incidentId: string,
	raw: unknown
): Promise<void> {
	const { decision, exercise, note, followUpOn, reply, replyId } = validate(decisionSchema, raw);
	const now = context.clock.now();
	if (followUpOn && followUpOn <= dateIn(challenge.coachZone, now))
		throw new Refusal(400, 'Choose a day after today to ask after it.', [
			{ field: 'followUpOn', message: 'choose a day after today' }
		]);
	await context.db.transaction(async (tx) => {
		const [found] = await tx.query<{
			kind: Incident['kind'];
			decidedAt: number | null;
			exercises: string[];
		}>(
			`select kind, decided_at as "decidedAt", exercises from incident
			 where enrolment_id = $1 and id = $2 for update`,
			[person.id, idOf(incidentId, 'incident')]
		);
		if (!found) throw notFound('incident');
		if (found.decidedAt !== null) throw new Refusal(409, 'This has been decided already.');
		if ((found.kind === 'stop sign') !== (decision === 'cleared'))
			throw new Refusal(400, found.kind === 'stop sign' ? SAY_WHO : 'Say what happens with the exercise.');
		if (decision === 'cleared' && !note)
			throw new Refusal(400, SAY_WHO, [{ field: 'note', message: SAY_WHO }]);
		if ((decision === 'spare' || decision === 'hold') && !followUpOn)
			throw new Refusal(400, 'Choose the day on which you ask again.', [
				{ field: 'followUpOn', message: 'choose a day after today' }
			]);
		if (decision === 'replace' && !exercise)
			throw new Refusal(400, 'Choose what they do instead.', [
				{ field: 'exercise', message: 'choose an exercise' }
			]);
		// The decision about an exercise applies to every report that took it out.
		if (decision === 'give back' || decision === 'replace')
			await revokeOverrides(tx, person.id, { kind: 'incident', exercises: found.exercises }, now);
		if (decision === 'replace' || decision === 'keep off') {
			const day = Math.max(1, dayInZone(challenge.startsOn, person.zone, now));
			const off = await tx.query<{ name: string }>(
				`select exercise as name from override where enrolment_id = $1 and removed_at is null
					and exercise is not null and change ->> 'kind' = 'leave out'`,
				[person.id]
			);
			const isOff = (name: string) => decision === 'keep off' && off.some((one) => one.name === name);
			for (const name of found.exercises.filter((one) => !isOff(one)))
				await addOverride(
					withTransaction(context, tx),
					person,
					{ kind: 'coach', id: coach },
					{
						target: { kind: 'exercise', exercise: name },
						change: decision === 'replace' ? { kind: 'replace', exercise } : { kind: 'leave out' },
						fromDay: Math.min(day, challenge.days),
						toDay: null,
						why: note ?? 'it hurt'
					}
				);
		}
		await tx.query(
			`update incident set decided_at = $2, decided_by = $3, decision = $4, note = $5, follow_up_on = $6 where id = $1`,
			[incidentId, instant(now), coach, decision, note, followUpOn || null]
		);
		const inside = withTransaction(context, tx);
		const about: ReasonKind = found.kind === 'pain' ? 'pain' : 'stopped';
		await noteReach(inside, challenge, person, coach, [about], {
			way: found.kind === 'pain' ? 'adjusted' : 'asked',
			note
		});
		if (reply)
			await writeTo(inside, challenge, person, coach, { id: replyId ?? context.ids.uuid(), text: reply }, [
				about
			]);
		await settlePain(tx, person.participantId, now);
	});
}

const SAY_WHO = 'Say who said yes, and when: a doctor, or a midwife.';

/**
 * What was to be asked after has been; sparing or a hold ends where it is over. @throws Refusal 400, 404
 */
export async function followUp(
	{ db, clock }: Context,
	person: OwnPerson,
	incidentId: string,
	raw: unknown
): Promise<void> {
	const { outcome } = validate(followUpSchema, raw);
	const now = clock.now();
	await db.transaction(async (tx) => {
		const done = await tx.query(
			`update incident set followed_up_at = $3, over_at = case when $4 then coalesce(over_at, $3) else over_at end
			 where enrolment_id = $1 and id = $2 and follow_up_on is not null and followed_up_at is null returning id`,
			[person.id, idOf(incidentId, 'incident'), instant(now), outcome === 'over']
		);
		if (done.length === 0) throw notFound('incident');
		await settlePain(tx, person.participantId, now);
	});
}

/** Ends sparing or a hold that goes on. @throws Refusal 404 */
export async function endSparing(
	{ db, clock }: Context,
	person: OwnPerson,
	incidentId: string
): Promise<void> {
	const now = clock.now();
	await db.transaction(async (tx) => {
		const done = await tx.query(
			`update incident set over_at = $3, followed_up_at = coalesce(followed_up_at, $3)
			 where enrolment_id = $1 and id = $2 and decision in ('spare', 'hold') and over_at is null returning id`,
			[person.id, idOf(incidentId, 'incident'), instant(now)]
		);
		if (done.length === 0) throw notFound('incident');
		await settlePain(tx, person.participantId, now);
	});
}

/** Of one run of the job; what is left comes with the next. */
const TOLD_AT_ONCE = 100;

/** Incidents of which no coach has been told by mail, with who is to be: the owner and those who help. */
export const untoldIncidents = (
	db: Queries
): Promise<
	{ id: string; at: number; name: string; email: string; challenge: string; challengeId: ChallengeId }[]
> =>
	db.query(
		`select i.id, i.at, co.name, co.email, ch.name as challenge, ch.id as "challengeId"
		 from (select * from incident where told_at is null order by at, id limit ${TOLD_AT_ONCE}) i
		 join enrolment e on e.id = i.enrolment_id join challenge ch on ch.id = e.challenge_id
		 join coach co on co.id = ch.coach_id or exists
			(select from helper h where h.challenge_id = ch.id and h.coach_id = co.id and h.role = 'coach')
		 order by i.at, i.id, co.id`
	);

export const markTold = async (db: Queries, ids: readonly string[], now: number): Promise<void> => {
	await db.query('update incident set told_at = $2 where id = any($1::uuid[]) and told_at is null', [
		ids,
		instant(now)
	]);
};
