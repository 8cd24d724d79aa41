// A session on the phone and many who check in at once, measured in the browser and from outside.
import { randomUUID } from 'node:crypto';
import { asCoach, at, inBrowser } from './bench-browser.mjs';
import { cookieOfLink } from './bench-serving.mjs';

/** Milliseconds over which the calls of a session are listened to. */
const LISTENING = 180_000;

/**
 * @template T
 * @param {string} base
 * @param {string} name whose phone
 * @param {(page: import('@playwright/test').Page) => Promise<T>} work
 * @returns {Promise<T>}
 */
function onPhone(base, name, work) {
	return inBrowser({ width: 390, height: 844 }, async (page) => {
		const { links } = await (await fetch(`${base}/api/demo/sign-in`)).json();
		const cookie = await cookieOfLink(`${base}/join/${links[name]}`);
		const [key = '', ...value] = cookie.split('=');
		await page.context().addCookies([{ name: key, value: value.join('='), url: base }]);
		return work(page);
	});
}

const settled = (/** @type {import('@playwright/test').Page} */ page) =>
	page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });

/**
 * How far calls are from the compiled timeline over three minutes, by the clock of another process; the way from the page to it,
 * which is the same for all, left aside.
 * @param {string} base
 * @returns {Promise<{ worst: number, calls: number }>} milliseconds
 */
function callsFrom(base) {
	return onPhone(base, 'Noor Bastani', async (page) => {
		/** @type {{ words: string, at: number }[]} */
		const heard = [];
		await page.exposeFunction('heard', (/** @type {string} */ words) => {
			heard.push({ words, at: performance.now() });
		});
		await page.goto(`${base}/me/day/24/run`);
		await settled(page);
		await page.evaluate(() => {
			let last = '';
			new MutationObserver(() => {
				const words = document.querySelector('[aria-live="assertive"]')?.textContent?.trim() ?? '';
				if (words === last || !words) return;
				last = words;
				// @ts-expect-error given from outside
				window.heard(words);
			}).observe(document.body, { subtree: true, childList: true, characterData: true });
		});
		await page.getByRole('button', { name: 'Start' }).click();
		await page.waitForTimeout(LISTENING);
		/** @type {{ at: number }[]} */
		const planned = await page.evaluate(
			() =>
				new Promise((done, fail) => {
					const open = indexedDB.open('cadrex');
					open.onerror = fail;
					open.onsuccess = () => {
						const all = open.result.transaction('runs').objectStore('runs').getAll();
						all.onsuccess = () => {
							const [run] = all.result;
							let begins = 0;
							const found = [];
							for (const { seconds, cues } of run.course.steps) {
								for (const cue of cues)
									found.push({ at: (begins + (cue.from === 'end' ? seconds - cue.at : cue.at)) * 1000 });
								begins += seconds;
							}
							done(found.sort((a, b) => a.at - b.at));
						};
					};
				})
		);
		const times = planned.map((cue) => cue.at);
		const first = heard[0]?.at ?? NaN;
		const off = heard.map(({ at: when }) => {
			const since = when - first;
			return times.reduce(
				(best, time) => (Math.abs(since - time) < Math.abs(best) ? since - time : best),
				Infinity
			);
		});
		const middle = at(
			[...off].sort((a, b) => a - b),
			0.5
		);
		return { worst: Math.max(...off.map((one) => Math.abs(one - middle))), calls: heard.length };
	});
}

/**
 * From a tap to the frame that shows the next step, twenty times.
 * @param {string} base
 * @returns {Promise<number[]>} milliseconds, sorted
 */
function taps(base) {
	return onPhone(base, 'Oren Falkestad', async (page) => {
		await page.goto(`${base}/me/day/23/run?again=yes`);
		await settled(page);
		await page.getByRole('button', { name: 'Start' }).click();
		await page.getByRole('button', { name: 'Pause' }).waitFor();
		/** @type {number[]} */
		const found = [];
		while (found.length < 20) {
			// Two taps within a third of a second are one.
			await page.waitForTimeout(400);
			await page.getByRole('button', { name: /^(Done|End early|Go)$/ }).waitFor();
			found.push(
				// Found and tapped in one go: the clock may put another button in its place at any time.
				await page.evaluate(
					() =>
						new Promise((done, fail) => {
							const button = [...document.querySelectorAll('button')].find(({ textContent }) =>
								/^(Done|End early|Go)$/.test(textContent.trim())
							);
							const shown = () => document.querySelector('main')?.textContent;
							const before = shown();
							const began = performance.now();
							button?.click();
							const look = () => {
								const now = performance.now();
								if (now - began > 5000) fail(new Error('a tap changed nothing'));
								else if (shown() === before) requestAnimationFrame(look);
								else requestAnimationFrame(() => setTimeout(() => done(performance.now() - began)));
							};
							look();
						})
				)
			);
		}
		return found.sort((a, b) => a - b);
	});
}

