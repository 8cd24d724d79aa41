import { beforeEach, describe, expect, it } from 'vitest';
import type { IntakeSections } from '$contracts/intake';
import { holdAt } from '$core/health';
import { kitText } from '$core/kit';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { followWeeks } from '$lib/server/people/health/answers';
import { clearancesOf, recordClearance, takeBackClearance } from '$lib/server/people/health/clearances';
import { lookAtAnswers, looksAt, mindOf } from '$lib/server/people/health/looks';
import { answersOf, changesOf } from '$lib/server/records/health';
import { changeChallenge } from '$lib/server/training/challenge/change';
import { challengeOf, inputOf } from '$lib/server/records/challenge';
import {
	askAgain,
	askWeekly,
	finishIntake,
	intakeOf,
	nothingChanged,
	saveSection
} from '$lib/server/people/intake';
import { changePerson } from '$lib/server/people/change';
import { enrolmentById, asPerson } from '$lib/server/records/enrolments';
import { randomIds } from '$lib/server/platform/ids';
import { ownPersonOf, peopleOf, sharedWorld } from '../support/context';
import { ANSWERS, unanswered } from '../support/intake';
import { refusal } from '../support/refusal';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo] = world.people;
const id = () => oslo!.participantId;
const own = () => ownPersonOf(context, world, oslo!.enrolmentId);
const me = async () => asPerson(await enrolmentById(context.db, oslo!.enrolmentId));
const finish = (more: Partial<IntakeSections> = {}, sendId = randomIds.uuid()) =>
	finishIntake(context, id(), 'participant', { ...ANSWERS, ...more }, sendId);
const state = async (day: number) => (await standingOf(context, await me())).days[day - 1]?.state;

beforeEach(async () => {
	context.at('2026-11-25T12:00:00Z');
	await unanswered(context.db, id());
});

