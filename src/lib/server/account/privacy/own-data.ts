/** Everything that is kept of one person, for themselves: taken out, and deleted. */
import type { Person } from '../../records/person';
import { project } from '../../changes/projection';
import { ownCompany } from '../../people/teams';
import { instant, only, type Queries } from '../../platform/db/database';
import { FORM_FILES, formCheckFilesOf } from '../../contact/messages/form-checks';
import { PICTURE_FILES, picturesOf } from '../../people/body/pictures';
import { endDays } from '../../people/leave';
import { DOCUMENT_FILES, documentsOf } from '../../people/health/documents';
import { removeFilesOf } from '../../platform/row-files';
import type { Config } from '../../platform/config';
import { forgetMailTo } from '../../platform/mail';
import type { Context } from '../../platform/context';
import type { EnrolmentId, ParticipantId } from '../../platform/ids';

/** Tables that hold what somebody is or said, by the column that points to them. */
const OF_PERSON = [
	'screening',
	'clearance',
	'consent',
	'health_look',
	'person_event',
	'suited',
	'document',
	'measure',
	'performance',
	'picture',
	// What coaches note for themselves about somebody is about them all the same (GDPR, article 15).
	'private_note'
] as const;
const OF_ENROLMENT = [
	'excuse',
	'pause',
	'override',
	'presence',
	'message',
	'letter',
	'incident',
	'weekly',
	'form_check',
	'request',
	'poll_answer',
	'push_subscription'
] as const;

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
		/** Their team, and their buddies by the names that those chose. */
		company: { team: string | null; buddies: string[] };
		/** Every result with its sets, corrected ones included. */
		results: Record<string, unknown>[];
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
const SECRET = [
	'link_hash',
	'feed_hash',
	'coach_id',
	'calendar',
	'strip',
	'extras',
	'team_id',
	'buddies',
	'touched'
] as const;
const without = (row: Record<string, unknown>): Record<string, unknown> =>
	Object.fromEntries(Object.entries(row).filter(([key]) => !SECRET.some((one) => one === key)));

/** A link that is on its way is for whoever opens it. */
const withoutSecret = ({ secret: _secret, ...row }: Record<string, unknown>): Record<string, unknown> => row;

