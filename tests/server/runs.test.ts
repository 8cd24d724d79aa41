/** What devices send of sessions that were led step by step: at once, later, in parts. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { decideOffered, offeredIn } from '$lib/server/done/attendance/offered';
import { challengeOf } from '$lib/server/records/challenge';
import type { Person } from '$lib/server/records/person';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { makeWorld, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let oslo: Person;
const at = (iso: string) => Date.parse(iso);
const HOUR = 3_600_000;
/** Day 3 is Wednesday 25 November: open from 05:30 in Oslo (04:30Z), due at midnight (23:00Z), closed 12 hours later. */
const NOON = '2026-11-25T12:00:00Z';

beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	oslo = world.people[0] as Person;
});
afterEach(() => context.db.close());

const send = (more: object) =>
	checkIn(context, oslo, { id: context.ids.uuid(), day: 3, done: 'all', ...more });
const dayThree = async () => (await standingOf(context, oslo)).days[2];
const offered = async () =>
	(await context.db.query<{ offered: boolean }>('select offered from result where replaced_at is null'))[0]
		?.offered;

describe('a result that a device kept', () => {
	it('counts from when it was done, for two days', async () => {
		context.at('2026-11-27T11:59:00Z');
		const done = { doneAt: at(NOON), sentAt: at('2026-11-27T11:59:00Z') };
		expect(await send(done)).toMatchObject({ standing: 'on time' });
		expect(await dayThree()).toMatchObject({ state: 'done', credit: 1 });
	});
	it('is late where it was done late', async () => {
		context.at('2026-11-26T20:00:00Z');
		const done = { doneAt: at('2026-11-26T02:00:00Z'), sentAt: at('2026-11-26T20:00:00Z') };
		expect(await send(done)).toMatchObject({ standing: 'late' });
	});
	it('counts rightly though the clock of the device is a day off', async () => {
		context.at('2026-11-26T20:00:00Z');
		for (const off of [24 * HOUR, -24 * HOUR]) {
			const id = context.ids.uuid();
			const made = await send({ id, doneAt: at(NOON) + off, sentAt: at('2026-11-26T20:00:00Z') + off });
			expect(made).toMatchObject({ standing: 'on time' });
			await context.db.query('delete from result where id = $1', [id]);
		}
	});
	it('is taken as it comes where it says to be done before its day, or after now', async () => {
		context.at('2026-11-25T23:30:00Z');
		const now = at('2026-11-25T23:30:00Z');
		expect(await send({ doneAt: at('2026-11-24T12:00:00Z'), sentAt: now })).toMatchObject({
			standing: 'late'
		});
		const [first] = await context.db.query<{ id: string }>('select id from result where replaced_at is null');
		expect(await send({ doneAt: now + HOUR, sentAt: now, replaces: first?.id })).toMatchObject({
			standing: 'late'
		});
	});
	it('waits where somebody else is signed in on the device by now', async () => {
		context.at(NOON);
		const other = world.people[1]!.enrolmentId;
		await expect(send({ enrolment: other })).rejects.toMatchObject({ status: 403 });
		expect(await send({ enrolment: oslo.enrolmentId })).toMatchObject({ fresh: true });
	});
	it('is about the session as it was when it was begun, and never older than its day', async () => {
		context.at(NOON);
		const begun = at('2026-11-25T11:30:00Z');
		await send({ startedAt: begun, doneAt: at(NOON), sentAt: at(NOON) });
		expect((await openDay(context, oslo, 3)).checkin).toMatchObject({ begunAt: begun, receivedAt: at(NOON) });
		const { checkin } = await openDay(context, oslo, 3);
		await send({ replaces: checkin?.id, startedAt: 0, sentAt: 8.6e15 });
		expect((await openDay(context, oslo, 3)).checkin).toMatchObject({ begunAt: at(NOON) });
	});
	it('comes to the coach where it comes later, also where nothing is taken after the close', async () => {
		await context.db.query("update challenge set after_close = 'refuse'");
		await context.db.query('update coach set revision = revision + 1');
		context.at('2026-11-28T12:00:00Z');
		const now = at('2026-11-28T12:00:00Z');
		await expect(send({ doneAt: null, sentAt: now })).rejects.toMatchObject({ status: 409 });
		expect(await send({ doneAt: at(NOON), sentAt: now })).toMatchObject({ standing: 'after close' });
		expect(await offered()).toBe(true);
		expect(await dayThree()).toMatchObject({ state: 'missed', credit: 0 });
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		const [one] = await offeredIn(context.db, challenge.id);
		expect(one).toMatchObject({ day: 3, credit: 1, doneAt: at(NOON), receivedAt: now });
		await expect(decideOffered(context, challenge, context.ids.uuid(), true)).rejects.toMatchObject({
			status: 404
		});
		await decideOffered(context, challenge, one!.id, true);
		expect(await dayThree()).toMatchObject({ state: 'done', credit: 1 });
		expect(await offeredIn(context.db, challenge.id)).toEqual([]);
		await expect(decideOffered(context, challenge, one!.id, true)).rejects.toMatchObject({ status: 404 });
	});
	it('counts nothing where the coach leaves it out', async () => {
		context.at('2026-11-28T12:00:00Z');
		await send({ doneAt: at(NOON), sentAt: at('2026-11-28T12:00:00Z') });
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		const [one] = await offeredIn(context.db, challenge.id);
		await decideOffered(context, challenge, one!.id, false);
		expect(await dayThree()).toMatchObject({ state: 'missed', credit: 0 });
		expect(await offeredIn(context.db, challenge.id)).toEqual([]);
	});
});