describe('the questions before the start', () => {
	it('are kept section by section, and nothing follows from them yet', async () => {
		await saveSection(context, id(), 'you', ANSWERS.you);
		await saveSection(context, id(), 'body', { ...ANSWERS.body, floor: 'rather not' });
		const kept = await intakeOf(context.db, id(), context.clock.now());
		expect(kept).toMatchObject({ answeredAt: null, begun: true });
		expect(kept.sections.you?.displayName).toBe('Pia');
		expect(kept.sections.body?.floor).toBe('rather not');
		expect(kept.sections.training).toBeUndefined();
		expect((await own()).limits).toEqual([]);
	});

	it('say what is missing when they are sent too early', async () => {
		await saveSection(context, id(), 'you', ANSWERS.you);
		const { kit: _kit, consent: _consent, ...rest } = ANSWERS;
		const refused = await refusal(finishIntake(context, id(), 'participant', rest, randomIds.uuid()));
		expect(refused).toMatchObject({ status: 409 });
		expect(refused.faults.map(({ field }) => field)).toEqual(['consent']);
	});

	it('make who somebody is, what they own and what must not be asked of them', async () => {
		const screening = await finish({
			body: { ...ANSWERS.body, hurts: [{ place: 'wrist', how: 'now' }] },
			kit: { none: false, owned: [{ kind: 'dumbbell', kg: 6, count: 2 }], other: 'medium band; anvil' }
		});
		expect(screening.clearance).toBe('go');
		const person = await own();
		expect(person).toMatchObject({
			displayName: 'Pia',
			level: 'some experience',
			minutes: 30,
			units: 'lb',
			goals: 'A pull-up',
			trainsAt: 18 * 60 + 30,
			limits: ['no weight on the wrists'],
			kitUnread: ['anvil'],
			answeredAt: context.clock.now()
		});
		expect(kitText(person.kit)).toBe('pair of dumbbells 6 kg; medium band');
		expect(await changesOf(context.db, id(), context.clock.now())).toMatchObject([
			{ madeBy: 'participant', what: 'Answered the questions before the start' }
		]);
		// What was under way is gone, and what was answered is there to look over.
		expect(await intakeOf(context.db, id(), context.clock.now())).toMatchObject({
			begun: false,
			sections: { training: { level: 'some experience' }, body: { hurts: [{ place: 'wrist', how: 'now' }] } }
		});
	});

	it('count once, however often they are sent', async () => {
		const sendId = randomIds.uuid();
		const [first, again] = [await finish({}, sendId), await finish({}, sendId)];
		expect(again).toEqual(first);
		const rows = await context.db.query('select 1 from screening where participant_id = $1', [id()]);
		expect(rows).toHaveLength(1);
		const [, other] = world.people;
		expect(
			await refusal(finishIntake(context, other!.participantId, 'participant', { ...ANSWERS }, sendId))
		).toMatchObject({ status: 404 });
	});

	it.each<[keyof IntakeSections, object, string, RegExp]>([
		['you', { zone: '' }, 'zone', /time zone is needed/],
		['you', { zone: 'Europe/Olso' }, 'zone', /did you mean Europe\/Oslo/],
		[
			'kit',
			{ none: true, owned: [{ kind: 'item', item: 'pull-up bar', count: 1 }] },
			'none',
			/pull-up bar. Which of the two/
		],
		['kit', { none: false, owned: [], other: '' }, 'none', /say that you have nothing/],
		[
			'kit',
			{ owned: [{ kind: 'dumbbell', kg: 412, count: 2 }] },
			'owned[0]',
			/412 kg is more .* Did you mean 41.2 kg/
		],
		[
			'kit',
			{ owned: [{ kind: 'adjustable', from: 20, to: 2, step: 2, count: 2 }] },
			'owned[0]',
			/second weight is the heavier/
		],
		[
			'body',
			{ expecting: 'pregnant', pregnantWeek: 50 },
			'pregnantWeek',
			/weeks 1 to 42; if the baby is born/
		],
		['body', { expecting: 'pregnant' }, 'pregnantWeek', /Which week is it/],
		['body', { expecting: 'born' }, 'birthWeeks', /How many weeks ago/],
		['body', { expecting: undefined }, 'expecting', /choose one of the three/],
		['body', { pregnantWeek: 20 }, 'expecting', /Are you pregnant/],
		['body', { expecting: 'pregnant', pregnantWeek: 20, age: '65 or over' }, 'age', /Which of the two/],
		['body', { expecting: 'pregnant', pregnantWeek: 20, birthWeeks: 1 }, 'birthWeeks', /Which of the two/],
		['body', { age: '7' }, 'age', /choose your age/],
		['training', { level: 'trained', weights: 'never', active: false }, 'level', /safer place to start/],
		['health', { chest: undefined }, 'chest', /yes or no/],
		['consent', { agreed: false }, 'agreed', /without your consent/]
	])('%s with %j is asked about', async (section, more, field, says) => {
		const refused = await refusal(
			saveSection(context, id(), section, { ...(ANSWERS[section] as object), ...more })
		);
		expect(refused.status).toBe(400);
		expect(refused.faults.find((fault) => fault.field === field)?.message).toMatch(says);
		expect((await intakeOf(context.db, id(), context.clock.now())).begun).toBe(false);
	});

	it('are asked again, and answered by saying that nothing has changed', async () => {
		expect(await refusal(nothingChanged(context, id()))).toMatchObject({ status: 409 });
		await finish();
		expect((await me()).asksAgain).toBe(false);
		context.at('2026-11-26T12:00:00Z');
		await askAgain(context, id());
		expect((await me()).asksAgain).toBe(true);
		context.at('2026-11-26T13:00:00Z');
		await nothingChanged(context, id());
		expect((await me()).asksAgain).toBe(false);
	});

	it('are asked for again a week after they were given or asked for, while a challenge that does so runs', async () => {
		const weekly = async (asksWeekly: boolean) => {
			const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
			await changeChallenge(context, challenge, { ...inputOf(challenge), asksWeekly });
		};
		await finish();
		const after = (hours: number) =>
			context.at(new Date(Date.parse('2026-11-25T12:00:00Z') + hours * 3_600_000).toISOString());
		after(7 * 24);
		expect(await askWeekly(context)).toBe(0);
		await weekly(true);
		after(7 * 24 - 1);
		expect(await askWeekly(context)).toBe(0);
		after(7 * 24);
		// The two who never answered are asked that already.
		expect(await askWeekly(context)).toBe(1);
		expect((await me()).asksAgain).toBe(true);
		expect(await askWeekly(context)).toBe(0);
		// The challenge of two weeks is over on the 7th.
		after(15 * 24);
		expect(await askWeekly(context)).toBe(0);
		context.at('2026-11-25T12:00:00Z');
		await weekly(false);
	});

	it('keep weeks of a pregnancy going when they are looked over later', async () => {
		await finish({ body: { ...ANSWERS.body, expecting: 'pregnant', pregnantWeek: 12 } });
		const later = Date.parse('2026-12-10T12:00:00Z');
		expect((await intakeOf(context.db, id(), later)).sections.body?.pregnantWeek).toBe(14);
	});
});

