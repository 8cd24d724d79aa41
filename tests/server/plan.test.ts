import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { EMPTY_PLAN, insertDays, newRule, newBenchmark, putDays, REST_DAY, type Plan } from '$core/plan';
import { challengeOf } from '$lib/server/records/challenge';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { openDay } from '$lib/server/done/day/own-day';
import { checkinsOf } from '$lib/server/done/attendance/history';
import {
	excusedTogether,
	restoreDays,
	takeDaysOff,
	unexcuseTogether
} from '$lib/server/training/plan/days-off';
import {
	postAnnouncement,
	allAnnouncements,
	upFor,
	removeAnnouncement
} from '$lib/server/training/challenge/announcements';
import { openPlan, savePlan, type OpenPlan } from '$lib/server/training/plan/plan';
import { planOf } from '$lib/server/records/plan-days';
import { applyTemplate } from '$lib/server/training/plan/template';
import { buildTestSession } from '$lib/server/training/plan/benchmark-session';
import { loadRoll } from '$lib/server/done/attendance/roll';
import { createSession, saveSession, versionById, versionsOf } from '$lib/server/training/session/sessions';
import { refusal } from '../support/refusal';
import {
	body,
	makeCoach,
	makeWorld,
	SMALL,
	testContext,
	type TestContext,
	type World
} from '../support/context';

let context: TestContext;
let world: World;
async function begin() {
	context = await testContext();
	// Monday of week 1 in Europe; day 1 is released, day 2 nowhere before 10:00 UTC.
	context.at('2026-11-23T07:00:00Z');
	world = await makeWorld(context);
}
const end = () => context.db.close();

