// npm run bench: the promised figures, each with its bound, printed as it is found. Ends with 1 when one is not met.
// Names of parts after `--` leave the others out: core, today, run, build, plan, people, serving.
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

/** @typedef {{ name: string, value: number, unit: string, bound: number, detail: string }} Figure */

ensureInstalled();
// Its packages are there only from here on.
const { cookieOfLink, serving } = await import('./bench-serving.mjs');
const { building, planning } = await import('./bench-coach.mjs');
const { people } = await import('./bench-people.mjs');
const { running } = await import('./bench-run.mjs');
ensureBuilt();

/** @returns {Figure[]} */
function measured() {
	const done = spawnSync(process.execPath, [join(ROOT, 'build-cli', 'bench.js')], {
		cwd: ROOT,
		encoding: 'utf8'
	});
	if (done.status !== 0) throw new Error(done.stderr);
	return done.stdout
		.trim()
		.split('\n')
		.map((line) => JSON.parse(line));
}

const PORT = 4179;
const BASE = `http://localhost:${PORT}`;
const directory = join(ROOT, '.cache', 'bench-demo');

/**
 * Starts the demo and waits for its first page.
 * @returns {Promise<{ ms: number, stop: () => Promise<void> }>}
 */
async function startDemo() {
	const began = performance.now();
	const child = spawn(process.execPath, [join(ROOT, 'scripts', 'demo.mjs')], {
		stdio: 'ignore',
		env: {
			...process.env,
			PORT: String(PORT),
			CADREX_DATA: directory,
			CADREX_FIXED_NOW: '2026-05-13T05:40:00Z'
		}
	});
	const gone = new Promise((resolve) => child.once('exit', resolve));
	for (;;) {
		const answer = await fetch(`${BASE}/sign-in`).catch(() => null);
		if (answer?.ok) break;
		if (performance.now() - began > 120_000) throw new Error('the demo did not start');
		await new Promise((resolve) => setTimeout(resolve, 50));
	}
	return {
		ms: performance.now() - began,
		stop: async () => {
			child.kill('SIGTERM');
			await gone;
		}
	};
}

/**
 * Kilobytes of script that a participant's page of today asks for, each file compressed by gzip.
 * @returns {Promise<{ kB: number, files: number }>}
 */
async function scriptWeight() {
	const { links } = await (await fetch(`${BASE}/api/demo/sign-in`)).json();
	const cookie = await cookieOfLink(`${BASE}/join/${links['Noor Bastani']}`);
	const answer = await fetch(`${BASE}/me`, { headers: { cookie } });
	// The page's own modules are named in the Link header, the entry in the page.
	const asked = `${answer.headers.get('link')} ${await answer.text()}`;
	const found = new Set([...asked.matchAll(/_app\/immutable\/[\w./-]+\.js/g)].map(([path]) => path));
	// What those import in turn is asked for as well.
	const queue = [...found];
	let bytes = 0;
	for (let path = queue.pop(); path; path = queue.pop()) {
		const text = readFileSync(join(ROOT, 'build', 'client', path), 'utf8');
		bytes += gzipSync(text, { level: 9 }).length;
		for (const [, next] of text.matchAll(/(?:from|import)\s*"([^"]+\.js)"/g)) {
			const full = new URL(next ?? '', `file:///${path}`).pathname.slice(1);
			if (!found.has(full)) queue.push(full);
			found.add(full);
		}
	}
	return { kB: bytes / 1000, files: found.size };
}

ensureChromium();
const asked = process.argv.slice(2);
const wanted = (/** @type {string} */ part) => asked.length === 0 || asked.includes(part);
let missed = 0;

/** @param {Figure} figure */
function show({ name, value, unit, bound, detail }) {
	// What was not measured is not met.
	const met = value <= bound;
	if (!met) missed++;
	console.log(
		`${met ? 'met   ' : 'MISSED'} ${name}: ${value.toPrecision(3)} ${unit} (at most ${bound} ${unit}); ${detail}`
	);
}

const share = (/** @type {number[]} */ sorted, /** @type {number} */ part) =>
	sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? NaN;