/** Stands where a reason was. */
const NOT_KEPT = 'not kept';

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
		for (const table of OF_ENROLMENT)
			own[table] = (await rowsOf(db, table, 'enrolment_id', enrolmentId)).map(withoutSecret);
		const results = await db.query<{ row: Record<string, unknown> }>(
			`select to_jsonb(r) || jsonb_build_object('sets', coalesce((select jsonb_agg(to_jsonb(s) - 'result_id'
				order by s.block, s.part, s.set) from result_set s where s.result_id = r.id), '[]')) as row
			 from result r where r.enrolment_id = $1 order by r.day, r.received_at`,
			[enrolmentId]
		);
		const [enrolment] = await rowsOf(db, 'enrolment', 'id', enrolmentId);
		challenges.push({
			...challenge,
			enrolment: without(enrolment ?? {}),
			company: await ownCompany(db, enrolmentId),
			results: results.map(({ row }) => row),
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
	{ db, clock, ids: newIds, config }: Context & { config: Pick<Config, 'dataDirectory'> },
	id: ParticipantId
): Promise<void> {
	const [{ email } = { email: '' }] = await db.query<{ email: string }>(
		'select email from participant where id = $1',
		[id]
	);
	const documents = await documentsOf(db, id);
	const pictures = await picturesOf(db, id);
	const clips = await formCheckFilesOf(db, id);
	await db.transaction(async (tx) => {
		const enrolments = await tx.query<{ id: EnrolmentId }>(
			'select id from enrolment where participant_id = $1 order by id for update',
			[id]
		);
		const ids = enrolments.map((one) => one.id);
		await endDays(tx, ids, { now: clock.now(), newId: () => newIds.uuid(), reason: NOT_KEPT });
		for (const table of OF_PERSON) await tx.query(`delete from ${table} where participant_id = $1`, [id]);
		await tx.query('delete from intake_draft where participant_id = $1', [id]);
		await tx.query('delete from health where participant_id = $1', [id]);
		await tx.query('delete from override where enrolment_id = any($1::uuid[])', [ids]);
		// What coaches did stays theirs; whom it was about does not.
		await tx.query('update deed set enrolment_id = null where enrolment_id = any($1::uuid[])', [ids]);
		await tx.query('update enrolment set team_id = null, buddies = null where id = any($1::uuid[])', [ids]);
		await tx.query(
			'delete from result_set where result_id in (select id from result where enrolment_id = any($1::uuid[]))',
			[ids]
		);
		await tx.query(
			`delete from result where enrolment_id = any($1::uuid[]) and (replaced_at is not null or kind = 'again')`,
			[ids]
		);
		await tx.query(
			`update result set effort = null, energy = null, sleep_hours = null, well = '{}', hurts = null, note = null, prescribed = null,
				run = null, beyond = '[]', sides = '[]', best = null
			 where enrolment_id = any($1::uuid[])`,
			[ids]
		);
		for (const table of [
			'fit_day',
			'participant_login',
			'way_back',
			'presence',
			'reach',
			'message',
			'letter',
			'incident',
			'weekly',
			'form_check',
			'request',
			'poll_answer'
		] as const)
			await tx.query(`delete from ${table} where enrolment_id = any($1::uuid[])`, [ids]);
		for (const table of ['excuse', 'pause'] as const)
			await tx.query(`update ${table} set reason = $2 where enrolment_id = any($1::uuid[])`, [ids, NOT_KEPT]);
		// When days were held says what the group’s figures are made of; why they were does not stay.
		await tx.query(
			`update enrolment set calendar = '{}', holds = coalesce((select jsonb_agg(h || '{"reason": "questions"}')
				from jsonb_array_elements(holds) h), '[]') where id = any($1::uuid[])`,
			[ids]
		);
		await tx.query(
			`delete from waiting w using participant p, challenge ch where p.id = $1 and w.email = p.email
				and ch.id = w.challenge_id and ch.coach_id = p.coach_id`,
			[id]
		);
		// From where and on what they came in.
		await tx.query(
			'update security_event set network = null, device = null where enrolment_id = any($1::uuid[])',
			[ids]
		);
		await tx.query(
			`update participant set name = 'Somebody', display_name = null, email = id || '@forgotten.invalid', kit = '[]', kit_unread = '{}',
				units = 'kg', minutes = null, weights = null, goals = null, trains_at = null, answered_at = null, asked_at = null,
				level = 'beginner', forgotten_at = $2 where id = $1`,
			[id, instant(clock.now())]
		);
		await project(tx, ids);
	});
	await removeFilesOf(config, DOCUMENT_FILES, documents);
	await removeFilesOf(config, PICTURE_FILES, pictures);
	await removeFilesOf(config, FORM_FILES, clips);
	if (email) await forgetMailTo(config.dataDirectory, email);
}

/** What a person’s own page says is kept of them: how many of each. */
export const keptOf = async (
	db: Queries,
	{ participantId, enrolmentId }: Pick<Person, 'participantId' | 'enrolmentId'>
) =>
	only(
		await db.query<{
			checkins: number;
			answers: number;
			looks: number;
			consentAt: number | null;
			link: { madeAt: number | null; madeBy: string | null; devices: number };
		}>(
			`select (select count(*)::int from result c join enrolment e on e.id = c.enrolment_id
					where e.participant_id = $1 and c.kind = 'planned') as checkins,
				(select count(*)::int from screening s where s.participant_id = $1) as answers,
				(select count(*)::int from health_look l where l.participant_id = $1) as looks,
				(select max(at) from consent k where k.participant_id = $1) as "consentAt",
				(select jsonb_build_object('madeAt', (extract(epoch from e.link_made_at) * 1000)::bigint, 'madeBy', co.name,
					'devices', (select count(*) from participant_login d where d.enrolment_id = e.id))
					from enrolment e left join coach co on co.id = e.link_made_by where e.id = $2) as link`,
			[participantId, enrolmentId]
		)
	);
