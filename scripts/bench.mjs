// npm run bench: the promised figures, each with its bound. Ends with 1 when one is not met.
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { CHROMIUM, CHROMIUM_FLAGS, ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

/** @typedef {{ name: string, value: number, unit: string, bound: number, detail: string }} Figure */

ensureInstalled();
// Its packages are there only from here on.
const { cookieOfLink, serving } = await import('./bench-serving.mjs');
const { people } = await import('./bench-people.mjs');
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

/** Sixty exercises in twenty blocks, as large a session as anyone builds. */
const SIXTY = [
	'warm-up: circuit 2 rounds 30/10: march with arms up + hip circles per side + squat to reach',
	...Array.from(
		{ length: 18 },
		(_, i) =>
			`superset 2 rounds, rest 20 inside, 60 after: ${8 + (i % 5)} goblet squat @ 12 kg + 8 per side one-arm row @ 12 kg + 10 push-up`
	),
	'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch + 30 s child rest'
].join('\n');

/**
 * In the browser: milliseconds from a keystroke to the page with its timeline and checks worked out anew, and from a
 * number of minutes to the ways to fit.
 * @returns {Promise<{ key: number, worst: number, fit: number, segments: string }>}
 */
async function building() {
	ensureChromium();
	const { chromium } = await import('@playwright/test');
	const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		const { email, password } = await (await fetch(`${BASE}/api/demo/sign-in`)).json();
		await page.goto(`${BASE}/sign-in`);
		await page.waitForLoadState('networkidle');
		await page.getByLabel('Email address').fill(email);
		await page.getByLabel('Password').fill(password);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await page.getByRole('link', { name: 'Hut Season, six weeks' }).click();
		await page.getByRole('link', { name: 'Build' }).click();
		await page.getByRole('link', { name: 'New session' }).click();
		await page.waitForLoadState('networkidle');
		await page.getByRole('button', { name: 'As text' }).click();
		await page.getByLabel('The session as text').fill(SIXTY);
		await page.getByRole('button', { name: 'Use this text' }).click();
		await page.getByRole('button', { name: 'Edit', exact: true }).nth(1).click();
		const field = page.getByLabel('rounds', { exact: true });
		/** @type {number[]} */
		const times = await field.evaluate(async (input) => {
			const field = /** @type {HTMLInputElement} */ (input);
			const found = [];
			for (let i = 0; i < 40; i++) {
				field.value = String(2 + (i % 7));
				const began = performance.now();
				field.dispatchEvent(new InputEvent('input', { bubbles: true }));
				// What follows from it is worked out and drawn before the next task begins.
				await new Promise((done) => {
					requestAnimationFrame(() => {
						const channel = new MessageChannel();
						channel.port1.onmessage = done;
						channel.port2.postMessage(null);
					});
				});
				found.push(performance.now() - began);
			}
			return found.slice(5).sort((a, b) => a - b);
		});
		await page.getByRole('button', { name: /^Fit to/ }).click();
		const length = Number(await page.getByRole('slider').getAttribute('aria-valuemax')) / 60;
		await page.getByLabel('Minutes to fit into').fill(String(Math.round(length * 0.9)));
		await page.getByRole('button', { name: 'Take it' }).first().waitFor();
		const fit = await page.getByLabel('Minutes to fit into').evaluate(async (input, minutesNow) => {
			const field = /** @type {HTMLInputElement} */ (input);
			const panel = /** @type {HTMLElement} */ (field.closest('section'));
			const found = [];
			for (const share of [0.95, 0.9, 0.85, 0.92, 1.05, 0.88]) {
				const minutes = Math.round(minutesNow * share);
				const began = performance.now();
				const changed = new Promise((done) => {
					new MutationObserver((_, observer) => {
						observer.disconnect();
						done(null);
					}).observe(panel, { childList: true, subtree: true, characterData: true });
				});
				field.value = String(minutes);
				field.dispatchEvent(new InputEvent('input', { bubbles: true }));
				await changed;
				found.push(performance.now() - began);
			}
			return found.slice(1).sort((a, b) => a - b);
		}, length);
		const at = (/** @type {number[]} */ list, /** @type {number} */ share) =>
			list[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN;
		return {
			key: at(times, 0.5),
			worst: at(times, 0.95),
			fit: at(fit, 0.5),
			segments: (await page.getByRole('slider').getAttribute('aria-valuetext')) ?? ''
		};
	} finally {
		await browser.close();
	}
}

/**
 * In the browser: milliseconds from the click on “Weeks and days” to the frame that shows a plan of 84 days, and the
 * time of a frame while a day is dragged over the others.
 * @returns {Promise<{ render: number, frame: number, slow: number, frames: number }>}
 */
async function planning() {
	const { chromium } = await import('@playwright/test');
	const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 1400 } });
		const { email, password } = await (await fetch(`${BASE}/api/demo/sign-in`)).json();
		const settled = () => page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });
		await page.goto(`${BASE}/sign-in`);
		await settled();
		await page.getByLabel('Email address').fill(email);
		await page.getByLabel('Password').fill(password);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await page.waitForURL('**/challenges');
		await page.goto(`${BASE}/challenges/new`);
		await settled();
		await page.getByRole('radio', { name: /^12 weeks|^Twelve weeks|three days/ }).check();
		await page.getByLabel('Name').fill(`Measured ${Date.now()}`);
		await page.getByLabel('Goal').fill('Twelve weeks on one page');
		await page.getByRole('button', { name: 'Make the challenge' }).click();
		await page.waitForURL('**/plan');
		await settled();
		/** @type {number[]} */
		const renders = [];
		for (let i = 0; i < 8; i++) {
			await page.getByRole('link', { name: 'Charts' }).click();
			await page.getByRole('heading', { name: 'Load, time and sets' }).waitFor();
			renders.push(
				await page.getByRole('link', { name: 'Weeks and days' }).evaluate(async (link) => {
					const began = performance.now();
					const shown = new Promise((done) => {
						const look = () =>
							document.querySelectorAll('[role=gridcell]').length >= 84
								? requestAnimationFrame(() => setTimeout(done))
								: requestAnimationFrame(look);
						look();
					});
					/** @type {HTMLElement} */ (link).click();
					await shown;
					return performance.now() - began;
				})
			);
		}
		const cells = page.getByRole('gridcell');
		const middle = async (/** @type {number} */ day) => {
			const box = await cells.nth(day - 1).boundingBox();
			if (!box) throw new Error(`day ${day} is not on the page`);
			return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
		};
		const from = await middle(1);
		await page.mouse.move(from.x, from.y);
		await page.mouse.down();
		await page.mouse.move(from.x + 8, from.y + 8);
		const watching = page.evaluate(
			() =>
				/** @type {Promise<number[]>} */ (
					new Promise((done) => {
						/** @type {number[]} */
						const found = [];
						let last = performance.now();
						const step = (/** @type {number} */ now) => {
							found.push(now - last);
							last = now;
							if (found.length < 240) requestAnimationFrame(step);
							else done(found.slice(5));
						};
						requestAnimationFrame(step);
					})
				)
		);
		let over = true;
		void watching.then(() => (over = false));
		/** What was said of the days that were passed: without it nothing was being dragged. */
		const said = new Set();
		for (let day = 2; over; day = (day % 60) + 1) {
			const to = await middle(day);
			await page.mouse.move(to.x, to.y, { steps: 4 });
			said.add(
				await page
					.getByRole('status')
					.filter({ hasText: /^Swap day/ })
					.textContent({ timeout: 5000 })
			);
		}
		if (said.size < 10) throw new Error(`only ${said.size} days were passed by the dragged one`);
		const frames = (await watching).sort((a, b) => a - b);
		await page.mouse.up();
		renders.sort((a, b) => a - b);
		const at = (/** @type {number[]} */ list, /** @type {number} */ share) =>
			list[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN;
		return {
			render: at(renders, 0.5),
			frame: at(frames, 0.5),
			slow: at(frames, 0.95),
			frames: frames.length
		};
	} finally {
		await browser.close();
	}
}

