/**
 * Ten minutes of mixed load on the running application, with a model of what it has acknowledged kept beside it: on the
 * embedded database with a kill every twenty seconds, on it without, and on a PostgreSQL server with two processes.
 * `npm run soak`; no part of `npm test`.
 */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { setTimeout as pause } from 'node:timers/promises';
import { quantile } from 'simple-statistics';
import { expect, it } from 'vitest';
import { rebuild } from '$lib/server/changes/projection';
import type { Database } from '$lib/server/platform/db/database';
import { openPglite } from '$lib/server/platform/db/pglite';
import { openPostgres } from '$lib/server/platform/db/postgres';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer, type RunningServer } from '../support/server';
import { compare, Load, START, writeWorld, type SoakWorld } from './soak-load';

const SECONDS = Number(process.env.SOAK_SECONDS ?? 600);
const KILL_EVERY = 20_000;
const folder = ownFolder('soak');
const LIMIT = (2 * SECONDS + 600) * 1000;

interface Sample {
	pid: number;
	late: number[];
	rss: number;
	heapUsed: number;
}
const samplesIn = (file: string): Sample[] =>
	existsSync(file)
		? readFileSync(file, 'utf8')
				.trim()
				.split('\n')
				.map((line) => JSON.parse(line) as Sample)
		: [];

const probed = (name: string) => {
	const file = join(folder, `${name}.jsonl`);
	const probe = pathToFileURL(join(process.cwd(), 'tests', 'load', 'loop-probe.mjs')).href;
	return { file, env: { NODE_OPTIONS: `--import ${probe}`, LOOP_PROBE: file, CADREX_LOG: 'warn' } };
};

const MB = 1024 * 1024;
const mean = (values: number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/** What a run showed, held to what was promised. @param flat processes that lived through all of it */
function judge(name: string, load: Load, all: Sample[], flat: number[]): void {
	const since = new Map<number, number>();
	const samples = all.filter(({ pid }) => {
		const second = since.get(pid) ?? 0;
		since.set(pid, second + 1);
		return 1000 * second >= START;
	});
	const late = samples.flatMap((sample) => sample.late);
	const [p50, p99] = [quantile(load.times, 0.5), quantile(load.times, 0.99)];
	const lateness = quantile(late, 0.99);
	const heap = Math.max(...samples.map(({ heapUsed }) => heapUsed)) / MB;
	const growth = flat.map((pid) => {
		const own = samples.filter((sample) => sample.pid === pid).map(({ rss }) => rss / MB);
		const part = (from: number, to: number) =>
			mean(own.slice(Math.floor(own.length * from), Math.ceil(own.length * to)));
		return { middle: part(1 / 3, 2 / 3), last: part(2 / 3, 1) };
	});
	console.log(
		`${name}: ${load.acknowledged.size} check-ins acknowledged and ${load.enrolled.length} people enrolled, ` +
			`${load.others} other requests, ${load.lost} without an answer; a check-in ${p50.toFixed(0)} ms (median), ` +
			`${p99.toFixed(0)} ms (99 %), ${Math.max(...load.times).toFixed(0)} ms at most; event loop late by ` +
			`${lateness.toFixed(0)} ms (99 % of ${late.length}); heap at most ${heap.toFixed(0)} MB; ` +
			`resident ${growth.map(({ middle, last }) => `${middle.toFixed(0)} → ${last.toFixed(0)} MB`).join(', ') || 'not judged'}`
	);
	expect(load.unexpected).toEqual([]);
	// A process that is killed every twenty seconds is always starting, with seconds of what has gathered meanwhile before
	// it: there times are told, and it is held to losing nothing.
	if (flat.length > 0) {
		expect(p99).toBeLessThan(300);
		expect(lateness).toBeLessThan(100);
	}
	expect(heap).toBeLessThan(512);
	for (const { middle, last } of growth) expect(last / middle).toBeLessThan(1.15);
}

/** Nothing acknowledged is lost or there twice, and the sums agree with what they are made of. */
async function holds(db: Database, world: SoakWorld, load: Load): Promise<void> {
	expect(await compare(db, world, load)).toEqual([]);
	const summaries = () => db.query('select id, strip from enrolment order by id');
	const before = await summaries();
	await rebuild({ db });
	expect(await summaries()).toEqual(before);
}

async function onEmbedded(name: string, seconds: number, killing: boolean): Promise<void> {
	const directory = dataDirectory(join(folder, name));
	const first = await openPglite(directory);
	const world = await writeWorld(first);
	await first.close();
	const { file, env } = probed(name);
	let server: RunningServer | null = await startServer({ CADREX_DATA: directory, ...env });
	const load = new Load(world, () => (server ? [server.url] : ['']));
	await load.begin();
	let over = false;
	const running = load.run(seconds).finally(() => (over = true));
	const pids = [server.process.pid!];
	while (killing && !over) {
		await Promise.race([running, pause(KILL_EVERY)]);
		if (over) break;
		const dying: RunningServer = server;
		server = null;
		await dying.kill();
		server = await startServer({ CADREX_DATA: directory, ...env });
		pids.push(server.process.pid!);
	}
	await running;
	await server.stop();
	const db = await openPglite(directory);
	await holds(db, world, load);
	await db.close();
	judge(name, load, samplesIn(file), killing ? [] : pids);
	if (killing) expect(pids.length).toBeGreaterThan(Math.floor((1000 * seconds) / KILL_EVERY / 2));
}

it('embedded, killed every twenty seconds', () => onEmbedded('killed', SECONDS, true), LIMIT);

it('embedded, left alone', () => onEmbedded('alone', SECONDS / 2, false), LIMIT);

it.runIf(process.env.SOAK_DATABASE_URL)(
	'two processes on a PostgreSQL server',
	async () => {
		const url = process.env.SOAK_DATABASE_URL!;
		const db = openPostgres(url);
		const world = await writeWorld(db);
		const { file, env } = probed('server');
		const servers = await Promise.all(
			['one', 'two'].map((name) =>
				startServer({ CADREX_DATA: join(folder, name), DATABASE_URL: url, ...env })
			)
		);
		const load = new Load(world, () => servers.map((server) => server.url));
		await load.begin();
		await load.run(SECONDS);
		await Promise.all(servers.map((server) => server.stop()));
		await holds(db, world, load);
		await db.close();
		judge(
			'two on PostgreSQL',
			load,
			samplesIn(file),
			servers.map((server) => server.process.pid!)
		);
	},
	LIMIT
);
