/** What everybody is shown alike is kept between requests: each change of it shows at once, and nothing else is read. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DEFAULT_HOUSE } from '$core/practice';
import { postAnnouncement, upFor } from '$lib/server/training/challenge/announcements';
import { changeChallenge } from '$lib/server/training/challenge/change';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { addOverride } from '$lib/server/changes/overrides';
import type { Queries } from '$lib/server/platform/db/database';
import { createExercise, retireExercise } from '$lib/server/training/exercise/exercises';
import { takeDaysOff } from '$lib/server/training/plan/days-off';
import { layDays } from '$lib/server/training/plan/plan';
import { saveHouse } from '$lib/server/training/practice/house';
import { createSession, saveSession } from '$lib/server/training/session/sessions';
import { BEAM } from '../support/beam';
import {
	BY_COACH,
	body,
	FRAME,
	makeWorld,
	ownPersonOf,
	SMALL,
	testContext,
	type TestContext,
	type World
} from '../support/context';

let context: TestContext;
let world: World;
beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
});
afterEach(() => context.db.close());

const me = () => {
	const [person] = world.people;
	if (!person) throw new Error('there is nobody');
	return person;
};
const standing = () => standingOf(context, me());
/** The statements that a piece of work sends. */
async function statements(work: (spied: TestContext) => Promise<unknown>): Promise<string[]> {
	const sent: string[] = [];
	const query = context.db.query.bind(context.db);
	const spy: Queries['query'] = (text, values) => {
		sent.push(text);
		return query(text, values);
	};
	context.db.query = spy;
	await work(context).finally(() => (context.db.query = query));
	return sent;
}

describe('a change shows at once', () => {
	it('of the frame of the challenge', async () => {
		expect((await standing()).challenge.lateWorth).toBe(0.5);
		await changeChallenge(context, world.challenge, { ...FRAME, lateWorth: 80 });
		expect((await standing()).challenge.lateWorth).toBe(0.8);
	});

	it('of the plan', async () => {
		expect((await standing()).plan[5]?.sessionId).toBeNull();
		await layDays(context, world.challenge, { days: [6], kind: 'train', sessionId: world.session.id });
		expect((await standing()).plan[5]?.sessionId).toBe(world.session.id);
		await takeDaysOff(context, world.challenge, { how: 'cancel', days: [6], reason: 'Storm', tell: false });
		expect((await standing()).plan[5]?.cancelled).toBe('Storm');
	});

	it('of a session: its name, and what it asks', async () => {
		expect((await openDay(context, me(), 2)).session).toMatchObject({ name: 'Small' });
		const more = { name: 'Smaller', body: body('2 x 10 squat, rest 60'), basedOn: 1 };
		await saveSession(context, world.coach.id, world.session.id, more);
		expect((await openDay(context, me(), 2)).session?.name).toBe('Smaller');
		await layDays(context, world.challenge, { days: [4], kind: 'train', sessionId: world.session.id });
		context.at('2026-11-27T12:00:00Z');
		expect((await openDay(context, me(), 4)).session?.asked.map(({ exercise }) => exercise)).toEqual([
			'Squat'
		]);
	});

	it('of the house rules and of the library', async () => {
		expect((await standing()).practice.house.stretchHold).toBe(DEFAULT_HOUSE.stretchHold);
		await saveHouse(context.db, world.coach.id, { ...DEFAULT_HOUSE, stretchHold: 45 });
		expect((await standing()).practice.house.stretchHold).toBe(45);
		expect((await standing()).practice.library.find('Beam lift')).toBeNull();
		const id = await createExercise(context, world.coach.id, BEAM);
		expect((await standing()).practice.library.find('Beam lift')).toMatchObject({ retired: false });
		await retireExercise(context, world.coach.id, id, true);
		expect((await standing()).practice.library.find('Beam lift')).toMatchObject({ retired: true });
	});

	it('of the announcements, and each goes up in its time', async () => {
		const up = async () => {
			const { announcements, days } = await standing();
			return upFor(announcements, days, context.clock.now()).map(({ text }) => text);
		};
		expect(await up()).toEqual([]);
		await postAnnouncement(context, world.challenge, { text: 'Bring gloves', day: null, once: true });
		await postAnnouncement(context, world.challenge, { text: 'Halfway', day: 8, once: true });
		expect(await up()).toEqual(['Bring gloves']);
		context.at('2026-11-30T12:00:00Z');
		expect(await up()).toEqual(['Halfway', 'Bring gloves']);
		context.at('2026-12-03T12:00:00Z');
		expect(await up()).toEqual(['Halfway']);
	});

	it('of what is different for one person, and for nobody else', async () => {
		expect((await openDay(context, me(), 2)).session?.changes).toEqual([]);
		await addOverride(context, await ownPersonOf(context, world, me().enrolmentId), BY_COACH, {
			target: { kind: 'exercise', exercise: 'Plank' },
			change: { kind: 'leave out' },
			fromDay: 2,
			toDay: null,
			why: 'Shoulder'
		});
		const exercises = async (person = me()) =>
			(await openDay(context, person, 2)).session?.asked.map(({ exercise }) => exercise);
		expect(await exercises()).toEqual(['Squat']);
		expect(await exercises(world.people[1])).toEqual(['Squat', 'Plank']);
	});
});

describe('while nothing changes', () => {
	it('a day costs one statement, whoever of the challenge asks', async () => {
		const open = (spied: TestContext, person = me()) => openDay(spied, person, 2);
		expect((await statements(open)).length).toBeGreaterThan(5);
		expect(await statements(open)).toHaveLength(1);
		expect(await statements((spied) => open(spied, world.people[1]))).toHaveLength(1);
	});

	it('is read again once, and only where its own coach changed something', async () => {
		await standing();
		const other = await createSession(context, world.coach.id, { name: 'Other', body: body(SMALL) });
		expect((await statements(standing)).length).toBeGreaterThan(1);
		expect(await statements(standing)).toHaveLength(1);
		await context.db.query('update session_version set seconds = seconds where id = $1', [other.versionId]);
		expect(await statements(standing)).toHaveLength(1);
	});
});
