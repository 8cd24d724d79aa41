/** Who is in a session, as it happens: what phones tell, and pages that are told. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import type { Person } from '$lib/server/records/person';
import { changeRole } from '$lib/server/training/challenge/coaches';
import { Live } from '$lib/server/done/live/live';
import { liveOf } from '$lib/server/done/live/group';
import { presentIn, tellPresence } from '$lib/server/done/live/presence';
import { inviteHelper } from '../support/coaches';
import { makeWorld, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let oslo: Person;
let lives: Live[] = [];
const NOON = '2026-11-25T12:00:00Z';

beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	oslo = world.people[0] as Person;
	context.at(NOON);
	lives = [];
});
afterEach(async () => {
	for (const live of lives) await live.close();
	await context.db.close();
});
const tell = (more: object = {}, who = oslo) =>
	tellPresence(context, who, { day: 3, phase: 'going', what: 'Squat, 10 reps', share: 0.25, ...more });
const present = () => presentIn(context.db, world.challenge.id, context.clock.now());
async function listening(): Promise<Live> {
	const live = await Live.start(context.db);
	lives.push(live);
	return live;
}
/** What a stream says next. */
async function next(reader: ReadableStreamDefaultReader<Uint8Array>): Promise<string> {
	const { value } = await reader.read();
	return new TextDecoder().decode(value);
}

describe('a stream', () => {
	it('ends with the part in the challenge, and no other does', async () => {
		const live = await listening();
		const coach = await inviteHelper(context, world, 'Kaija', 'coach');
		const theirs = live.stream(coach.id, world.challenge.id)!.getReader();
		const owners = live.stream(world.coach.id, world.challenge.id)!.getReader();
		await Promise.all([next(theirs), next(owners)]);
		await changeRole(context, world.challenge, coach.id, { role: 'viewer' });
		expect((await theirs.read()).done).toBe(true);
		expect(live.open).toBe(1);
		await tell();
		expect(await next(owners)).toContain('changed');
	});
});

describe('where somebody is in a session', () => {
	it('is the last that their phone told', async () => {
		await tell();
		context.at('2026-11-25T12:03:00Z');
		await tell({ phase: 'paused', what: null, share: 0.5 });
		expect(await present()).toEqual([
			{
				...{ id: oslo.enrolmentId, name: world.people[0]?.name, day: 3, phase: 'paused', what: null },
				...{ share: 0.5, hurts: [], at: Date.parse('2026-11-25T12:03:00Z'), quiet: false }
			}
		]);
	});
	it('is doubtful after five minutes without a word, and forgotten after four hours', async () => {
		await tell();
		context.at('2026-11-25T12:05:00Z');
		expect((await present())[0]?.quiet).toBe(false);
		context.at('2026-11-25T12:05:01Z');
		expect((await present())[0]?.quiet).toBe(true);
		await tell({ phase: 'over' });
		context.at('2026-11-25T13:00:00Z');
		expect((await present())[0]?.quiet).toBe(false);
		context.at('2026-11-25T16:05:01Z');
		expect(await present()).toEqual([]);
	});
	it('has pain first, then who is in it, then who came last', async () => {
		const [a, b, c] = world.people as [Person, Person, Person];
		await tell({ phase: 'over' }, a);
		context.at('2026-11-25T12:01:00Z');
		await tell({}, b);
		context.at('2026-11-25T12:02:00Z');
		await tell({ phase: 'over', hurts: [{ exercise: 'Squat', area: 'knee' }] }, c);
		expect((await present()).map(({ id }) => id)).toEqual([c.enrolmentId, b.enrolmentId, a.enrolmentId]);
	});
	it('changes nothing of the day', async () => {
		await tell({ phase: 'over', share: 1 });
		const { group } = await liveOf({ app: context }, world.challenge, 3);
		expect(group.find(({ id }) => id === oslo.enrolmentId)?.state).toBe('open');
		for (const day of [null, 0, 99, NaN])
			expect(await liveOf({ app: context }, world.challenge, day)).toMatchObject({
				group: [],
				present: [{ day: 3 }]
			});
	});
	it.each([
		['a day that is not open', { day: 5 }, 404],
		['no day', { day: 0 }, 400],
		['a phase that there is not', { phase: 'flying' }, 400],
		['more than all', { share: 1.01 }, 400],
		['a long word', { what: 'x'.repeat(121) }, 400],
		['a place that there is not', { hurts: [{ exercise: 'Squat', area: 'soul' }] }, 400],
		[
			'places without end',
			{ hurts: Array.from({ length: 21 }, () => ({ exercise: 'a', area: 'knee' })) },
			400
		]
	])('is refused: %s', async (_, more, status) => {
		await expect(tell(more)).rejects.toMatchObject({ status });
		expect(await present()).toEqual([]);
	});
});

