import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { anyCoach } from '$lib/server/records/coach';
import { createCoach } from '$lib/server/account/auth/coach';
import {
	coachOf,
	signIn,
	signOut,
	signOutEverywhere,
	type SignedInCoach
} from '$lib/server/account/auth/login';
import { openLink, personOf } from '$lib/server/account/auth/link';
import { type Person } from '$lib/server/records/person';
import { renewLink, revokeLink } from '$lib/server/people/links';
import { TooOften, TryLimit } from '$lib/server/account/auth/limits';
import { challengeOf } from '$lib/server/records/challenge';
import { enrolmentOf } from '$lib/server/records/enrolments';
import { mayEnter } from '$lib/server/edge/web/roles';
import { newId, randomIds } from '$lib/server/platform/ids';
import {
	makeChallenge,
	makeCoach,
	makeWorld,
	PASSWORD,
	testContext,
	type TestContext,
	type World,
	ownPersonOf
} from '../support/context';

let context: TestContext;
let world: World;

beforeAll(async () => {
	context = await testContext();
	expect(await anyCoach(context)).toBe(false);
	world = await makeWorld(context);
});
afterAll(() => context.db.close());

/** The token of a good sign-in. */
const tokenOf = async (on: TestContext, email = 'runa@example.org'): Promise<string> =>
	(await signIn(on, email, PASSWORD)).token;

describe('coaches', () => {
	it('sign in with the exact pair only, and are not told which half was wrong', async () => {
		const token = await tokenOf(context, ' RUNA@example.org ');
		expect((await coachOf(context, token))?.coach.name).toBe('Runa');
		const answers = await Promise.all(
			[signIn(context, 'runa@example.org', 'wrong'), signIn(context, 'nobody@example.org', PASSWORD)].map(
				(tried) => tried.catch((error: Error) => error.message)
			)
		);
		expect(new Set(answers).size).toBe(1);
	});

	it('are made once for an address, with faults by field', async () => {
		await expect(makeCoach(context)).rejects.toMatchObject({ status: 409 });
		await expect(
			createCoach(context, { email: 'x', name: '', zone: 'Mars/Base', password: 'short' })
		).rejects.toMatchObject({
			status: 400,
			faults: expect.arrayContaining([
				expect.objectContaining({ field: 'email' }),
				expect.objectContaining({ field: 'zone', message: expect.stringContaining('Mars/Base') as string }),
				expect.objectContaining({ field: 'password' })
			]) as unknown
		});
	});

	it('keep only hashes of passwords and tokens', async () => {
		const token = await tokenOf(context);
		const rows = await context.db.query(
			'select c.password_hash, l.token_hash from coach c join coach_login l on l.coach_id = c.id'
		);
		expect(JSON.stringify(rows)).not.toContain(token);
		expect(rows[0]?.password_hash).toMatch(/^\$argon2id\$/);
	});

	/** A token that was due to change at 13:01, and the one given in its place. */
	async function changed(): Promise<{ first: string; second: string }> {
		context.at('2026-11-25T12:00:00Z');
		const first = await tokenOf(context);
		context.at('2026-11-25T13:01:00Z');
		const second = (await coachOf(context, first))?.newToken;
		expect(second).toBeTruthy();
		// Other requests of the same page are still under way.
		expect(await coachOf(context, first)).toMatchObject({ newToken: null });
		return { first, second: second! };
	}

	it('get a new token after an hour; used, it leaves the old one a minute, and then that ends the login', async () => {
		const { first, second } = await changed();
		context.at('2026-11-25T13:20:00Z');
		expect(await coachOf(context, second)).toMatchObject({ newToken: null });
		context.at('2026-11-25T13:20:59Z');
		expect(await coachOf(context, first)).toMatchObject({ newToken: null });
		context.at('2026-11-25T13:21:01Z');
		expect(await coachOf(context, first)).toBeNull();
		expect(await coachOf(context, second)).toBeNull();
	});

	it('are not signed out by an answer that was lost on the way', async () => {
		const { first, second } = await changed();
		context.at('2026-11-25T18:00:00Z');
		const third = (await coachOf(context, first))?.newToken;
		expect(third).toBeTruthy();
		expect(await coachOf(context, third!)).toMatchObject({ newToken: null });
		// What never arrived is good for nobody.
		expect(await coachOf(context, second)).toBeNull();
		context.at('2026-11-25T18:02:00Z');
		expect(await coachOf(context, first)).toBeNull();
	});

	it('are signed out after thirty days without use', async () => {
		const token = await tokenOf(context);
		context.at('2026-12-26T00:00:00Z');
		expect(await coachOf(context, token)).toBeNull();
		context.at('2026-11-25T12:00:00Z');
	});

	it('sign out here or everywhere', async () => {
		const [a, b, c] = await Promise.all([1, 2, 3].map(() => tokenOf(context)));
		await signOut(context, a!);
		expect([await coachOf(context, a!), (await coachOf(context, b!)) !== null]).toEqual([null, true]);
		await signOutEverywhere(context.db, world.coach.id);
		expect([await coachOf(context, b!), await coachOf(context, c!)]).toEqual([null, null]);
	});
});

