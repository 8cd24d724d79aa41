import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { adherence } from '$core/attendance';
import { weekdayOf } from '$core/calendar';
import { forgetAfter, liveUntil, trainAt } from '$demo/live';
import { writeDemo } from '$demo/seed';
import { presentIn } from '$lib/server/done/live/presence';
import { challengesOf, type Challenge } from '$lib/server/records/challenge';
import type { Database } from '$lib/server/platform/db/database';
import { rebuild } from '$lib/server/changes/projection';
import { forget } from '$lib/server/account/privacy/own-data';
import { randomIds, type CoachId, type ParticipantId } from '$lib/server/platform/ids';
import { planOf } from '$lib/server/records/plan-days';
import { loadRoll, type Roll } from '$lib/server/done/attendance/roll';
import { openThreads } from '$lib/server/edge/threads/open';
import { ownFolder } from '../support/directories';
import { storeIn } from '../support/kept-files';
import { newDatabase } from '../support/database';
import { KEPT } from '../support/kept-columns';

const NOW = Date.parse('2026-05-13T05:40:00Z');
const HOUR = 3_600_000;
let one: Database;
let other: Database;

beforeAll(async () => {
	[one, other] = [await newDatabase(), await newDatabase()];
	const config = storeIn(ownFolder('demo'));
	for (const db of [one, other])
		await writeDemo({ db, clock: { now: () => NOW }, config, threads: openThreads(null) });
}, 120_000);
afterAll(() => Promise.all([one.close(), other.close()]));

async function challenges(db: Database): Promise<(Challenge & { people: number })[]> {
	const [coach] = await db.query<{ id: CoachId }>("select id from coach where name like 'Runa %'");
	return coach ? challengesOf(db, coach.id, 'viewer') : [];
}
async function rollAt(db: Database, now: number): Promise<Roll> {
	const running = (await challenges(db)).find((challenge) => challenge.weeks === 6)!;
	return loadRoll(db, running, await planOf(db, running), now);
}
const everything = (db: Database) =>
	db.query(
		'select id, enrolment_id, day, credit, standing, effort, hurts, note, received_at from result order by id'
	);

describe('the demo world', () => {
	it('is the same for the same day', async () => {
		expect(await everything(one)).toEqual(await everything(other));
		expect((await everything(one)).length).toBeGreaterThan(500);
	});

	it('has a challenge in its fourth week, a finished one and one being planned', async () => {
		const all = await challenges(one);
		expect(all.map(({ weeks, startsOn }) => [weeks, startsOn])).toEqual([
			[8, '2026-06-15'],
			[6, '2026-04-20'],
			[4, '2026-03-09']
		]);
		expect(all.map((challenge) => weekdayOf(challenge.startsOn))).toEqual([1, 1, 1]);
		expect(all[1]?.people).toBe(26);
	});

	it('has nothing that was said to anybody, or done about them, before their check-ins could be, or later than now', async () => {
		for (const table of ['reach', 'message', 'incident', 'request', 'excuse'] as const)
			expect(
				await one.query(
					`select t.at, p.name from ${table} t join enrolment e on e.id = t.enrolment_id
					 join participant p on p.id = e.participant_id join challenge ch on ch.id = e.challenge_id
					 where t.at < ch.starts_on - 14 or t.at < e.created_at or t.at > $1`,
					[new Date(NOW).toISOString()]
				),
				table
			).toEqual([]);
		expect(
			await one.query(
				`select m.id from message m join result c on c.id = m.about where m.at < c.received_at or m.at > c.received_at + interval '2 days'`
			)
		).toEqual([]);
	});

	it('has all kinds of trouble', async () => {
		const { rows } = await rollAt(one, NOW);
		const row = (name: string) => rows.find(({ person }) => person.name.startsWith(name))!;
		// Joined on day 9, with three days to catch up.
		expect(row('Ingrith').person).toMatchObject({ fromDay: 6, catchUp: { before: 9 } });
		expect(row('Mirela').silent).toBeGreaterThanOrEqual(4);
		expect(row('Yelena').trend).toBeLessThanOrEqual(-25);
		expect(row('Beatrix').trend).toBeLessThanOrEqual(-25);
		expect(row('Noor').days.filter((day) => day.pain)).toHaveLength(2);
		expect(
			row('Lupe')
				.days.slice(8, 13)
				.map((day) => day.state)
		).toEqual(['excused', 'excused', 'rest', 'excused', 'excused']);
		expect(row('Lupe').days[19]?.state).toBe('done');
		expect(row('Anahí').days[15]?.state).toBe('excused');
		expect(new Set(rows.map(({ person }) => person.zone)).size).toBeGreaterThan(20);
		const levels = new Set(rows.map(({ person }) => person.level));
		expect(levels.size).toBe(3);
	});

	it('nobody has checked in for a day before it was open for them, or in the future', async () => {
		const [{ n } = { n: -1 }] = await one.query<{ n: number }>(
			'select count(*)::int as n from result where received_at > $1',
			[new Date(NOW).toISOString()]
		);
		expect(n).toBe(0);
	});

	it('lives on with the clock, and goes back without a trace', async () => {
		const before = await everything(one);
		const context = { db: one, ids: randomIds, clock: { now: () => NOW + 24 * HOUR } };
		expect(await liveUntil(context, NOW, NOW + 24 * HOUR)).toBeGreaterThan(8);
		const today = adherence((await rollAt(one, NOW + 24 * HOUR)).rows.map((row) => row.days[23]!));
		expect(today.credit).toBeGreaterThan(12);
		// Living through the same hours again changes nothing.
		expect(await liveUntil(context, NOW, NOW + 24 * HOUR)).toBe(0);
		await forgetAfter(context, NOW);
		expect(await everything(one)).toEqual(before);
		const [first] = (await rollAt(one, NOW)).rows;
		await rebuild({ db: one });
		expect((await rollAt(one, NOW)).rows[0]?.person.strip).toEqual(first?.person.strip);
	});
});

