import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { compileSession } from '$core/session';
import { createCoach } from '$lib/server/account/auth/coach';
import { type Coach } from '$lib/server/records/coach';
import type { SessionId } from '$lib/server/platform/ids';
import { challengeOf } from '$lib/server/records/challenge';
import { createChallenge } from '$lib/server/training/challenge/change';
import {} from '$lib/server/records/challenge';
import { layDays } from '$lib/server/training/plan/plan';
import { callSheetPdf } from '$lib/server/edge/exports/pdf/call-sheet-pdf';
import { readSessionFile, sessionJson, sessionText } from '$lib/server/training/session/session-file';
import {
	copySession,
	createSession,
	saveSession,
	sessionOf,
	importSession,
	usedOn,
	versionOf,
	versionsOf
} from '$lib/server/training/session/sessions';
import { callSheetOf } from '$core/analysis';
import { refusal } from '../support/refusal';
import { body, FRAME, PASSWORD, testContext, type TestContext } from '../support/context';
import { lineOf, PRACTICE } from '../support/practice';

const TEXT = `session: Ridge load
note: Weaker side first.
warm-up: circuit 2 rounds 30/10: march with arms up
repeat 2 times, rest 60:
setup 20 s: swap to the heavy pair
3 x 10 or 40 s goblet squat @ 12 kg, rest 90
end repeat
recovery: easy walk
`;

let context: TestContext;
let coach: Coach;
let other: Coach;
let id: SessionId;
beforeAll(async () => {
	context = await testContext();
	const coaches = ['liv', 'ruan'].map((name) =>
		createCoach(context, { email: `${name}@huts.example`, name, zone: 'Europe/Oslo', password: PASSWORD })
	);
	[coach, other] = (await Promise.all(coaches)) as [Coach, Coach];
	id = (
		await createSession(context, coach.id, {
			name: 'Ridge load',
			body: body(TEXT),
			tags: ['legs', 'legs', 'carry']
		})
	).id;
});
afterAll(() => context.db.close());
describe('what goes with a session', () => {
	it('is kept with it, tags once each', async () => {
		const session = await sessionOf(context.db, coach.id, id);
		expect(session.tags).toEqual(['legs', 'carry']);
		expect(session.body).toEqual(body(TEXT));
		// warm-up 70, set-up 20, twice 3 × 50 + 2 × 90 with 60 between
		expect(session.seconds).toBe(70 + 20 + 2 * 330 + 60);
	});

	it.each([
		[{ tags: ['a,b'] }, 'no comma'],
		[{ tags: Array.from({ length: 13 }, (_, i) => `tag ${i}`) }, 'at most 12'],
		[{ tags: ['x'.repeat(31)] }, 'at most 30 letters'],
		[{ body: { blocks: [], colour: 'red' } }, '']
	])('%j is refused', async (wrong, says) => {
		const refused = await refusal(
			createSession(context, coach.id, { name: 'Other', body: body(TEXT), tags: [], ...wrong })
		);
		expect(refused.status).toBe(400);
		expect(refused.message).toContain(says);
	});
});

