/** What somebody did keeps the standing it was given, whatever is said of them afterwards. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { rebuild } from '$lib/server/changes/projection';
import type { Person } from '$lib/server/records/person';
import { openLink, personOf, visitOf } from '$lib/server/account/auth/link';
import { postAnnouncement, upFor } from '$lib/server/training/challenge/announcements';
import { askPoll, answerPoll, ownPolls, pollsIn } from '$lib/server/training/challenge/polls';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { addOverride } from '$lib/server/changes/overrides';
import { changePerson } from '$lib/server/people/change';
import {
	BY_COACH,
	makeWorld,
	ownPersonOf,
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

/** Who the device of a person is, as each of its requests finds out. */
async function now(i: number): Promise<Person> {
	const token = await openLink(context, world.secrets[i]!);
	return (await personOf(context, token!))!;
}
const send = async (i: number, day: number, more: object = {}) =>
	checkIn(context, await now(i), { id: context.ids.uuid(), day, done: 'all', ...more });
const dayOf = async (i: number, day: number) => (await standingOf(context, await now(i))).days[day - 1]!;
async function move(i: number, zone: string): Promise<void> {
	const person = await ownPersonOf(context, world, world.people[i]!.enrolmentId);
	await changePerson(context, person, { name: person.name, zone, level: person.level, equipment: '' });
}
const utc = (instant: number) => new Date(instant).toISOString().slice(0, 16);

describe('a correction', () => {
	it('within the window keeps the standing of what it corrects; both stay on record', async () => {
		const first = await send(0, 3);
		expect(first.standing).toBe('on time');
		// Half an hour after midnight in Oslo.
		context.at('2026-11-25T23:30:00Z');
		const second = await send(0, 3, {
			done: 'part',
			sets: [{ block: 0, part: 0, set: 1, amount: 10 }],
			replaces: first.id
		});
		expect(second).toMatchObject({ standing: 'on time', credit: 0.2 });
		expect(await dayOf(0, 3)).toMatchObject({ state: 'partial', credit: 0.2 });
		const rows = await context.db.query<{ standing: string; replaced: boolean }>(
			'select standing, replaced_at is not null as replaced from result order by received_at'
		);
		expect(rows).toEqual([
			{ standing: 'on time', replaced: true },
			{ standing: 'on time', replaced: false }
		]);
		await rebuild(context);
		expect(await dayOf(0, 3)).toMatchObject({ state: 'partial', credit: 0.2 });
	});

	it('of a late result stays late, and one of a day that was said to be left out is what it is itself', async () => {
		context.at('2026-11-25T23:30:00Z');
		const late = await send(0, 3);
		const again = await send(0, 3, { replaces: late.id });
		expect([late.standing, again.standing]).toEqual(['late', 'late']);
		context.at('2026-11-25T12:00:00Z');
		const none = await send(2, 3, { done: 'none' });
		// Past midnight in Bogotá.
		context.at('2026-11-26T06:00:00Z');
		expect(await send(2, 3, { replaces: none.id })).toMatchObject({ standing: 'late', credit: 1 });
	});

	it('is refused once the day has closed: what counts stands', async () => {
		const first = await send(0, 3, { done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 10 }] });
		context.at('2026-11-27T12:00:00Z');
		await expect(send(0, 3, { replaces: first.id })).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('has closed, and what you sent for it stands') as string
		});
		expect(await dayOf(0, 3)).toMatchObject({ state: 'partial', credit: 0.2 });
	});

	it('leaves the day seen as done from the first time on, looked back at', async () => {
		const first = await send(0, 3);
		context.at('2026-11-25T20:00:00Z');
		await send(0, 3, { replaces: first.id });
		context.at('2026-11-25T13:00:00Z');
		expect(await dayOf(0, 3)).toMatchObject({ state: 'done' });
	});
});

describe('a move', () => {
	it('re-values nothing that was done and opens nothing that was closed', async () => {
		// Oslo: day 1 was missed and closed at the end of Tuesday; day 2 closes at the end of Wednesday; day 3 is done.
		await send(0, 3);
		const before = await Promise.all([1, 2, 3].map((day) => dayOf(0, day)));
		expect(before.map(({ state }) => state)).toEqual(['missed', 'open', 'done']);
		for (const zone of ['Pacific/Honolulu', 'Pacific/Kiritimati', 'Europe/Oslo', 'America/Bogota']) {
			await move(0, zone);
			const after = await Promise.all([1, 2, 3].map((day) => dayOf(0, day)));
			expect(after).toEqual(before);
			await expect(send(0, 1)).resolves.toMatchObject({ standing: 'after close' });
			await context.db.query('delete from result where day = 1');
			await rebuild(context);
		}
	});

	it('moves the days that have not opened, and counts from when it is said', async () => {
		await move(0, 'America/Bogota');
		const opens = async (day: number) => utc((await dayOf(0, day)).window.opens);
		expect([await opens(2), await opens(3), await opens(4), await opens(5)]).toEqual([
			'2026-11-24T04:30',
			'2026-11-25T04:30',
			'2026-11-26T10:30',
			'2026-11-27T10:30'
		]);
		context.at('2026-11-26T12:00:00Z');
		await move(0, 'Asia/Tokyo');
		// Day 4 opened in Bogotá and is due there; day 5 is the first of Tokyo.
		expect([await opens(3), await opens(4), await opens(5)]).toEqual([
			'2026-11-25T04:30',
			'2026-11-26T10:30',
			'2026-11-26T20:30'
		]);
		expect(utc((await dayOf(0, 4)).window.due)).toBe('2026-11-27T05:00');
	});

	it('that changes nothing is none, and no more than forty are remembered', async () => {
		await move(0, 'Europe/Oslo');
		expect((await now(0)).earlierZones).toEqual([]);
		for (let i = 0; i < 42; i++) {
			context.at(new Date(Date.parse('2026-11-25T12:00:00Z') + i * 1000).toISOString());
			await move(0, i % 2 === 0 ? 'Asia/Tokyo' : 'Europe/Oslo');
		}
		const { earlierZones } = await now(0);
		expect(earlierZones).toHaveLength(40);
		expect(earlierZones.at(-1)).toEqual({ zone: 'Asia/Tokyo', until: context.clock.now() });
	});
});

