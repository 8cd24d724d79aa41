/** Pain and signs to stop at: on record, the coaches told, what hurts off, until somebody decides. */
import type { CheckinInput } from '$contracts/check-in';
import { decisionSchema, stopSchema, type Incident } from '$contracts/incident';
import { dateIn, dayInZone } from '$core/calendar';
import { STOP_SIGN_WORDS } from '$core/health';
import type { Session } from '$core/session';
import type { Person } from '../auth/link';
import type { OwnedChallenge } from '../challenge/challenge';
import { addOverride } from '../day/overrides';
import { instant, type Queries } from '../db/database';
import type { OwnPerson } from '../people/enrolments';
import { withTransaction, type Context } from '../platform/context';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../platform/ids';
import { noteReach } from '../reach/reaches';
import { validate } from '../web/validate';
import { projectHolds } from './records';

const COLUMNS = `i.id, i.kind, i.day, i.said, i.area, i.feels, i.exercises, i.at, i.decided_at as "decidedAt", c.name as "decidedBy", i.decision, i.note,
	i.follow_up_on as "followUpOn", i.followed_up_at as "followedUpAt"`;
/** Of one person that are read. */
const SHOWN = 30;

/** What happened to somebody up to an instant, the newest first. */
export const incidentsOf = (db: Queries, id: EnrolmentId, until: number): Promise<Incident[]> =>
	db.query(
		`select ${COLUMNS} from incident i left join coach c on c.id = i.decided_by
		 where i.enrolment_id = $1 and i.at <= $2 order by i.at desc, i.id limit ${SHOWN}`,
		[id, instant(until)]
	);

/** Pain as somebody told of it. */
interface Told {
	/** Of the challenge; null: beside it. */
	day: number | null;
	hurts: string | null;
	run?: CheckinInput['run'];
	pain?: CheckinInput['well']['pain'];
}

/** What hurts, as it is planned: the exercises in which it was told of, each once. */
function hurtIn({ run, pain }: Told, planned: Session): string[] {
	const places = [...(run?.hurts ?? []), ...(pain?.at ? [pain.at] : [])];
	const names = places.flatMap(({ block, part }) => planned.blocks[block]?.parts[part]?.exercise ?? []);
	return [...new Set(names)];
}

/** Exercises that are taken out for one report, at most. */
const MOST_OFF = 10;

/**
 * Puts pain that somebody tells of on record, and what it was in off from the next day on until a coach decides. One that is open
 * for the day already is told anew and not doubled. In the transaction in which it is told.
 * @param planned the session as it is planned; null: it was in none
 */
export async function notePain(
	tx: Queries,
	{ ids }: Pick<Context, 'ids'>,
	{ enrolmentId }: Pick<Person, 'enrolmentId'>,
	{ told, planned, now }: { told: Told; planned: Session | null; now: number }
): Promise<void> {
	const { day, hurts, run, pain } = told;
	const said = (hurts ?? run?.hurts.map(({ area, exercise }) => `${area}, in ${exercise}`).join('; '))?.slice(
		0,
		2000
	);
	if (!said) return;
	const exercises = planned === null ? [] : hurtIn(told, planned).slice(0, MOST_OFF);
	const [last] = await tx.query<{ id: string; said: string; exercises: string[]; decided: boolean }>(
		`select id, said, exercises, decided_at is not null as decided from incident
		 where enrolment_id = $1 and day = $2 and kind = 'pain' order by decided_at is not null, at desc, id limit 1`,
		[enrolmentId, day]
	);
	// Sent again with something else corrected, it is no news to whoever has decided about it.
	if (last?.decided && last.said === said) return;
	const open = last?.decided === false ? last : null;
	const off = exercises
		.filter((name) => !open?.exercises.includes(name))
		.map((name) => ({ id: ids.uuid(), name }));
	const added = off.map(({ name }) => name);
	await tx.query(
		`insert into override (id, enrolment_id, target, change, from_day, to_day, why, made_by, made_at)
		 select r.id, $2, jsonb_build_object('kind', 'exercise', 'exercise', r.name), '{"kind": "leave out"}', $3, null, $4, 'rule', $5
		 from jsonb_to_recordset($1) as r(id uuid, name text)
		 where not exists (select from override o where o.enrolment_id = $2 and o.made_by = 'rule' and o.removed_at is null
			and o.target ->> 'exercise' = r.name)`,
		// From the next day on: what was done of this one can still be corrected.
		[
			JSON.stringify(off),
			enrolmentId,
			(day ?? 0) + 1,
			'it hurt; off until your coach has decided',
			instant(now)
		]
	);
	const values = [said, pain?.area ?? null, pain?.kind ?? null];
	if (open)
		await tx.query(
			`update incident set said = $2, area = coalesce($3, area), feels = coalesce($4, feels), exercises = exercises || $5::text[]
			 where id = $1`,
			[open.id, ...values, added]
		);
	else
		await tx.query(
			`insert into incident (id, enrolment_id, kind, day, said, area, feels, exercises, at)
			 values ($1, $2, 'pain', $3, $4, $5, $6, $7, $8)`,
			[ids.uuid(), enrolmentId, day, ...values, exercises, instant(now)]
		);
}

