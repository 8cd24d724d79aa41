/** Everything that is kept of one person, for themselves: taken out, and deleted. */
import { dayInZone } from '$core/calendar';
import type { Person } from '../auth/link';
import { project } from '../attendance/projection';
import { instant, only, type Queries } from '../db/database';
import { documentsOf, removeFiles } from '../health/documents';
import type { Config } from '../platform/config';
import type { Context } from '../platform/context';
import type { EnrolmentId, ParticipantId } from '../platform/ids';

/** Tables that hold what somebody is or said, by the column that points to them. */
const OF_PERSON = [
	'screening',
	'clearance',
	'consent',
	'health_look',
	'person_event',
	'suited',
	'document'
] as const;
/** What the coach keeps for herself about somebody: deleted with the rest. */
const OF_COACH = ['private_note'] as const;
const OF_ENROLMENT = ['excuse', 'pause', 'override', 'shelf_log'] as const;

export interface OwnData {
	format: 'cadrex own data';
	/** When it was taken out, ISO 8601 in UTC. */
	takenAt: string;
	person: Record<string, unknown>;
	health: Record<string, unknown> | null;
	/** What was answered and not sent yet. */
	draft: unknown;
	records: Record<(typeof OF_PERSON)[number], Record<string, unknown>[]>;
	challenges: {
		name: string;
		startsOn: string;
		days: number;
		enrolment: Record<string, unknown>;
		checkins: Record<string, unknown>[];
		records: Record<(typeof OF_ENROLMENT)[number], Record<string, unknown>[]>;
	}[];
}

const rowsOf = async (
	db: Queries,
	table: string,
	column: string,
	id: string
): Promise<Record<string, unknown>[]> =>
	(
		await db.query<{ row: Record<string, unknown> }>(
			`select to_jsonb(t) as row from ${table} t where t.${column} = $1 order by to_jsonb(t)::text`,
			[id]
		)
	).map(({ row }) => row);

/** What nobody but the server has a use for. */
const SECRET = ['link_hash', 'feed_hash', 'coach_id', 'calendar', 'strip', 'extras'] as const;
const without = (row: Record<string, unknown>): Record<string, unknown> =>
	Object.fromEntries(Object.entries(row).filter(([key]) => !SECRET.some((one) => one === key)));

/** Everything that is kept of somebody, in all their challenges. */
export async function ownDataOf({ db, clock }: Context, id: ParticipantId): Promise<OwnData> {
	const [person] = await rowsOf(db, 'participant', 'id', id);
	const [health] = await rowsOf(db, 'health', 'participant_id', id);
	const [draft] = await rowsOf(db, 'intake_draft', 'participant_id', id);
	const records = {} as OwnData['records'];
	for (const table of OF_PERSON) records[table] = await rowsOf(db, table, 'participant_id', id);
	const enrolments = await db.query<{ id: EnrolmentId; name: string; startsOn: string; days: number }>(
		`select e.id, ch.name, ch.starts_on as "startsOn", ch.days from enrolment e join challenge ch on ch.id = e.challenge_id
		 where e.participant_id = $1 order by ch.starts_on`,
		[id]
	);
	const challenges: OwnData['challenges'] = [];
	for (const { id: enrolmentId, ...challenge } of enrolments) {
		const own = {} as OwnData['challenges'][number]['records'];
		for (const table of OF_ENROLMENT) own[table] = await rowsOf(db, table, 'enrolment_id', enrolmentId);
		const checkins = await db.query<{ row: Record<string, unknown> }>(
			`select to_jsonb(c) || jsonb_build_object('sets', coalesce((select jsonb_agg(to_jsonb(s) - 'checkin_id'
				order by s.block, s.part, s.set) from set_log s where s.checkin_id = c.id), '[]')) as row
			 from checkin c where c.enrolment_id = $1 order by c.day, c.received_at`,
			[enrolmentId]
		);
		const [enrolment] = await rowsOf(db, 'enrolment', 'id', enrolmentId);
		challenges.push({
			...challenge,
			enrolment: without(enrolment ?? {}),
			checkins: checkins.map(({ row }) => row),
			records: own
		});
	}
	return {
		format: 'cadrex own data',
		takenAt: new Date(clock.now()).toISOString(),
		person: without(person ?? {}),
		health: health ?? null,
		draft: draft?.sections ?? null,
		records,
		challenges
	};
}

