// What a coach waits for in Build and in Plan, measured in the browser.
import { asCoach, at } from './bench-browser.mjs';

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
 * @param {string} base
 * @returns {Promise<{ key: number, worst: number, fit: number, segments: string }>}
 */
export async function building(base) {
	return asCoach(base, { width: 1280, height: 800 }, async ({ page }) => {
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
		return {
			key: at(times, 0.5),
			worst: at(times, 0.95),
			fit: at(fit, 0.5),
			segments: (await page.getByRole('slider').getAttribute('aria-valuetext')) ?? ''
		};
	});
}

/**
 * In the browser: milliseconds from the click on “Weeks and days” to the frame that shows a plan of 84 days, and the
 * time of a frame while a day is dragged over the others.
 * @param {string} base
 * @returns {Promise<{ render: number, frame: number, slow: number, frames: number }>}
 */
export async function planning(base) {
	return asCoach(base, { width: 1280, height: 1400 }, async ({ page, makeChallenge }) => {
		await makeChallenge('Measured');
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
				new Promise((/** @type {(frames: number[]) => void} */ done) => {
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
		return {
			render: at(renders, 0.5),
			frame: at(frames, 0.5),
			slow: at(frames, 0.95),
			frames: frames.length
		};
	});
}