/**
 * A paint of a participant's today, five times with nothing kept.
 * @param {string} base
 * @param {'first-contentful-paint' | 'largest-contentful-paint'} entry which paint, by the type or name of its entry
 * @param {(devtools: import('@playwright/test').CDPSession) => Promise<unknown>} slow makes the processor or the line slow
 * @returns {Promise<number>} milliseconds, median
 */
function paintOf(base, entry, slow) {
	return onPhone(base, 'Noor Bastani', async (page) => {
		const devtools = await page.context().newCDPSession(page);
		await devtools.send('Network.enable');
		await devtools.send('Network.setCacheDisabled', { cacheDisabled: true });
		await devtools.send('Network.setBypassServiceWorker', { bypass: true });
		await slow(devtools);
		/** @type {number[]} */
		const found = [];
		for (let i = 0; i < 5; i++) {
			await page.goto(`${base}/me`, { timeout: 60_000 });
			await settled(page);
			found.push(
				await page.evaluate(
					(name) =>
						new Promise((done) => {
							const type = name === 'first-contentful-paint' ? 'paint' : name;
							new PerformanceObserver((list) => {
								const last = list.getEntries().findLast((one) => type === name || one.name === name);
								if (last) done(last.startTime);
							}).observe({ type, buffered: true });
						}),
					entry
				)
			);
		}
		return at(
			found.sort((a, b) => a - b),
			0.5
		);
	});
}

/** A line of 400 kbit/s with 400 ms there and back: the profile that is called slow 3G. */
const SLOW_LINE = { offline: false, latency: 400, downloadThroughput: 50_000, uploadThroughput: 50_000 };

/**
 * Fifty people check in within a second while the coach asks for the roll again and again.
 * @param {string} base
 * @returns {Promise<{ roll: number[], checkIns: number[], within: number }>} milliseconds; the first two sorted
 */
function fifty(base) {
	return asCoach(base, { width: 1280, height: 800 }, async ({ page, settled, withoutQuestions }) => {
		await page.getByRole('link', { name: 'Hut Season, six weeks' }).click();
		await page.waitForURL(/\/c\/[0-9a-f-]{36}/);
		const path = new URL(page.url()).pathname.match(/^\/c\/[0-9a-f-]{36}/)?.[0] ?? '';
		// Nobody waits for their questions here: it is the check-ins that are measured.
		await withoutQuestions(path);
		await page.goto(`${base}${path}/people/import`);
		await settled();
		const lines = Array.from(
			{ length: 50 },
			(_, i) => `Fifty ${i},fifty${i}-${Date.now()}@example.org,Europe/Oslo`
		);
		await page.getByLabel('Paste the list').fill(['Name,Email,Time zone', ...lines].join('\n'));
		await page.getByRole('button', { name: 'Preview' }).click();
		await page.getByRole('button', { name: /^Enrol 50 people/ }).click();
		await page.getByText('50 people enrolled.').waitFor();
		const links = await page
			.locator('input')
			.evaluateAll((inputs) =>
				inputs.flatMap(
					(input) => /** @type {HTMLInputElement} */ (input).value.match(/\/join\/[\w-]+$/) ?? []
				)
			);
		if (links.length !== 50) throw new Error(`${links.length} links of fifty people`);
		/** @type {string[]} */
		const cookies = [];
		for (const link of links) cookies.push(await cookieOfLink(`${base}${link}`));
		const coach = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
		const roll = async () => {
			const began = performance.now();
			const answer = await fetch(`${base}${path}/roll`, { headers: { cookie: coach } });
			await answer.text();
			if (!answer.ok) throw new Error(`the roll: ${answer.status}`);
			return performance.now() - began;
		};
		await roll();
		/** @type {number[]} */
		const rolls = [];
		let over = false;
		const asking = (async () => {
			while (!over) rolls.push(await roll());
		})();
		const began = performance.now();
		const checkIns = await Promise.all(
			cookies.map(async (cookie) => {
				const sent = performance.now();
				const answer = await fetch(`${base}/api/me/checkins`, {
					method: 'POST',
					headers: { cookie, 'content-type': 'application/json' },
					body: JSON.stringify({ id: randomUUID(), day: 24, done: 'all', effort: 6 })
				});
				if (answer.status !== 201) throw new Error(`a check-in: ${answer.status} ${await answer.text()}`);
				return performance.now() - sent;
			})
		);
		const within = performance.now() - began;
		over = true;
		await asking;
		return { roll: rolls.sort((a, b) => a - b), checkIns: checkIns.sort((a, b) => a - b), within };
	});
}

/** @param {string} base */
export async function running(base) {
	return {
		calls: await callsFrom(base),
		taps: await taps(base),
		paint: await paintOf(base, 'largest-contentful-paint', (devtools) =>
			devtools.send('Emulation.setCPUThrottlingRate', { rate: 4 })
		),
		slowPaint: await paintOf(base, 'first-contentful-paint', (devtools) =>
			devtools.send('Network.emulateNetworkConditions', SLOW_LINE)
		),
		fifty: await fifty(base)
	};
}
