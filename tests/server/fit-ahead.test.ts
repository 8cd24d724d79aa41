import { beforeEach, describe, expect, it } from 'vitest';
import type { FitProfile } from '$core/fit';
import { personalSession, shareThatFits } from '$core/day';
import { parseSessionText, sessionSeconds } from '$core/session';
import { fitAhead, misfitsOn } from '$lib/server/training/fit/ahead';
import { PRACTICE } from '../support/practice';
import { addOverride } from '$lib/server/changes/overrides';
import { challengeOf } from '$lib/server/records/challenge';
import { finishIntake } from '$lib/server/people/intake';
import { changePerson } from '$lib/server/people/change';
import { enrolmentsOf } from '$lib/server/records/enrolments';
import { unenrol } from '$lib/server/people/enrol';
import { layDays } from '$lib/server/training/plan/plan';
import { createSession, saveSession } from '$lib/server/training/session/sessions';
import { randomIds } from '$lib/server/platform/ids';
import { LIMITATIONS } from '$core/kit';
import { BY_COACH, body, ownPersonOf, sharedWorld } from '../support/context';
import { ANSWERS } from '../support/intake';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo, , bogota] = world.people;
const challenge = () => challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
const fit = async () => fitAhead(context, await challenge());
const misfits = async (...days: number[]) =>
	misfitsOn(context, await challenge(), days, await enrolmentsOf(context.db, world.challenge.id));
const person = (of = oslo) => ownPersonOf(context, world, of!.enrolmentId);

/** Training days from yesterday, day 2, on: 2 to 5 and 8 to 12. */
const AHEAD = 9;

describe('the days ahead', () => {
	beforeEach(() => fit());

	it('are worked out for everybody, and again only where something has changed', async () => {
		const rows = await context.db.query<{ n: number }>('select count(*)::int as n from fit_day');
		expect(rows[0]?.n).toBe(3 * AHEAD);
		expect(await fit()).toBe(0);
		await finishIntake(context, oslo!.participantId, 'participant', { ...ANSWERS }, randomIds.uuid());
		expect(await fit()).toBe(AHEAD);
		expect(await fit()).toBe(0);
	});

	it('of one person on the days of what was decided for them', async () => {
		await addOverride(context, await person(bogota), BY_COACH, {
			target: { kind: 'exercise', exercise: 'Squat' },
			change: { kind: 'replace', exercise: 'Sit to chair' },
			fromDay: 4,
			toDay: 5,
			why: 'knee'
		});
		expect(await fit()).toBe(2);
	});

	it('of all people after the session has changed, on its days alone', async () => {
		const other = await createSession(context, world.coach.id, {
			name: 'Other',
			body: body('3 x 10 push-up, rest 60')
		});
		await layDays(context, world.challenge, { days: [9], kind: 'train', sessionId: other.id });
		expect(await fit()).toBe(3);
		await saveSession(context, world.coach.id, other.id, {
			name: 'Other',
			body: body('3 x 12 push-up, rest 60'),
			tags: [],
			basedOn: 1
		});
		expect(await fit()).toBe(3);
		await layDays(context, world.challenge, { days: [9], kind: 'rest', sessionId: null });
		expect(await fit()).toBe(0);
		const left = await context.db.query('select 1 from fit_day where day = 9');
		expect(left).toEqual([]);
	});

	it('that are over are forgotten', async () => {
		context.at('2026-11-30T12:00:00Z');
		await fit();
		const days = await context.db.query<{ day: number }>('select distinct day from fit_day order by day');
		expect(days.map(({ day }) => day)).toEqual([8, 10, 11, 12]);
		context.at('2026-11-25T12:00:00Z');
	});
});

