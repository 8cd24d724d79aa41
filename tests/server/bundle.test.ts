import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { newRule, newBenchmark, putDays, type Plan } from '$core/plan';
import { bundleText, type Bundle } from '$lib/server/edge/exports/bundle/bundle';
import { exportBundle } from '$lib/server/edge/exports/bundle/export-bundle';
import { readBundle } from '$lib/server/edge/exports/bundle/read-bundle';
import { importBundle } from '$lib/server/edge/exports/bundle/import-bundle';
import { challengeOf, challengesOf } from '$lib/server/records/challenge';
import { createExercise } from '$lib/server/training/exercise/exercises';
import { ownExercises } from '$lib/server/records/library';
import { practiceOf } from '$lib/server/records/practice';
import { takeDaysOff } from '$lib/server/training/plan/days-off';
import { postAnnouncement, messagesOf } from '$lib/server/training/challenge/announcements';
import { openPlan, savePlan } from '$lib/server/training/plan/plan';
import type { CoachId } from '$lib/server/platform/ids';
import { planOf } from '$lib/server/records/plan-days';
import { createSession, saveSession, sessionsOf, versionById } from '$lib/server/training/session/sessions';
import { BEAM } from '../support/beam';
import { refusal } from '../support/refusal';
import { body, makeCoach, makeWorld, testContext, type TestContext, type World } from '../support/context';

/** By letters as they are coded, in which ä comes after Z. */
const MESSAGES = ['Halfway: well carried', 'Zelt packen', 'ähnlich weiter'].map((text) => ({ day: 7, text }));

let context: TestContext;
let world: World;

/** A plan with everything that a bundle carries: versions, own exercises, rules of all kinds, tests, messages. */
async function furnish() {
	const { coach, challenge, session } = world;
	await createExercise(context, coach.id, { ...BEAM, easier: 'Plank lift' });
	await createExercise(context, coach.id, { ...BEAM, name: 'Plank lift' });
	await createExercise(context, coach.id, { ...BEAM, name: 'Not used' });
	const beam = await createSession(context, coach.id, {
		name: 'Beams',
		body: body('3 x 8 Beam lift @ 20 kg, rest 60')
	});
	const { plan, revision } = await openPlan(
		context,
		await challengeOf(context.db, coach.id, challenge.id, 'viewer')
	);
	const next: Plan = {
		...putDays(putDays(plan, [6], { kind: 'train', session: beam.id, effort: 7.5 }), [1, 12], {
			kind: 'test',
			tests: ['t']
		}),
		rules: [
			newRule('r1', { exercise: 'Squat' }, [{ kind: 'reps', reps: 2 }]),
			newRule('r2', { session: beam.id, block: 0, part: 0 }, [{ kind: 'load', kg: 2.5 }], { until: 3 }),
			newRule('r3', { exercise: 'beam lift' }, [{ kind: 'double', top: 12, kg: 1 }])
		],
		deload: { every: 2, keep: 0.6 },
		tests: [newBenchmark('t', 'Plank', 'Plank', 'longest hold')],
		audience: { level: 'trained', items: ['mat'], heaviestKg: 22.5, conditions: [] }
	};
	await savePlan(context, challenge, { revision, plan: next });
	// Released days keep version 1 of the session, the rest go over to version 2.
	await saveSession(context, coach.id, session.id, {
		name: 'Small',
		body: body('4 x 10 squat, rest 45'),
		tags: ['legs'],
		basedOn: 1
	});
	await postAnnouncement(context, challenge, { text: 'Halfway: well carried', day: 7 });
	await postAnnouncement(context, challenge, { text: 'ähnlich weiter', day: 7 });
	await postAnnouncement(context, challenge, { text: 'Zelt packen', day: 7 });
	await takeDaysOff(context, challenge, { how: 'cancel', days: [9], reason: 'Storm', tell: true });
}
const bundle = (): Promise<Bundle> => exportBundle(context, world.challenge);
const readIn = async (coachId: CoachId, text: string) =>
	readBundle(text, await practiceOf(context.db, coachId));
const START = { name: 'Hut weeks', startsOn: '2026-11-23' };

