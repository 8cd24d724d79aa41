/** Who needs their coach, and what is put on record about it, on a group of three worked out by hand. */
import { describe, expect, it } from 'vitest';
import type { ReasonKind } from '$core/triage';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { excuseSpan } from '$lib/server/done/attendance/excuses';
import { leave } from '$lib/server/people/leave';
import { saveHouse } from '$lib/server/training/practice/house';
import { inNeed, type InNeed } from '$lib/server/contact/reach/triage';
import { noteReach, removeReach } from '$lib/server/contact/reach/reaches';
import { DEFAULT_HOUSE } from '$core/practice';
import { ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld();
const need = (at = context.clock.now()): Promise<InNeed[]> =>
	inNeed({ app: { db: context.db } }, world.challenge, at);
const kinds = (all: InNeed[]): [string, ReasonKind[]][] =>
	all.map(({ person, reasons }) => [person.name, reasons.map(({ kind }) => kind)]);
const own = (i: number) => ownPersonOf(context, world, world.people[i]!.enrolmentId);
const note = async (i: number, raw: unknown, reasons: ReasonKind[] = []) =>
	noteReach(context, world.challenge, await own(i), world.coach.id, reasons, raw);

describe('who needs their coach', () => {
	it('is nobody while nothing is due', async () => {
		context.at('2026-11-23T10:45:00Z');
		expect(kinds(await need())).toEqual([
			['Person 1', []],
			['Person 2', []],
			['Person 3', []]
		]);
	});

	it('is found from what came in and what did not, the most urgent first', async () => {
		for (const person of world.people)
			await checkIn(context, person, { id: context.ids.uuid(), day: 1, done: 'all', effort: 9 });
		context.at('2026-11-24T12:00:00Z');
		await checkIn(context, world.people[0]!, {
			id: context.ids.uuid(),
			day: 2,
			done: 'all',
			effort: 9,
			hurts: 'left knee'
		});
		// Friday noon: days 1 to 3 are closed for all, in Auckland since an hour day 4 too.
		context.at('2026-11-27T12:00:00Z');
		const all = await need();
		expect(kinds(all)).toEqual([
			['Person 1', ['pain', 'first miss', 'hard']],
			['Person 2', ['missing']],
			['Person 3', ['missing']]
		]);
		expect(all[0]?.reasons[0]).toMatchObject({
			day: 2,
			hurts: 'left knee',
			since: Date.parse('2026-11-24T12:00:00Z')
		});
		// Day 3 closes 24 hours after its midnight in Oslo.
		expect(all[0]?.reasons[1]).toMatchObject({
			day: 3,
			doneBefore: 2,
			since: Date.parse('2026-11-26T23:00:00Z')
		});
		expect(all[1]?.reasons[0]).toMatchObject({ due: 3, lastSeen: Date.parse('2026-11-23T10:45:00Z') });
		expect(all[2]?.reasons[0]).toMatchObject({ due: 2 });
		// 2 of 3 due, 7 of 10 left; 80 % of 10 are 8, 6 of the 7.
		expect(all[0]?.finish).toMatchObject({ needed: 6, left: 7 });
	});

	it('is seen as it stood', async () => {
		const all = await need(Date.parse('2026-11-24T12:00:00Z'));
		expect(kinds(all)).toEqual([
			['Person 1', ['pain', 'hard']],
			['Person 2', []],
			['Person 3', []]
		]);
	});

	it('takes nobody who has been seen since for one who has not begun', async () => {
		const told = kinds(await need(Date.parse('2026-11-25T12:00:00Z'))).flatMap(([, all]) => all);
		expect(told).not.toContain('never started');
		// The phone of the first had been heard of on the first day only.
		const [first] = await need(Date.parse('2026-11-24T11:00:00Z'));
		expect(first?.row.lastSeen).toBe(Date.parse('2026-11-23T10:45:00Z'));
	});

	it('goes by the house rules of the coach', async () => {
		await saveHouse(context.db, world.coach.id, { ...DEFAULT_HOUSE, silentFrom: 3, hardEffort: 10 });
		expect(kinds(await need())).toEqual([
			['Person 1', ['pain', 'first miss']],
			['Person 2', ['missing']],
			['Person 3', []]
		]);
		await saveHouse(context.db, world.coach.id, DEFAULT_HOUSE);
	});
});

describe('what was done about somebody', () => {
	it('takes the reasons that there were out of the way, and comes up again when it did not help', async () => {
		await note(1, { way: 'wrote', note: ' asked how it goes ' }, ['missing']);
		let [, , two] = await need();
		expect(two).toMatchObject({ person: { name: 'Person 2' }, reasons: [], answered: [{ kind: 'missing' }] });
		expect(two?.reaches).toMatchObject([
			{
				by: 'Runa',
				way: 'wrote',
				note: 'asked how it goes',
				reasons: ['missing'],
				checkedInAt: null,
				days: 0
			}
		]);
		context.at('2026-11-30T12:00:00Z');
		two = (await need()).find(({ person }) => person.name === 'Person 2');
		expect(two?.reasons[0]?.kind).toBe('silent');
		expect(two?.reaches[0]).toMatchObject({ checkedInAt: null, days: 3 });
	});

	it('is told with what came of it', async () => {
		context.at('2026-12-01T01:00:00Z');
		await checkIn(context, world.people[1]!, { id: context.ids.uuid(), day: 9, done: 'all' });
		const two = (await need()).find(({ person }) => person.name === 'Person 2');
		expect(two?.reaches[0]).toMatchObject({ checkedInAt: Date.parse('2026-12-01T01:00:00Z'), days: 3 });
		expect(two?.reasons.map(({ kind }) => kind)).toContain('came back');
	});

	it('may be put off until a day by the coach’s own calendar', async () => {
		const three = async () => kinds(await need()).find(([name]) => name === 'Person 3')?.[1];
		const [kind] = (await three()) ?? [];
		await note(2, { way: 'later', until: '2026-12-03' }, [kind!]);
		expect(await three()).not.toContain(kind);
		context.at('2026-12-02T22:59:59Z');
		expect(await three()).not.toContain(kind);
		context.at('2026-12-02T23:00:00Z');
		expect(await three()).toContain(kind);
	});

	it.each([
		[{ way: 'prayed' }, 'say what you did'],
		[{ way: 'later' }, 'choose until which day'],
		[{ way: 'later', until: '2026-12-03' }, 'choose a day after today'],
		[{ way: 'later', until: '2026-12-32' }, 'choose a day of the calendar'],
		[{ way: 'later', until: '2027-01-01' }, 'at most 28 days from today'],
		[{ way: 'wrote', note: 'x'.repeat(1001) }, '1000']
	])('is refused where it makes no sense: %j', async (raw, message) => {
		const refused = note(0, raw);
		await expect(refused).rejects.toMatchObject({
			status: 400,
			faults: [{ message: expect.stringContaining(message) as string }]
		});
	});

	it('can be taken back, by its own person', async () => {
		const two = (await need()).find(({ person }) => person.name === 'Person 2');
		const id = two!.reaches[0]!.id;
		await expect(removeReach(context, await own(0), id)).rejects.toMatchObject({ status: 404 });
		await removeReach(context, await own(1), id);
		expect((await need()).find(({ person }) => person.name === 'Person 2')?.reaches).toEqual([]);
	});

	it('has a bound', async () => {
		for (let i = 0; i < 200; i++) await note(0, { way: 'talked' });
		await expect(note(0, { way: 'talked' })).rejects.toMatchObject({ status: 409 });
	});
});

it('nobody is written to for days that are excused, or after they left', async () => {
	const three = async () => (await need()).find(({ person }) => person.name === 'Person 3');
	await excuseSpan(context, world.challenge, await own(2), { from: '2', to: '10', reason: 'ill' });
	expect((await three())?.reasons).toEqual([]);
	await expect(
		excuseSpan(context, world.challenge, await own(2), { from: '5', to: '2', reason: 'ill' })
	).rejects.toThrow('Days go from 1 to 14');
	await leave(context, await own(2));
	expect(await three()).toBeUndefined();
});
