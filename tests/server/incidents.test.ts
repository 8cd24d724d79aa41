import { beforeEach, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { overridesOf } from '$lib/server/records/overrides';
import { inviteHelper } from '../support/coaches';
import {
	adviceAbout,
	decideIncident,
	endSparing,
	followUp,
	incidentsOf,
	reportStop
} from '$lib/server/contact/incidents/incidents';
import { threadOf } from '$lib/server/contact/messages/messages';
import { asPerson } from '$lib/server/records/enrolments';
import type { Letter } from '$lib/server/platform/mail';
import { deliver } from '$lib/server/contact/delivery/deliver';
import { inNeed } from '$lib/server/contact/reach/triage';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let sent: Letter[];
const mail = { send: (letter: Letter) => Promise.resolve(void sent.push(letter)) };
const tell = () => deliver({ ...context, config: { origin: null } }, mail);

beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-25T12:00:00Z');
	world = await makeWorld(context);
	sent = [];
	return () => context.db.close();
});

const person = () => ownPersonOf(context, world, world.people[0]!.enrolmentId);
const me = async () => asPerson(await person());
const send = async (day: number, more: object) =>
	checkIn(context, await me(), {
		id: context.ids.uuid(),
		day,
		versionId: null,
		done: 'all',
		sets: null,
		...more
	});
const all = () => incidentsOf(context.db, world.people[0]!.enrolmentId, context.clock.now());
const off = async () =>
	(await overridesOf(context.db, world.people[0]!.enrolmentId, context.clock.now())).map(
		({ target, change, fromDay, origin }) => ({
			target,
			change: change.kind,
			fromDay,
			origin: origin.kind
		})
	);
const reasons = async () => {
	const found = await inNeed({ app: context }, world.challenge, context.clock.now());
	return found.find((one) => one.person.id === world.people[0]!.enrolmentId)!.reasons;
};
const decide = async (raw: object, id?: string) =>
	decideIncident(context, world.challenge, await person(), world.coach.id, id ?? (await all())[0]!.id, raw);
const ribs = { area: 'elsewhere', kind: 'sharp', at: { block: 0, part: 0 } };
const knee = { area: 'knee', kind: 'dull', intensity: 3, at: { block: 0, part: 0 } };
const exercisesOn = async (day: number) =>
	(await openDay(context, await me(), day)).session?.asked.map(({ exercise }) => exercise);

describe('pain that a check-in tells of', () => {
	it('is on record, and its exercise off from the next day on', async () => {
		await send(3, { hurts: 'ribs, going down', well: { pain: ribs } });
		expect(await all()).toMatchObject([
			{
				kind: 'pain',
				day: 3,
				said: 'ribs, going down',
				area: 'elsewhere',
				feels: 'sharp',
				exercises: ['Squat'],
				decidedAt: null
			}
		]);
		expect(await off()).toEqual([
			{ target: { kind: 'exercise', exercise: 'Squat' }, change: 'leave out', fromDay: 4, origin: 'incident' }
		]);
		context.at('2026-11-26T12:00:00Z');
		expect(await exercisesOn(4)).toEqual(['Plank']);
		expect((await reasons())[0]).toMatchObject({ kind: 'pain', hurts: 'ribs, going down' });
	});

	it('is told of by a session that was led, in each exercise once', async () => {
		const run = {
			seconds: 600,
			scores: [],
			hurts: [
				{ block: 0, part: 0, exercise: 'Squat', area: 'elsewhere' },
				{ block: 0, part: 0, exercise: 'Squat', area: 'neck' },
				{ block: 1, part: 0, exercise: 'Plank', area: 'wrist' },
				{ block: 40, part: 0, exercise: 'Gone', area: 'wrist' }
			]
		};
		await send(3, { run });
		expect(await all()).toMatchObject([
			{
				said: 'elsewhere, in Squat; neck, in Squat; wrist, in Plank; wrist, in Gone',
				exercises: ['Squat', 'Plank']
			}
		]);
		expect(await off()).toHaveLength(2);
	});

	it('corrected is told anew and not doubled; without an exercise nothing is off', async () => {
		const first = await send(3, { hurts: 'ribs' });
		expect(await off()).toEqual([]);
		await send(3, { hurts: 'ribs, right', replaces: first.id, well: { pain: ribs } });
		expect(await all()).toMatchObject([{ said: 'ribs, right', exercises: ['Squat'] }]);
		expect(await off()).toHaveLength(1);
	});

	it('in an exercise that is off already takes it out for each report', async () => {
		await send(2, { hurts: 'ribs', well: { pain: ribs } });
		const second = await send(3, { hurts: 'ribs', well: { pain: ribs } });
		expect(await all()).toHaveLength(2);
		expect(await off()).toHaveLength(2);
		// Sent again without any pain, the second report is withdrawn; the first one still takes the exercise out.
		await send(3, { replaces: second.id });
		expect((await off()).map(({ fromDay }) => fromDay)).toEqual([3]);
	});

	it('in a session from the shelf, or done again, comes first as well', async () => {
		await context.db.query(
			`insert into incident (id, enrolment_id, kind, said, at) values (gen_random_uuid(), $1, 'pain', 'wrist', $2)`,
			[world.people[0]!.enrolmentId, new Date(context.clock.now()).toISOString()]
		);
		expect((await reasons())[0]).toMatchObject({ kind: 'pain', hurts: 'wrist', day: null });
		await send(3, {});
		context.at('2026-11-25T15:00:00Z');
		await send(3, { again: true, hurts: 'ribs again', id: context.ids.uuid() });
		expect((await all())[0]).toMatchObject({ said: 'ribs again', day: 3 });
	});

	it('is nothing where nothing hurts', async () => {
		await send(3, {});
		expect(await all()).toEqual([]);
	});
});

