import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { writeDemo } from '$demo/seed';
import { accountNoticeJob, resetJob } from '$lib/server/account/auth/letters';
import { exercisesCsv } from '$lib/server/training/exercise/exercise-file';
import { coachCalendar, personCalendar } from '$lib/server/changes/calendar/calendars';
import { coachPacket } from '$lib/server/edge/exports/packet';
import { pdfOf } from '$lib/server/edge/exports/pdf/pdf';
import { challengeSheet } from '$lib/server/edge/exports/plan-sheet';
import { enrolmentOf, enrolmentsOf } from '$lib/server/records/enrolments';
import type { Letter, Mail } from '$lib/server/platform/mail';
import { practiceOf } from '$lib/server/records/practice';
import { callSheet } from '$lib/server/training/session/call-sheet';
import { sessionText } from '$lib/server/training/session/session-file';
import { sessionsOf } from '$lib/server/training/session/sessions';
import { pdfText } from '../support/pdf-text';
import { slipsIn } from '../support/slips';
import { challengeOf, challengesOf, type OwnedChallenge } from '$lib/server/records/challenge';
import type { Database } from '$lib/server/platform/db/database';
import { randomIds, type CoachId } from '$lib/server/platform/ids';
import { openThreads } from '$lib/server/edge/threads/open';
import { ownFolder } from '../support/directories';
import { storeIn } from '../support/kept-files';
import { newDatabase } from '../support/database';

const NOW = Date.parse('2026-05-13T05:40:00Z');
let one: Database;

beforeAll(async () => {
	one = await newDatabase();
	const config = storeIn(ownFolder('demo'));
	await writeDemo({ db: one, clock: { now: () => NOW }, config, threads: openThreads(null) });
}, 120_000);
afterAll(() => one.close());

/** Whatever leaves the application is read: what nobody meant to show stands in none of it. */
describe('what is written in files and messages', () => {
	const challenges = async () => {
		const [coach] = await one.query<{ id: CoachId }>("select id from coach where name like 'Runa %'");
		return coach ? challengesOf(one, coach.id, 'viewer') : [];
	};
	const context = () => ({ db: one, clock: { now: () => NOW }, ids: randomIds });
	const running = async (): Promise<OwnedChallenge> => {
		const found = (await challenges()).find((challenge) => challenge.weeks === 6)!;
		return challengeOf(one, found.coachId, found.id, 'viewer');
	};

	it('reads a PDF as it was set', async () => {
		const text = await pdfText(
			await pdfOf({ kind: 'plan sheet', sheet: await challengeSheet(context(), await running()) })
		);
		expect(text).toContain('Hut Season, six weeks');
		expect(text).toContain('Every minute + Long stretch');
		expect(slipsIn(`fine\n${text}\nDay undefined\n12 NaN\nInvalid Date`)).toHaveLength(3);
	});

	it('the plan of every challenge on paper', async () => {
		for (const { id, coachId } of await challenges()) {
			const sheet = await challengeSheet(context(), await challengeOf(one, coachId, id, 'viewer'));
			expect(slipsIn(await pdfText(await pdfOf({ kind: 'plan sheet', sheet })))).toEqual([]);
		}
	});

	it('the sessions of people of all kinds, and of nobody in particular', async () => {
		const challenge = await running();
		const people = await enrolmentsOf(one, challenge.id);
		const some = people.filter(
			({ limits, level, fromDay }) => limits.length > 0 || level === 'trained' || fromDay > 1
		);
		expect(some.length).toBeGreaterThan(4);
		for (const person of [null, ...some.slice(0, 2)]) {
			const own = person && (await enrolmentOf(one, challenge, person.id));
			const packet = await coachPacket(context(), challenge, own, true);
			const text = await pdfText(await pdfOf({ kind: 'packet', packet }));
			expect(text).toContain('Evening: Long stretch');
			// Loads by level are one's own; for nobody in particular all of them stand there.
			expect(/\d+\/\d+\/\d+ kg/.test(text)).toBe(person === null);
			expect(slipsIn(text)).toEqual([]);
		}
	});

	it('the call sheet, the text and the line of every session', async () => {
		const { coachId } = await running();
		const practice = await practiceOf(one, coachId);
		const sessions = await sessionsOf(one, coachId);
		expect(sessions.length).toBeGreaterThan(10);
		for (const session of sessions) {
			const sheet = await callSheet(one, coachId, session.id, true);
			expect(slipsIn(await pdfText(await pdfOf({ kind: 'call sheet', sheet })))).toEqual([]);
			expect(slipsIn(sessionText(session, practice))).toEqual([]);
		}
	});

	it('every calendar, and the library as a table', async () => {
		const challenge = await running();
		const wanted = { origin: 'https://cadrex.example', withdrawn: true };
		expect(slipsIn(await coachCalendar(context(), challenge.id, wanted))).toEqual([]);
		for (const { id } of await enrolmentsOf(one, challenge.id))
			expect(slipsIn(await personCalendar(context(), id, wanted))).toEqual([]);
		expect(slipsIn(exercisesCsv((await practiceOf(one, challenge.coachId)).library))).toEqual([]);
	});

	it('every message about an account', async () => {
		const { coachId } = await running();
		const sent: { subject: string; text: string }[] = [];
		const mail = { send: (letter: Letter) => Promise.resolve(void sent.push(letter)) } as unknown as Mail;
		await resetJob(context(), mail).run({ coachId, origin: 'https://cadrex.example' });
		for (const change of ['password', 'second-factor-on', 'second-factor-off', 'recovery-code'] as const)
			await accountNoticeJob(context(), mail).run({ coachId, change });
		expect(sent).toHaveLength(5);
		for (const { subject, text } of sent) {
			expect(text).toContain('Hello Runa Hallgren,');
			expect(slipsIn(`${subject}\n${text}`)).toEqual([]);
		}
	});
});