describe('versions', () => {
	it('every one can be looked at, and none of somebody else’s', async () => {
		const next = await saveSession(context, coach.id, id, {
			name: 'Ridge load',
			body: body('3 x 12 goblet squat @ 12 kg, rest 90'),
			tags: ['legs'],
			basedOn: 1
		});
		expect(next.version).toBe(2);
		const first = await versionOf(context.db, coach.id, id, 1);
		expect(first.body).toEqual(body(TEXT));
		expect((await versionsOf(context.db, id)).map(({ version }) => version)).toEqual([2, 1]);
		for (const version of [0, 3, 1.5, NaN])
			expect(await refusal(versionOf(context.db, coach.id, id, version))).toMatchObject({ status: 404 });
		expect(await refusal(versionOf(context.db, other.id, id, 1))).toMatchObject({ status: 404 });
	});

	it('the second of two savers is told, and nothing is written over', async () => {
		const work = [1, 2].map(() =>
			saveSession(context, coach.id, id, { name: 'Ridge load', body: body('3 x 8 curl @ 8 kg'), basedOn: 2 })
		);
		const done = await Promise.allSettled(work);
		expect(done.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
		const lost = done.find((one) => one.status === 'rejected');
		expect(lost?.reason).toMatchObject({
			message: expect.stringContaining('Nothing was written over') as string
		});
		expect((await sessionOf(context.db, coach.id, id)).version).toBe(3);
	});

	it('a copy begins anew under a name of its own', async () => {
		const copies = [await copySession(context, coach.id, id), await copySession(context, coach.id, id)];
		const names = await Promise.all(
			copies.map(async (copy) => (await sessionOf(context.db, coach.id, copy.id)).name)
		);
		expect(names).toEqual(['Ridge load, copy', 'Ridge load, copy 2']);
		expect(copies[0]?.version).toBe(1);
		expect(await refusal(copySession(context, other.id, id))).toMatchObject({ status: 404 });
	});

	it('lists the days of all challenges that send it', async () => {
		for (const [name, startsOn] of [
			['Autumn', '2026-12-07'],
			['Winter', '2027-01-04']
		] as const) {
			const made = await createChallenge(context, coach.id, { ...FRAME, name, startsOn });
			const challenge = await challengeOf(context.db, coach.id, made, 'viewer');
			await layDays(context, challenge, { days: [2, 4], kind: 'train', sessionId: id });
		}
		const days = await usedOn(context.db, coach.id, id);
		expect(days.map(({ challenge, day, version }) => [challenge, day, version])).toEqual([
			['Winter', 2, 3],
			['Winter', 4, 3],
			['Autumn', 2, 3],
			['Autumn', 4, 3]
		]);
		expect(await usedOn(context.db, other.id, id)).toEqual([]);
	});
});

describe('files', () => {
	const file = { name: 'Ridge load', tags: ['legs'], body: body(TEXT) };

	it('a session goes out as JSON and as text and comes in the same', () => {
		expect(readSessionFile(sessionJson(file), PRACTICE)).toEqual({ ...file, faults: [], unknown: [] });
		expect(sessionText(file, PRACTICE)).toBe(
			TEXT.replace('march with arms up', 'March with arms up').replace(
				'10 or 40 s goblet squat',
				'10 reps or 40 s Goblet squat'
			)
		);
		expect(readSessionFile(sessionText(file, PRACTICE), PRACTICE)).toMatchObject({
			name: 'Ridge load',
			body: file.body,
			faults: []
		});
	});

	it('asks about exercises that it does not know, and takes the answer', () => {
		const read = readSessionFile('3 x 10 goblet sqat\n3 x 10 moon walk of the hut', PRACTICE);
		expect(read.unknown).toEqual([
			{ name: 'goblet sqat', nearest: 'Goblet squat' },
			{ name: 'moon walk of the hut', nearest: null }
		]);
		const answered = readSessionFile('3 x 10 goblet sqat', PRACTICE, {
			'goblet sqat': 'Goblet squat'
		});
		expect(answered.unknown).toEqual([]);
		expect(answered.body?.blocks.map(lineOf)).toEqual(['3 x 10 reps Goblet squat, rest 60']);
	});

	it('is taken in under its own name, or beside the one that has it', async () => {
		const made = await importSession(context, coach.id, file);
		expect((await sessionOf(context.db, coach.id, made.id)).name).toBe('Ridge load 2');
		const nameless = await importSession(context, coach.id, { name: ' ', body: file.body });
		expect((await sessionOf(context.db, coach.id, nameless.id)).name).toBe('Session from a file');
	});
});

describe('the call sheet as PDF', () => {
	it('is a PDF of several pages with the letters of many languages', async () => {
		const session = body(
			'3 x 10 kyykky ja ylöspunnerrus\ncircuit 8 rounds 30/15, 60 between: plank + squat + push-up + swing'
		);
		const blocks = callSheetOf(session, compileSession(session, PRACTICE), PRACTICE);
		const pdf = await callSheetPdf({
			name: 'Łatwy dzień',
			version: 2,
			seconds: 1200,
			ready: ['mat'],
			counting: 'Only clean repetitions count.',
			note: 'Für alle',
			recovery: ['walk'],
			blocks
		});
		const bytes = Buffer.from(pdf);
		expect(bytes.subarray(0, 5).toString('latin1')).toBe('%PDF-');
		expect(bytes.toString('latin1').trimEnd().endsWith('%%EOF')).toBe(true);
		expect(bytes.toString('latin1').match(/\/Type \/Page\b/g)?.length).toBeGreaterThan(1);
	});
});
