import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { addDocument, documentsOf } from '$lib/server/people/health/documents';
import { filesIn } from '$lib/server/platform/files';
import { openLink, personOf } from '$lib/server/account/auth/link';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { loadRoll } from '$lib/server/done/attendance/roll';
import { lookAtAnswers } from '$lib/server/people/health/looks';
import { answersOf } from '$lib/server/records/health';
import { enrolmentById } from '$lib/server/records/enrolments';
import { finishIntake } from '$lib/server/people/intake';
import { planOf } from '$lib/server/records/plan-days';
import { deleteHealth, healthUntilOf, setHealthUntil } from '$lib/server/people/privacy/health-until';
import { forget, keptOf, ownDataOf } from '$lib/server/account/privacy/own-data';
import { randomIds } from '$lib/server/platform/ids';
import { deedsOf, recordDeed } from '$lib/server/training/challenge/deeds';
import { request } from '$lib/server/contact/messages/requests';
import { noteReach } from '$lib/server/contact/reach/reaches';
import { saveTeams, teamsOf } from '$lib/server/people/teams';
import { ownPersonOf, sharedWorld } from '../support/context';
import { storeIn } from '../support/kept-files';
import { ANSWERS } from '../support/intake';
import { refusal } from '../support/refusal';
import { sent } from '../support/sent';

const { context, world } = await sharedWorld('2026-11-23T12:00:00Z');
const [oslo, , bogota] = world.people;
const config = storeIn(mkdtempSync(join(tmpdir(), 'cadrex-own-data-')));
afterAll(() => rmSync(config.dataDirectory, { recursive: true }));
const SAID = ['left elbow', 'knee gave way', 'slept badly', 'A pull-up', 'rope, please'];

async function live(): Promise<void> {
	await finishIntake(
		context,
		oslo!.participantId,
		'participant',
		{ ...ANSWERS, body: { ...ANSWERS.body, hurtsElsewhere: 'left elbow' } },
		randomIds.uuid()
	);
	await lookAtAnswers(context, await ownPersonOf(context, world, oslo!.enrolmentId), 'Runa');
	await checkIn(context, oslo!, {
		id: randomIds.uuid(),
		day: 1,
		done: 'part',
		hurts: 'knee gave way',
		note: 'slept badly',
		sets: [{ block: 0, part: 0, set: 1, amount: 10, kg: null }]
	});
	await request(context, oslo!, { id: randomIds.uuid(), wants: 'other', said: 'rope, please' });
}

it('somebody takes out all that is kept of them, and of nobody else', async () => {
	await live();
	const data = await ownDataOf(context, oslo!.participantId);
	const text = JSON.stringify(data);
	for (const said of SAID) expect(text).toContain(said);
	expect(data.challenges).toMatchObject([
		{ name: 'Hut weeks', results: [{ kind: 'planned', day: 1, sets: [{ block: 0, set: 1, amount: 10 }] }] }
	]);
	expect(data.records.health_look).toMatchObject([{ who: 'Runa' }]);
	expect(data.records.consent).toMatchObject([{ version: 1, given_by: 'participant' }]);
	expect(text).not.toMatch(/link_hash|feed_hash|Person 2|p2@example/);
	expect(await keptOf(context.db, oslo!)).toMatchObject({ checkins: 1, answers: 1, looks: 1 });
});