const figures = measured();
rmSync(directory, { recursive: true, force: true });
const first = await startDemo();
await first.stop();
const second = await startDemo();
const [weight, build, plan, group, served] = await (async () => {
	try {
		return /** @type {const} */ ([
			await scriptWeight(),
			await building(),
			await planning(),
			await people(BASE),
			await serving(BASE)
		]);
	} finally {
		await second.stop();
	}
})();
figures.push({
	name: 'keystroke to timeline and checks, session of 60 parts, median',
	value: build.key,
	unit: 'ms',
	bound: 50,
	detail: `95th percentile ${build.worst.toFixed(0)} ms; ${build.segments}; in Chromium, with the frame`
});
figures.push({
	name: 'ways to fit a session of 60 parts, in a worker, median',
	value: build.fit,
	unit: 'ms',
	bound: 200,
	detail: 'from the number typed to the ways shown'
});
figures.push({
	name: 'a plan of 84 days, from the click to the frame that shows it, median',
	value: plan.render,
	unit: 'ms',
	bound: 100,
	detail: 'eight times, in Chromium without a graphics card'
});
figures.push({
	name: 'a frame while a day is dragged over a plan of 84 days, median',
	value: plan.frame,
	unit: 'ms',
	bound: 17,
	detail: `95th percentile ${plan.slow.toFixed(1)} ms of ${plan.frames} frames; checks are worked out at each day`
});
figures.push({
	name: 'a thousand people enrolled from a list, from the click to their links',
	value: group.enrol / 1000,
	unit: 's',
	bound: 3,
	detail: 'with what suits each and what holds each; on the embedded database in a directory'
});
figures.push({
	name: 'who gets what for 300 people, from the click to the frame that shows it, median',
	value: group.open,
	unit: 'ms',
	bound: 300,
	detail: `${group.columns} exercises; six times, in Chromium without a graphics card`
});
figures.push({
	name: 'a frame while who gets what is scrolled, median',
	value: group.frame,
	unit: 'ms',
	bound: 17,
	detail: `95th percentile ${group.slow.toFixed(1)} ms of 235 frames`
});
figures.push({
	name: 'second demo start to the first page',
	value: second.ms / 1000,
	unit: 's',
	bound: 3,
	detail: `the first, with the demo data written: ${(first.ms / 1000).toFixed(1)} s`
});
figures.push({
	name: 'script of the participant’s today, gzip',
	value: weight.kB,
	unit: 'kB',
	bound: 90,
	detail: `${weight.files} files`
});

