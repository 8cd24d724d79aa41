import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { standingOf } from '$lib/server/done/day/own-day';
import { documentsOf } from '$lib/server/people/health/documents';
import { incidentsOf, reportStop } from '$lib/server/contact/incidents/incidents';
import { holdDetails, tellOk } from '$lib/server/contact/incidents/own-hold';
import { changesOf } from '$lib/server/records/health';
import { threadOf } from '$lib/server/contact/messages/messages';
import { asPerson } from '$lib/server/records/enrolments';
import { endOwnPause, leaveOwn, ownPauses, pauseOwnDays } from '$lib/server/contact/messages/own-leave';
import { pause, pausesOf } from '$lib/server/done/attendance/excuses';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';
import { storeIn } from '../support/kept-files';
import { sent } from '../support/sent';

let context: TestContext;
let world: World;

beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-25T12:00:00Z');
	world = await makeWorld(context);
	return () => context.db.close();
});

const person = () => ownPersonOf(context, world, world.people[0]!.enrolmentId);
const me = async () => asPerson(await person());
const id = () => context.ids.uuid();
const states = async () => (await standingOf(context, await me())).days.map(({ state }) => state);
const said = async () =>
	(await threadOf(context.db, world.people[0]!.enrolmentId, context.clock.now())).map(({ text }) => text);
const pauseFor = async (raw: object) => {
	const own = await me();
	return pauseOwnDays(context, own, await standingOf(context, own), raw);
};

describe('a pause that a person takes', () => {
	it('excuses the days, and the coach reads it', async () => {
		const before = await states();
		await pauseFor({ id: id(), fromDay: 4, toDay: 5, reason: 'Down with a cold.' });
		context.at('2026-11-29T12:00:00Z');
		const after = await states();
		expect(after.slice(3, 5)).toEqual(['excused', 'excused']);
		expect(after[0]).toBe(before[0]);
		expect(await said()).toEqual([expect.stringMatching(/^I’m pausing .* to .*\. Down with a cold\.$/)]);
		const [change] = await changesOf(context.db, world.people[0]!.participantId, context.clock.now());
		expect(change).toMatchObject({ madeBy: 'participant', what: 'Paused' });
	});
	it('sent twice is taken once, and can be ended by the person', async () => {
		const raw = { id: id(), fromDay: 4, toDay: 5, reason: '' };
		await pauseFor(raw);
		await pauseFor(raw);
		const pauses = await ownPauses(context, await me(), 3);
		expect(pauses).toHaveLength(1);
		await endOwnPause(context, await me(), pauses[0]!.id);
		expect(await ownPauses(context, await me(), 3)).toEqual([]);
	});
	it('is from today on, in order, and within the challenge', async () => {
		await expect(pauseFor({ id: id(), fromDay: 1, toDay: 2 })).rejects.toMatchObject({ status: 400 });
		await expect(pauseFor({ id: id(), fromDay: 5, toDay: 4 })).rejects.toMatchObject({ status: 400 });
		await expect(pauseFor({ id: id(), fromDay: 4, toDay: 80 })).rejects.toMatchObject({ status: 400 });
		expect(await said()).toEqual([]);
	});
	it('that the coach gave is not the person’s to end', async () => {
		await pause(context, await person(), { fromDay: 4, toDay: 5, reason: 'away' });
		const [given] = await pausesOf(context.db, world.people[0]!.enrolmentId);
		expect(await ownPauses(context, await me(), 3)).toEqual([]);
		await expect(endOwnPause(context, await me(), given!.id)).rejects.toMatchObject({ status: 404 });
	});
});

describe('leaving by oneself', () => {
	it('ends the days and the link, and the coach reads why', async () => {
		const own = await me();
		await leaveOwn(context, own, { id: id(), sure: true, reason: 'Too much at work.' });
		expect((await person()).leftAt).not.toBeNull();
		expect(await said()).toEqual(['I’m leaving the challenge. Too much at work.']);
		await expect(leaveOwn(context, own, { id: id(), sure: true })).rejects.toMatchObject({ status: 409 });
	});
	it('asks whether they are sure', async () => {
		await expect(leaveOwn(context, await me(), { id: id(), sure: false })).rejects.toMatchObject({
			status: 400
		});
		expect((await person()).leftAt).toBeNull();
	});
});

describe('what keeps sessions from a person', () => {
	it('is in their own words, and the OK reaches the coach with its paper, once', async () => {
		const dataDirectory = mkdtempSync(join(tmpdir(), 'cadrex-ok-'));
		await reportStop(context, await me(), { id: id(), sign: 'chest', note: 'on the stairs' });
		context.at('2026-11-25T13:00:00Z');
		const held = await standingOf(context, await me());
		expect(held.hold?.reason).toBe('stopped');
		expect((await holdDetails(context, await me(), held.hold!)).reasons[0]).toMatch(/on the stairs$/);
		const raw = { id: id(), who: 'Dr. Ilse Vantongeren', on: '2026-11-25', note: '' };
		const withFiles = { ...context, config: storeIn(dataDirectory) };
		const person = await me();
		const tell = () =>
			sent(
				new TextEncoder().encode('%PDF-1.7 yes'),
				(file) => tellOk(withFiles, person, raw, file),
				'ok.pdf'
			);
		await tell();
		await tell();
		expect(await said()).toEqual([
			'I have the OK to train: Dr. Ilse Vantongeren, on 25 November. The paper is among my documents.'
		]);
		expect(await documentsOf(context.db, world.people[0]!.participantId)).toHaveLength(1);
		expect(readdirSync(join(dataDirectory, 'documents'))).toHaveLength(1);
		// It opens nothing by itself.
		expect((await standingOf(context, await me())).hold?.reason).toBe('stopped');
		await expect(
			tellOk(withFiles, await me(), { ...raw, id: id(), on: '2026-11-27' }, null)
		).rejects.toMatchObject({ status: 400 });
	});
	it('began when it was, where the report waited on a device', async () => {
		const now = context.clock.now();
		const report = { id: id(), sign: 'chest', note: '', stoppedAt: now - 3 * 3_600_000, sentAt: now };
		await reportStop(context, await me(), report);
		const [one] = await incidentsOf(context.db, world.people[0]!.enrolmentId, now);
		expect(one?.at).toBe(now - 3 * 3_600_000);
		await expect(
			reportStop(context, await me(), { ...report, id: id(), enrolment: world.people[1]!.enrolmentId })
		).rejects.toMatchObject({ status: 403 });
	});
});