describe('whoever trains at this moment', () => {
	it('is in the session until they check in, and nowhere before', async () => {
		const [challenge] = (await challenges(one)).filter(({ weeks }) => weeks === 6);
		const at = (now: number) => ({ db: one, ids: randomIds, clock: { now: () => now } });
		const seen = new Map<string, string[]>();
		for (let minute = 0; minute <= 120; minute += 20) {
			const now = NOW + minute * 60_000;
			await liveUntil(at(now), now - 20 * 60_000, now);
			await trainAt(at(now), now);
			for (const { name, phase, share, what } of await presentIn(one, challenge!.id, now)) {
				expect(share).toBeGreaterThanOrEqual(0);
				expect(what === null).toBe(phase === 'over');
				const before = seen.get(name) ?? [];
				if (before.at(-1) !== phase) seen.set(name, [...before, phase]);
			}
		}
		const ways = [...seen.values()].map((phases) => phases.join(', '));
		expect(ways.filter((way) => way === 'going, over').length).toBeGreaterThan(0);
		await forgetAfter(at(NOW), NOW);
		const left = await presentIn(one, challenge!.id, NOW + HOUR);
		expect(left.every(({ at }) => at <= NOW)).toBe(true);
	});
});

/** Foreign keys of the schema: a row of `name` refers to a row of `of`. */
const KEYS = `select r.relname::text as name, a.attname::text as key, t.relname::text as of, f.attname::text as column
	from pg_constraint k join pg_class t on t.oid = k.confrelid join pg_class r on r.oid = k.conrelid
	join pg_attribute a on a.attrelid = r.oid and a.attnum = k.conkey[1]
	join pg_attribute f on f.attrelid = t.oid and f.attnum = k.confkey[1]
	where k.contype = 'f' and k.conrelid <> k.confrelid and k.connamespace = 'public'::regnamespace order by 1, 2`;

/** Conditions for the rows of each table that belong to a participant ($1), by a chain of keys. */
async function pathsToParticipant(db: Database): Promise<Map<string, string>> {
	const keys = await db.query<{ name: string; key: string; of: string; column: string }>(KEYS);
	const paths = new Map([['participant', 'id = $1']]);
	for (let grown = 0; grown < paths.size;) {
		grown = paths.size;
		for (const { name, key, of, column } of keys)
			if (paths.has(of) && !paths.has(name))
				paths.set(name, `"${key}" in (select "${column}" from "${of}" where ${paths.get(of)})`);
	}
	return paths;
}

