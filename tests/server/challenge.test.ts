import { describe, expect, it } from 'vitest';
import { createChallenge } from '$lib/server/training/challenge/change';
import { changeChallenge } from '$lib/server/training/challenge/change';
import { challengeOf, challengesOf, inputOf } from '$lib/server/records/challenge';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { layDays } from '$lib/server/training/plan/plan';
import { planOf } from '$lib/server/records/plan-days';
import {
	createSession,
	saveSession,
	sessionOf,
	sessionsOf,
	versionsOf
} from '$lib/server/training/session/sessions';
import { body, FRAME, makeChallenge, makeCoach, SMALL, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld();

describe('challenges', () => {
	it('begin with a plan of training and rest days', async () => {
		const challenge = await makeChallenge(context, world.coach, { name: 'Fresh' });
		const plan = await planOf(context.db, challenge);
		expect(plan.map((day) => day.kind).join(' ')).toBe(
			'train train train train train rest rest train train train train train rest rest'
		);
		expect(plan[13]?.date).toBe('2026-12-06');
	});

	it('come back as they were put in', async () => {
		const challenge = await makeChallenge(context, world.coach, {
			ownZones: false,
			releaseZone: 'Asia/Seoul',
			opensAt: '06:45'
		});
		expect(inputOf(challenge)).toEqual({
			...FRAME,
			ownZones: false,
			releaseZone: 'Asia/Seoul',
			opensAt: '06:45'
		});
	});

	it.each([
		['startsOn', { startsOn: '2026-02-30' }],
		['weeks', { weeks: 13 }],
		['weeks', { weeks: 1.5 }],
		['trainingDays', { trainingDays: [] }],
		['releaseZone', { ownZones: false, releaseZone: 'Mars/Base' }],
		['opensAt', { opensAt: '25:00' }],
		['lateWorth', { lateWorth: 130 }],
		['name', { name: '' }],
		['goal', { goal: '' }],
		['budgetMinutes', { budgetMinutes: 'long' }],
		['startsOn', { startsOn: '2026-11-10' }]
	])('are refused with the field: %s', async (field, wrong) => {
		await expect(createChallenge(context, world.coach.id, { ...FRAME, ...wrong })).rejects.toMatchObject({
			status: 400,
			faults: [expect.objectContaining({ field })]
		});
	});

	it('may begin in the past as long as a day of them is still to come somewhere', async () => {
		// Two weeks from 11 November end on the 24th; a minute before noon UTC of the 25th that is still the date at UTC−12.
		context.at('2026-11-25T11:59:00Z');
		const challenge = await makeChallenge(context, world.coach, { startsOn: '2026-11-11', name: 'Late' });
		expect((await planOf(context.db, challenge)).at(-1)?.date).toBe('2026-11-24');
		context.at('2026-11-25T12:00:00Z');
		const refused = makeChallenge(context, world.coach, { startsOn: '2026-11-11' });
		await expect(refused).rejects.toMatchObject({ status: 400 });
	});

	it('are their own coach’s alone', async () => {
		const other = await makeCoach(context, 'Nila');
		await expect(challengeOf(context.db, other.id, world.challenge.id, 'viewer')).rejects.toMatchObject({
			status: 404
		});
		await expect(challengeOf(context.db, world.coach.id, 'nonsense', 'viewer')).rejects.toMatchObject({
			status: 404
		});
		expect(await challengesOf(context.db, other.id, 'viewer')).toEqual([]);
		await expect(sessionOf(context.db, other.id, world.session.id)).rejects.toMatchObject({ status: 404 });
	});

	it('may grow and shrink until somebody has checked in', async () => {
		const challenge = await makeChallenge(context, world.coach, { name: 'Growing' });
		await changeChallenge(context, challenge, { ...FRAME, weeks: 3 });
		expect(await planOf(context.db, challenge)).toHaveLength(21);
		await changeChallenge(context, challenge, { ...FRAME, weeks: 1 });
		expect(await planOf(context.db, challenge)).toHaveLength(7);

		await layDays(context, challenge, {
			days: [2],
			kind: 'train',
			sessionId: world.session.id
		});
		await layDays(context, challenge, { days: [3], kind: 'active-rest' });
		await changeChallenge(context, challenge, {
			...FRAME,
			weeks: 1,
			trainingDays: [1, 6]
		});
		const kinds = (await planOf(context.db, challenge)).map((day) => day.kind);
		expect(kinds.join(' ')).toBe('train train active-rest rest rest train rest');

		await checkIn(context, world.people[0]!, { id: context.ids.uuid(), day: 1, done: 'all' });
		await expect(changeChallenge(context, world.challenge, { ...FRAME, weeks: 3 })).rejects.toMatchObject({
			status: 409
		});
		await changeChallenge(context, world.challenge, { ...FRAME, name: 'New name' });
		expect((await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer')).name).toBe(
			'New name'
		);
	});
});

describe('sessions', () => {
	it('are saved as versions; days that are released keep theirs', async () => {
		// Wednesday of week 1, noon UTC: days 1 to 3 are released everywhere, day 4 (Thursday) in the far east.
		const saved = await saveSession(context, world.coach.id, world.session.id, {
			name: 'Small',
			body: body('4 x 10 squat, rest 60'),
			basedOn: 1
		});
		expect(saved).toMatchObject({ version: 2, days: 6 });
		const plan = await planOf(context.db, world.challenge);
		expect(plan.filter((day) => day.version).map((day) => [day.day, day.version])).toEqual([
			[1, 1],
			[2, 1],
			[3, 1],
			[4, 1],
			[5, 2],
			[8, 2],
			[9, 2],
			[10, 2],
			[11, 2],
			[12, 2]
		]);
		expect((await versionsOf(context.db, world.session.id)).map((v) => v.version)).toEqual([2, 1]);
	});

	it('are not written over by a second window', async () => {
		await expect(
			saveSession(context, world.coach.id, world.session.id, { name: 'Small', body: body(SMALL), basedOn: 1 })
		).rejects.toMatchObject({ status: 409, message: expect.stringContaining('saved meanwhile') as string });
	});

	it('two savers at once: one wins, the other is told', async () => {
		const both = await Promise.allSettled(
			[1, 2].map((n) =>
				saveSession(context, world.coach.id, world.session.id, {
					name: 'Small',
					body: body(`${n} x 10 squat`),
					basedOn: 2
				})
			)
		);
		expect(both.map((one) => one.status).sort()).toEqual(['fulfilled', 'rejected']);
	});

	it('have names of their own and a sound body', async () => {
		await expect(
			createSession(context, world.coach.id, { name: 'Small', body: body(SMALL) })
		).rejects.toMatchObject({ status: 409 });
		await expect(
			createSession(context, world.coach.id, { name: '', body: body(SMALL) })
		).rejects.toMatchObject({ status: 400 });
		const tenThousand = { blocks: [{ ...body(SMALL).blocks[0], sets: 10_000 }] };
		await expect(
			createSession(context, world.coach.id, { name: 'Long', body: tenThousand })
		).rejects.toMatchObject({
			status: 400,
			faults: [{ field: 'blocks[0].sets', message: expect.stringContaining('10,000 sets') as string }]
		});
		expect(await sessionsOf(context.db, world.coach.id)).toHaveLength(1);
	});
});

describe('laying days', () => {
	it('refuses a session on a rest day, days beyond the end, and unknown kinds', async () => {
		const lay = (raw: unknown) => layDays(context, world.challenge, raw);
		await expect(lay({ days: [6], kind: 'rest', sessionId: world.session.id })).rejects.toMatchObject({
			status: 400
		});
		await expect(lay({ days: [15], kind: 'train', sessionId: world.session.id })).rejects.toMatchObject({
			status: 400
		});
		await expect(lay({ days: [6], kind: 'party' })).rejects.toMatchObject({ status: 400 });
		await expect(lay({ days: [], kind: 'train' })).rejects.toMatchObject({ status: 400 });
		await expect(lay({ days: [6], kind: 'train', sessionId: 'nonsense' })).rejects.toMatchObject({
			status: 404
		});
	});
});