/**
 * Deletes what is kept of somebody. Of their days stays what the group’s figures are made of, without a name: which were
 * done, and how much of them. Their links and devices end. There is no way back.
 */
export async function forget(
	{ db, clock, config }: Pick<Context, 'db' | 'clock'> & { config: Pick<Config, 'dataDirectory'> },
	id: ParticipantId
): Promise<void> {
	const documents = await documentsOf(db, id);
	await db.transaction(async (tx) => {
		const enrolments = await tx.query<{ id: EnrolmentId }>(
			'select id from enrolment where participant_id = $1 order by id for update',
			[id]
		);
		const ids = enrolments.map((one) => one.id);
		await tx.query('delete from participant_login where enrolment_id = any($1::uuid[])', [ids]);
		for (const table of [...OF_PERSON, ...OF_COACH])
			await tx.query(`delete from ${table} where participant_id = $1`, [id]);
		await tx.query('delete from intake_draft where participant_id = $1', [id]);
		await tx.query('delete from health where participant_id = $1', [id]);
		await tx.query('delete from override where enrolment_id = any($1::uuid[])', [ids]);
		await tx.query(
			'delete from set_log where checkin_id in (select id from checkin where enrolment_id = any($1::uuid[]))',
			[ids]
		);
		await tx.query(`delete from checkin where enrolment_id = any($1::uuid[]) and replaced_at is not null`, [
			ids
		]);
		await tx.query(
			`update checkin set effort = null, energy = null, sleep_hours = null, hurts = null, note = null, prescribed = null
			 where enrolment_id = any($1::uuid[])`,
			[ids]
		);
		await tx.query(
			`update shelf_log set effort = null, hurts = null, note = null where enrolment_id = any($1::uuid[])`,
			[ids]
		);
		for (const table of ['excuse', 'pause'] as const)
			await tx.query(`update ${table} set reason = 'not kept' where enrolment_id = any($1::uuid[])`, [ids]);
		await endDays(tx, ids, clock.now());
		await tx.query(
			`update enrolment set link_hash = null, link_made_at = null, feed_hash = null, calendar = '{}', holds = '[]',
				left_at = coalesce(left_at, $2) where id = any($1::uuid[])`,
			[ids, instant(clock.now())]
		);
		await tx.query(
			`update participant set name = 'Somebody', display_name = null, email = id || '@forgotten.invalid', kit = '[]', kit_unread = '{}',
				units = 'kg', minutes = null, weights = null, goals = null, trains_at = null, answered_at = null, asked_at = null,
				level = 'beginner', forgotten_at = $2 where id = $1`,
			[id, instant(clock.now())]
		);
		await tx.query('delete from waiting where email = (select email from participant where id = $1)', [id]);
		await project(tx, ids);
	});
	await removeFiles({ config }, documents);
}

/** From today on nothing more is asked of them, so that nobody counts as missing days. */
async function endDays(tx: Queries, ids: readonly EnrolmentId[], now: number): Promise<void> {
	const open = await tx.query<{ id: EnrolmentId; startsOn: string; zone: string; shiftDays: number }>(
		`select e.id, ch.starts_on as "startsOn", coalesce(ch.release_zone, p.zone) as zone, e.shift_days as "shiftDays"
		 from enrolment e join challenge ch on ch.id = e.challenge_id join participant p on p.id = e.participant_id
		 where e.id = any($1::uuid[]) and e.left_at is null`,
		[ids]
	);
	for (const { id, startsOn, zone, shiftDays } of open)
		await tx.query(
			`insert into pause (id, enrolment_id, from_day, to_day, reason, at, leaves)
			 values (gen_random_uuid(), $1, $2, null, 'not kept', $3, true)`,
			[id, Math.max(1, dayInZone(startsOn, zone, now) - shiftDays), instant(now)]
		);
}

/** What a person’s own page says is kept of them: how many of each. */
export const keptOf = async (db: Queries, { participantId }: Pick<Person, 'participantId'>) =>
	only(
		await db.query<{ checkins: number; answers: number; looks: number; consentAt: number | null }>(
			`select (select count(*)::int from checkin c join enrolment e on e.id = c.enrolment_id
					where e.participant_id = $1) as checkins,
				(select count(*)::int from screening s where s.participant_id = $1) as answers,
				(select count(*)::int from health_look l where l.participant_id = $1) as looks,
				(select max(at) from consent k where k.participant_id = $1) as "consentAt"`,
			[participantId]
		)
	);
