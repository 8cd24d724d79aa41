import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/attendance/check-in';
import { changePerson } from '$lib/server/people/change';
import { enrolmentOf, enrolmentsOf, unenrol } from '$lib/server/people/enrolments';
import { excuse, excusesOf, unexcuse } from '$lib/server/attendance/excuses';
import { importRoster, previewRoster } from '$lib/server/people/import';
import { standingOf } from '$lib/server/day/own-day';
import { kitText } from '$core/kit';
import { rollRow } from '$lib/server/attendance/roll';
import { planOf } from '$lib/server/plan/plan-days';
import { openingsOf } from '$lib/server/desk/desk';
import {
	makeChallenge,
	makeWorld,
	testContext,
	type TestContext,
	type World,
	ownPersonOf
} from '../support/context';

let context: TestContext;
let world: World;

beforeAll(async () => {
	context = await testContext();
	world = await makeWorld(context);
});
afterAll(() => context.db.close());

const LIST = `name,mail,time zone,level,equipment
Oren Falkestad,oren@hutseason.example,Europe/Lisbon,trained,"dumbbell 12 kg, mat"
Bao Trinh,bao@hutseason.example,Asia/Saigon,some experience,
,nobody@hutseason.example,Europe/Olso,superb,
Maarit,oren@hutseason.example,Europe/Helsinki,beginner,`;
const count = async () => (await enrolmentsOf(context.db, world.challenge.id)).length;

describe('enrolling from a list', () => {
	it('shows what is wrong by line and writes nothing', async () => {
		const before = await count();
		const preview = await previewRoster(context, world.challenge, LIST, null);
		expect([preview.good, preview.bad]).toEqual([2, 2]);
		expect(preview.lines[2]).toMatchObject({ line: 4, row: null });
		expect(preview.lines[2]?.faults.map((fault) => fault.field)).toEqual(['name', 'zone', 'level']);
		expect(preview.lines[3]?.faults[0]?.message).toContain('line 2');
		expect(await count()).toBe(before);
	});

	it('enrols nobody of a list with faults unless told to take the good ones', async () => {
		const before = await count();
		await expect(importRoster(context, world.challenge, LIST, null, false)).rejects.toMatchObject({
			status: 400
		});
		expect(await count()).toBe(before);
		const links = await importRoster(context, world.challenge, LIST, null, true);
		expect(links.map((link) => link.name)).toEqual(['Oren Falkestad', 'Bao Trinh']);
		expect(new Set(links.map((link) => link.secret)).size).toBe(2);
		expect(await count()).toBe(before + 2);
	});

	it('says of the same list that its people are enrolled already', async () => {
		const preview = await previewRoster(context, world.challenge, LIST, null);
		expect(preview.good).toBe(0);
		expect(preview.lines[0]?.faults[0]?.message).toContain('enrolled already');
	});

	it('follows the columns that the coach chose', async () => {
		const text = 'a,b,c\nEurope/Oslo,Sefa,sefa@hutseason.example';
		const preview = await previewRoster(context, world.challenge, text, {
			name: 1,
			email: 2,
			zone: 0,
			level: null,
			equipment: null
		});
		expect(preview.lines[0]?.row).toMatchObject({ name: 'Sefa', zone: 'Europe/Oslo', level: 'beginner' });
	});

	it('keeps one record of somebody who comes back for another challenge', async () => {
		const next = await makeChallenge(context, world.coach, { name: 'Next' });
		await importRoster(
			context,
			next,
			'name,mail,zone\nOren F.,OREN@hutseason.example,Europe/Oslo',
			null,
			false
		);
		const [here] = await enrolmentsOf(context.db, next.id);
		const there = (await enrolmentsOf(context.db, world.challenge.id)).find(
			(p) => p.email === 'oren@hutseason.example'
		);
		expect(here?.participantId).toBe(there?.participantId);
	});
});