describe('a hold', () => {
	const CHEST = { health: { ...ANSWERS.health, chest: true } };

	it('keeps sessions back until the coach has recorded a clearance, and begins again when it runs out', async () => {
		expect(await state(3)).toBe('open');
		expect(await finish(CHEST)).toMatchObject({ clearance: 'ask first' });
		expect(await state(3)).toBe('held');
		expect(await openDay(context, await me(), 3)).toMatchObject({
			state: 'held',
			session: null,
			nothingLeft: false
		});
		const sent = checkIn(context, await me(), { id: randomIds.uuid(), day: 3, done: 'all' });
		expect(await refusal(sent)).toMatchObject({
			status: 409,
			message: expect.stringMatching(/Nothing is released/) as string
		});
		const document = randomIds.uuid();
		await context.db.query(
			`insert into document (id, participant_id, name, kind, bytes, at) values ($1, $2, 'yes.pdf', 'pdf', 9, now())`,
			[document, id()]
		);
		const said = { who: 'Dr Lindqvist', note: 'fine', until: '2026-11-26', document };
		await recordClearance(context, await own(), said);
		expect((await clearancesOf(context.db, id()))[0]?.document).toEqual({ id: document, name: 'yes.pdf' });
		await context.db.query('delete from document where id = $1', [document]);
		expect((await clearancesOf(context.db, id()))[0]?.document).toBeNull();
		expect(await state(3)).toBe('open');
		expect((await openDay(context, await me(), 3)).session?.name).toBe('Small');
		context.at('2026-11-26T22:59:00Z');
		expect(await state(4)).toBe('open');
		// The day ends at midnight in Oslo.
		context.at('2026-11-26T23:00:00Z');
		expect(await state(4)).toBe('held');
		expect((await standingOf(context, await me())).hold?.reason).toBe('clearance over');
	});

	it('makes nobody miss a day that closed meanwhile, and leaves what was done', async () => {
		context.at('2026-11-23T12:00:00Z');
		await checkIn(context, await me(), { id: randomIds.uuid(), day: 1, done: 'all' });
		await finish(CHEST);
		context.at('2026-11-30T12:00:00Z');
		const { days } = await standingOf(context, await me());
		expect(days.slice(0, 5).map(({ state }) => state)).toEqual(['done', 'held', 'held', 'held', 'held']);
		await context.db.query('delete from result');
	});

	it('is about what was asked: another sign holds in spite of a clearance', async () => {
		await finish(CHEST);
		await recordClearance(context, await own(), { who: 'Dr Lindqvist', note: '', until: '' });
		context.at('2026-11-25T13:00:00Z');
		await finish(CHEST);
		expect(await state(3)).toBe('open');
		context.at('2026-11-25T14:00:00Z');
		await finish({ health: { ...ANSWERS.health, chest: true, faint: true } });
		expect(await state(3)).toBe('held');
		const { clearances } = await mindOf(context, await own(), context.clock.now());
		expect(clearances).toMatchObject([{ who: 'Dr Lindqvist', covers: ['chest'], until: null }]);
	});

	it('comes back when a clearance is taken back', async () => {
		await finish(CHEST);
		await recordClearance(context, await own(), { who: 'Dr Lindqvist', note: '', until: '' });
		const [given] = await clearancesOf(context.db, id());
		context.at('2026-11-25T13:00:00Z');
		await takeBackClearance(context, await own(), given?.id ?? '');
		expect(await state(3)).toBe('held');
		expect(await refusal(takeBackClearance(context, await own(), given?.id ?? ''))).toMatchObject({
			status: 404
		});
	});

	it('takes no clearance that is over, says nothing or is asked for by nobody', async () => {
		// A paper that is not theirs says nothing about them.
		expect(
			await refusal(
				recordClearance(context, await own(), { who: 'Dr L', until: '', document: randomIds.uuid() })
			)
		).toMatchObject({ status: 404 });
		expect(await refusal(recordClearance(context, await own(), { who: 'Dr L', until: '' }))).toMatchObject({
			status: 409
		});
		await finish(CHEST);
		for (const [raw, field] of [
			[{ who: '', until: '' }, 'who'],
			[{ who: 'Dr L', until: '2026-11-24' }, 'until'],
			[{ who: 'Dr L', until: '2026-02-30' }, 'until'],
			[{ who: 'Dr L', until: 'soon' }, 'until']
		] as const)
			expect(
				(await refusal(recordClearance(context, await own(), raw))).faults.map((one) => one.field)
			).toEqual([field]);
		expect(await clearancesOf(context.db, id())).toEqual([]);
	});

	it('waits for answers where the challenge says so', async () => {
		const set = async (waitsForAnswers: boolean) => {
			const now = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
			await changeChallenge(context, now, { ...inputOf(now), waitsForAnswers });
		};
		await set(true);
		expect(await state(3)).toBe('held');
		expect((await standingOf(context, await me())).hold?.reason).toBe('questions');
		await finish();
		expect(await state(3)).toBe('open');
		await set(false);
		// Turned off again, nobody is held any longer, and turned on it asked for nothing of the days before.
		const [, other] = await peopleOf(context, world.challenge, world.people);
		expect(holdAt(other?.holds ?? [], context.clock.now())).toBeNull();
		expect(other?.holds.every(({ from }) => from >= context.clock.now())).toBe(true);
	});
});

