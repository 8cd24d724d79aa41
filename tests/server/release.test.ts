import { expect, it } from 'vitest';
import { excuse, pause } from '$lib/server/done/attendance/excuses';
import { rollRow } from '$lib/server/done/attendance/roll';
import { notReleasedOf, openingsOf } from '$lib/server/contact/desk/desk';
import { matrixOf } from '$lib/server/training/fit/fit';
import { enrolmentsOf } from '$lib/server/records/enrolments';
import { planOf } from '$lib/server/records/plan-days';
import { makeWorld, ownPersonOf, testContext } from '../support/context';

it('a release names who does not get it, and why, and leaves them out of its hours', async () => {
	const context = await testContext();
	context.at('2026-11-25T12:00:00Z');
	const world = await makeWorld(context, { waitsForAnswers: true });
	const [held, excused, paused] = world.people;
	// The questions of two are answered: nothing holds them.
	await context.db.query("update enrolment set holds = '[]' where id = any($1::uuid[])", [
		[excused!.enrolmentId, paused!.enrolmentId]
	]);
	const own = (id: string) => ownPersonOf(context, world, id);
	await excuse(context, await own(excused!.enrolmentId), { days: [4], reason: 'travels' });
	await pause(context, await own(paused!.enrolmentId), { fromDay: 4, toDay: 5, reason: 'ill' });
	const now = context.clock.now();
	const plan = await planOf(context.db, world.challenge);
	const rows = (await enrolmentsOf(context.db, world.challenge.id)).map((one) =>
		rollRow(one, world.challenge, plan, now)
	);
	const names = (day: number) => notReleasedOf(rows, day, now).map(({ name, why }) => [name, why]);
	expect(names(4)).toEqual([
		['Person 1', 'questions'],
		['Person 2', 'excused'],
		['Person 3', 'paused']
	]);
	expect(names(8)).toEqual([['Person 1', 'questions']]);
	expect(openingsOf(rows, 4, now)).toEqual([]);
	expect(
		openingsOf(rows, 8, now)
			.flatMap(({ people }) => people.map(({ name }) => name))
			.sort()
	).toEqual(['Person 2', 'Person 3']);
	const matrix = await matrixOf(context, world.challenge, 8, now);
	expect(matrix!.people.map(({ id, hold }) => [id === held!.enrolmentId, hold])).toEqual([
		[true, 'questions'],
		[false, null],
		[false, null]
	]);
	await context.db.close();
});
