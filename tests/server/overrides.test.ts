import { describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { pause, pausesOf, removePause } from '$lib/server/done/attendance/excuses';
import { addOverride, removeOverride, revokeOverrides } from '$lib/server/changes/overrides';
import { overridesOf } from '$lib/server/records/overrides';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { coachPacket } from '$lib/server/edge/exports/packet';
import { BY_COACH, ownPersonOf, sharedWorld } from '../support/context';
import { refusal } from '../support/refusal';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');

const own = (i = 0) => ownPersonOf(context, world, world.people[i]!.enrolmentId);
const WALL = {
	target: { kind: 'exercise', exercise: 'Squat' },
	change: { kind: 'replace', exercise: 'Wall sit' },
	fromDay: 2,
	toDay: 3,
	why: 'knee'
};
const exercisesOn = async (day: number, i = 0) =>
	(await openDay(context, world.people[i]!, day)).session?.asked.map(({ exercise }) => exercise);

describe('what is different for one person', () => {
	it('is theirs alone, on its days alone, on every page and on paper', async () => {
		await addOverride(context, await own(), BY_COACH, WALL);
		expect(await exercisesOn(1)).toEqual(['Squat', 'Plank']);
		expect(await exercisesOn(2)).toEqual(['Wall sit', 'Plank']);
		expect(await exercisesOn(2, 1)).toEqual(['Squat', 'Plank']);
		expect((await openDay(context, world.people[0]!, 2)).session?.changes).toEqual([
			{ from: 'Squat', to: 'Wall sit', why: 'knee' }
		]);
		const { days } = await coachPacket(context, world.challenge, await own(), false);
		expect(days.map(({ day, session }) => [day, session?.asked[0]?.exercise])).toEqual([
			[1, 'Squat'],
			[2, 'Wall sit'],
			[3, 'Wall sit']
		]);
	});

	it('counts in what is owed: half of it done in full is all', async () => {
		await addOverride(context, await own(1), BY_COACH, {
			target: { kind: 'day' },
			change: { kind: 'scale', share: 0.5 },
			fromDay: 3,
			toDay: null,
			why: 'back from a cold'
		});
		const { session } = await openDay(context, world.people[1]!, 3);
		const [squat] = session?.asked ?? [];
		expect(squat).toMatchObject({ target: { reps: 5 } });
		const sets = (session?.asked ?? []).flatMap(({ block, part, sets: n, target }) =>
			Array.from({ length: n }, (_, i) => ({
				block,
				part,
				set: i + 1,
				amount: target.kind === 'reps' ? target.reps : target.kind === 'seconds' ? target.seconds : 0
			}))
		);
		const id = context.ids.uuid();
		expect(await checkIn(context, world.people[1]!, { id, day: 3, done: 'part', sets })).toMatchObject({
			credit: 1
		});
		// What was asked stays what was asked, also when the difference is taken back.
		const [row] = await context.db.query<{ prescribed: unknown[] }>(
			'select prescribed from result where id = $1',
			[id]
		);
		expect(row?.prescribed).toEqual(session?.asked);
	});

	it('stays in what was done under it, and is gone from what comes', async () => {
		const id = context.ids.uuid();
		await checkIn(context, world.people[0]!, { id, day: 3, done: 'all' });
		const [kept] = await overridesOf(context.db, world.people[0]!.enrolmentId, context.clock.now());
		context.at('2026-11-25T13:00:00Z');
		await removeOverride(context, await own(), kept!.id);
		expect(await exercisesOn(3)).toEqual(['Wall sit', 'Plank']);
		expect(await exercisesOn(2)).toEqual(['Squat', 'Plank']);
		expect((await refusal(removeOverride(context, await own(), kept!.id))).status).toBe(404);
		expect((await refusal(removeOverride(context, await own(1), kept!.id))).status).toBe(404);
	});

	it('is revoked by what it came from', async () => {
		const who = world.people[2]!;
		const [first, second] = [context.ids.uuid(), context.ids.uuid()];
		const add = async (kind: 'adaptation' | 'incident', id: string, exercise: string) =>
			addOverride(
				context,
				await own(2),
				{ kind, id },
				{
					...WALL,
					target: { kind: 'exercise', exercise },
					change: { kind: 'amount', amount: 4 }
				}
			);
		await add('adaptation', first, 'Squat');
		await add('adaptation', second, 'Squat');
		await add('incident', first, 'Squat');
		await add('incident', first, 'Plank');
		const left = async () =>
			(await overridesOf(context.db, who.enrolmentId, context.clock.now() + 1))
				.map(({ origin, target }) => [
					origin.kind,
					origin.id === first ? 1 : 2,
					target.kind === 'exercise' && target.exercise
				])
				.sort();
		await revokeOverrides(
			context.db,
			who.enrolmentId,
			{ kind: 'adaptation', id: first },
			context.clock.now()
		);
		expect(await left()).toEqual([
			['adaptation', 2, 'Squat'],
			['incident', 1, 'Plank'],
			['incident', 1, 'Squat']
		]);
		const ofExercise = { kind: 'incident', exercises: ['Squat'] } as const;
		await revokeOverrides(context.db, who.enrolmentId, ofExercise, context.clock.now());
		expect(await left()).toEqual([
			['adaptation', 2, 'Squat'],
			['incident', 1, 'Plank']
		]);
		await expect(
			context.db.query('update override set origin_id = null where enrolment_id = $1', [who.enrolmentId])
		).rejects.toThrow(/check/);
	});

	it.each([
		[
			'a tempo for a whole day',
			{ target: { kind: 'day' }, change: { kind: 'tempo', tempo: [3, 0, 1, 0] } },
			/applies to an exercise/
		],
		['a tempo of three phases', { change: { kind: 'tempo', tempo: [3, 0, 1] } }, /four numbers/],
		['an amount of nothing', { change: { kind: 'amount', amount: 0 } }, /above 0/],
		['another exercise for a whole day', { target: { kind: 'day' } }, /applies to an exercise/],
		['an exercise that is not there', { change: { kind: 'replace', exercise: 'Moon walk' } }, /no Moon walk/],
		['more than twice as much', { change: { kind: 'scale', share: 3 } }, /10 to 200 %/],
		['an end before its beginning', { toDay: 1 }, /not before the first/],
		['no reason', { why: ' ' }, /say why/i],
		['a change of no kind', { change: { kind: 'dance' } }, /there are leave out/]
	])('%s is refused', async (_, wrong, said) => {
		const { status, message } = await refusal(
			addOverride(context, await own(), BY_COACH, { ...WALL, ...wrong })
		);
		expect(status).toBe(400);
		expect(message).toMatch(said);
	});
});

describe('a pause', () => {
	it('excuses from its days, leaves what was done, and can be taken back', async () => {
		const states = async () =>
			(await standingOf(context, world.people[2]!)).days.slice(0, 5).map(({ state }) => state);
		context.at('2026-11-25T13:00:00Z');
		await checkIn(context, world.people[2]!, { id: context.ids.uuid(), day: 2, done: 'all' });
		await pause(context, await own(2), { fromDay: 1, toDay: 4, reason: 'travel' });
		expect(await states()).toEqual(['excused', 'late', 'excused', 'excused', 'ahead']);
		const [first] = await pausesOf(context.db, world.people[2]!.enrolmentId);
		expect(first).toMatchObject({ fromDay: 1, toDay: 4, reason: 'travel' });
		await removePause(context, await own(2), first!.id);
		expect((await states())[2]).toBe('open');
		expect((await refusal(pause(context, await own(2), { fromDay: 4, toDay: 2, reason: 'x' }))).status).toBe(
			400
		);
	});
});
