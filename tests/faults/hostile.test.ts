/** What one visitor sends must hold nobody else up, whatever it is: each of these once took seconds, minutes or the process. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { heldBy, longestWait, startBystander, type Bystander } from '../support/bystander';
import { FORM, formOf, many, serveWorld, type Served } from '../support/served';

let served: Served;
let challenge: string;
let bystander: Bystander;
beforeAll(async () => {
	bystander = await startBystander();
	served = await serveWorld('hostile');
	challenge = `/c/${served.world.challenge.id}`;
}, 180_000);
afterAll(async () => {
	bystander.stop();
	await served.server.stop();
});

const longest = (work: () => Promise<unknown>): Promise<number> =>
	longestWait(served.server, `${served.server.url}/healthz`, bystander, work);

const part = (exercise: string) => ({
	exercise,
	target: { kind: 'reps', reps: 1 },
	perSide: true,
	tempo: null,
	kg: null
});
const circuit = {
	format: 'interval-circuit',
	role: 'main',
	rounds: 50,
	work: 1,
	rest: 0,
	roundRest: null,
	keepLastRest: false,
	parts: many(30, part('Push-up'))
};
const millions = {
	blocks: many(60, circuit),
	repeats: [{ from: 0, to: 59, times: 20, rest: 0 }]
};
const CHECKIN = '/api/me/checkins';

describe('nobody else waits for', () => {
	const checkIn = (body: unknown) => served.post(CHECKIN, JSON.stringify(body), served.me);
	const coachPost = (path: string, body: BodyInit, type = '') =>
		served.post(challenge + path, body, served.coach, type);
	const session = (body: unknown) =>
		coachPost(`/build/${served.world.session.id}?/save`, formOf({ name: 'x', body: JSON.stringify(body) }));
	const rosterLine = (i: number, zone = 'Europe/Oslo') => `P${i},p${i}@hutseason.example,${zone}\n`;
	const roster = (line: (i: number) => string, count: number) =>
		formOf({
			list: `name,mail,zone\n${many(count, 0)
				.map((_, i) => line(i))
				.join('')}`
		});

	it.each<[string, number, () => Promise<Response>]>([
		['two thousand empty sets', 400, () => checkIn({ sets: many(2000, {}) })],
		['a hundred thousand empty sets', 400, () => checkIn({ sets: many(100_000, {}) })],
		['sets within sets', 400, () => checkIn({ sets: many(1000, many(100, [])) })],
		['JSON of brackets alone', 400, () => served.post(CHECKIN, '['.repeat(500_000), served.me)],
		[
			'half a million fields at the sign-in',
			413,
			() => served.post('/sign-in', 'a=&'.repeat(500_000), '', FORM)
		],
		[
			'fields without end on a coach’s page',
			413,
			() => coachPost('/roll?/excuse', 'day=1&'.repeat(150_000), FORM)
		],
		['a thousand and one fields', 413, () => coachPost('/roll?/excuse', 'day=1&'.repeat(1001), FORM)],
		[
			'a name of half a million letters',
			400,
			() => session({ blocks: [{ ...circuit, parts: [part('x'.repeat(500_000))] }] })
		],
		['a session of millions of steps', 400, () => session(millions)],
		[
			'a plan of a million days',
			413,
			() => coachPost('/plan?/save', formOf({ plan: JSON.stringify({ days: many(400_000, {}) }) }))
		],
		[
			'a plan of forty thousand days',
			400,
			() =>
				coachPost('/plan?/save', formOf({ plan: JSON.stringify({ days: many(40_000, {}), revision: 1 }) }))
		],
		[
			'a zone of 3,000 letters in each of 1,900 lines',
			200,
			() =>
				coachPost(
					'/people/import?/preview',
					roster((i) => rosterLine(i, 'Europe/'.repeat(430)), 1900)
				)
		],
		[
			'a list of a hundred thousand people',
			413,
			() => coachPost('/people/import?/preview', roster(rosterLine, 100_000))
		],
		[
			'a list of seven megabytes',
			413,
			() => coachPost('/people/import?/preview', formOf({ list: 'x'.repeat(7_000_000) }))
		],
		[
			'nine hundred thousand exercises',
			200,
			() =>
				coachPost(
					'/build/library/import?/preview',
					formOf({ list: `name,pattern,muscles\n${'a,b,c\n'.repeat(900_000)}` })
				)
		],
		[
			'a bundle of a million announcements',
			400,
			() =>
				served.post(
					'/challenges/import?/look',
					formOf({
						text: JSON.stringify({ kind: 'cadrex challenge', version: 1, messages: many(1_000_000, 0) })
					}),
					served.coach,
					''
				)
		],
		[
			'a session of half a million lines',
			200,
			() => coachPost('/build/import?/preview', formOf({ text: '3 x 10 squat\n'.repeat(38_000) }))
		]
	])(
		'%s',
		async (_, status, send) => {
			let answer!: Response;
			const waited = await longest(async () => (answer = await send()));
			const said = await answer.text();
			expect([answer.status, said.length < 6_500_000]).toEqual([status, true]);
			expect(waited).toBeLessThan(500);
			expect(heldBy(served.server.process)).toBeLessThan(900);
		},
		60_000
	);

	it('the measure: a server that stands still for two seconds is seen, a machine that does is not', async () => {
		const still =
			(...processes: { pid?: number }[]) =>
			async () => {
				for (const { pid } of processes) process.kill(pid!, 'SIGSTOP');
				await new Promise((resolve) => setTimeout(resolve, 2000));
				for (const { pid } of processes) process.kill(pid!, 'SIGCONT');
			};
		// `longest` subtracts the time that the host stole; at least half must remain.
		expect(await longest(still(served.server.process))).toBeGreaterThan(1000);
		// Wakened, the server may have something to do of its own: the shortest of three has least of it.
		const waits = [];
		for (let i = 0; i < 3; i++) waits.push(await longest(still(served.server.process, bystander.process)));
		expect(Math.min(...waits)).toBeLessThan(500);
	});

	it('two thousand people who are enrolled', async () => {
		// The first request to a page loads what makes it, once.
		await coachPost('/people/import?/preview', roster(rosterLine, 3));
		let status = 0;
		const waited = await longest(async () => {
			({ status } = await coachPost('/people/import?/accept', roster(rosterLine, 2000)));
		});
		expect(status).toBe(200);
		expect(waited).toBeLessThan(500);
	}, 60_000);
});

describe('what is too much', () => {
	it('is told with fifty faults at most', async () => {
		const answer = await served.post(CHECKIN, JSON.stringify({ sets: many(2000, {}) }), served.me);
		const { faults } = (await answer.json()) as { faults: unknown[] };
		expect(faults).toHaveLength(50);
	});

	it('is not repeated', async () => {
		const note = 'y'.repeat(200_000);
		const answer = await served.post(
			CHECKIN,
			JSON.stringify({ id: randomUUID(), day: 3, done: note, note }),
			served.me
		);
		expect(answer.status).toBe(400);
		expect((await answer.text()).length).toBeLessThan(2000);
	});

	it('comes back to a form with scripts as its failure, so that what was typed stays', async () => {
		const answer = await fetch(`${served.server.url}/sign-in`, {
			method: 'POST',
			body: 'a=&'.repeat(5000),
			headers: {
				'content-type': FORM,
				origin: served.server.url,
				accept: 'application/json',
				'x-sveltekit-action': 'true'
			}
		});
		expect(await answer.json()).toMatchObject({
			type: 'failure',
			status: 413,
			data: expect.stringContaining('larger than the 4 kB') as string
		});
	});
});