describe('the coaches', () => {
	it('whose mailbox is in trouble keep nobody else from being told', async () => {
		await inviteHelper(context, world, 'Kaija', 'coach');
		await send(3, { hurts: 'ribs' });
		const picky = {
			send: (letter: Letter) =>
				(letter.to as { address: string }).address.startsWith('runa')
					? Promise.reject(new Error('no connection'))
					: mail.send(letter)
		};
		await deliver({ ...context, config: { origin: null } }, picky);
		expect(sent).toHaveLength(1);
	});

	it('are told by mail at once, each incident once, and not of what or of whom', async () => {
		await inviteHelper(context, world, 'Kaija', 'coach');
		await inviteHelper(context, world, 'Vesa', 'viewer');
		await send(3, { hurts: 'ribs', well: { pain: ribs } });
		await tell();
		await tell();
		expect(sent.map(({ to }) => (to as { address: string }).address).sort()).toEqual([
			'kaija@example.org',
			'runa@example.org'
		]);
		for (const { subject, text } of sent) expect(`${subject}${text}`).not.toMatch(/knee|Person 1|Squat/);
	});
});

describe('pain limits the joint', () => {
	it('from the next session on, until a coach decides; what was done stays what it was', async () => {
		await send(3, { hurts: 'knee, 3 of 10', well: { pain: knee } });
		expect(await all()).toMatchObject([{ said: 'knee, 3 of 10', areas: ['knee'], intensity: 3 }]);
		// The squat is replaced by what spares the knee, and not left out.
		expect(await off()).toEqual([]);
		expect(await exercisesOn(3)).toEqual(['Squat', 'Plank']);
		context.at('2026-11-26T12:00:00Z');
		expect(await exercisesOn(4)).toEqual(['Half squat', 'Plank']);
		await decide({ decision: 'give back' });
		expect(await exercisesOn(4)).toEqual(['Squat', 'Plank']);
	});

	it('reads places and intensity from free text, in any order, and asks for nothing where there is none', async () => {
		await send(3, { hurts: 'in the planks 6 of 10, my right WRIST and a bit the neck' });
		expect(await all()).toMatchObject([{ areas: ['neck', 'wrist'], intensity: 6 }]);
		await send(2, { hurts: 'ow' });
		expect((await all()).find(({ day }) => day === 2)).toMatchObject({ areas: [], intensity: null });
	});

	it('goes on while a coach keeps it spared, and ends when she has asked again', async () => {
		await send(3, { hurts: 'knee', well: { pain: knee } });
		context.at('2026-11-26T12:00:00Z');
		await decide({ decision: 'spare', note: 'Small range this week', followUpOn: '2026-11-29' });
		expect(await exercisesOn(4)).toEqual(['Half squat', 'Plank']);
		const { pain } = await standingOf(context, await me());
		expect(pain).toMatchObject({
			decision: 'spare',
			note: 'Small range this week',
			followUpOn: '2026-11-29'
		});
		const [incident] = await all();
		await followUp(context, await person(), incident!.id, { outcome: 'goes on' });
		expect(await exercisesOn(4)).toEqual(['Half squat', 'Plank']);
		await endSparing(context, await person(), incident!.id);
		expect(await exercisesOn(4)).toEqual(['Squat', 'Plank']);
		await expect(endSparing(context, await person(), incident!.id)).rejects.toMatchObject({ status: 404 });
	});

	it('holds everything where a coach says so, with a day on which she asks again', async () => {
		await send(3, {
			hurts: 'sharp in the knee, 8/10',
			well: { pain: { ...knee, kind: 'sharp', intensity: 8 } }
		});
		const told = await all();
		expect(adviceAbout(told[0]!, told)).toEqual({ propose: 'hold', why: ['it is sharp', 'it is 8 of 10'] });
		await expect(decide({ decision: 'hold' })).rejects.toMatchObject({ status: 400 });
		context.at('2026-11-26T12:00:00Z');
		await decide({ decision: 'hold', followUpOn: '2026-11-29' });
		const fresh = await me();
		expect((await standingOf(context, fresh)).hold).toMatchObject({ reason: 'pain' });
		expect((await openDay(context, fresh, 4)).session).toBeNull();
		await followUp(context, await person(), (await all())[0]!.id, { outcome: 'over' });
		expect((await standingOf(context, await me())).hold).toBeNull();
		expect(await exercisesOn(4)).toEqual(['Squat', 'Plank']);
	});

	it('decides and answers with one press; a refused decision sends nothing', async () => {
		await send(3, { hurts: 'knee', well: { pain: knee } });
		const reply = { reply: 'Half squats for now. I ask again on Sunday.', replyId: context.ids.uuid() };
		const thread = () => threadOf(context.db, world.people[0]!.enrolmentId, context.clock.now());
		await expect(decide({ decision: 'spare', ...reply })).rejects.toMatchObject({ status: 400 });
		expect(await thread()).toEqual([]);
		await decide({ decision: 'spare', followUpOn: '2026-11-28', ...reply });
		expect(await thread()).toMatchObject([{ byCoach: true, text: reply.reply }]);
		await expect(decide({ decision: 'spare', followUpOn: '2026-11-28', ...reply })).rejects.toMatchObject({
			status: 409
		});
		expect(await thread()).toHaveLength(1);
	});

	it('withdrawn by a correction without pain is withdrawn, and spares nothing any more', async () => {
		const first = await send(3, { hurts: 'knee', well: { pain: knee } });
		context.at('2026-11-26T12:00:00Z');
		expect(await exercisesOn(4)).toEqual(['Half squat', 'Plank']);
		await send(3, { replaces: first.id, effort: 5 });
		expect(await all()).toMatchObject([{ decision: 'withdrawn', decidedBy: null }]);
		expect(await exercisesOn(4)).toEqual(['Squat', 'Plank']);
		expect((await reasons()).map(({ kind }) => kind)).not.toContain('pain');
	});
});

