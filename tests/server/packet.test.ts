import { describe, expect, it } from 'vitest';
import { newBenchmark, putDays } from '$core/plan';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { challengeOf } from '$lib/server/records/challenge';
import { packetPdf } from '$lib/server/edge/exports/pdf/packet-pdf';
import { excuse } from '$lib/server/done/attendance/excuses';
import { coachPacket, ownPacket } from '$lib/server/edge/exports/packet';
import { openPlan, savePlan } from '$lib/server/training/plan/plan';
import { saveSession } from '$lib/server/training/session/sessions';
import { pdfText } from '../support/pdf-text';
import { refusal } from '../support/refusal';
import { body, makeCoach, ownPersonOf, sharedWorld } from '../support/context';

// Wednesday of week 1 at 07:00 UTC: day 3 is released in Oslo and Auckland, not yet in Bogota.
const { context, world } = await sharedWorld('2026-11-25T07:00:00Z');

const packetOf = async (person: number | null, ahead = false) => {
	const own = person === null ? null : await ownPersonOf(context, world, world.people[person]!.enrolmentId);
	return coachPacket(context, world.challenge, own, ahead);
};
const daysOf = async (person: number | null, ahead = false) =>
	(await packetOf(person, ahead)).days.map(({ day }) => day);

/** Names that break layouts, fonts and file names. Letters that no font here has may be left out; what holds them is a whole PDF all the same. */
const HOSTILE_NAMES = [
	'x'.repeat(80),
	'\u202eyrettaP\u202c',
	'Z' + '\u0301'.repeat(60),
	'💣👨‍👩‍👧‍👦',
	'山小屋 أحمد Ξένια',
	'../../etc/passwd',
	'(a) Tj ET endstream endobj %%EOF',
	'<script>alert(1)</script> & "q"',
	'\\x00\\(\\)',
	'\ud800 alone'
];

describe('a packet of sessions', () => {
	it.each(HOSTILE_NAMES)('is a whole PDF for somebody who is called %j', async (name) => {
		const packet = { ...(await packetOf(0)), person: name };
		const bytes = await packetPdf(packet);
		expect(Buffer.from(bytes.subarray(0, 5)).toString('latin1')).toBe('%PDF-');
		// A reader of its own finds all of it, and nothing that the name has added.
		const lines = async (of: Uint8Array) => (await pdfText(of)).split('\n').length;
		expect(await pdfText(bytes)).toContain('Hut weeks');
		expect(await lines(bytes)).toBeLessThan((await lines(await packetPdf(await packetOf(0)))) + 12);
	});

	it('holds the days released to whom it is for, by their own clock', async () => {
		expect(await daysOf(0)).toEqual([1, 2, 3]);
		expect(await daysOf(2)).toEqual([1, 2]);
		// The coach is in Oslo: so are the dates of the one for anybody.
		expect(await daysOf(null)).toEqual([1, 2, 3]);
	});

	it('holds the days ahead where the coach puts them in, and never for the participant', async () => {
		expect(await daysOf(0, true)).toEqual([1, 2, 3, 4, 5, 8, 9, 10, 11, 12]);
		const own = await ownPacket(context, world.people[2]!);
		expect(own.days.map(({ day }) => day)).toEqual([1, 2]);
	});

	it('has the session with its pictures, what is asked, and the tests of the day', async () => {
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		const { plan, revision } = await openPlan(context, challenge);
		await savePlan(context, challenge, {
			revision,
			plan: {
				...putDays(plan, [4], { kind: 'test', tests: ['t'] }),
				tests: [newBenchmark('t', 'Plank', 'Plank', 'longest hold')]
			}
		});
		const packet = await packetOf(0, true);
		expect(packet.person).toBe('Person 1');
		expect(packet.days[3]?.tests).toEqual(['Plank: longest hold, Plank']);
		expect(packet.days[0]?.session?.asked.map(({ sets }) => sets)).toEqual([3, 2]);
		expect([...packet.figures.keys()].sort()).toEqual(
			[...new Set(packet.days[0]?.session?.asked.map(({ exercise }) => exercise))].sort()
		);
		for (const svg of packet.figures.values()) expect(svg).toMatch(/^<svg .*<polyline .*<\/svg>$/s);
	});

	it('keeps what somebody has done as they did it, when the day is laid anew', async () => {
		await checkIn(context, world.people[0]!, { id: context.ids.uuid(), day: 1, done: 'all' });
		await saveSession(context, world.coach.id, world.session.id, {
			name: 'Small',
			body: body('1 x 5 push-up, rest 0'),
			basedOn: 1
		});
		const challenge = await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer');
		const { plan, revision } = await openPlan(context, challenge);
		await savePlan(context, challenge, {
			revision,
			plan: putDays(plan, [1], { session: world.session.id })
		});
		const exercises = async (person: number) =>
			(await packetOf(person)).days[0]?.session?.asked.map(({ exercise }) => exercise.toLowerCase());
		expect(await exercises(0)).toEqual(['squat', 'plank']);
		expect(await exercises(1)).toEqual(['push-up']);
	});

	it('is set as pages: one with what is in it, then at least one a day', async () => {
		const pdf = Buffer.from(await packetPdf(await packetOf(0, true))).toString('latin1');
		expect(pdf.slice(0, 5)).toBe('%PDF-');
		expect(pdf.match(/\/Type \/Page\b/g)?.length).toBe(11);
		const none = Buffer.from(await packetPdf({ ...(await packetOf(0)), days: [] })).toString('latin1');
		expect(none.match(/\/Type \/Page\b/g)?.length).toBe(1);
	});

	it('names nothing of what somebody is excused for, and is the coach’s alone', async () => {
		await excuse(context, await ownPersonOf(context, world, world.people[0]!.enrolmentId), {
			days: [2],
			reason: 'A secret'
		});
		expect(JSON.stringify(await packetOf(0))).not.toContain('secret');
		const other = await makeCoach(context, 'Other');
		expect((await refusal(challengeOf(context.db, other.id, world.challenge.id, 'viewer'))).status).toBe(404);
		expect((await refusal(ownPersonOf(context, world, context.ids.uuid()))).status).toBe(404);
	});
});
