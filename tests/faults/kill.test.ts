import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { afterAll, expect, it } from 'vitest';
import { addDays } from '$core/calendar';
import { rebuild } from '$lib/server/attendance/projection';
import { realClock } from '$lib/server/platform/clock';
import { migrate } from '$lib/server/db/migrate';
import { openPglite } from '$lib/server/db/pglite';
import { randomIds } from '$lib/server/platform/ids';
import { enrol } from '$lib/server/people/enrolments';
import { layDays } from '$lib/server/plan/plan';
import { createSession } from '$lib/server/session/sessions';
import { body, makeChallenge, makeCoach, SMALL } from '../support/context';
import { cookieOf, startServer } from '../support/server';

const directory = mkdtempSync(join(tmpdir(), 'cadrex-kill-'));
afterAll(() => rmSync(directory, { recursive: true, force: true }));

const PEOPLE = 50;
const DAYS = 10;

/** Fifty people with ten open days each, written before the server starts. */
async function prepare() {
	const db = await openPglite(directory);
	await migrate(db);
	const context = { db, clock: realClock, ids: randomIds };
	const coach = await makeCoach(context);
	const today = new Date().toISOString().slice(0, 10);
	// Enrolled before it starts, then moved back, so that ten days lie behind everybody.
	const challenge = await makeChallenge(context, coach, {
		startsOn: addDays(today, 3),
		trainingDays: [1, 2, 3, 4, 5, 6, 7]
	});
	const session = await createSession(context, coach.id, { name: 'Small', body: body(SMALL) });
	const days = Array.from({ length: DAYS }, (_, i) => i + 1);
	await layDays(context, challenge, { days, kind: 'train', sessionId: session.id });
	const links = await enrol(
		context,
		challenge,
		Array.from({ length: PEOPLE }, (_, i) => ({
			name: `P${i}`,
			email: `p${i}@example.org`,
			zone: 'UTC',
			level: 'beginner' as const,
			kit: [],
			unread: []
		}))
	);
	await db.query('update challenge set starts_on = $1', [addDays(today, -12)]);
	await db.close();
	return links;
}

it('a process killed while 500 check-ins come in has lost none that it acknowledged, and starts again by itself', async () => {
	const links = await prepare();
	const wanted = links.flatMap((link) =>
		Array.from({ length: DAYS }, (_, i) => ({ link, id: randomUUID(), day: i + 1 }))
	);
	const acknowledged = new Set<string>();

	let server = await startServer({ CADREX_DATA: directory });
	const cookies = new Map<string, string>();
	for (const { secret } of links) cookies.set(secret, await cookieOf(server.url, secret));
	const send = async ({ link, id, day }: (typeof wanted)[number]) => {
		const answer = await fetch(`${server.url}/api/me/checkins`, {
			method: 'POST',
			headers: { cookie: cookies.get(link.secret) ?? '', 'content-type': 'application/json' },
			body: JSON.stringify({ id, day, done: 'all' })
		});
		if (answer.status === 201 || answer.status === 200) acknowledged.add(id);
		else throw new Error(`${answer.status} ${await answer.text()}`);
	};

	// Four at a time; the process dies in the midst of them.
	const queue = [...wanted];
	let dead = false;
	const worker = async () => {
		for (let next = queue.shift(); next && !dead; next = queue.shift()) {
			try {
				await send(next);
			} catch {
				if (!dead) throw new Error('a check-in failed before the process was killed');
			}
			if (acknowledged.size === 200 && !dead) {
				dead = true;
				await server.kill();
			}
		}
	};
	await Promise.all([1, 2, 3, 4].map(worker));
	expect(acknowledged.size).toBeGreaterThanOrEqual(200);

	server = await startServer({ CADREX_DATA: directory });
	const kept = await Promise.all(
		wanted
			.filter(({ id }) => acknowledged.has(id))
			.map(
				async ({ link, id }) =>
					(
						await fetch(`${server.url}/api/me/checkins/${id}`, {
							headers: { cookie: cookies.get(link.secret) ?? '' }
						})
					).status
			)
	);
	expect(kept.every((status) => status === 200)).toBe(true);

	// Devices send again what they got no answer for; nothing is doubled.
	for (const one of wanted) await send(one);
	await server.stop();

	const db = await openPglite(directory);
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>('select count(*)::int as n from checkin');
	expect(n).toBe(PEOPLE * DAYS);
	const summaries = () =>
		db.query<{ id: string; strip: object }>('select id, strip from enrolment order by id');
	const before = await summaries();
	expect(Object.keys(before[0]?.strip ?? {})).toHaveLength(DAYS);
	await rebuild({ db });
	expect(await summaries()).toEqual(before);
	await db.close();
}, 120_000);