/** What is measured at the running demo, by the name of the part. */
const PARTS = {
	today: async () => {
		const weight = await scriptWeight();
		show({
			name: 'script of the participant’s today, gzip',
			value: weight.kB,
			unit: 'kB',
			bound: 90,
			detail: `${weight.files} files`
		});
	},
	run: async () => {
		const run = await running(BASE);
		show({
			name: 'a call of a session against its timeline over three minutes, the furthest',
			value: run.calls.worst,
			unit: 'ms',
			bound: 50,
			detail: `${run.calls.calls} calls, by the clock of another process`
		});
		show({
			name: 'a tap in a session to the frame with the next step, median',
			value: run.taps[Math.floor(run.taps.length / 2)] ?? NaN,
			unit: 'ms',
			bound: 50,
			detail: `longest of ${run.taps.length}: ${(run.taps.at(-1) ?? NaN).toFixed(0)} ms`
		});
		show({
			name: 'largest paint of today at a quarter of the processor, median',
			value: run.paint / 1000,
			unit: 's',
			bound: 1.5,
			detail: 'five times, nothing kept from before'
		});
		show({
			name: 'first paint of today on a slow line, median',
			value: run.slowPaint / 1000,
			unit: 's',
			bound: 2.5,
			detail: '400 kbit/s, 400 ms there and back; five times, nothing kept from before'
		});
		show({
			name: 'the roll while fifty people check in at once, the slowest',
			value: run.fifty.roll.at(-1) ?? NaN,
			unit: 'ms',
			bound: 300,
			detail: `${run.fifty.roll.length} times; all fifty in ${run.fifty.within.toFixed(0)} ms, the slowest ${(run.fifty.checkIns.at(-1) ?? NaN).toFixed(0)} ms`
		});
	},
	build: async () => {
		const build = await building(BASE);
		show({
			name: 'keystroke to timeline and checks, session of 60 parts, median',
			value: build.key,
			unit: 'ms',
			bound: 50,
			detail: `95th percentile ${build.worst.toFixed(0)} ms; ${build.segments}; in Chromium, with the frame`
		});
		show({
			name: 'ways to fit a session of 60 parts, in a worker, median',
			value: build.fit,
			unit: 'ms',
			bound: 200,
			detail: 'from the number typed to the ways shown'
		});
	},
	plan: async () => {
		const plan = await planning(BASE);
		show({
			name: 'a plan of 84 days, from the click to the frame that shows it, median',
			value: plan.render,
			unit: 'ms',
			bound: 100,
			detail: 'eight times, in Chromium without a graphics card'
		});
		show({
			name: 'a frame while a day is dragged over a plan of 84 days, median',
			value: plan.frame,
			unit: 'ms',
			bound: 17,
			detail: `95th percentile ${plan.slow.toFixed(1)} ms of ${plan.frames} frames; checks are worked out at each day`
		});
	},
	people: async () => {
		const group = await people(BASE);
		show({
			name: 'a thousand people enrolled from a list, from the click to their links',
			value: group.enrol / 1000,
			unit: 's',
			bound: 3,
			detail: 'with what suits each and what holds each; on the embedded database in a directory'
		});
		show({
			name: 'who gets what for 300 people, from the click to the frame that shows it, median',
			value: group.open,
			unit: 'ms',
			bound: 300,
			detail: `${group.columns} exercises; the matrix, once it is opened, ${group.matrix.toFixed(0)} ms; six times, in Chromium without a graphics card`
		});
		show({
			name: 'first paint of the desk of a group of 326, median',
			value: group.desk,
			unit: 'ms',
			bound: 500,
			detail: `six times, in Chromium without a graphics card; the very first time ${group.deskFirst.toFixed(0)} ms`
		});
		show({
			name: 'a frame while who gets what is scrolled, median',
			value: group.frame,
			unit: 'ms',
			bound: 17,
			detail: `95th percentile ${group.slow.toFixed(1)} ms of 235 frames`
		});
	},
	serving: async () => {
		const served = await serving(BASE);
		show({
			name: 'the sign-in page against a participant’s page, answers a second',
			value: 1 / served.page.ratio,
			unit: '×',
			bound: 2.5,
			detail: `${served.page.other.toFixed(0)} a second against ${served.page.one.toFixed(0)}, 4 connections; medians of five rounds in turn`
		});
		show({
			name: 'an answer without data to a signed-in coach, against one to a stranger',
			value: served.known.ratio,
			unit: '×',
			bound: 1.3,
			detail: `${served.known.other.toFixed(0)} a second against ${served.known.one.toFixed(0)}`
		});
		show({
			name: 'longest wait of others while a packet is set as PDF',
			value: share(served.waits, 1),
			unit: 'ms',
			bound: 50,
			detail: `five packets, ${served.waits.length} answers; 95th percentile ${share(served.waits, 0.95).toFixed(0)} ms`
		});
		show({
			name: 'a thousand people open their page within a minute, 99th percentile',
			value: share(served.opens, 0.99),
			unit: 'ms',
			bound: 300,
			detail: `median ${share(served.opens, 0.5).toFixed(0)} ms, longest ${share(served.opens, 1).toFixed(0)} ms`
		});
	}
};

console.log(`Node ${process.version}, ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}\n`);
if (wanted('core')) measured().forEach(show);
rmSync(directory, { recursive: true, force: true });
const first = await startDemo();
await first.stop();
const second = await startDemo();
try {
	show({
		name: 'second demo start to the first page',
		value: second.ms / 1000,
		unit: 's',
		bound: 3,
		detail: `the first, with the demo data written: ${(first.ms / 1000).toFixed(1)} s`
	});
	for (const [part, measure] of Object.entries(PARTS)) if (wanted(part)) await measure();
} finally {
	await second.stop();
}
process.exit(missed > 0 ? 1 : 0);
