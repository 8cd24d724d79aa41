import { afterAll } from 'vitest';
import type { Origin } from '$core/day';
import { parseSessionText, type Session } from '$core/session';
import type { Person } from '$lib/server/records/person';
import { createCoach } from '$lib/server/account/auth/coach';
import { type Coach } from '$lib/server/records/coach';
import { createChallenge } from '$lib/server/training/challenge/change';
import { challengeOf, type OwnedChallenge } from '$lib/server/records/challenge';
import type { Context } from '$lib/server/platform/context';
import { randomIds } from '$lib/server/platform/ids';
import { asPerson, enrolmentOf, enrolmentsOf, type OwnPerson } from '$lib/server/records/enrolments';
import { enrol } from '$lib/server/people/enrol';
import { layDays } from '$lib/server/training/plan/plan';
import { createSession, type Saved } from '$lib/server/training/session/sessions';
import { openThreads } from '$lib/server/edge/threads/open';
import type { Threads } from '$lib/server/platform/threads';
import type { Database } from '$lib/server/platform/db/database';
import { lentDatabase } from './database';
import { PRACTICE } from './practice';

/** A context whose clock a test sets. */
export interface TestContext extends Context {
	clock: { now(): number };
	at(instant: string): void;
	threads: Threads;
}

/** Somebody of a coach's challenge, as the guard gives them. */
export const ownPersonOf = (
	context: Context,
	world: { challenge: OwnedChallenge },
	id: string
): Promise<OwnPerson> => enrolmentOf(context.db, world.challenge, id);

export const testContext = async (): Promise<TestContext> => contextOn(await lentDatabase());

/** The same on a database of one's own. */
export function contextOn(db: Database): TestContext {
	let now = Date.parse('2026-11-25T12:00:00Z');
	return {
		db,
		ids: randomIds,
		clock: { now: () => now },
		at: (instant) => (now = Date.parse(instant)),
		threads: openThreads(null)
	};
}

/** Origin of what a coach decided. */
export const BY_COACH: Origin = { kind: 'coach', id: null };

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
	lateJoiners: 'group',
	asksWeekly: false,
	questions: ['energy', 'mood', 'sleep', 'soreness', 'water', 'fuel', 'win', 'note'],
	catchUpDays: 0,
	waitsForAnswers: false
};

export async function makeChallenge(
	context: Context,
	coach: Coach,
	more: Partial<typeof FRAME> = {}
): Promise<OwnedChallenge> {
	const id = await createChallenge(context, coach.id, { ...FRAME, ...more });
	return challengeOf(context.db, coach.id, id, 'viewer');
}

export const body = (text: string): Session => {
	const { session, faults } = parseSessionText(text, PRACTICE, 'keep');
	if (faults[0]) throw new Error(faults[0].message);
	return session;
};

/** Two exercises, five sets in all. */
export const SMALL = '3 x 10 squat, rest 60\n2 x 30 s plank, rest 30';

/** People as their own pages have them, in the order of their links. */
export async function peopleOf(
	{ db }: Pick<Context, 'db'>,
	{ id }: Pick<OwnedChallenge, 'id'>,
	links: readonly { enrolmentId: string }[]
): Promise<Person[]> {
	const all = await enrolmentsOf(db, id);
	return links.flatMap(({ enrolmentId }) => all.filter((one) => one.id === enrolmentId).map(asPerson));
}

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
		})),
		null
	);
	context.at(now);
	return {
		coach,
		challenge,
		session,
		people: await peopleOf(context, challenge, links),
		secrets: links.map((link) => link.secret)
	};
}

/** A world for all the tests of a file, gone at its end. @param at the instant at which they begin */
export async function sharedWorld(at?: string): Promise<{ context: TestContext; world: World }> {
	const context = await testContext();
	if (at) context.at(at);
	const world = await makeWorld(context);
	afterAll(() => context.db.close());
	return { context, world };
}