const share = (/** @type {number[]} */ sorted, /** @type {number} */ part) =>
	sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? NaN;
figures.push({
	name: 'the sign-in page against a participant’s page, answers a second',
	value: 1 / served.page.ratio,
	unit: '×',
	bound: 2.5,
	detail: `${served.page.other.toFixed(0)} a second against ${served.page.one.toFixed(0)}, 4 connections; medians of five rounds in turn`
});
figures.push({
	name: 'an answer without data to a signed-in coach, against one to a stranger',
	value: served.known.ratio,
	unit: '×',
	bound: 1.3,
	detail: `${served.known.other.toFixed(0)} a second against ${served.known.one.toFixed(0)}`
});
figures.push({
	name: 'longest wait of others while a packet is set as PDF',
	value: share(served.waits, 1),
	unit: 'ms',
	bound: 50,
	detail: `five packets, ${served.waits.length} answers; 95th percentile ${share(served.waits, 0.95).toFixed(0)} ms`
});
figures.push({
	name: 'a thousand people open their page within a minute, 99th percentile',
	value: share(served.opens, 0.99),
	unit: 'ms',
	bound: 300,
	detail: `median ${share(served.opens, 0.5).toFixed(0)} ms, longest ${share(served.opens, 1).toFixed(0)} ms`
});

console.log(`Node ${process.version}, ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}\n`);
let missed = 0;
for (const { name, value, unit, bound, detail } of figures) {
	const met = value <= bound;
	if (!met) missed++;
	console.log(
		`${met ? 'met   ' : 'MISSED'} ${name}: ${value.toPrecision(3)} ${unit} (at most ${bound} ${unit}); ${detail}`
	);
}
process.exit(missed > 0 ? 1 : 0);