describe('what does not fit', () => {
	it('is said before the day is out, with what would help', async () => {
		await fit();
		expect(await misfits(3, 4)).toEqual([]);
		const pull = await createSession(context, world.coach.id, {
			name: 'Pulls',
			body: body('2 x 10 march on the spot, rest 30\n2 x 30 s lat stretch, rest 60')
		});
		await layDays(context, world.challenge, { days: [4], kind: 'train', sessionId: pull.id });
		await finishIntake(
			context,
			oslo!.participantId,
			'participant',
			{
				...ANSWERS,
				body: { ...ANSWERS.body, hurts: [{ place: 'shoulder', how: 'now' }] }
			},
			randomIds.uuid()
		);
		await fit();
		const [found, ...more] = await misfits(3, 4);
		expect(found).toMatchObject({ name: 'Person 1', day: 4, nothing: false, over: false, audit: [] });
		expect(found?.unfit).toMatchObject([{ exercise: 'Lat stretch' }]);
		// Nothing that one could buy lets a sore shoulder do it.
		expect(found?.unfit[0]?.helps).toEqual([]);
		expect(more).toEqual([]);
		// Nothing that one could buy lets a sore shoulder do it.
		expect(found?.unfit[0]?.helps).toEqual([]);
		expect(more).toEqual([]);
	});

	it('is first where nothing is left, then single exercises, then time', async () => {
		await changePerson(context, await person(bogota), {
			name: 'Person 3',
			zone: 'America/Bogota',
			level: 'beginner',
			equipment: 'chair',
			limits: [...LIMITATIONS]
		});
		const only = await createSession(context, world.coach.id, {
			name: 'Only',
			body: body('2 x 30 s lat stretch, rest 60')
		});
		await layDays(context, world.challenge, { days: [5], kind: 'train', sessionId: only.id });
		const long = await createSession(context, world.coach.id, {
			name: 'Long',
			body: body('5 x 10 squat, rest 120')
		});
		await layDays(context, world.challenge, { days: [3], kind: 'train', sessionId: long.id });
		await context.db.query("update participant set minutes = 5 where name = 'Person 2'");
		await fit();
		const found = await misfits(3, 4, 5);
		expect(found.filter(({ nothing }) => nothing).map(({ name, day }) => [name, day])).toEqual([
			['Person 1', 5],
			['Person 3', 5]
		]);
		expect(found.slice(0, 2).every(({ nothing }) => nothing)).toBe(true);
		expect(found.at(-1)).toMatchObject({ name: 'Person 2', over: true, minutes: 5, unfit: [] });
		expect(found.findIndex(({ over }) => over)).toBeGreaterThan(
			found.findLastIndex(({ nothing }) => nothing)
		);
	});

	it('has what an audit sees, and says that a coach decided it', async () => {
		await addOverride(context, await person(oslo), BY_COACH, {
			target: { kind: 'exercise', exercise: 'Lat stretch' },
			change: { kind: 'replace', exercise: 'Overhead press' },
			fromDay: 4,
			toDay: 4,
			why: 'a try'
		});
		await fit();
		const [found] = await misfits(4);
		expect(found?.audit).toContainEqual({
			rule: 'breaks a limit',
			exercise: 'Overhead press',
			says: 'Overhead press goes against easy on the shoulders.',
			isDecided: true
		});
	});

	it('goes when somebody is taken off', async () => {
		await unenrol(context, await person(bogota));
		await fit();
		expect((await misfits(3, 4, 5)).map(({ name }) => name)).not.toContain('Person 3');
	});
});

const NOBODY: FitProfile = { level: 'some experience', planFor: 'some experience', kit: null, limits: [] };

it('a share is offered only where the session fits once it is that much shorter', () => {
	const { session } = parseSessionText('5 x 10 squat, rest 60\n5 x 10 push-up, rest 60', PRACTICE);
	const own = { profile: NOBODY, overrides: [] };
	const seconds = (share: number) => {
		const override = {
			target: { kind: 'day' as const },
			change: { kind: 'scale' as const, share },
			fromDay: 1,
			toDay: 1,
			why: ''
		};
		const made = personalSession(session, 1, { ...own, overrides: [override] }, PRACTICE);
		return sessionSeconds(made!.session, PRACTICE);
	};
	const limit = seconds(0.8);
	const share = shareThatFits(session, 1, own, (length) => length <= limit, PRACTICE);
	expect(share).toBeGreaterThanOrEqual(80);
	expect(seconds(share! / 100)).toBeLessThanOrEqual(limit);
	// Rests do not shrink: where half of the work is still too long nothing is offered.
	expect(shareThatFits(session, 1, own, (length) => length < 60, PRACTICE)).toBeNull();
});
