import { beforeEach, describe, expect, it } from 'vitest';
import type { IntakeSections } from '$contracts/intake';
import { STANDARD } from '$core/exercise';
import { LIMITATIONS, withinLimits } from '$core/kit';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { challengeOf } from '$lib/server/records/challenge';
import { openDay } from '$lib/server/done/day/own-day';
import { addOverride } from '$lib/server/changes/overrides';
import { matrixOf, sessionAs, isOver } from '$lib/server/training/fit/fit';
import { changePerson } from '$lib/server/people/change';
import { asPerson, enrolmentById } from '$lib/server/records/enrolments';
import { finishIntake } from '$lib/server/people/intake';
import { layDays } from '$lib/server/training/plan/plan';
import { randomIds } from '$lib/server/platform/ids';
import { createSession } from '$lib/server/training/session/sessions';
import { BY_COACH, body, ownPersonOf, sharedWorld } from '../support/context';
import { ANSWERS, unanswered } from '../support/intake';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo] = world.people;
const own = () => ownPersonOf(context, world, oslo!.enrolmentId);
const me = async () => asPerson(await enrolmentById(context.db, oslo!.enrolmentId));
const finish = (more: Partial<IntakeSections> = {}) =>
	finishIntake(context, oslo!.participantId, 'participant', { ...ANSWERS, ...more }, randomIds.uuid());

beforeEach(async () => {
	context.at('2026-11-25T12:00:00Z');
	await unanswered(context.db, oslo!.participantId);
});

describe('what each gets', () => {
	const row = async (day = 3, asOf = context.clock.now()) => {
		const matrix = await matrixOf(
			context,
			await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer'),
			day,
			asOf
		);
		return matrix?.people.find((one) => one.id === oslo!.enrolmentId);
	};

	it('is the session as planned for whoever nothing speaks against', async () => {
		await finish({ kit: { ...ANSWERS.kit, none: true, owned: [] } });
		expect(await row()).toMatchObject({ differs: false, over: false, answered: true, minutes: 30 });
	});

	it('is another exercise where a limit asks for it, the same on the page, in the matrix and on the check-in', async () => {
		await finish({ body: { ...ANSWERS.body, floor: 'rather not' } });
		const found = await row();
		expect(found?.row.cells).toMatchObject([
			{ exercise: 'Squat', kind: 'same' },
			{ exercise: 'Chair plank', kind: 'exercise', why: 'no floor, so chair plank' }
		]);
		const shown = (await openDay(context, await me(), 3)).session;
		expect(shown?.changes).toEqual([{ from: 'Plank', to: 'Chair plank', why: 'no floor, so chair plank' }]);
		expect(shown?.asked.map(({ exercise }) => exercise)).toEqual(['Squat', 'Chair plank']);
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		const as = await sessionAs(context, challenge, await own(), 3);
		expect(as?.own?.changes).toEqual(shown?.changes);
		expect(as?.own?.timeline.totals.duration).toBe(found?.row.seconds);
	});

	it('for somebody with every limit at once is what can be done seated, or a clear word that nothing is left', async () => {
		await changePerson(context, await own(), {
			name: 'Person 1',
			zone: 'Europe/Oslo',
			level: 'beginner',
			equipment: 'chair',
			limits: [...LIMITATIONS]
		});
		const found = await row();
		expect(found?.row.nothing).toBe(false);
		for (const cell of found?.row.cells ?? []) {
			const exercise = cell.exercise === null ? null : STANDARD.find(cell.exercise);
			if (exercise) expect(withinLimits(exercise, LIMITATIONS)).toBe(true);
			else expect(cell.why).toMatch(/^No safe alternative/);
		}
		// This asks for one stretch, and nobody whose arms stay down can do anything like it.
		const lat = await createSession(context, world.coach.id, {
			name: 'Lats',
			body: body('2 x 30 s lat stretch, rest 60')
		});
		await layDays(context, world.challenge, { days: [3], kind: 'train', sessionId: lat.id });
		expect((await row())?.row).toMatchObject({ nothing: true, unfit: [], seconds: 0 });
		expect(await openDay(context, await me(), 3)).toMatchObject({ session: null, nothingLeft: true });
		await layDays(context, world.challenge, { days: [3], kind: 'train', sessionId: world.session.id });
	});

	it('leaves the coach’s word for one person above what suits', async () => {
		await finish({ body: { ...ANSWERS.body, floor: 'rather not' } });
		await addOverride(context, await own(), BY_COACH, {
			target: { kind: 'exercise', exercise: 'Plank' },
			change: { kind: 'replace', exercise: 'Wall plank' },
			fromDay: 3,
			toDay: 3,
			why: 'step by step'
		});
		expect((await row(3))?.row.cells[1]).toMatchObject({ exercise: 'Wall plank', why: 'step by step' });
		expect((await row(4))?.row.cells[1]).toMatchObject({ exercise: 'Chair plank' });
	});

	it('of a day that was done stays what it was, whatever is answered later', async () => {
		context.at('2026-11-23T12:00:00Z');
		await checkIn(context, await me(), { id: randomIds.uuid(), day: 1, done: 'all' });
		context.at('2026-11-25T12:00:00Z');
		await finish({ body: { ...ANSWERS.body, floor: 'rather not' } });
		const names = async (day: number) =>
			(await openDay(context, await me(), day)).session?.asked.map(({ exercise }) => exercise);
		expect(await names(1)).toEqual(['Squat', 'Plank']);
		expect(await names(3)).toEqual(['Squat', 'Chair plank']);
		expect((await row(1, Date.parse('2026-11-23T13:00:00Z')))?.differs).toBe(false);
		expect((await row(1))?.differs).toBe(true);
		await context.db.query('delete from result');
	});

	it('is over the time of whoever has less, and a minute is no matter', async () => {
		await finish({ training: { ...ANSWERS.training, minutes: 5 } });
		const found = await row();
		expect(found).toMatchObject({ over: isOver(found!.row.seconds, 5), minutes: 5 });
		expect([6, 7, 8].map((minutes) => isOver(minutes * 60, 6))).toEqual([false, false, true]);
	});

	it('is nothing on a day without a session', async () => {
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		expect(await matrixOf(context, challenge, 6, context.clock.now())).toBeNull();
		expect(await sessionAs(context, challenge, await own(), 6)).toBeNull();
	});
});