const open = async (): Promise<OpenPlan> =>
	openPlan(context, await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer'));
const save = async (change: (plan: Plan, opened: OpenPlan) => unknown, revision?: number) => {
	const opened = await open();
	return savePlan(context, world.challenge, {
		revision: revision ?? opened.revision,
		plan: change(opened.plan, opened)
	});
};
const days = () => planOf(context.db, world.challenge);
const repsOn = async (day: number) => {
	const planned = (await days())[day - 1];
	const { body: sent } = await versionById(context.db, planned!.versionId!);
	return sent.blocks[0]?.parts[0]?.target;
};
const MORE = newRule('more', { exercise: 'Squat' }, [{ kind: 'reps', reps: 2 }]);
const withRule = (plan: Plan): Plan => ({ ...plan, rules: [MORE] });

describe('a plan', () => {
	beforeEach(begin);
	afterEach(end);

	it('comes back as it was saved', async () => {
		const before = await open();
		expect(before).toMatchObject({ releasedTo: 1, revision: 2 });
		const test = newBenchmark('t', 'Plank', 'Plank', 'longest hold');
		const next = {
			...putDays(before.plan, [3], { kind: 'test', effort: 8, tests: ['t'] }),
			tests: [test],
			rules: [MORE],
			deload: { every: 2, keep: 0.5 },
			audience: { level: 'beginner', items: ['mat'], heaviestKg: 8, conditions: [] }
		};
		expect(await save(() => next)).toBe(3);
		expect((await open()).plan).toEqual(next);
	});

	it('sends what its rules make of a session, under the name of its version', async () => {
		await save(withRule);
		expect(await repsOn(5)).toEqual({ kind: 'reps', reps: 10 });
		expect(await repsOn(8)).toEqual({ kind: 'reps', reps: 12 });
		const plan = await days();
		expect(plan[7]).toMatchObject({ session: 'Small', version: 1 });
		// The same form is one row, however many days send it, and is no version that one could choose.
		expect(new Set(plan.slice(7, 12).map((day) => day.versionId)).size).toBe(1);
		expect(await versionsOf(context.db, world.session.id)).toHaveLength(1);
		await save((p) => ({ ...p, rules: [] }));
		expect(await repsOn(8)).toEqual({ kind: 'reps', reps: 10 });
		const rows = await context.db.query('select 1 from session_version where made_from is not null');
		expect(rows).toHaveLength(0);
	});

	it('leaves nothing behind of what its rules made for days that are gone', async () => {
		await save(withRule);
		const made = async () =>
			(await context.db.query('select 1 from session_version where made_from is not null')).length;
		expect(await made()).toBeGreaterThan(0);
		await save((p) => ({ ...p, days: p.days.map((day, i) => (i < 1 ? day : REST_DAY)) }));
		expect(await made()).toBe(0);
	});

	it('goes over to a new version of a session with its rules, on days that are not out', async () => {
		await save(withRule);
		await saveSession(context, world.coach.id, world.session.id, {
			name: 'Small',
			body: body(SMALL.replace('3 x 10', '3 x 15')),
			basedOn: 1
		});
		expect(await Promise.all([1, 2, 8].map(repsOn))).toEqual([
			{ kind: 'reps', reps: 10 },
			{ kind: 'reps', reps: 15 },
			{ kind: 'reps', reps: 17 }
		]);
		const { plan, sessions } = await open();
		expect(plan.days[0]?.session).toBe(`${world.session.id}@1`);
		expect(sessions.find(({ key }) => key === plan.days[0]?.session)?.name).toBe('Small, version 1');
		// Saved as it was opened, the older version stays where it is.
		await save((p) => p);
		expect(await repsOn(1)).toEqual({ kind: 'reps', reps: 10 });
	});

	it('keeps what was sent on released days, and what was done', async () => {
		await save(withRule);
		context.at('2026-12-01T09:00:00Z');
		const person = world.people[0]!;
		await checkIn(context, person, {
			id: '11111111-1111-4111-8111-111111111111',
			day: 8,
			done: 'all',
			effort: 6,
			energy: 3,
			sleepHours: null,
			hurts: null,
			note: null
		});
		await save((p) => ({ ...p, rules: [{ ...MORE, steps: [{ kind: 'reps', reps: 5 }] }] }));
		expect(await repsOn(8)).toEqual({ kind: 'reps', reps: 12 });
		expect(await repsOn(11)).toEqual({ kind: 'reps', reps: 15 });
		const [done] = await checkinsOf(context, person.enrolmentId, context.clock.now());
		expect(done).toMatchObject({ day: 8, session: 'Small', version: 1, credit: 1 });
	});

	it('does not throw away what somebody may have seen, when an out day is laid anew', async () => {
		await save(withRule);
		context.at('2026-12-01T09:00:00Z');
		const seen = (await days())[7]?.versionId;
		await save((p) => ({ ...putDays(p, [8, 9], { kind: 'rest' }), rules: [] }));
		expect((await days())[7]?.versionId).toBeNull();
		expect((await versionById(context.db, seen!)).name).toBe('Small');
	});

	it('takes days in and gives days up, but not released ones', async () => {
		await save((p) => insertDays(p, 3, 2));
		expect((await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer')).days).toBe(16);
		expect((await days()).map((day) => day.kind).slice(0, 6)).toEqual([
			'train',
			'train',
			'rest',
			'rest',
			'train',
			'train'
		]);
		await save((p) => ({ ...p, days: p.days.slice(0, 10) }));
		expect(await days()).toHaveLength(10);
		context.at('2026-11-30T12:00:00Z');
		expect(await refusal(save((p) => ({ ...p, days: p.days.slice(0, 7) })))).toMatchObject({ status: 409 });
		expect(await days()).toHaveLength(10);
	});

	it('holds days for all with their reason, and lets them go on', async () => {
		const { challenge, people } = world;
		const person = people[0]!;
		await takeDaysOff(context, challenge, {
			how: 'cancel',
			days: [1, 2],
			reason: 'Storm over the ridge'
		});
		expect((await days()).slice(0, 3).map((day) => day.cancelled)).toEqual([
			'Storm over the ridge',
			'Storm over the ridge',
			null
		]);
		expect(await openDay(context, person, 1)).toMatchObject({
			cancelled: 'Storm over the ridge',
			state: 'cancelled',
			credit: 0
		});
		const roll = await loadRoll(context.db, challenge, await days(), context.clock.now());
		expect(roll.group.due).toBe(0);
		// A saved plan leaves it as it is: what is held is the date.
		await save((p) => insertDays(p, 3));
		expect((await days())[1]?.cancelled).toBe('Storm over the ridge');
		await restoreDays(context, challenge, { days: [1] });
		expect((await openDay(context, person, 1)).state).toBe('open');
		const asked = (raw: object) =>
			refusal(takeDaysOff(context, challenge, { how: 'cancel', ...raw })).then(({ status }) => status);
		expect(await asked({ days: [40], reason: 'beyond' })).toBe(400);
		expect(await asked({ days: [], reason: 'none' })).toBe(400);
		expect(await asked({ days: [1], reason: 'x'.repeat(301) })).toBe(400);
		expect(await asked({ days: [1], reason: ' ' })).toBe(400);
		expect(await asked({ days: [1], reason: 'why', how: 'burn' })).toBe(400);
	});

	it('takes a shape with sessions of its own, and those that are there as they are', async () => {
		const { challenge } = world;
		expect((await refusal(applyTemplate(context, challenge, 'five-two-28'))).status).toBe(409);
		await save((p) => ({ ...p, days: p.days.map((day) => ({ ...day, session: null })) }));
		await applyTemplate(context, challenge, 'five-two-28');
		const { plan, sessions } = await open();
		expect(plan.days).toHaveLength(28);
		expect(plan.rules.length).toBeGreaterThan(0);
		const sent = await days();
		expect(sent.filter((day) => day.kind === 'train').every((day) => day.sessionId !== null)).toBe(true);
		await save((p) => ({ ...p, days: p.days.map((day) => ({ ...day, session: null })) }));
		await applyTemplate(context, challenge, 'six-weeks-four');
		const later = await open();
		expect(later.plan.days).toHaveLength(42);
		expect(later.sessions.filter(({ name }) => name === 'Legs and pull')).toHaveLength(1);
		expect(sessions.length).toBeLessThan(later.sessions.length);
		expect(await refusal(applyTemplate(context, challenge, 'toString'))).toMatchObject({
			status: 404
		});
	});

	it('has a session built that takes its tests', async () => {
		const tests = [newBenchmark('t', 'Plank', 'Plank', 'longest hold')];
		expect(await buildTestSession(context, world.coach.id, tests)).toBe('Test day');
		expect(await buildTestSession(context, world.coach.id, tests)).toBe('Test day 2');
		for (const wrong of [[], null, [{ ...tests[0], measure: 'a guess' }]])
			expect((await refusal(buildTestSession(context, world.coach.id, wrong))).status).toBe(400);
	});

	it('is not written over by a window that began from an older one', async () => {
		const { revision } = await open();
		await save(withRule);
		const refused = await refusal(save((p) => p, revision));
		expect(refused).toMatchObject({ status: 409 });
		expect((await open()).plan.rules).toHaveLength(1);
	});
});

describe('a plan that is refused', () => {
	beforeAll(begin);
	afterAll(end);

	it.each<[string, (plan: Plan) => unknown, RegExp]>([
		['200 days', (p) => ({ ...p, days: Array(200).fill(REST_DAY) }), /at most 84 days/],
		['no day', (p) => ({ ...p, days: [] }), /at least one day/],
		[
			'a rest day with a session',
			(p) => ({ ...p, days: p.days.map((d) => ({ ...d, kind: 'rest' })) }),
			/rest day has no session/
		],
		['an effort of 11', (p) => putDays(p, [1], { effort: 11 }), /0 to 10/],
		['a rule without a step', (p) => ({ ...p, rules: [{ ...MORE, steps: [] }] }), /at least one step/],
		[
			'a step of no kilograms',
			(p) => ({ ...p, rules: [{ ...MORE, steps: [{ kind: 'load', kg: 0 }] }] }),
			/above 0/
		],
		[
			'a step of another kind',
			(p) => ({ ...p, rules: [{ ...MORE, steps: [{ kind: 'valueOf' }] }] }),
			/there are double, load, reps/
		],
		['a lighter week that keeps all', (p) => ({ ...p, deload: { every: 4, keep: 1 } }), /10 to 90 %/],
		['a lighter week every week', (p) => ({ ...p, deload: { every: 1, keep: 0.5 } }), /2 to 12/],
		['no plan at all', () => null, /./],
		[
			'the session of nobody',
			(p) => putDays(p, [2], { session: '22222222-2222-4222-8222-222222222222' }),
			/not there any more/
		],
		['a session that is no id', (p) => putDays(p, [2], { session: "x' or 1=1" }), /not there any more/]
	])('with %s is refused, and nothing is written', async (_, change, message) => {
		const before = await open();
		const { status, message: said } = await refusal(save(change));
		expect(status).toBeGreaterThanOrEqual(400);
		expect(said).toMatch(message);
		expect(await open()).toEqual(before);
	});

	it('of another coach is not there, nor her sessions', async () => {
		const other = await makeCoach(context, 'Other');
		const { revision } = await open();
		expect(await refusal(savePlan(context, world.challenge, { revision, plan: EMPTY_PLAN }))).toMatchObject({
			status: 400
		});
		for (const id of [world.challenge.id, 'nonsense'])
			expect((await refusal(challengeOf(context.db, other.id, id, 'viewer'))).status).toBe(404);
		const theirs = await createSession(context, other.id, { name: 'Theirs', body: body(SMALL) });
		expect(await refusal(save((p) => putDays(p, [2], { session: theirs.id })))).toMatchObject({
			status: 404
		});
	});
});

describe('days that do not go as planned', () => {
	beforeEach(begin);
	afterEach(end);

	const off = (raw: object) => takeDaysOff(context, world.challenge, { reason: 'Storm', days: [3], ...raw });
	const told = async () =>
		upFor(await allAnnouncements(context, world.challenge.id), [], context.clock.now()).map(
			({ text }) => text
		);
	const states = async (person: number) => {
		const { rows } = await loadRoll(context.db, world.challenge, await days(), context.clock.now());
		const row = rows.find((one) => one.person.id === world.people[person]!.enrolmentId);
		return row!.days.map(({ state }) => state);
	};

	it('excuse everybody who has not done them, and say so', async () => {
		const [first] = world.people;
		await checkIn(context, first!, { id: context.ids.uuid(), day: 1, done: 'all' });
		await off({ how: 'excuse', days: [1], tell: true });
		expect((await states(0))[0]).toBe('done');
		expect((await states(1))[0]).toBe('excused');
		expect(await excusedTogether(context.db, world.challenge.id)).toEqual([
			{ day: 1, reason: 'Storm', people: 2 }
		]);
		expect(await told()).toEqual([
			'Everybody is excused from day 1 (Mon 23 Nov): Storm. What you did counts all the same.'
		]);
		await unexcuseTogether(context, world.challenge, { day: 1, reason: 'Storm' });
		expect((await states(1))[0]).toBe('open');
		expect((await states(0))[0]).toBe('done');
	});

	it('shift what is ahead: rest comes in, held with its reason, and the end moves', async () => {
		const before = await days();
		await off({ how: 'shift', days: [3, 4], tell: true });
		const after = await days();
		expect(after).toHaveLength(16);
		expect(after.slice(2, 4).map(({ kind, cancelled }) => [kind, cancelled])).toEqual([
			['rest', 'Storm'],
			['rest', 'Storm']
		]);
		expect(after.slice(4).map(({ kind, sessionId }) => [kind, sessionId])).toEqual(
			before.slice(2).map(({ kind, sessionId }) => [kind, sessionId])
		);
		expect(await told()).toEqual([
			'2 days of rest from day 3 (Wed 25 Nov) on: Storm. Everything after comes 2 days later; the last day is now Tue 8 Dec.'
		]);
	});

	it('refuse a shift of what is released or beyond twelve weeks, and keep everything as it was', async () => {
		const before = await days();
		expect(await refusal(off({ how: 'shift', days: [1], tell: true }))).toMatchObject({
			status: 409,
			message: 'Day 1 is released already and stays where it is: cancel it instead.'
		});
		await save((plan) => ({ ...plan, days: [...plan.days, ...Array<typeof REST_DAY>(69).fill(REST_DAY)] }));
		expect((await refusal(off({ how: 'shift', days: [3, 4], tell: true }))).status).toBe(400);
		expect((await days()).slice(0, 14)).toEqual(before);
		expect(await told()).toEqual([]);
	});

	it('are told of for a week, and an announcement of a day waits for it', async () => {
		const { challenge } = world;
		await postAnnouncement(context, challenge, { text: ' Halfway on Friday ' });
		await postAnnouncement(context, challenge, { text: 'Test tomorrow', day: 5 });
		expect(await told()).toEqual(['Halfway on Friday']);
		context.at('2026-11-27T04:30:00Z');
		expect(await told()).toEqual(['Test tomorrow', 'Halfway on Friday']);
		context.at('2026-12-01T12:00:00Z');
		expect(await told()).toEqual(['Test tomorrow']);
		const [announcement] = await allAnnouncements(context, challenge.id);
		expect((await refusal(removeAnnouncement(context.db, challenge, 'nonsense'))).status).toBe(404);
		await removeAnnouncement(context.db, challenge, announcement!.id);
		expect(await told()).toEqual([]);
		for (const raw of [{ text: ' ' }, { text: 'x'.repeat(601) }, { text: 'x', day: 15 }])
			expect((await refusal(postAnnouncement(context, challenge, raw))).status).toBe(400);
	});

	it('are refused when so many wait that those of today would not be shown', async () => {
		for (let i = 0; i < 200; i++) await postAnnouncement(context, world.challenge, { text: `${i}`, day: 5 });
		const full = await refusal(postAnnouncement(context, world.challenge, { text: 'Today' }));
		expect([full.status, full.message]).toEqual([
			409,
			'200 announcements are up or waiting. Take one down before you post another.'
		]);
	});
});
