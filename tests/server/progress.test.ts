/** What somebody has done so far, as their pages and their coach see it: sessions done again, work beyond the plan, and figures to compare. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { gainsOf } from '$core/progress';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { checkinsOf } from '$lib/server/done/attendance/history';
import { tickPiece } from '$lib/server/done/attendance/tick';
import type { Person } from '$lib/server/records/person';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { forget, ownDataOf } from '$lib/server/account/privacy/own-data';
import { pastDaysOf } from '$lib/server/done/progress/done-days';
import { makeWorld, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let oslo: Person;
const at = (iso: string) => Date.parse(iso);
/** Day 3 is Wednesday 25 November; day 1 the Monday before. */
const NOON = '2026-11-25T12:00:00Z';

beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	oslo = world.people[0] as Person;
	context.at(NOON);
});
afterEach(() => context.db.close());
const send = (more: object = {}) =>
	checkIn(context, oslo, { id: context.ids.uuid(), day: 3, done: 'all', ...more });
const again = (more: object = {}) => send({ again: true, ...more });
const stripOf = async () => (await standingOf(context, oslo)).strip;

describe('a session that is done again', () => {
	it('is kept beside its day, which stays as it is', async () => {
		await send({ effort: 8 });
		const before = await stripOf();
		context.at('2026-11-26T18:00:00Z');
		expect(await again({ effort: 6 })).toMatchObject({ credit: 1, fresh: true });
		expect(await stripOf()).toEqual(before);
		expect((await openDay(context, oslo, 3)).checkin?.effort).toBe(8);
		const days = await pastDaysOf(context, oslo);
		expect(days.map(({ day, again, credit, effort }) => [day, again, credit, effort])).toEqual([
			[3, false, 1, 8],
			[3, true, 1, 6]
		]);
		expect(gainsOf(days, days[1]!).easier).toMatchObject({ before: 8, now: 6 });
	});
	it('is kept long after the day has closed, from when it was done', async () => {
		context.at('2026-12-02T12:00:00Z');
		const sentAt = at('2026-12-02T12:00:00Z');
		await again({ doneAt: at('2026-12-01T09:00:00Z'), sentAt });
		expect((await pastDaysOf(context, oslo))[0]).toMatchObject({
			at: at('2026-12-01T09:00:00Z'),
			again: true
		});
	});
	it('is kept once, however often it is sent', async () => {
		const id = context.ids.uuid();
		await again({ id });
		expect(await again({ id })).toMatchObject({ credit: 1, fresh: false });
		expect(await pastDaysOf(context, oslo)).toHaveLength(1);
		// Under somebody else's id nothing is told.
		await expect(
			checkIn(context, world.people[1]!, { id, day: 3, done: 'all', again: true })
		).rejects.toMatchObject({ status: 404 });
	});
	it('is refused in words where nothing was done, it does not fit, it is not open, or it is the fourth', async () => {
		await expect(again({ done: 'none' })).rejects.toMatchObject({ status: 409 });
		await expect(
			again({ done: 'part', sets: [{ block: 9, part: 0, set: 1, amount: 5 }] })
		).rejects.toMatchObject({ status: 400 });
		await expect(again({ day: 5 })).rejects.toMatchObject({ status: 404 });
		for (let i = 0; i < 3; i++) await again();
		await expect(again()).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('within a day') as string
		});
		context.at('2026-11-26T12:00:01Z');
		expect(await again()).toMatchObject({ fresh: true });
	});
	it('is taken out and deleted with the rest', async () => {
		await again({ note: 'once more' });
		const mine = await ownDataOf(context, oslo.participantId);
		expect(mine.challenges[0]?.results).toContainEqual(
			expect.objectContaining({ kind: 'again', day: 3, note: 'once more' })
		);
		await forget({ ...context, config: { dataDirectory: '/nowhere' } }, oslo.participantId);
		expect(await context.db.query("select 1 from result where kind = 'again'")).toEqual([]);
	});
});