describe('late joiners', () => {
	it('join on the group’s day, with the days before not theirs', async () => {
		// Wednesday: day 3 in Lisbon.
		const oren = (await enrolmentsOf(context.db, world.challenge.id)).find(
			(p) => p.email === 'oren@hutseason.example'
		);
		expect(oren).toMatchObject({ fromDay: 3, shiftDays: 0 });
	});

	it('begin at an own day 1 where the challenge says so', async () => {
		const own = await makeChallenge(context, world.coach, { name: 'Own clocks', lateJoiners: 'own' });
		await importRoster(
			context,
			own,
			'name,mail,zone\nAroha,aroha@hutseason.example,Pacific/Auckland',
			null,
			false
		);
		// Noon UTC on Wednesday is Thursday in Auckland: three days after the group began.
		expect((await enrolmentsOf(context.db, own.id))[0]).toMatchObject({ fromDay: 1, shiftDays: 3 });
	});

	it('cannot join what is over', async () => {
		const now = new Date(context.clock.now()).toISOString();
		context.at('2026-09-25T12:00:00Z');
		const over = await makeChallenge(context, world.coach, { name: 'Over', startsOn: '2026-10-01' });
		context.at(now);
		await expect(
			importRoster(context, over, 'name,mail,zone\nA,a@hutseason.example,UTC', null, false)
		).rejects.toMatchObject({ status: 409 });
	});
});

describe('a person', () => {
	const id = () => world.people[0]!.enrolmentId;

	it('moves with their zone', async () => {
		await changePerson(context, await ownPersonOf(context, world, id()), {
			name: 'Person 1',
			zone: 'Asia/Tokyo',
			level: 'trained',
			equipment: 'mat, step, anvil',
			limits: ['no jumps', 'no floor']
		});
		const person = await enrolmentOf(context.db, world.challenge, id());
		expect(person).toMatchObject({ zone: 'Asia/Tokyo', level: 'trained', kitUnread: ['anvil'] });
		expect(kitText(person.kit)).toBe('mat; step');
		expect(person.limits).toEqual(['no jumps', 'no floor']);
		const plan = await planOf(context.db, world.challenge);
		const [first] = openingsOf([rollRow(person, world.challenge, plan, context.clock.now())], 3);
		expect(new Date(first?.opens ?? 0).toISOString()).toBe('2026-11-24T20:30:00.000Z');
		await expect(
			changePerson(context, await ownPersonOf(context, world, id()), {
				name: 'P',
				zone: 'Mars/Base',
				level: 'trained'
			})
		).rejects.toMatchObject({ status: 400 });
		await changePerson(context, await ownPersonOf(context, world, id()), {
			name: 'Person 1',
			zone: 'Europe/Oslo',
			level: 'beginner',
			equipment: 'mat'
		});
	});

	it('is excused with a reason, and the excuse can be taken back', async () => {
		await excuse(context, await ownPersonOf(context, world, id()), { days: [1, 2], reason: 'fever' });
		expect((await standingOf(context, world.people[0]!)).days.slice(0, 2).map((day) => day.state)).toEqual([
			'excused',
			'excused'
		]);
		expect(await excusesOf(context, id())).toEqual([
			{ day: 1, reason: 'fever' },
			{ day: 2, reason: 'fever' }
		]);
		await unexcuse(context, await ownPersonOf(context, world, id()), 2);
		expect((await standingOf(context, world.people[0]!)).days[1]?.state).not.toBe('excused');
		await expect(
			excuse(context, await ownPersonOf(context, world, id()), { days: [1], reason: '' })
		).rejects.toMatchObject({
			status: 400
		});
		await expect(ownPersonOf(context, world, 'nobody')).rejects.toMatchObject({ status: 404 });
	});

	it('who has done a day is not excused from what they did', async () => {
		context.at('2026-11-25T10:00:00Z');
		await checkIn(context, world.people[1]!, { id: context.ids.uuid(), day: 3, done: 'all' });
		await excuse(context, await ownPersonOf(context, world, world.people[1]!.enrolmentId), {
			days: [3],
			reason: 'travel'
		});
		expect((await standingOf(context, world.people[1]!)).days[2]?.state).toBe('done');
	});

	it('is taken off only before the first check-in', async () => {
		await expect(
			unenrol(context, await ownPersonOf(context, world, world.people[1]!.enrolmentId))
		).rejects.toMatchObject({
			status: 409
		});
		const before = await count();
		await unenrol(context, await ownPersonOf(context, world, world.people[2]!.enrolmentId));
		expect(await count()).toBe(before - 1);
	});
});