describe('an announcement of a day', () => {
	it('shows with that day’s opening for each person', async () => {
		await postAnnouncement(context, world.challenge, { text: 'Bring the crate', day: 4, once: true });
		const seen = async () =>
			Promise.all(
				[0, 1, 2].map(async (i) => {
					const { announcements, days } = await standingOf(context, await now(i));
					return upFor(announcements, days, context.clock.now()).map(({ text, at }) => [text, utc(at)]);
				})
			);
		const [oslo, auckland, bogota] = [
			['Bring the crate', '2026-11-26T04:30'],
			['Bring the crate', '2026-11-25T16:30'],
			['Bring the crate', '2026-11-26T10:30']
		];
		context.at('2026-11-25T16:29:59Z');
		expect(await seen()).toEqual([[], [], []]);
		context.at('2026-11-25T16:30:00Z');
		expect(await seen()).toEqual([[], [auckland], []]);
		context.at('2026-11-26T04:30:00Z');
		expect(await seen()).toEqual([[oslo], [auckland], []]);
		context.at('2026-11-26T10:30:00Z');
		expect(await seen()).toEqual([[oslo], [auckland], [bogota]]);
		// A week after it went up for them.
		context.at('2026-12-02T16:30:00Z');
		expect(await seen()).toEqual([[oslo], [], [bogota]]);
	});
});

describe('a page that only shows', () => {
	/** Asks everybody a question whose numbers are shown. @returns its id */
	async function ask(closesOn: string): Promise<string> {
		const poll = { question: 'Hills or stairs?', choices: ['hills', 'stairs'], closesOn, shown: true };
		await askPoll(context, world.challenge, world.coach.id, { kind: 'all' }, poll);
		return (await pollsIn(context.db, world.challenge.id))[0]!.id;
	}

	it('has who it is for and where they stand from one statement, the same as asked apart', async () => {
		const own = await ownPersonOf(context, world, world.people[0]!.enrolmentId);
		await addOverride(context, own, BY_COACH, {
			target: { kind: 'exercise', exercise: 'Squat' },
			change: { kind: 'replace', exercise: 'Wall sit' },
			fromDay: 3,
			toDay: null,
			why: 'knee'
		});
		const poll = await ask('2026-11-27');
		for (const [i, choice] of [1, 0, 1].entries())
			await answerPoll(context, world.people[i]!, { poll, choice });
		await send(0, 2);

		const token = (await openLink(context, world.secrets[0]!))!;
		const { standing, ...person } = (await visitOf(context, token))!;
		expect(person).toEqual(await personOf(context, token));
		const apart = await standingOf(context, person);
		const queries = vi.spyOn(context.db, 'query');
		const together = await standingOf(context, { ...person, standing });
		expect(together).toEqual(apart);
		expect(ownPolls(context, person, together)).toMatchObject([{ choice: 1, counts: [1, 2] }]);
		await openDay(context, person, 3, together);
		const before = queries.mock.calls.length;
		const day = await openDay(context, person, 3, together);
		expect(day.session?.asked.map(({ exercise }) => exercise)).toEqual(['Wall sit', 'Plank']);
		expect([before <= 1, queries.mock.calls.length - before]).toEqual([true, 0]);
		queries.mockRestore();
	});

	it('knows nobody by a token that is not good', async () => {
		expect(await visitOf(context, 'not a token')).toBeNull();
	});

	it('shows how a poll stands to whoever has answered it, until it is over for three days', async () => {
		const poll = await ask('2026-11-25');
		await answerPoll(context, world.people[0]!, { poll, choice: 1 });
		const shownTo = async (i: number) => {
			const person = await now(i);
			return ownPolls(context, person, await standingOf(context, person)).map(({ counts }) => counts);
		};
		expect([await shownTo(0), await shownTo(1)]).toEqual([[[0, 1]], [null]]);
		// It closes as the coach's day ends, an hour before midnight in UTC.
		context.at('2026-11-28T22:59:00Z');
		expect([await shownTo(0), await shownTo(1)]).toEqual([[[0, 1]], []]);
		context.at('2026-11-28T23:01:00Z');
		expect(await shownTo(0)).toEqual([]);
	});
});