describe('weeks that go by', () => {
	it('bring the limits of a trimester, note it, and ask again after a birth', async () => {
		await finish({ body: { ...ANSWERS.body, expecting: 'pregnant', pregnantWeek: 13 } });
		expect((await own()).limits).toEqual(['no balance without support']);
		expect(await followWeeks(context)).toBe(0);
		context.at('2026-12-02T12:00:00Z');
		expect(await followWeeks(context)).toBe(1);
		expect((await own()).limits).toContain('no lying on the back');
		expect(await followWeeks(context)).toBe(0);
	});

	it('let go of whoever was held for a birth sixteen weeks ago', async () => {
		await finish({ body: { ...ANSWERS.body, expecting: 'born', birthWeeks: 15 } });
		expect(await state(3)).toBe('held');
		context.at('2026-12-02T12:00:00Z');
		expect(await followWeeks(context)).toBe(1);
		expect(await state(10)).toBe('open');
	});
});

describe('health answers', () => {
	it('are shown to the coach where it is written down, for the person to see', async () => {
		expect(await refusal(lookAtAnswers(context, await own(), 'Runa'))).toMatchObject({ status: 404 });
		await finish({ body: { ...ANSWERS.body, hurtsElsewhere: 'left elbow' } });
		const { answers } = await lookAtAnswers(context, await own(), 'Runa');
		expect(answers.hurtsElsewhere).toBe('left elbow');
		expect(await looksAt(context.db, id())).toMatchObject([{ who: 'Runa', at: context.clock.now() }]);
	});

	it('lie in a table of their own, and in no other', async () => {
		await finish({
			body: { ...ANSWERS.body, hurtsElsewhere: 'left elbow' },
			health: { ...ANSWERS.health, faint: true }
		});
		expect(await answersOf(context.db, id())).toMatchObject({ yes: ['faint'] });
		const tables = await context.db.query<{ name: string }>(
			"select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'"
		);
		const holding: string[] = [];
		for (const { name } of tables) {
			const [found] = await context.db.query<{ n: number }>(
				`select count(*)::int as n from "${name}" t where t::text like '%left elbow%'`
			);
			if (found && found.n > 0) holding.push(name);
		}
		expect(holding.sort()).toEqual(['health', 'screening']);
	});

	it('of limits that a coach adds by hand both stand', async () => {
		await finish({ body: { ...ANSWERS.body, hurts: [{ place: 'wrist', how: 'now' }] } });
		await changePerson(context, await own(), {
			name: 'Person 1',
			zone: 'Europe/Oslo',
			level: 'trained',
			equipment: 'mat',
			limits: ['no jumps']
		});
		expect(await own()).toMatchObject({
			addedLimits: ['no jumps'],
			limits: ['no jumps', 'no weight on the wrists']
		});
		const [last] = await changesOf(context.db, id(), context.clock.now());
		expect(last?.what).toBe('level: some experience → trained; what to leave out');
	});
});