describe('work beyond the plan', () => {
	const plank = { exercise: 'Plank', amount: 60, unit: 's', kg: null };
	it('is kept, shown to the coach, and counts nothing', async () => {
		const bare = await send({ done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 5 }] });
		const [first] = await checkinsOf(context, oslo.enrolmentId, context.clock.now());
		const more = await send({
			done: 'part',
			sets: [{ block: 0, part: 0, set: 1, amount: 5 }],
			replaces: first?.id,
			beyond: [plank]
		});
		expect(more.credit).toBe(bare.credit);
		expect((await checkinsOf(context, oslo.enrolmentId, context.clock.now()))[0]?.beyond).toEqual([plank]);
	});
	it('adds up over the parts of a day, and stays when a piece is ticked off', async () => {
		await send({ done: 'part', sets: [], beyond: [plank] });
		await send({ done: 'part', sets: [], beyond: [{ ...plank, exercise: 'Squat' }], adds: true });
		expect((await openDay(context, oslo, 3)).checkin?.beyond.map(({ exercise }) => exercise)).toEqual([
			'Plank',
			'Squat'
		]);
		await expect(
			send({ done: 'none', adds: true, beyond: Array.from({ length: 29 }, () => plank) })
		).rejects.toMatchObject({ status: 409 });
		await expect(tickPiece(context, oslo, { day: 3, piece: 0, done: true })).rejects.toMatchObject({
			status: 409
		});
	});
	it('is refused by row where it says nothing', async () => {
		await expect(send({ beyond: [plank, { ...plank, amount: 0 }] })).rejects.toMatchObject({
			status: 400,
			faults: [{ field: 'beyond[1].amount' }]
		});
	});
});

describe('the parts of a day', () => {
	const run = (seconds: number) => ({ seconds, scores: [], hurts: [] });
	const storedRun = async () =>
		(await context.db.query<{ run: unknown }>('select run from result where replaced_at is null'))[0]?.run;
	it('keep the time of both, and of what was corrected the time that it took', async () => {
		await send({ done: 'part', sets: [], run: run(600) });
		const second = context.ids.uuid();
		await send({ id: second, done: 'part', sets: [], run: run(300), adds: true });
		expect(await storedRun()).toMatchObject({ seconds: 900 });
		await send({ done: 'all', replaces: second });
		expect(await storedRun()).toMatchObject({ seconds: 900 });
	});
	it('keep what a strap told of both, the average by time', async () => {
		const heart = (average: number, seconds: number) => ({
			...{ average, highest: average + 20, seconds },
			bands: { 'very light': 0, light: 0, moderate: seconds, vigorous: 0, 'near the limit': 0 }
		});
		await send({ done: 'part', sets: [], run: { ...run(600), heart: heart(120, 600) } });
		await send({ done: 'part', sets: [], run: { ...run(300), heart: heart(150, 300) }, adds: true });
		expect(await storedRun()).toMatchObject({
			heart: { average: 130, highest: 170, seconds: 900, bands: { moderate: 900 } }
		});
		await expect(
			send({ adds: true, run: { ...run(1), heart: { ...heart(120, 1), highest: 400 } } })
		).rejects.toMatchObject({ status: 400, faults: [{ field: 'run.heart.highest' }] });
	});
	it('keep all that was written, and drop nothing of it unsaid', async () => {
		await send({ done: 'none', hurts: 'x'.repeat(300) });
		await send({ done: 'none', hurts: 'y'.repeat(300), adds: true });
		expect((await openDay(context, oslo, 3)).checkin?.hurts).toBe(`${'x'.repeat(300)}\n${'y'.repeat(300)}`);
		await expect(send({ done: 'none', hurts: 'z'.repeat(2000), adds: true })).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('2602 letters') as string
		});
	});
	it('are so many and no more', async () => {
		for (let i = 0; i < 60; i++) await send({ done: 'none', adds: true });
		await expect(send({ adds: true })).rejects.toMatchObject({ status: 409 });
	});
});
