/** One record of results: planned, again and extra, their sets as rows, and the performance that they add up to. */
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { rebuild } from '$lib/server/changes/projection';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { recordDays, takeBackRecorded } from '$lib/server/done/attendance/recorded';
import { putOnShelf, takeFromShelf, takingsOf, untake } from '$lib/server/done/shelf/shelf';
import { Refusal } from '$lib/server/platform/errors';
import type { Person } from '$lib/server/records/person';
import { createSession, type Saved } from '$lib/server/training/session/sessions';
import { body, makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let me: Person;
let extra: Saved;

beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	me = world.people[0]!;
	extra = await createSession(context, world.coach.id, { name: 'Extra', body: body('2 x 12 squat') });
	await putOnShelf(context, world.challenge, { sessionId: extra.id, counts: true });
	context.at('2026-11-25T12:00:00Z');
});
afterEach(() => context.db.close());

const send = (day: number, more: object = {}) =>
	checkIn(context, me, { id: context.ids.uuid(), day, done: 'all', ...more });
const take = (credit = 1) =>
	takeFromShelf(context, me, { id: context.ids.uuid(), sessionId: extra.id, credit });
const performance = () =>
	context.db.query('select * from performance order by participant_id, exercise, unit');
/** All sets of a person in an exercise, over all challenges. */
const setsOf = (exercise: string) =>
	context.db.query<{ kind: string; amount: number; kg: number | null }>(
		`select r.kind, s.amount, s.kg from enrolment e join result r on r.enrolment_id = e.id join result_set s on s.result_id = r.id
		 where e.participant_id = $1 and s.exercise = $2 order by r.received_at, r.kind desc, s.set`,
		[me.participantId, exercise]
	);

describe('results', () => {
	it('keep the sets of every kind in one place', async () => {
		await send(3, { done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 9 }] });
		context.at('2026-11-25T13:00:00Z');
		await send(3, { again: true, done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 8 }] });
		context.at('2026-11-25T14:00:00Z');
		await take();
		expect(await setsOf('Squat')).toEqual([
			{ kind: 'planned', amount: 9, kg: null },
			{ kind: 'again', amount: 8, kg: null },
			{ kind: 'extra', amount: 12, kg: null },
			{ kind: 'extra', amount: 12, kg: null }
		]);
	});

	it('name the exercise that was done in place of the prescribed one', async () => {
		await send(3, {
			done: 'part',
			sets: [{ block: 0, part: 0, set: 1, amount: 9, used: 'Sit to chair' }]
		});
		expect(await setsOf('Sit to chair')).toHaveLength(1);
		expect(await setsOf('Squat')).toEqual([]);
		expect(await performance()).toMatchObject([{ exercise: 'Sit to chair', sets: 1, last_amount: 9 }]);
	});

	it.each([
		['an extra session of a day', `kind = 'extra'`],
		['a planned one without a standing', `standing = null`],
		['a day that is not counted from 1', `day = 0`]
	])('the database refuses %s', async (_, wrong) => {
		await send(3);
		await expect(context.db.query(`update result set ${wrong}`)).rejects.toThrow(/check/);
	});
});

describe('performance', () => {
	it('has the latest and the best, of what was not corrected', async () => {
		const set = (amount: number, kg: number | null = null) => ({
			done: 'part',
			sets: [{ block: 0, part: 0, set: 1, amount, kg }]
		});
		await send(1, set(12));
		context.at('2026-11-25T13:00:00Z');
		const second = await send(2, set(30, 8));
		context.at('2026-11-25T14:00:00Z');
		await send(2, { ...set(5, 8), replaces: second.id });
		context.at('2026-11-25T15:00:00Z');
		await send(3, set(7));
		expect(await performance()).toEqual([
			{
				participant_id: me.participantId,
				exercise: 'Squat',
				unit: 'reps',
				results: 3,
				sets: 3,
				last_at: Date.parse('2026-11-25T15:00:00Z'),
				last_amount: 7,
				last_kg: null,
				best_at: Date.parse('2026-11-25T14:00:00Z'),
				best_amount: 5,
				best_kg: 8
			}
		]);
	});

	it('is the same updated as it goes and rebuilt, on random histories', async () => {
		const day = fc.constantFrom(1, 2, 3);
		const step = fc.oneof(
			fc.record({
				act: fc.constantFrom('send', 'correct', 'again'),
				day,
				amount: fc.integer({ min: 0, max: 12 }),
				kg: fc.option(fc.constantFrom(4, 8)),
				used: fc.option(fc.constant('Sit to chair'))
			}),
			fc.record({ act: fc.constantFrom('extra', 'extra in part', 'take back', 'record', 'unrecord'), day })
		);
		let accepted = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 12 }), async (steps) => {
				await context.db.query('delete from result');
				await rebuild(context);
				expect(await performance()).toEqual([]);
				let hours = 0;
				for (const one of steps) {
					context.at(new Date(Date.parse('2026-11-25T12:00:00Z') + 2 * 3_600_000 * ++hours).toISOString());
					const own = await ownPersonOf(context, world, me.enrolmentId);
					try {
						if (one.act === 'extra') await take();
						else if (one.act === 'extra in part') await take(0.5);
						else if (one.act === 'take back') {
							const [taken] = await takingsOf(context.db, me.enrolmentId, context.clock.now());
							if (taken) await untake(context, me, taken.id);
						} else if (one.act === 'record')
							await recordDays(context, own, world.coach.id, {
								days: [one.day],
								ids: [context.ids.uuid()],
								share: 'all',
								effort: '',
								note: ''
							});
						else if (one.act === 'unrecord') await takeBackRecorded(context, own, [one.day]);
						else if ('amount' in one) {
							const { amount, kg, used } = one;
							const [current] = await context.db.query<{ id: string }>(
								`select id from result where kind = 'planned' and day = $1 and replaced_at is null`,
								[one.day]
							);
							await send(one.day, {
								done: 'part',
								sets: [{ block: 0, part: 0, set: 1, amount, kg, used }],
								again: one.act === 'again',
								replaces: one.act === 'correct' ? (current?.id ?? null) : null
							});
						}
						accepted++;
					} catch (refusal) {
						if (!(refusal instanceof Refusal)) throw refusal;
					}
				}
				const kept = await performance();
				await rebuild(context);
				expect(kept).toEqual(await performance());
			}),
			{ numRuns: 25 }
		);
		expect(accepted).toBeGreaterThan(40);
	});
});
