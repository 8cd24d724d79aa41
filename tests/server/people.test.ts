import { describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { changePerson } from '$lib/server/people/change';
import { enrolmentOf, enrolmentsOf } from '$lib/server/records/enrolments';
import { unenrol } from '$lib/server/people/enrol';
import { excuse, excusesOf, unexcuse } from '$lib/server/done/attendance/excuses';
import { importRoster, previewRoster } from '$lib/server/people/import';
import { notesOf } from '$lib/server/people/notes';
import { inNeed } from '$lib/server/contact/reach/triage';
import { standingOf } from '$lib/server/done/day/own-day';
import { kitText } from '$core/kit';
import { rollRow } from '$lib/server/done/attendance/roll';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { planOf } from '$lib/server/records/plan-days';
import { openingsOf } from '$lib/server/contact/desk/desk';
import { makeChallenge, ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld();

const LIST = `name,mail,time zone,level,equipment
Oren Falkestad,oren@hutseason.example,Europe/Lisbon,trained,"dumbbell 12 kg, mat"
Bao Trinh,bao@hutseason.example,Asia/Saigon,some experience,
,nobody@hutseason.example,Europe/Olso,superb,
Maarit,oren@hutseason.example,Europe/Helsinki,beginner,`;
const pasted = (text: string) => ({ bytes: null, pasted: text });
const AS_IT_IS = { goodOnly: false, updateKnown: false, by: world.coach.id };
const count = async () => (await enrolmentsOf(context.db, world.challenge.id)).length;

describe('enrolling from a list', () => {
	it('shows what is wrong by line and writes nothing', async () => {
		const before = await count();
		const preview = await previewRoster(context, world.challenge, pasted(LIST), null);
		expect([preview.good, preview.bad]).toEqual([2, 2]);
		expect(preview.lines[2]).toMatchObject({ line: 4, row: null });
		expect(preview.lines[2]?.faults.map((fault) => fault.field)).toEqual(['name', 'zone', 'level']);
		expect(preview.lines[3]?.faults[0]?.message).toContain('line 2');
		expect(await count()).toBe(before);
	});

	it('takes corrections made in the preview, and gives the list back with them', async () => {
		const fixes = [
			{ line: 4, column: 0, value: 'Runa Eide, the younger' },
			{ line: 4, column: 2, value: 'Oslo' },
			{ line: 4, column: 3, value: 'trained' }
		];
		const preview = await previewRoster(context, world.challenge, pasted(LIST), null, fixes);
		expect([preview.good, preview.bad]).toEqual([3, 1]);
		expect(preview.lines[2]).toMatchObject({
			row: { name: 'Runa Eide, the younger', zone: 'Europe/Oslo', level: 'trained' },
			taken: ['“Oslo” taken as Europe/Oslo']
		});
		// What comes back is the whole list, and is read alike.
		const again = await previewRoster(context, world.challenge, pasted(preview.text), null);
		expect(again.lines).toEqual(preview.lines);
		const bad = [{ line: 4, column: 99, value: 'x' }];
		await expect(previewRoster(context, world.challenge, pasted(LIST), null, bad)).rejects.toMatchObject({
			status: 400
		});
	});

	it('enrols nobody of a list with faults unless told to take the good ones', async () => {
		const before = await count();
		await expect(importRoster(context, world.challenge, pasted(LIST), null, AS_IT_IS)).rejects.toMatchObject({
			status: 400
		});
		expect(await count()).toBe(before);
		const links = await importRoster(context, world.challenge, pasted(LIST), null, {
			...AS_IT_IS,
			goodOnly: true
		});
		expect(links.map((link) => link.name)).toEqual(['Oren Falkestad', 'Bao Trinh']);
		expect(new Set(links.map((link) => link.secret)).size).toBe(2);
		expect(await count()).toBe(before + 2);
	});

	it('says of the same list that its people are enrolled already', async () => {
		const preview = await previewRoster(context, world.challenge, pasted(LIST), null);
		expect(preview.good).toBe(0);
		expect(preview.lines[0]?.faults[0]?.message).toContain('enrolled already');
	});

	it('follows the columns that the coach chose', async () => {
		const text = 'a,b,c\nEurope/Oslo,Sefa,sefa@hutseason.example';
		const preview = await previewRoster(context, world.challenge, pasted(text), {
			name: 1,
			email: 2,
			zone: 0,
			level: null,
			equipment: null,
			country: null
		});
		// Headings that nobody knows may be a person: they are shown, and not left out without a word.
		expect(preview.lines.map(({ row }) => row?.name)).toEqual([undefined, 'Sefa']);
		expect(preview.lines[1]?.row).toMatchObject({ zone: 'Europe/Oslo', level: 'beginner' });
	});

	it('loses neither the first person of a list without headings nor what has no column, and takes people without an address', async () => {
		const challenge = await makeChallenge(context, world.coach, { name: 'Bare' });
		const text = '1. Ragna Vik;Oslo;breastfeeding\n2. Odd Lien;Oslo;plays the tuba';
		const preview = await previewRoster(context, challenge, pasted(text), null);
		expect(preview.notes).toContain('The first line is taken as a person: it has no headings.');
		expect(preview.lines.map(({ row }) => [row?.name, row?.email, row?.isHealth])).toEqual([
			['Ragna Vik', '', true],
			['Odd Lien', '', false]
		]);
		const links = await importRoster(context, challenge, pasted(text), null, AS_IT_IS);
		expect(new Set(links.map(({ enrolmentId }) => enrolmentId)).size).toBe(2);
		const people = await enrolmentsOf(context.db, challenge.id);
		const notes = await Promise.all(people.map((one) => notesOf(context.db, one.participantId)));
		expect(notes.map(([note]) => note?.body).sort()).toEqual(['breastfeeding', 'plays the tuba']);
		const need = await inNeed({ app: context }, challenge, context.clock.now());
		const ragna = need.find(({ person }) => person.name === 'Ragna Vik');
		expect(ragna?.reasons.map(({ kind }) => kind)).toContain('review');
		const odd = need.find(({ person }) => person.name === 'Odd Lien');
		expect(odd?.reasons.map(({ kind }) => kind) ?? []).not.toContain('review');
	});

	it('keeps one record of somebody who comes back for another challenge', async () => {
		const next = await makeChallenge(context, world.coach, { name: 'Next' });
		await importRoster(
			context,
			next,
			pasted('name,mail,zone\nOren F.,OREN@hutseason.example,Europe/Oslo'),
			null,
			AS_IT_IS
		);
		const [here] = await enrolmentsOf(context.db, next.id);
		const there = (await enrolmentsOf(context.db, world.challenge.id)).find(
			(p) => p.email === 'oren@hutseason.example'
		);
		expect(here?.participantId).toBe(there?.participantId);
	});

	it('asks before it changes what is known of somebody: their days elsewhere hang on it', async () => {
		const list = pasted('name,mail,zone\nOren F.,OREN@hutseason.example,Pacific/Apia');
		const oren = async (challenge: OwnedChallenge) =>
			(await enrolmentsOf(context.db, challenge.id)).find((p) => p.email === 'oren@hutseason.example');
		const kept = await makeChallenge(context, world.coach, { name: 'Kept' });
		const preview = await previewRoster(context, kept, list, null);
		expect(preview.known).toEqual([
			{
				email: 'oren@hutseason.example',
				name: 'Oren Falkestad',
				differences: [
					{ what: 'name', known: 'Oren Falkestad', listed: 'Oren F.' },
					{ what: 'time zone', known: 'Europe/Lisbon', listed: 'Pacific/Apia' }
				]
			}
		]);
		const [link] = await importRoster(context, kept, list, null, AS_IT_IS);
		expect(link?.name).toBe('Oren Falkestad');
		expect(await oren(kept)).toMatchObject({ zone: 'Europe/Lisbon', level: 'trained' });
		// As they are known there is nothing to ask.
		const same = pasted('name,mail,zone,level\nOren Falkestad,oren@hutseason.example,Europe/Lisbon,trained');
		const taken = await makeChallenge(context, world.coach, { name: 'Taken' });
		expect((await previewRoster(context, taken, same, null)).known).toEqual([]);
		const more = pasted(
			'name,mail,zone,level,kit\nOren Falkestad,oren@hutseason.example,Europe/Lisbon,beginner,step'
		);
		expect((await previewRoster(context, taken, more, null)).known[0]?.differences).toEqual([
			{ what: 'level', known: 'trained', listed: 'beginner' },
			{ what: 'equipment', known: 'dumbbell 12 kg; mat', listed: 'step' }
		]);
		await importRoster(context, taken, list, null, { ...AS_IT_IS, updateKnown: true });
		// What the list does not say stays.
		const as = { name: 'Oren F.', zone: 'Pacific/Apia', level: 'trained' };
		for (const challenge of [world.challenge, kept, taken]) {
			expect(await oren(challenge)).toMatchObject(as);
			expect(kitText((await oren(challenge))?.kit ?? [])).toBe('dumbbell 12 kg; mat');
		}
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
			pasted('name,mail,zone\nAroha,aroha@hutseason.example,Pacific/Auckland'),
			null,
			AS_IT_IS
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
			importRoster(context, over, pasted('name,mail,zone\nA,a@hutseason.example,UTC'), null, AS_IT_IS)
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
		expect(person.addedLimits).toEqual(['no jumps', 'no floor']);
		expect(person.limits).toEqual(['no floor', 'no jumps']);
		const plan = await planOf(context.db, world.challenge);
		const [first] = openingsOf(
			[rollRow(person, world.challenge, plan, context.clock.now())],
			3,
			context.clock.now()
		);
		expect(new Date(first?.opens ?? 0).toISOString()).toBe('2026-11-25T04:30:00.000Z');
		const [ahead] = openingsOf(
			[rollRow(person, world.challenge, plan, context.clock.now())],
			4,
			context.clock.now()
		);
		expect(new Date(ahead?.opens ?? 0).toISOString()).toBe('2026-11-25T20:30:00.000Z');
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
		await unexcuse(context, await ownPersonOf(context, world, id()), { day: 2 });
		for (const day of [NaN, 'abc', null, 0, 1.5, 85, 1e12])
			await expect(unexcuse(context, await ownPersonOf(context, world, id()), { day })).rejects.toMatchObject(
				{
					status: 400
				}
			);
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
