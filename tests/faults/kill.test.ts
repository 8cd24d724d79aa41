import { utimesSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { rebuild } from '$lib/server/changes/projection';
import { openPglite } from '$lib/server/platform/db/pglite';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer } from '../support/server';
import { DAYS, openDays, PEOPLE, Senders } from '../support/shelf';

const folder = ownFolder('kill');
async function prepare(name: string) {
	const directory = dataDirectory(join(folder, name));
	const db = await openPglite(directory);
	const wanted = await openDays(db);
	await db.close();
	return { directory, wanted };
}

it('a process killed while 300 check-ins come in has lost none that it acknowledged, and starts again by itself', async () => {
	const { directory, wanted } = await prepare('killed');
	const senders = new Senders();
	const acknowledged = new Set<string>();
	let server = await startServer({ CADREX_DATA: directory });

	// Four at a time; the process dies in the midst of them.
	const queue = [...wanted];
	let dead = false;
	const worker = async () => {
		for (let next = queue.shift(); next && !dead; next = queue.shift()) {
			try {
				await senders.send(server, next);
				acknowledged.add(next.id);
			} catch {
				if (!dead) throw new Error('a check-in failed before the process was killed');
			}
			if (acknowledged.size === 120 && !dead) {
				dead = true;
				await server.kill();
			}
		}
	};
	await Promise.all([1, 2, 3, 4].map(worker));
	expect(acknowledged.size).toBeGreaterThanOrEqual(120);

	server = await startServer({ CADREX_DATA: directory });
	const kept = await Promise.all(
		wanted.filter(({ id }) => acknowledged.has(id)).map((one) => senders.has(server, one))
	);
	expect(kept.every(Boolean)).toBe(true);

	// Devices send again what they got no answer for; nothing is doubled.
	for (const one of wanted) await senders.send(server, one);
	await server.stop();

	const db = await openPglite(directory);
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>('select count(*)::int as n from result');
	expect(n).toBe(PEOPLE * DAYS);
	const summaries = () =>
		db.query<{ id: string; strip: object }>('select id, strip from enrolment order by id');
	const before = await summaries();
	expect(Object.keys(before[0]?.strip ?? {})).toHaveLength(DAYS);
	await rebuild({ db });
	expect(await summaries()).toEqual(before);
	await db.close();
}, 300_000);

it('a process that stood still while another took its directory finds itself locked out, writes nothing and stops', async () => {
	const { directory, wanted } = await prepare('asleep');
	const senders = new Senders();
	const first = await startServer({ CADREX_DATA: directory });
	const [early, late, ...others] = wanted;
	if (!early || !late) throw new Error('nobody to send');
	await senders.send(first, early);

	first.process.kill('SIGSTOP');
	const sleeping = senders.send(first, late).then(
		() => 'acknowledged',
		() => 'lost'
	);
	// Two minutes pass for the lock.
	const ago = Date.now() / 1000 - 120;
	utimesSync(join(directory, 'in-use.lock'), ago, ago);
	const second = await startServer({ CADREX_DATA: directory });
	const sent = others.slice(0, 30);
	for (const one of sent) await senders.send(second, one);

	const ended = new Promise<number | null>((resolve) => first.process.once('exit', resolve));
	first.process.kill('SIGCONT');
	expect(await ended).toBe(1);
	expect(await sleeping).toBe('lost');
	expect(first.output()).toContain(`Another process has taken the data directory ${directory}`);

	for (const one of [early, ...sent]) expect(await senders.has(second, one)).toBe(true);
	expect(await senders.has(second, late)).toBe(false);
	await second.kill();
	const third = await startServer({ CADREX_DATA: directory });
	for (const one of [early, ...sent]) expect(await senders.has(third, one)).toBe(true);
	await third.stop();
}, 300_000);