describe('personal links', () => {
	it('are exchanged for a token of their own', async () => {
		const token = await openLink(context, world.secrets[0]!);
		expect(token).not.toBe(world.secrets[0]);
		expect(await personOf(context, token!)).toEqual(world.people[0]);
		expect(await openLink(context, 'no such secret')).toBeNull();
	});

	it('end with their devices when made anew or revoked', async () => {
		const token = await openLink(context, world.secrets[1]!);
		const fresh = await renewLink(
			context,
			await ownPersonOf(context, world, world.people[1]!.enrolmentId),
			world.coach.id
		);
		expect([await personOf(context, token!), await openLink(context, world.secrets[1]!)]).toEqual([
			null,
			null
		]);
		const again = await openLink(context, fresh);
		expect(await personOf(context, again!)).toMatchObject({ name: 'Person 2' });
		await revokeLink(context, await ownPersonOf(context, world, world.people[1]!.enrolmentId));
		expect([await personOf(context, again!), await openLink(context, fresh)]).toEqual([null, null]);
	});

	it('are nobody’s to renew but their own coach’s', async () => {
		const other = await makeCoach(context, 'Other');
		const theirs = await makeChallenge(context, other);
		const { enrolmentId } = world.people[0]!;
		for (const id of [enrolmentId, 'not-a-uuid'])
			await expect(enrolmentOf(context.db, theirs, id)).rejects.toMatchObject({ status: 404 });
		await expect(challengeOf(context.db, other.id, world.challenge.id, 'viewer')).rejects.toMatchObject({
			status: 404
		});
	});
});

describe('roles', () => {
	const RUNA: SignedInCoach = {
		id: newId<'coach'>(randomIds),
		email: 'runa@example.org',
		name: 'Runa',
		zone: 'Europe/Oslo',
		operator: true,
		units: 'kg',
		login: { id: randomIds.uuid(), provenAt: 0 }
	};
	const NOOR = {
		enrolmentId: newId<'enrolment'>(randomIds),
		challengeId: newId<'challenge'>(randomIds),
		name: 'Noor',
		zone: 'Asia/Tehran',
		earlierZones: [],
		units: 'kg' as const,
		participantId: newId<'participant'>(randomIds),
		suited: { level: 'beginner' as const, kit: [], limits: [], answered: false, since: 0 },
		holds: [],
		asksAgain: false,
		others: []
	};
	/** A request of somebody, with a list of what was looked up about them. */
	const requestOf = ({
		coach = null,
		person = null
	}: {
		coach?: SignedInCoach | null;
		person?: Person | null;
	}) => {
		const asked: string[] = [];
		const look = <T>(what: string, answer: T) => {
			asked.push(what);
			return Promise.resolve(answer);
		};
		return {
			asked,
			visitor: { coach: () => look('coach', coach), person: () => look('person', person) },
			coach: null as SignedInCoach | null,
			person: null as Person | null
		};
	};
	const asked = (route: string, who: Parameters<typeof requestOf>[0]) => mayEnter(route, requestOf(who));

	it.each([
		['/(coach)/c/[challenge]/roll', 'enter', 'not found', 'sign in'],
		['/(me)/me', 'not found', 'enter', 'sign in'],
		['/api/me/checkins', 'not found', 'enter', 'sign in'],
		['/sign-in', 'enter', 'enter', 'enter']
	])('%s: coach %s, participant %s, nobody %s', async (route, coach, participant, nobody) => {
		expect(await asked(route, { coach: RUNA })).toBe(coach);
		expect(await asked(route, { person: NOOR })).toBe(participant);
		expect(await asked(route, {})).toBe(nobody);
	});

	it('tells a route whom it lets in, and asks nobody for pages that are open to all', async () => {
		const request = requestOf({ coach: RUNA, person: NOOR });
		await mayEnter('/(coach)/c/[challenge]/roll', request);
		expect(request).toMatchObject({ coach: RUNA, person: null, asked: ['coach'] });
		const open = requestOf({ coach: RUNA, person: NOOR });
		await mayEnter('/healthz', open);
		expect(open).toMatchObject({ coach: null, person: null, asked: [] });
	});
});

describe('the limit on tries', () => {
	it('lets so many through, then says for how long not', async () => {
		const limit = new TryLimit(context.db, 'test', 3, 900);
		for (let i = 0; i < 3; i++) await limit.take('10.0.0.1');
		const refusal = await limit.take('10.0.0.1').catch((error: unknown) => error);
		expect(refusal).toBeInstanceOf(TooOften);
		expect((refusal as TooOften).retryAfter).toBeGreaterThan(800);
		await limit.take('10.0.0.2');
	});

	it('takes a try back that was good, and no other', async () => {
		const limit = new TryLimit(context.db, 'good', 3, 900);
		for (let i = 0; i < 3; i++) await limit.take('10.0.0.1');
		await limit.giveBack('10.0.0.1');
		await limit.take('10.0.0.1');
		await expect(limit.take('10.0.0.1')).rejects.toBeInstanceOf(TooOften);
	});
});
