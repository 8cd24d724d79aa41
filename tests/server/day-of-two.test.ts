/** Two sessions on one day, and days that are ticked off piece by piece. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Limitation } from '$core/kit';
import { newRule, putDays, type Plan } from '$core/plan';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { checkinsOf } from '$lib/server/done/attendance/history';
import { tickPiece } from '$lib/server/done/attendance/tick';
import type { Person } from '$lib/server/records/person';
import { challengeOf } from '$lib/server/records/challenge';
import { openDay } from '$lib/server/done/day/own-day';
import { bundleText } from '$lib/server/edge/exports/bundle/bundle';
import { exportBundle } from '$lib/server/edge/exports/bundle/export-bundle';
import { importBundle } from '$lib/server/edge/exports/bundle/import-bundle';
import { readBundle } from '$lib/server/edge/exports/bundle/read-bundle';
import { practiceOf } from '$lib/server/records/practice';
import { enrolmentById } from '$lib/server/records/enrolments';
import type { ChallengeId, VersionId } from '$lib/server/platform/ids';
import { openPlan, savePlan } from '$lib/server/training/plan/plan';
import { planOf } from '$lib/server/records/plan-days';
import {
	createSession,
	saveSession,
	usedOn,
	versionById,
	type Saved
} from '$lib/server/training/session/sessions';
import { body, makeWorld, testContext, type TestContext, type World } from '../support/context';
import { lineOf } from '../support/practice';
import { refusal } from '../support/refusal';

let context: TestContext;
let world: World;
let run: Saved;
let oslo: Person;

const save = async (change: (plan: Plan) => Plan, id: ChallengeId = world.challenge.id) => {
	const challenge = await challengeOf(context.db, world.coach.id, id, 'viewer');
	const { plan, revision } = await openPlan(context, challenge);
	return savePlan(context, challenge, { revision, plan: change(plan) });
};
const linesOn = async (day: number) => {
	const planned = (await planOf(context.db, world.challenge))[day - 1];
	const { body: sent } = await versionById(context.db, planned?.versionId as VersionId);
	return sent.blocks.map((block) => [block.dayPart ?? '', lineOf(block)]);
};

beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-23T07:00:00Z');
	world = await makeWorld(context);
	oslo = world.people[0] as Person;
	run = await createSession(context, world.coach.id, {
		name: 'Easy run',
		body: body('4 x 100 m run, rest 30')
	});
	await save((plan) => putDays(plan, [3, 9], { evening: run.id }));
});
afterEach(() => context.db.close());

describe('a day with a second session', () => {
	it('sends both, the second in the evening, under both names', async () => {
		expect(await linesOn(3)).toEqual([
			['Morning: Small', '3 x 10 reps Squat, rest 60'],
			['', '2 x 30 s Plank, rest 30'],
			['Evening: Easy run', '4 x 100 m Run, rest 30']
		]);
		const plan = await planOf(context.db, world.challenge);
		expect(plan[2]).toMatchObject({ session: 'Small + Easy run', sessionId: world.session.id, version: 1 });
		expect(plan[1]?.session).toBe('Small');
		expect((plan[2]?.seconds ?? 0) - (plan[1]?.seconds ?? 0)).toBeGreaterThan(90);
		expect(await usedOn(context.db, world.coach.id, run.id)).toMatchObject([{ day: 3 }, { day: 9 }]);
	});

	it('comes back as it was planned, and goes with its first session', async () => {
		const opened = async () => (await openPlan(context, world.challenge)).plan.days;
		expect((await opened())[2]).toMatchObject({ session: world.session.id, evening: run.id });
		await save((plan) => putDays(plan, [3], { evening: null }));
		expect(await linesOn(3)).toEqual(await linesOn(2));
		await save((plan) => putDays(plan, [9], { kind: 'rest' }));
		expect((await opened())[8]).toEqual({ kind: 'rest', session: null, effort: null, tests: [] });
	});

	it('is refused without a first, and where it is not there any more', async () => {
		const [first] = (await openPlan(context, world.challenge)).plan.days;
		const plan = (change: object) => (p: Plan) => ({
			...p,
			days: [{ ...first, ...change }, ...p.days.slice(1)]
		});
		const without = await refusal(save(plan({ session: null, evening: run.id }) as never));
		expect(without).toMatchObject({
			status: 400,
			faults: [{ message: 'a second session comes after a first' }]
		});
		const gone = await refusal(save(plan({ evening: world.coach.id }) as never));
		expect(gone).toMatchObject({ status: 404, faults: [{ field: 'days[0].evening' }] });
	});

	it('follows rules and new versions of either', async () => {
		await save((plan) => ({
			...plan,
			rules: [newRule('r', { exercise: 'Squat' }, [{ kind: 'reps', reps: 2 }])]
		}));
		expect((await linesOn(9))[0]).toEqual(['Morning: Small', '3 x 12 reps Squat, rest 60']);
		await saveSession(context, world.coach.id, run.id, {
			name: 'Easy run',
			body: body('6 x 100 m run, rest 30'),
			tags: [],
			basedOn: 1
		});
		expect((await linesOn(9)).at(-1)?.[1]).toBe('6 x 100 m Run, rest 30');
		expect((await linesOn(9))[0]?.[1]).toBe('3 x 12 reps Squat, rest 60');
	});

	it('goes into a bundle and comes out of it', async () => {
		const text = bundleText(await exportBundle(context, world.challenge));
		const practice = await practiceOf(context.db, world.coach.id);
		const read = readBundle(text, practice);
		if (!read.bundle) throw new Error(JSON.stringify(read));
		const id = await importBundle(context, world.coach.id, read.bundle, {
			name: 'Again',
			startsOn: '2027-01-04'
		});
		const { plan } = await openPlan(context, await challengeOf(context.db, world.coach.id, id, 'viewer'));
		expect(plan.days.flatMap(({ evening }, d) => (evening ? [[d + 1, evening]] : []))).toEqual([
			[3, run.id],
			[9, run.id]
		]);
		const broken = readBundle(text.replace(/"evening": "s\d+"/, '"evening": "s99"'), practice);
		expect(broken.faults[0]).toMatchObject({ place: 'plan.days[2].evening' });
	});
});

describe('alternatives if something hurts', () => {
	it('are marked for whoever it concerns, and for nobody else', async () => {
		const { id } = await createSession(context, world.coach.id, {
			name: 'Knees',
			body: body(
				'3 x 10 goblet squat @ 8 kg if the knee hurts: half squat if the wrist hurts: wall sit or squat'
			)
		});
		await save((plan) => putDays(plan, [3], { session: id, evening: null }));
		context.at('2026-11-25T07:00:00Z');
		const marked = async (limits: Limitation[]) =>
			(
				await openDay(context, { ...oslo, suited: { ...oslo.suited, kit: [], limits } }, 3)
			).session?.outline.blocks[0]?.parts[0]?.instead.map((one) => [one.exercise, one.forThem ?? false]);
		expect(await marked(['no jumps'])).toEqual([
			['Half squat', false],
			['Wall sit', false],
			['Squat', false]
		]);
		// Whose knee hurts gets what is meant for it, and has the rest left to choose from.
		expect(await marked(['no deep knee bend'])).toEqual([
			['Wall sit', false],
			['Squat', false]
		]);
		// It comes first even where the library would allow the squat.
		expect(await marked(['no weight on the wrists'])).toEqual([
			['Half squat', false],
			['Squat', false]
		]);
		// What was done stays as it was asked, and what is known of one since then marks nothing for another.
		const others = world.people[1]!;
		for (const person of [oslo, others])
			await checkIn(context, person, { id: context.ids.uuid(), day: 3, done: 'all' });
		const since = Date.parse('2026-11-25T08:00:00Z');
		context.at('2026-11-25T09:00:00Z');
		const wrists = { ...oslo.suited, limits: ['no weight on the wrists' as const], since };
		for (const person of [{ ...oslo, suited: wrists }, others]) {
			const { session } = await openDay(context, person, 3);
			const marks = session?.outline.blocks[0]?.parts[0]?.instead.map(({ forThem }) => forThem ?? false);
			expect(marks).toEqual([false, false]);
		}
	});
});

describe('pieces ticked off', () => {
	const stripOf = async (day: number) =>
		(await enrolmentById(context.db, oslo.enrolmentId)).strip[String(day)];
	const tick = (piece: number, done = true) => tickPiece(context, oslo, { day: 3, piece, done });
	const pieces = async () => (await openDay(context, oslo, 3)).session?.pieces.map(({ credit }) => credit);
	beforeEach(() => context.at('2026-11-25T07:00:00Z'));

	it('add up: the morning, the evening, and the morning taken back', async () => {
		expect(await pieces()).toEqual([0, 0]);
		await tick(0);
		// 3 sets of squats and 2 of planks in the morning, 4 runs in the evening.
		expect(await stripOf(3)).toMatchObject(['c', 5 / 9, expect.any(Number), 0]);
		expect(await pieces()).toEqual([1, 0]);
		await tick(2);
		expect(await stripOf(3)).toMatchObject(['c', 1, expect.any(Number), 0]);
		await tick(0, false);
		expect(await pieces()).toEqual([0, 1]);
		const { checkin } = await openDay(context, oslo, 3);
		expect(checkin?.credit).toBeCloseTo(4 / 9);
	});

	it('stand in the history under the names of both sessions', async () => {
		await tick(0);
		const [past] = await checkinsOf(context, oslo.enrolmentId, context.clock.now());
		expect(past).toMatchObject({ day: 3, session: 'Small + Easy run', done: 'part', version: 1 });
	});

	it('keep what was said of the day, and a check-in keeps them', async () => {
		await checkIn(context, oslo, {
			id: context.ids.uuid(),
			day: 3,
			done: 'none',
			effort: 4,
			note: 'later'
		});
		await tick(0);
		expect((await openDay(context, oslo, 3)).checkin).toMatchObject({
			effort: 4,
			note: 'later',
			done: 'part'
		});
	});

	it('written down once: ticked again, nothing changes', async () => {
		await tick(0);
		const before = (await openDay(context, oslo, 3)).checkin;
		await tick(0);
		expect((await openDay(context, oslo, 3)).checkin).toEqual(before);
		await tick(2, false);
		expect((await openDay(context, oslo, 3)).checkin).toEqual(before);
	});

	it('two at the same moment both stand', async () => {
		await Promise.all([tick(0), tick(2)]);
		expect(await pieces()).toEqual([1, 1]);
	});

	it('are refused where there is no such piece, and for a day without any', async () => {
		expect(await refusal(tick(1))).toMatchObject({ status: 409 });
		expect(await refusal(tickPiece(context, oslo, { day: 2, piece: 0, done: true }))).toMatchObject({
			status: 409
		});
		expect(await refusal(tickPiece(context, oslo, { day: 9, piece: 0, done: true }))).toMatchObject({
			status: 404
		});
		expect(await refusal(tickPiece(context, oslo, { day: 'x', piece: 0 }))).toMatchObject({ status: 400 });
	});

	it('are refused after the close where nothing is stored', async () => {
		await context.db.query(`update challenge set after_close = 'refuse' where id = $1`, [world.challenge.id]);
		await context.db.query(`update coach set revision = revision + 1`);
		context.at('2026-11-28T07:00:00Z');
		expect(await refusal(tick(0))).toMatchObject({ status: 409 });
	});
});