/** Rows of one person in the tables that the demo leaves empty. */
const WHAT_THE_DEMO_LACKS = `create temporary table chosen as
		select e.id as enrolment, e.participant_id as participant, gen_random_uuid() as id
		from enrolment e where e.left_at is null limit 1;
	insert into security_event (at, kind, enrolment_id, network, device) select now(), 'link', enrolment, '192.0.2.0', 'Phone' from chosen;
	insert into document (id, participant_id, name, kind, bytes, at) select id, participant, 'letter', 'pdf', 9, now() from chosen;
	insert into fit_day (enrolment_id, day, mark, seconds, unfit, nothing)
		select enrolment, 1, 'm', 60, '[{"exercise": "Squat"}]', false from chosen on conflict do nothing;
	insert into health_look (id, participant_id, who, at) select id, participant, 'Runa', now() from chosen;
	insert into intake_draft (participant_id, sections, changed_at) select participant, '{"body": {}}', now() from chosen;
	insert into participant_login (token_hash, enrolment_id, created_at, expires_at) select 'h', enrolment, now(), now() from chosen;
	insert into presence (enrolment_id, day, phase, share, at) select enrolment, 1, 'going', 0.5, now() from chosen
		on conflict do nothing;
	insert into push_subscription (id, login_hash, enrolment_id, endpoint, p256dh, auth, sessions, messages, created_at, look_at)
		select id, 'h', enrolment, 'https://push.example', 'k', 'a', true, true, now(), now() from chosen;
	insert into reminder (id, subscription_id, kind, about, next_at, until) select id, id, 'session', '1', now(), now() from chosen;
	insert into way_back (token_hash, enrolment_id, expires_at) select 'w', enrolment, now() from chosen;
	drop table chosen`;
const SAYS_NOTHING = [null, '', 'not kept', 'Somebody', 'beginner', 'kg'];
const saysNothing = (value: unknown): boolean =>
	SAYS_NOTHING.includes(value as string) ||
	(typeof value === 'object' && Object.keys(value ?? {}).length === 0) ||
	/@forgotten\.invalid$/.test(String(value));

it('deletion of a person’s data leaves of every column what is listed, and no column is unlisted', async () => {
	const paths = await pathsToParticipant(other);
	expect([...paths.keys()].sort()).toEqual(Object.keys(KEPT).sort());
	const rowsOf = async (id: string) =>
		new Map(
			await Promise.all(
				[...paths].map(async ([name, path]) => {
					const rows = await other.query<{ row: Record<string, unknown> }>(
						`select to_jsonb(t) as row from "${name}" t where ${path}`,
						[id]
					);
					return [name, rows.map(({ row }) => row)] as const;
				})
			)
		);
	const columns = await other.query<{ name: string; list: string[] }>(
		`select table_name as name, array_agg(column_name::text order by column_name) as list from information_schema.columns
		 where table_schema = 'public' group by table_name`
	);
	for (const { name, list } of columns) {
		const kept = KEPT[name];
		if (kept && kept !== 'nothing') expect(list, name).toEqual(Object.keys(kept).sort());
	}

	const people = await other.query<{ id: ParticipantId }>('select id from participant');
	await other.script(WHAT_THE_DEMO_LACKS);
	const filled = new Set<string>();
	for (const { id } of people) {
		for (const [name, rows] of await rowsOf(id)) if (rows.length > 0) filled.add(name);
		await forget(
			{ db: other, clock: { now: () => NOW }, ids: randomIds, config: { dataDirectory: '/nowhere' } },
			id
		);
		for (const [name, rows] of await rowsOf(id)) {
			const kept = KEPT[name]!;
			if (kept === 'nothing') expect(rows, name).toEqual([]);
			else
				for (const row of rows)
					for (const [column, what] of Object.entries(kept))
						if (what === 'erased')
							expect(saysNothing(row[column]), `${name}.${column}: ${JSON.stringify(row[column])}`).toBe(
								true
							);
		}
	}
	expect(Object.keys(KEPT).filter((name) => !filled.has(name))).toEqual([]);
});