describe('what is decided', () => {
	let told: { id: string };
	beforeEach(async () => {
		told = await send(3, { hurts: 'ribs', well: { pain: ribs } });
	});

	it('gives the exercise back', async () => {
		await decide({ decision: 'give back' });
		expect(await off()).toEqual([]);
		expect(await all()).toMatchObject([{ decision: 'give back', decidedBy: 'Runa' }]);
		expect((await reasons()).map(({ kind }) => kind)).not.toContain('pain');
		await expect(decide({ decision: 'keep off' })).rejects.toMatchObject({ status: 409 });
	});

	it('puts another in its place, with why', async () => {
		await decide({ decision: 'replace', exercise: 'Glute bridge', note: 'until the knee is quiet' });
		context.at('2026-11-26T12:00:00Z');
		expect(await exercisesOn(4)).toEqual(['Glute bridge', 'Plank']);
		expect(await overridesOf(context.db, world.people[0]!.enrolmentId, context.clock.now())).toMatchObject([
			{ why: 'until the knee is quiet', origin: { kind: 'coach', id: world.coach.id } }
		]);
	});

	it('gives it back whichever report took it out', async () => {
		context.at('2026-11-26T12:00:00Z');
		await send(4, { hurts: 'knee, still', well: { pain: { ...knee, at: { block: 0, part: 0 } } } });
		expect(await off()).toHaveLength(1);
		await decide({ decision: 'give back' });
		expect(await off()).toEqual([]);
	});

	it('is not asked again when the same is sent with something else corrected', async () => {
		await decide({ decision: 'give back' });
		const again = async (hurts: string, replaces: string) =>
			send(3, { hurts, effort: 5, replaces, well: { pain: ribs } });
		const { id } = await again('ribs', told.id);
		expect([(await all()).length, await off()]).toEqual([1, []]);
		await again('ribs, and now higher', id);
		expect([(await all()).length, (await off()).length]).toEqual([2, 1]);
	});

	it('keeps it off', async () => {
		await decide({ decision: 'keep off' });
		expect(await off()).toHaveLength(1);
	});

	it('is asked after on its day, and comes up until it was', async () => {
		await decide({ decision: 'keep off', followUpOn: '2026-11-28' });
		expect((await reasons()).map(({ kind }) => kind)).not.toContain('follow up');
		context.at('2026-11-27T23:30:00Z');
		expect((await reasons())[0], 'it is the 28th in Oslo').toMatchObject({
			kind: 'follow up',
			about: 'ribs'
		});
		const [incident] = await all();
		await followUp(context, await person(), incident!.id, { outcome: 'over' });
		expect((await reasons()).map(({ kind }) => kind)).not.toContain('follow up');
		await expect(followUp(context, await person(), incident!.id, { outcome: 'over' })).rejects.toMatchObject({
			status: 404
		});
	});

	it.each([
		[{ decision: 'pray' }, 400],
		[{ decision: 'cleared', note: 'Dr Aas' }, 400],
		[{ decision: 'replace' }, 400],
		[{ decision: 'replace', exercise: 'Flying carpet' }, 400],
		[{ decision: 'keep off', followUpOn: '2026-11-25' }, 400],
		[{ decision: 'keep off', followUpOn: 'soon' }, 400]
	])('is refused where it makes none, and all stays off: %j', async (raw, status) => {
		await expect(decide(raw)).rejects.toMatchObject({ status });
		expect(await off()).toHaveLength(1);
		expect(await all()).toMatchObject([{ decidedAt: null }]);
	});

	it('is decided about no one else’s', async () => {
		await expect(decide({ decision: 'keep off' }, context.ids.uuid())).rejects.toMatchObject({ status: 404 });
		const other = await ownPersonOf(context, world, world.people[1]!.enrolmentId);
		await expect(
			decideIncident(context, world.challenge, other, world.coach.id, (await all())[0]!.id, {
				decision: 'keep off'
			})
		).rejects.toMatchObject({ status: 404 });
	});
});

