import { readdirSync, readFileSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { openPglite } from '$lib/server/platform/db/pglite';
import { postTo, recipientsOf } from '$lib/server/contact/post/posts';
import { inNeed } from '$lib/server/contact/reach/triage';
import { enrol } from '$lib/server/people/enrol';
import { contextOn, makeWorld } from '../support/context';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer } from '../support/server';

const PEOPLE = 1000;
const AT = '2026-11-25T12:00:00Z';

async function queued(directory: string) {
	const db = await openPglite(directory);
	const context = contextOn(db);
	context.at(AT);
	const world = await makeWorld(context);
	const links = await enrol(
		context,
		world.challenge,
		Array.from({ length: PEOPLE }, (_, i) => ({
			name: `Carrier ${i}`,
			email: `c${i}@example.org`,
			zone: 'Europe/Oslo',
			level: 'beginner' as const,
			kit: [],
			unread: []
		})),
		null
	);
	const all = recipientsOf(await inNeed({ app: context }, world.challenge, context.clock.now()), {
		coach: 'Runa',
		challenge: 'Hut weeks',
		teams: new Map()
	});
	await postTo(context, world.challenge, world.coach.id, {
		audience: { kind: 'people', ids: links.map(({ enrolmentId }) => enrolmentId) },
		raw: { id: context.ids.uuid(), subject: 'To {full name}', text: 'Hello {full name}' },
		everybody: all
	});
	await db.close();
}

it(
	'a thousand messages go out through three killed processes, none lost and none doubled',
	{ timeout: 240_000 },
	async () => {
		const directory = dataDirectory(join(ownFolder('post'), 'data'));
		await queued(directory);
		const outbox = join(directory, 'outbox');
		const written = () =>
			existsSync(outbox) ? readdirSync(outbox).filter((name) => name.endsWith('.eml')) : [];
		const start = () => startServer({ CADREX_DATA: directory, CADREX_FIXED_NOW: AT });

		const seen: number[] = [];
		for (const mark of [1, 300, 600]) {
			const server = await start();
			await expect
				.poll(() => written().length, { timeout: 60_000, interval: 5 })
				.toBeGreaterThanOrEqual(mark);
			await server.kill();
			seen.push(written().length);
		}
		expect(Math.max(...seen), 'each died in the midst of it').toBeLessThan(PEOPLE);
		const server = await start();
		await expect.poll(() => written().length, { timeout: 120_000 }).toBe(PEOPLE);
		await server.stop();

		const subjects = written().map(
			(name) => /^Subject: (.*)\r$/m.exec(readFileSync(join(outbox, name), 'utf8'))?.[1]
		);
		expect(new Set(subjects).size).toBe(PEOPLE);
		const db = await openPglite(directory);
		const [counts] = await db.query(
			`select (select count(*)::int from message) as messages, (select count(*)::int from letter where state = 'sent') as sent,
			(select count(*)::int from letter) as letters, (select count(distinct enrolment_id)::int from message) as people,
			(select count(*)::int from reach where way = 'post') as reaches`
		);
		await db.close();
		expect(counts).toEqual({
			messages: PEOPLE,
			sent: PEOPLE,
			letters: PEOPLE,
			people: PEOPLE,
			reaches: PEOPLE
		});
	}
);
