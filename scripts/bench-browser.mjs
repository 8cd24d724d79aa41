// A browser in which the demo's coach is signed in, for what is measured there.
import { CHROMIUM, CHROMIUM_FLAGS } from './chromium.mjs';

/** @typedef {import('@playwright/test').Page} Page */
/**
 * @typedef {object} Desk
 * @property {Page} page
 * @property {() => Promise<void>} settled waits until the page can be used
 * @property {(path: string) => Promise<void>} withoutQuestions sets that nobody of a challenge waits for their questions
 * @property {(name: string) => Promise<string>} makeChallenge one of twelve weeks; its path, with the page on its plan
 */

/**
 * A value of a sorted list.
 * @param {number[]} sorted
 * @param {number} share 0…1
 */
export const at = (sorted, share) =>
	sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;

/** Milliseconds after which something measured in a browser is given up: it waits for what never comes. */
const PATIENCE = 10 * 60_000;

/**
 * A browser with one page, closed when the work is done. A page that waits for ever ends with where it was.
 * @template T
 * @param {{ width: number, height: number }} viewport
 * @param {(page: Page) => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function inBrowser(viewport, work) {
	const { chromium } = await import('@playwright/test');
	const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
	/** @type {NodeJS.Timeout | undefined} */
	let timer;
	try {
		const page = await browser.newPage({ viewport });
		const tired = new Promise((/** @type {(never: never) => void} */ _, fail) => {
			timer = setTimeout(
				() => fail(new Error(`nothing more happened on ${page.url()} within ${PATIENCE / 60_000} minutes`)),
				PATIENCE
			);
		});
		return await Promise.race([work(page), tired]);
	} finally {
		clearTimeout(timer);
		await browser.close();
	}
}

/**
 * @template T
 * @param {string} base
 * @param {{ width: number, height: number }} viewport
 * @param {(desk: Desk) => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function asCoach(base, viewport, work) {
	return inBrowser(viewport, async (page) => {
		const settled = () => page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });
		const { email, password } = await (await fetch(`${base}/api/demo/sign-in`)).json();
		await page.goto(`${base}/sign-in`);
		await settled();
		await page.getByLabel('Email address').fill(email);
		await page.getByLabel('Password').fill(password);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await page.waitForURL('**/challenges');
		const makeChallenge = async (/** @type {string} */ name) => {
			await page.goto(`${base}/challenges/new`);
			await settled();
			await page.getByRole('radio', { name: /^12 weeks|^Twelve weeks|three days/ }).check();
			await page.getByLabel('Name').fill(`${name} ${Date.now()}`);
			await page.getByLabel('Goal').fill('Measured on one page');
			await page.getByRole('button', { name: 'Make the challenge' }).click();
			await page.waitForURL('**/plan');
			await settled();
			return new URL(page.url()).pathname.replace(/\/plan$/, '');
		};
		const withoutQuestions = async (/** @type {string} */ path) => {
			await page.goto(`${base}${path}/settings`);
			await settled();
			const waits = page.getByRole('checkbox', { name: /^Health questions come first/ });
			if (!(await waits.isChecked())) return;
			await waits.uncheck();
			await page.getByRole('button', { name: 'Save the settings' }).click();
			await page.getByText('Saved.').waitFor();
		};
		return work({ page, settled, makeChallenge, withoutQuestions });
	});
}
