import { afterAll, beforeAll, expect, it } from 'vitest';
import { allIds, furnish, oneOfEach } from '../support/furnished';
import { fuzz } from '../support/fuzz';
import { serveWorld, type Served } from '../support/served';

/** `npm run fuzz` sends many more, from another seed each time; what it prints does it again. */
const COUNT = Number(process.env.FUZZ_REQUESTS ?? 600);
const SEED = Number(process.env.FUZZ_SEED ?? 2026);

let served: Served;
/** Ids of every kind that there is, and one of each for the addresses that name one. */
let ids: string[];
let of: Record<string, string>;
beforeAll(async () => {
	served = await serveWorld(
		'fuzz',
		{ CADREX_SIGN_IN_TRIES: '1000000', CADREX_JOINS: '1000000' },
		async (context, world, directory) => {
			await furnish(context, world, directory);
			ids = await allIds(context.db);
			of = await oneOfEach(context.db, world);
		}
	);
}, 180_000);
afterAll(() => served.server.stop());

it(`of ${COUNT} requests made up at random (seed ${SEED}) none is answered with a fault of the server`, async () => {
	const { sent, answers, broken, tried, reached } = await fuzz(served, { seed: SEED, count: COUNT, ids, of });
	if (COUNT > 5000 || broken.length > 0) {
		const failed = served.server
			.output()
			.split('\n')
			.filter((line) => line.includes('request failed') || !line.startsWith('{'));
		process.stderr.write(`seed ${SEED}: ${JSON.stringify(answers)}\n${[...broken, ...failed].join('\n')}\n`);
	}
	expect(broken).toEqual([]);
	expect(sent).toBe(COUNT);
	// It reaches more than the first refusal.
	for (const [status, share] of [
		[200, 0.3],
		[400, 0.05],
		[404, 0.05]
	] as const)
		expect((answers[status] ?? 0) / sent, String(status)).toBeGreaterThan(share);
	// Nor does it stop at the first check of what it sends.
	expect(
		reached.size / tried.size,
		[...tried].filter((work) => !reached.has(work)).join(' ')
	).toBeGreaterThan(COUNT > 5000 ? 0.5 : 0.2);
	expect((await served.get('/challenges', served.coach)).status).toBe(200);
	expect((await served.get('/me', served.me)).status).toBe(200);
	expect((await served.get('/healthz')).status).toBe(200);
}, 3_600_000);
