/** What is worked out of a check-in's sets as it comes in: a test against those before it, and each side by itself. */
import { expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { layDays } from '$lib/server/training/plan/plan';
import { inNeed } from '$lib/server/contact/reach/triage';
import { createSession } from '$lib/server/training/session/sessions';
import { body, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld('2026-11-23T12:00:00Z');
const person = world.people[0]!;
const session = await createSession(context, world.coach.id, {
	name: 'Test',
	body: body('1 x 20 push-up, rest 60\n1 x 8 split squat each leg')
});
const lay = (days: number[], kind: 'test' | 'train') =>
	layDays(context, world.challenge, { days, kind, sessionId: session.id });
await lay([1, 3, 4], 'test');
await lay([2], 'train');

const id = context.ids.uuid();
const send = (day: number, reps: number, left: number, more: object = {}) =>
	checkIn(context, person, {
		id: context.ids.uuid(),
		day,
		done: 'part',
		effort: 7,
		sets: [
			{ block: 0, part: 0, set: 1, amount: reps },
			{ block: 1, part: 0, set: 1, amount: left, left, right: 8 }
		],
		...more
	});
const reasons = async () =>
	(await inNeed({ app: context }, world.challenge, context.clock.now())).find(
		(one) => one.person.id === person.enrolmentId
	)!.reasons;
const at = (day: number) => context.at(`2026-11-${22 + day}T12:00:00Z`);

it('a test is measured by the test before, and by no day of training', async () => {
	await send(1, 20, 6);
	at(2);
	await send(2, 24, 6);
	at(3);
	expect(await reasons()).toEqual([]);
	await send(3, 23, 6, { id });
	expect(await reasons()).toMatchObject([
		{ kind: 'uneven', exercise: 'Split squat', side: 'left', behind: 0.25, times: 3 },
		{ kind: 'best', day: 3, result: { before: 1, gain: { exercise: 'Push-up', now: { amount: 23 } } } }
	]);
});

it('corrected, it brings what the correction says', async () => {
	await send(3, 19, 6, { replaces: id });
	expect((await reasons()).map(({ kind }) => kind)).toEqual(['uneven']);
});