describe('a warning sign', () => {
	const stop = async (raw: object = {}) =>
		reportStop(context, await me(), { id: context.ids.uuid(), sign: 'chest', ...raw });

	it('holds everything until it is on record who said yes', async () => {
		await stop({ note: 'on the hill' });
		expect((await standingOf(context, await me())).hold?.reason).toBe('stopped');
		expect(await all()).toMatchObject([
			{ kind: 'stop sign', said: 'chest pain or pressure: on the hill', day: null }
		]);
		await expect(send(3, {})).rejects.toMatchObject({ status: 409 });
		expect(await reasons()).toMatchObject([{ kind: 'stopped', said: 'chest pain or pressure: on the hill' }]);
		context.at('2026-11-26T12:00:00Z');
		await expect(decide({ decision: 'cleared' })).rejects.toThrow(/Say who said yes/);
		await expect(decide({ decision: 'keep off' })).rejects.toMatchObject({ status: 400 });
		await decide({ decision: 'cleared', note: 'Dr Aas, today' });
		expect((await standingOf(context, await me())).hold).toBeNull();
		expect((await reasons()).map(({ kind }) => kind)).not.toContain('stopped');
		await send(4, {});
	});

	it('stays first however often somebody was written to', async () => {
		await stop();
		const { noteReach } = await import('$lib/server/contact/reach/reaches');
		await noteReach(context, world.challenge, await person(), world.coach.id, ['stopped'], { way: 'wrote' });
		expect((await reasons())[0]).toMatchObject({ kind: 'stopped' });
	});

	it('is kept once however often it is sent, and is bounded', async () => {
		const id = context.ids.uuid();
		await stop({ id });
		await stop({ id });
		expect(await all()).toHaveLength(1);
		for (let i = 0; i < 19; i++) await stop();
		await expect(stop()).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('emergency') as string
		});
		await expect(stop({ sign: 'boredom' })).rejects.toMatchObject({ status: 400 });
		await expect(reportStop(context, world.people[1]!, { id, sign: 'faint' })).rejects.toMatchObject({
			status: 404
		});
	});
});
