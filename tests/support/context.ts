import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { parseSessionText, type Session } from '$core/session';
import type { Person } from '$lib/server/auth/link';
import { createCoach, type Coach } from '$lib/server/auth/coach';
import { createChallenge } from '$lib/server/challenge/change';
import { challengeOf, type OwnedChallenge } from '$lib/server/challenge/challenge';
import type { Context } from '$lib/server/platform/context';
import type { Database } from '$lib/server/db/database';
import { migrate } from '$lib/server/db/migrate';
import { createPglite } from '$lib/server/db/pglite';
import { openPostgres } from '$lib/server/db/postgres';
import { randomIds } from '$lib/server/platform/ids';
import { enrol, enrolmentOf, type OwnPerson } from '$lib/server/people/enrolments';
import { layDays } from '$lib/server/plan/plan';
import { createSession, type Saved } from '$lib/server/session/sessions';
import { PRACTICE } from './practice';

/** A context whose clock a test sets. */
export interface TestContext extends Context {
	clock: { now(): number };
	at(instant: string): void;
}

async function freshPostgres(server: string): Promise<Database> {
	const name = `cadrex_${process.pid}_${Math.random().toString(36).slice(2, 10)}`;
	const admin = new pg.Client({ connectionString: server });
	await admin.connect();
	await admin.query(`create database ${name}`);
	await admin.end();
	const url = new URL(server);
	url.pathname = `/${name}`;
	return openPostgres(url.href);
}

/** Somebody of a coach's challenge, as the guard gives them. */
export const ownPersonOf = (
	context: Context,
	world: { challenge: OwnedChallenge },
	id: string
): Promise<OwnPerson> => enrolmentOf(context.db, world.challenge, id);

/** An empty, migrated database: PGlite in memory, or a new database of the server in TEST_DATABASE_URL. */
export async function emptyDatabase(): Promise<Database> {
	const server = process.env.TEST_DATABASE_URL;
	let db: Database;
	if (server) db = await freshPostgres(server);
	else {
		const dump = readFileSync(join(process.cwd(), '.cache', 'empty-pg.tar'));
		db = await createPglite({ loadDataDir: new Blob([dump]) });
	}
	await migrate(db);
	return db;
}

export async function testContext(): Promise<TestContext> {
	let now = Date.parse('2026-11-25T12:00:00Z');
	return {
		db: await emptyDatabase(),
		ids: randomIds,
		clock: { now: () => now },
		at: (instant) => (now = Date.parse(instant))
	};
}

export const PASSWORD = 'twelve letters or more';

export function makeCoach(context: Context, name = 'Runa'): Promise<Coach> {
	return createCoach(context, {
		email: `${name.toLowerCase()}@example.org`,
		name,
		zone: 'Europe/Oslo',
		password: PASSWORD
	});
}

export const FRAME = {
	name: 'Hut weeks',
	goal: 'Carry 20 kg up 400 m',
	startsOn: '2026-11-23',
	weeks: 2,
	trainingDays: [1, 2, 3, 4, 5],
	budgetMinutes: 30,
	ownZones: true,
	releaseZone: '',
	opensAt: '05:30',
	lateHours: 24,
	lateWorth: 50,
	partial: 'share',
	afterClose: 'store',
	lateJoiners: 'group'
};

export async function makeChallenge(
	context: Context,
	coach: Coach,
	more: Partial<typeof FRAME> = {}
): Promise<OwnedChallenge> {
	const id = await createChallenge(context, coach.id, { ...FRAME, ...more });
	return challengeOf(context.db, coach.id, id);
}

export const body = (text: string): Session => {
	const { session, faults } = parseSessionText(text, PRACTICE);
	if (faults[0]) throw new Error(faults[0].message);
	return session;
};

/** Two exercises, five sets in all. */
export const SMALL = '3 x 10 squat, rest 60\n2 x 30 s plank, rest 30';

export interface World {
	coach: Coach;
	challenge: OwnedChallenge;
	session: Saved;
	people: Person[];
	secrets: string[];
}

/** A coach with a challenge in its first week, a session on every training day, and people in three zones. */
export async function makeWorld(context: TestContext, more: Partial<typeof FRAME> = {}): Promise<World> {
	const now = new Date(context.clock.now()).toISOString();
	context.at('2026-11-20T12:00:00Z');
	const coach = await makeCoach(context);
	const challenge = await makeChallenge(context, coach, more);
	const session = await createSession(context, coach.id, { name: 'Small', body: body(SMALL) });
	await layDays(context, challenge, {
		days: [1, 2, 3, 4, 5, 8, 9, 10, 11, 12],
		kind: 'train',
		sessionId: session.id
	});
	const zones = ['Europe/Oslo', 'Pacific/Auckland', 'America/Bogota'];
	const links = await enrol(
		context,
		challenge,
		zones.map((zone, i) => ({
			name: `Person ${i + 1}`,
			email: `p${i + 1}@example.org`,
			zone,
			level: 'beginner' as const,
			kit: [{ kind: 'item' as const, item: 'mat' as const, count: 1 }],
			unread: []
		}))
	);
	context.at(now);
	return {
		coach,
		challenge,
		session,
		people: links.map((link, i) => ({
			enrolmentId: link.enrolmentId,
			challengeId: challenge.id,
			name: link.name,
			zone: zones[i] ?? ''
		})),
		secrets: links.map((link) => link.secret)
	};
}