describe('a day that is done in parts', () => {
	const part = (set: number, amount: number, more: object = {}) => ({
		done: 'part',
		adds: true,
		sets: [{ block: 0, part: 0, set, amount, kg: null }],
		...more
	});
	it('adds up, with all that was said', async () => {
		context.at(NOON);
		await send(part(1, 10, { effort: 5, note: 'before work', hurts: 'left wrist' }));
		await send(part(2, 4, { note: 'at noon' }));
		const receipt = await send(part(2, 6, { effort: 8 }));
		// Two of three sets of ten squats, of five sets in all.
		expect(receipt.credit).toBeCloseTo((3 * (2 / 3)) / 5);
		const { checkin } = await openDay(context, oslo, 3);
		expect(checkin).toMatchObject({ effort: 8, note: 'before work\nat noon', hurts: 'left wrist' });
		expect(checkin?.sets.map(({ set, amount }) => [set, amount])).toEqual([
			[1, 10],
			[2, 10]
		]);
	});
	it('keeps the standing of what came first, and is added once however often it is sent', async () => {
		context.at(NOON);
		await send(part(1, 10));
		context.at('2026-11-25T23:30:00Z');
		const id = context.ids.uuid();
		for (let i = 0; i < 3; i++)
			expect(await send(part(2, 10, { id }))).toMatchObject({ standing: 'on time' });
		const { checkin } = await openDay(context, oslo, 3);
		expect(checkin?.sets.map(({ amount }) => amount)).toEqual([10, 10]);
	});
	it('comes to the coach where a part comes too late, and what stands goes on standing until it is taken', async () => {
		context.at(NOON);
		await send(part(1, 10));
		const late = '2026-11-28T12:00:00Z';
		context.at(late);
		const id = context.ids.uuid();
		const more = part(2, 10, { id, doneAt: at('2026-11-25T13:00:00Z'), sentAt: at(late) });
		for (let i = 0; i < 2; i++) expect(await send(more)).toMatchObject({ standing: 'after close' });
		expect(await dayThree()).toMatchObject({ credit: (3 * (1 / 3)) / 5 });
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		expect(await offeredIn(context.db, challenge.id)).toMatchObject([{ id, day: 3 }]);
		await decideOffered(context, challenge, id, true);
		expect((await dayThree())?.credit).toBeCloseTo((3 * (2 / 3)) / 5);
		expect((await openDay(context, oslo, 3)).checkin).toMatchObject({ id, standing: 'on time' });
		expect(await offeredIn(context.db, challenge.id)).toEqual([]);
	});
	it('is added to nothing that was corrected since, and left out on wish', async () => {
		context.at(NOON);
		await send(part(1, 10));
		const late = '2026-11-28T12:00:00Z';
		context.at(late);
		const ids = [context.ids.uuid(), context.ids.uuid()] as const;
		for (const id of ids)
			await send(part(2, 10, { id, doneAt: at('2026-11-25T13:00:00Z'), sentAt: at(late) }));
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		await decideOffered(context, challenge, ids[0], true);
		await expect(decideOffered(context, challenge, ids[1], true)).rejects.toMatchObject({ status: 409 });
		await decideOffered(context, challenge, ids[1], false);
		expect(await offeredIn(context.db, challenge.id)).toEqual([]);
		expect((await openDay(context, oslo, 3)).checkin?.id).toBe(ids[0]);
	});
	it('does not take away what stands where nothing more was done', async () => {
		context.at(NOON);
		await send(part(1, 10));
		const receipt = await send({ done: 'none', adds: true });
		expect(receipt.credit).toBeCloseTo((3 * (1 / 3)) / 5);
	});
});

describe('what a run tells beside its sets', () => {
	it('is kept', async () => {
		context.at(NOON);
		const run = {
			seconds: 1200,
			scores: [{ block: 0, pass: 1, seconds: 300.5, rounds: 3, reps: 0, splits: [100, 200, 300.5] }],
			hurts: [{ block: 0, part: 0, exercise: 'Squat', area: 'knee' }],
			heart: null
		};
		const beyond = [{ exercise: 'Plank', amount: 60, unit: 's', kg: null }];
		const sets = [
			{ block: 0, part: 0, set: 1, amount: 8, kg: null, left: 8, right: 9, effort: 9, used: 'Box squat' }
		];
		await send({
			done: 'part',
			sets,
			run,
			beyond,
			startedAt: at(NOON) - 1200_000,
			doneAt: at(NOON),
			sentAt: at(NOON)
		});
		const [row] = await context.db.query<{ run: unknown; started: number; beyond: unknown }>(
			'select run, beyond, started_at as started from result'
		);
		expect(row).toEqual({ run, beyond, started: at(NOON) - 1200_000 });
		expect((await openDay(context, oslo, 3)).checkin?.sets).toEqual(sets);
	});
	it('is refused in words where it makes no sense', async () => {
		context.at(NOON);
		const bad = (run: object) => send({ run: { seconds: 10, scores: [], hurts: [], ...run } });
		await expect(
			bad({ hurts: [{ block: 0, part: 0, exercise: 'Squat', area: 'soul' }] })
		).rejects.toMatchObject({
			status: 400
		});
		await expect(bad({ seconds: -1 })).rejects.toMatchObject({ status: 400 });
		await expect(
			send({ beyond: Array.from({ length: 31 }, () => ({ exercise: 'Plank', amount: 1, unit: 's' })) })
		).rejects.toMatchObject({ status: 400 });
		await expect(
			send({ done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 999_999 }] })
		).rejects.toMatchObject({ status: 400 });
		await expect(
			send({ done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 5, kg: -2 }] })
		).rejects.toMatchObject({ status: 400 });
		await expect(send({ effort: 11 })).rejects.toMatchObject({ status: 400 });
	});
});