describe('a challenge as a file', () => {
	beforeEach(async () => {
		context = await testContext();
		context.at('2026-11-23T07:00:00Z');
		world = await makeWorld(context);
		await furnish();
	});
	afterEach(() => context.db.close());

	it('holds the plan and what it needs, and nothing of this time or of any person', async () => {
		const out = await bundle();
		expect(out.exercises.map(({ name }) => name)).toEqual(['Beam lift', 'Plank lift']);
		expect(out.sessions.map(({ name, versions }) => [name, versions.length])).toEqual([
			['Beams', 1],
			['Small', 2]
		]);
		expect(out.plan.days.slice(0, 3).map((day) => day.session)).toEqual(['s2@1', 's2', 's2']);
		expect(out.plan.rules[1]?.on).toEqual({ session: 's1', block: 0, part: 0 });
		expect(out.plan.rules[2]?.on).toEqual({ exercise: 'Beam lift' });
		expect(out.messages).toEqual(MESSAGES);
		const text = bundleText(out);
		expect(text).not.toMatch(/Storm|Person \d|@example/);
	});

	it('comes back letter by letter from the installation that took it in', async () => {
		const text = bundleText(await bundle());
		const there = await testContext();
		there.at('2026-11-23T07:00:00Z');
		const coach = await makeCoach(there, 'Elsewhere');
		const { bundle: read, faults, unknown } = readBundle(text, await practiceOf(there.db, coach.id));
		expect(faults).toEqual([]);
		expect(unknown).toEqual([]);
		const id = await importBundle(there, coach.id, read!, START);
		expect(bundleText(await exportBundle(there, await challengeOf(there.db, coach.id, id, 'viewer')))).toBe(
			text
		);
		// And it sends the same sessions, with what the rules make of them.
		const bodies = async (c: TestContext, coachId: CoachId, challengeId: string) => {
			const plan = await planOf(c.db, await challengeOf(c.db, coachId, challengeId, 'viewer'));
			return Promise.all(
				plan.map(async ({ versionId }) => versionId && (await versionById(c.db, versionId)).body)
			);
		};
		expect(await bodies(there, coach.id, id)).toEqual(
			await bodies(context, world.coach.id, world.challenge.id)
		);
		await there.db.close();
	});

	it('used again by the same coach brings no session or exercise a second time', async () => {
		const before = (await sessionsOf(context.db, world.coach.id)).map(({ name }) => name);
		const { bundle: read } = await readIn(world.coach.id, bundleText(await bundle()));
		const id = await importBundle(context, world.coach.id, read!, { name: 'Again', startsOn: '2027-01-04' });
		// Small has two versions on its days, so that it comes as a session of its own.
		expect((await sessionsOf(context.db, world.coach.id)).map(({ name }) => name)).toEqual(
			[...before, 'Small 2'].sort()
		);
		expect(await ownExercises(context.db, world.coach.id)).toHaveLength(3);
		const again = await challengeOf(context.db, world.coach.id, id, 'viewer');
		expect(again).toMatchObject({ name: 'Again', startsOn: '2027-01-04', days: 14, lateWorth: 0.5 });
		expect(await messagesOf(context.db, again)).toEqual(expect.arrayContaining(MESSAGES));
		const plan = await planOf(context.db, again);
		expect(plan.every(({ cancelled }) => cancelled === null)).toBe(true);
	});

	it('leaves alone what is here under its name and says another thing', async () => {
		const coach = await makeCoach(context, 'Other');
		await createExercise(context, coach.id, { ...BEAM, cues: ['Another cue'] });
		await createSession(context, coach.id, { name: 'Beams', body: body('1 x 1 plank, rest 0') });
		const { bundle: read } = await readIn(coach.id, bundleText(await bundle()));
		const id = await importBundle(context, coach.id, read!, START);
		const out = await exportBundle(context, await challengeOf(context.db, coach.id, id, 'viewer'));
		expect(out.sessions.map(({ name }) => name)).toEqual(['Beams 2', 'Small']);
		expect(out.exercises.map(({ name }) => name)).toEqual(['Beam lift 2', 'Plank lift']);
		expect(out.sessions[0]?.versions[0]?.blocks[0]?.parts[0]?.exercise).toBe('Beam lift 2');
		expect(out.plan.rules[2]?.on).toEqual({ exercise: 'Beam lift 2' });
	});

	it('is taken in whole or not at all', async () => {
		const coach = await makeCoach(context, 'Other');
		const { bundle: read } = await readIn(coach.id, bundleText(await bundle()));
		expect(
			(await refusal(importBundle(context, coach.id, read!, { ...START, startsOn: '2020-01-01' }))).status
		).toBe(400);
		expect(await challengesOf(context.db, coach.id, 'viewer')).toEqual([]);
		expect(await sessionsOf(context.db, coach.id)).toEqual([]);
		expect(await ownExercises(context.db, coach.id)).toEqual([]);
	});

	it('is another coach’s for nobody', async () => {
		const other = await makeCoach(context, 'Other');
		expect((await refusal(challengeOf(context.db, other.id, world.challenge.id, 'viewer'))).status).toBe(404);
	});

	it('says of an exercise that nobody knows that it is kept by name', async () => {
		const text = bundleText(await bundle()).replaceAll('"Squat"', '"Troll squat"');
		expect(await readIn(world.coach.id, text)).toMatchObject({ faults: [], unknown: ['Troll squat'] });
	});
});