describe('pages that are told', () => {
	it('hear of a phone and of a check-in, whichever process took it', async () => {
		const [here, there] = [await listening(), await listening()];
		const readers = [here, there].map((live) => live.stream('runa', world.challenge.id)!.getReader());
		for (const reader of readers) expect(await next(reader)).toBe('retry: 5000\nevent: changed\ndata: \n\n');
		await tell();
		for (const reader of readers) expect(await next(reader)).toBe('event: changed\ndata: \n\n');
		await checkIn(context, oslo, { id: context.ids.uuid(), day: 3, done: 'all' });
		for (const reader of readers) expect(await next(reader)).toBe('event: changed\ndata: \n\n');
	});
	it('hear nothing of another challenge, nor of what was undone', async () => {
		const live = await listening();
		const other = live.stream('runa', context.ids.uuid())!.getReader();
		const own = live.stream('runa', world.challenge.id)!.getReader();
		await next(other);
		await next(own);
		await context.db
			.transaction(async (tx) => {
				await tx.query(
					`insert into presence (enrolment_id, day, phase, share, at) values ($1, 3, 'going', 0, now())`,
					[oslo.enrolmentId]
				);
				throw new Error('no');
			})
			.catch(() => undefined);
		await tell();
		expect(await next(own)).toBe('event: changed\ndata: \n\n');
		await live.close();
		// All that came since is nothing: both streams are over.
		expect((await own.read()).done).toBe(true);
		expect((await other.read()).done).toBe(true);
	});
	it('are told once of what comes about at once', async () => {
		const live = await listening();
		const reader = live.stream('runa', world.challenge.id)!.getReader();
		await next(reader);
		const began = performance.now();
		for (let i = 0; i < 20; i++) await tell({ share: i / 20 });
		await next(reader);
		const took = performance.now() - began;
		await live.close();
		let words = 1;
		while (!(await reader.read()).done) words += 1;
		// One in a quarter of a second, however slow this machine is.
		expect(words).toBeLessThanOrEqual(1 + took / 250);
		expect(words).toBeLessThan(20);
	});
	it('are let go when the process is being stopped', async () => {
		const live = await listening();
		const reader = live.stream('runa', world.challenge.id)!.getReader();
		await next(reader);
		live.end();
		expect((await reader.read()).done).toBe(true);
		expect(live.stream('runa', world.challenge.id)).toBeNull();
	});
	it('are so many and no more, and leave room when they go', async () => {
		const live = await listening();
		const streams = Array.from({ length: 10 }, () => live.stream('runa', world.challenge.id));
		expect(streams.every((stream) => stream !== null)).toBe(true);
		expect(live.stream('runa', world.challenge.id)).toBeNull();
		expect(live.stream('ravdna', world.challenge.id)).not.toBeNull();
		await streams[0]?.cancel();
		expect(live.open).toBe(10);
		expect(live.stream('runa', world.challenge.id)).not.toBeNull();
		for (let i = live.open; i < 500; i++) live.stream(`coach ${i}`, world.challenge.id);
		expect(live.stream('one more', world.challenge.id)).toBeNull();
	});
});