/** Reports of one person in a day. */
const MOST_A_DAY = 20;
const DAY_MS = 86_400_000;

/**
 * Somebody had to stop at a warning sign: nothing is released to them from now on until a coach has on record that somebody
 * qualified said yes. Sent twice by its id it is kept once. @throws Refusal 400, 409 when it is too much
 */
export async function reportStop(
	{ db, clock }: Context,
	{ enrolmentId, participantId }: Person,
	raw: unknown
): Promise<void> {
	const { id, sign, note } = validate(stopSchema, raw);
	const now = clock.now();
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
			[id, enrolmentId, note ? `${STOP_SIGN_WORDS[sign]}: ${note}` : STOP_SIGN_WORDS[sign], instant(now)]
		);
		await projectHolds(tx, [participantId], now);
	});
}

/**
 * A coach decides about an incident: it is on record as what was done about the person, too.
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
	const { decision, exercise, note, followUpOn } = validate(decisionSchema, raw);
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
		if (decision === 'replace' && !exercise)
			throw new Refusal(400, 'Choose what they do instead.', [
				{ field: 'exercise', message: 'choose an exercise' }
			]);
		// Whichever report took it out: what is decided about an exercise holds for it.
		if (decision === 'give back' || decision === 'replace')
			await tx.query(
				`update override set removed_at = $3 where enrolment_id = $1 and made_by = 'rule' and removed_at is null
					and change ->> 'kind' = 'leave out' and target ->> 'exercise' = any($2::text[])`,
				[person.id, found.exercises, instant(now)]
			);
		if (decision === 'replace') {
			const day = Math.max(1, dayInZone(challenge.startsOn, person.zone, now));
			for (const name of found.exercises)
				await addOverride(withTransaction(context, tx), person, 'coach', {
					target: { kind: 'exercise', exercise: name },
					change: { kind: 'replace', exercise },
					fromDay: Math.min(day, challenge.days),
					toDay: null,
					why: note ?? 'it hurt'
				});
		}
		await tx.query(
			`update incident set decided_at = $2, decided_by = $3, decision = $4, note = $5, follow_up_on = $6 where id = $1`,
			[incidentId, instant(now), coach, decision, note, followUpOn || null]
		);
		await noteReach(
			withTransaction(context, tx),
			challenge,
			person,
			coach,
			[found.kind === 'pain' ? 'pain' : 'stopped'],
			{ way: found.kind === 'pain' ? 'adjusted' : 'asked', note }
		);
		if (found.kind === 'stop sign') await projectHolds(tx, [person.participantId], now);
	});
}

const SAY_WHO = 'Say who said yes, and when: a doctor, or a midwife.';

/** What was to be asked after has been. @throws Refusal 404 */
export async function followUp({ db, clock }: Context, person: OwnPerson, incidentId: string): Promise<void> {
	const done = await db.query(
		`update incident set followed_up_at = $3 where enrolment_id = $1 and id = $2 and follow_up_on is not null and followed_up_at is null
		 returning id`,
		[person.id, idOf(incidentId, 'incident'), instant(clock.now())]
	);
	if (done.length === 0) throw notFound('incident');
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