it('once deleted nothing of it is left anywhere; what was done counts on without a name', async () => {
	const plan = await planOf(context.db, world.challenge);
	const now = Date.parse('2026-11-24T12:00:00Z');
	context.at('2026-11-24T12:00:00Z');
	const before = await loadRoll(context.db, world.challenge, plan, now);
	const token = await openLink(context, world.secrets[0] ?? '');
	await context.db.query(
		`insert into waiting (id, challenge_id, name, email, zone, at) values (gen_random_uuid(), $1, 'Person 1', 'p1@example.org', 'UTC', now())`,
		[world.challenge.id]
	);
	const person = await ownPersonOf(context, world, oslo!.enrolmentId);
	await sent(Buffer.from('%PDF-1.7 letter'), (paper) => addDocument({ ...context, config }, person, paper));
	const [document] = await documentsOf(context.db, oslo!.participantId);
	const file = `${document?.id}.pdf`;
	expect(await filesIn(join(config.dataDirectory, 'documents')).read(file)).not.toBeNull();
	const pair = [oslo!.enrolmentId, world.people[1]!.enrolmentId];
	await saveTeams(context, world.challenge, {
		revision: 0,
		teams: [{ name: 'Ridge', people: pair }],
		buddies: [pair],
		wishes: []
	});
	await recordDeed(context, {
		work: '/people/[person]?clear',
		challengeId: world.challenge.id,
		coachId: world.coach.id,
		enrolmentId: oslo!.enrolmentId,
		session: null
	});
	await noteReach(context, world.challenge, person, world.coach.id, ['pain'], {
		way: 'called',
		note: 'Person 1 says the knee gave way'
	});
	expect((await ownDataOf(context, oslo!.participantId)).challenges[0]?.company).toEqual({
		team: 'Ridge',
		buddies: [world.people[1]!.name.split(' ')[0]]
	});
	// What is worked out of sets says what somebody can.
	await context.db.query(
		`update result set best = '{"exercise": "Pia’s best"}', sides = '[{"exercise": "Pia’s sides"}]'`
	);
	await forget({ ...context, config }, oslo!.participantId);
	expect((await teamsOf(context.db, world.challenge.id)).teams[0]?.people).toEqual([pair[1]]);
	// What a coach did stays hers; about whom it was does not.
	const { db } = context;
	expect(await deedsOf(db, world.challenge.id, { coachId: null, before: null })).toMatchObject([
		{ what: 'Recorded a clearance', person: null }
	]);
	expect(await filesIn(join(config.dataDirectory, 'documents')).read(file)).toBeNull();
	const tables = await context.db.query<{ name: string }>(
		"select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'"
	);
	for (const { name } of tables)
		for (const said of [...SAID, 'Person 1', 'p1@example.org', 'Pia']) {
			const [found] = await context.db.query<{ n: number }>(
				`select count(*)::int as n from "${name}" t where t::text like '%' || $1 || '%'`,
				[said]
			);
			expect(found?.n, `${said} in ${name}`).toBe(0);
		}
	// A page that is open elsewhere belongs to nobody now.
	expect(await personOf(context, token ?? '')).toBeNull();
	const after = await loadRoll(context.db, world.challenge, plan, now);
	expect(after.totals[0]).toEqual(before.totals[0]);
	const row = after.rows.find(({ person }) => person.id === oslo!.enrolmentId);
	expect(row?.person).toMatchObject({ name: 'Somebody', limits: [], answeredAt: null });
	expect(row?.days[0]).toMatchObject({ state: 'partial', pain: false });
	// Nobody is asked for anything any more.
	expect(row?.days.slice(1, 5).map(({ state }) => state)).toEqual([
		'excused',
		'excused',
		'excused',
		'excused'
	]);
});

it('health answers go on the day that the coach set, and not before', async () => {
	await finishIntake(
		context,
		bogota!.participantId,
		'participant',
		{ ...ANSWERS, health: { ...ANSWERS.health, chest: true } },
		randomIds.uuid()
	);
	expect(await deleteHealth(context)).toBe(0);
	await setHealthUntil(context, world.challenge, { until: '2027-01-10' });
	expect(await healthUntilOf(context.db, world.challenge.id)).toBe('2027-01-10');
	context.at('2027-01-09T12:00:00Z');
	expect(await deleteHealth(context)).toBe(0);
	expect(await answersOf(context.db, bogota!.participantId)).not.toBeNull();
	const held = async () => (await enrolmentById(context.db, bogota!.enrolmentId)).holds;
	const before = await held();
	expect(before).toMatchObject([{ reason: 'clearance', until: null }]);
	context.at('2027-01-10T12:00:00Z');
	expect(await deleteHealth(context)).toBe(1);
	// Days that were held stay held: nobody has missed them afterwards.
	expect(await held()).toEqual([{ ...before[0], until: context.clock.now() }]);
	expect(await answersOf(context.db, bogota!.participantId)).toBeNull();
	expect(await deleteHealth(context)).toBe(0);
	expect((await refusal(setHealthUntil(context, world.challenge, { until: 'soon' }))).faults[0]?.field).toBe(
		'until'
	);
	await setHealthUntil(context, world.challenge, { until: '' });
	expect(await healthUntilOf(context.db, world.challenge.id)).toBeNull();
});
