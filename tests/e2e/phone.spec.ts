/** A session on a phone that is left, reopened, silenced and slowed down. */
import type { Course } from '../../src/core/run';
import { asCoach, expect, onDevice, openLink, openPlace, phoneOf, reachOut, ready, test } from './support';
import type { Page } from '@playwright/test';

const PHONE = { width: 390, height: 844 };

interface Kept {
	acts: { do: string; at: number; speed?: number }[];
	seen: number;
	course: Course;
}

/** The session that the device keeps, after a change to it. */
const keptRun = (page: Page, later = 0): Promise<Kept> =>
	page.evaluate(
		(by) =>
			new Promise<Kept>((resolve, reject) => {
				const open = indexedDB.open('cadrex');
				open.onerror = () => reject(new Error('no database'));
				open.onsuccess = () => {
					const store = open.result.transaction('runs', 'readwrite').objectStore('runs');
					const all = store.getAll();
					all.onsuccess = () => {
						const [run] = all.result as Kept[];
						if (!run) return reject(new Error('no session is kept'));
						for (const act of run.acts) act.at -= by;
						run.seen -= by;
						store.put(run).onsuccess = () => {
							open.result.close();
							resolve(run);
						};
					};
				};
			}),
		later
	);

test('a session that was closed for an hour counts only what was seen, until the person says more', async ({
	browser,
	demo
}) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	await phone.goto('/me/day/24/run');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(phone.getByRole('heading', { level: 1, name: 'Get ready' })).toBeVisible();
	await phone.goto('/me');
	await ready(phone);
	await keptRun(phone, 3_600_000);
	await phone.goto('/me/day/24/run');
	const asks = phone.getByRole('alert').filter({ hasText: /You were away for 1 h/ });
	await expect(asks).toContainText(/\d+ sets went by on the clock and don’t count yet/);
	await expect(phone.getByRole('heading', { level: 1 })).not.toHaveText('All of it done');

	// The check-in asks the same, and sends no more than the answer.
	await phone.goto('/me/day/24/check-in?run=yes');
	await ready(phone);
	await expect(asks).toBeVisible();
	await expect(phone.locator('input[name="done"][value="all"]')).not.toBeChecked();
	await asks.getByRole('button', { name: 'I didn’t' }).click();
	await expect(asks).toHaveCount(0);
	await context.close();
});

test('after a reload the page says that it is silent, and any touch brings the calls back', async ({
	browser,
	demo
}) => {
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	const context = phone.context();
	await phone.goto('/me/day/24/run');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	const silent = phone.getByRole('status').filter({ hasText: 'The sound is off until you touch the screen' });
	await expect(phone.getByRole('button', { name: 'Pause' })).toBeVisible();
	await expect(silent).toHaveCount(0);
	await phone.reload();
	await expect(silent).toBeVisible();
	await silent.getByRole('button', { name: 'Continue' }).click();
	await expect(silent).toHaveCount(0);
	await context.close();
});

test('“More” and “This hurts” stop the clock, and closing them lets it go on', async ({ browser, demo }) => {
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	const context = phone.context();
	await phone.goto('/me/day/24/run');
	await ready(phone);
	await phone
		.getByRole('button', { name: 'Discard' })
		.or(phone.getByRole('button', { name: 'Start' }))
		.first()
		.waitFor();
	const start = phone.getByRole('button', { name: 'Start' });
	if (await start.count()) await start.click();
	await phone.getByRole('button', { name: 'More', exact: true }).click();
	const last = async () => (await keptRun(phone)).acts.at(-1)?.do;
	await expect.poll(last).toBe('pause');
	await phone.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
	await expect.poll(last).toBe('resume');
	await context.close();
});

/** Runs in a page: keeps when each tone begins, by the wall clock that the sound system keeps. */
const listen = () => {
	const tones: number[] = [];
	Reflect.set(window, 'tones', tones);
	class Listened extends AudioContext {
		override createOscillator(): OscillatorNode {
			const node = super.createOscillator();
			const begin = node.start.bind(node);
			node.start = (when = 0) => {
				tones.push(performance.timeOrigin + performance.now() + (when - this.currentTime) * 1000);
				begin(when);
			};
			return node;
		}
	}
	Reflect.set(window, 'AudioContext', Listened);
	// One core has something else to do.
	new Worker(URL.createObjectURL(new Blob(['for (;;);'], { type: 'text/javascript' })));
};

test('each call of a session sounds within 50 ms of its time, with a core busy', async ({
	browser,
	demo
}) => {
	test.slow();
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	const context = phone.context();
	await context.addInitScript(listen);
	await phone.goto('/me/day/24/run?speed=4');
	await ready(phone);
	const over = phone.getByRole('button', { name: 'Discard' });
	if (await over.count()) await over.click();
	await phone.getByRole('button', { name: 'Start' }).click();
	// The lead-in and what the clock leads through by itself.
	const heard = () => phone.evaluate(() => Reflect.get(window, 'tones') as number[]);
	await expect.poll(async () => (await heard()).length, { timeout: 90_000 }).toBeGreaterThan(20);
	const { acts, course } = await keptRun(phone);
	const start = acts.find((act) => act.do === 'start');
	expect(start?.speed).toBe(4);
	let began = start!.at;
	const planned = course.steps.flatMap((step) => {
		const at = step.cues.flatMap((cue) => {
			const time = cue.from === 'end' ? step.seconds - cue.at : cue.at;
			return (cue.kind === 'three-two-one' ? [0, 1, 2] : [0]).map(
				(more) => began + ((time + more) * 1000) / 4
			);
		});
		began += (step.seconds * 1000) / 4;
		return at;
	});
	const tones = await heard();
	const until = Math.max(...tones) - 1500;
	const missed = planned.filter((at) => at < until && !tones.some((tone) => Math.abs(tone - at) <= 50));
	expect(planned.filter((at) => at < until).length).toBeGreaterThan(8);
	expect(missed).toEqual([]);
	await context.close();
});

test('without a connection somebody who had to stop finds help, and the coach is told afterwards', async ({
	browser,
	demo,
	site,
	server,
	page,
	complaints
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Emre Toksöz' }).click();
	await ready(page);
	await page.getByRole('button', { name: 'Create a new link' }).click();
	const link = await page.getByLabel('Copy the link').first().inputValue();
	const context = await browser.newContext({ baseURL: site, viewport: PHONE });
	const phone = await context.newPage();
	await openLink(phone, link);
	await ready(phone);
	await onDevice(phone, '/me/stop');
	await phone.reload();
	await ready(phone);
	await context.setOffline(true);
	await phone.getByRole('link', { name: 'I had to stop: tell my coach' }).click();
	await expect(phone.getByRole('link', { name: 'Call 112' })).toBeVisible();
	await phone.getByText('chest', { exact: false }).first().click();
	await phone.getByRole('button', { name: 'Tell my coach' }).click();
	await expect(phone.getByRole('heading', { name: 'Kept on this device' })).toBeVisible();
	await context.setOffline(false);
	await phone.goto('/me');
	const held = phone.getByText('Don’t train for now');
	await expect(held).toBeVisible();
	expect(complaints.splice(0).every((text) => text.includes('ERR_INTERNET_DISCONNECTED'))).toBe(true);

	// The coach was told, and her decision ends the hold.
	await reachOut(page, 'Emre Toksöz');
	const sign = page.getByRole('region', { name: 'Warning sign to decide about' });
	await expect(sign).toContainText('chest');
	await sign.getByLabel('Who said yes, and when').fill('Dr Aydemir, this morning');
	await sign.getByRole('button', { name: 'Somebody qualified said yes' }).click();
	await expect(sign).toHaveCount(0);

	// The stored page is shown while the server is slow, and is replaced once the response arrives.
	await server.standStill(async () => {
		await phone.goto('/me');
		await expect(held).toBeVisible();
	});
	await expect(held).toHaveCount(0);
	await context.close();
});

test('without a connection every link leads to its page or to one that says what is there', async ({
	browser,
	demo,
	complaints
}) => {
	const phone = await phoneOf(browser, demo, 'Aroha Pene');
	const context = phone.context();
	await onDevice(phone, '/me/stop');
	await phone.reload();
	await ready(phone);
	const links = await phone
		.locator('a[href^="/"]')
		.evaluateAll((all) => [...new Set(all.map((link) => link.getAttribute('href') ?? ''))]);
	expect(links.length).toBeGreaterThan(8);
	await context.setOffline(true);
	for (const href of links) {
		await phone.goto('/me');
		await ready(phone);
		// As a tap goes, and as an address is opened.
		await phone.locator(`a[href="${href}"]`).first().click();
		await expect(phone.getByRole('heading', { level: 1 }).first()).toBeVisible();
		await expect(phone.getByText(/Something went wrong|Internal Error/)).toHaveCount(0);
		await phone.goto(href);
		await expect(phone.getByRole('heading', { level: 1 }).first()).toBeVisible();
		await expect(phone.getByText(/Something went wrong|Internal Error/)).toHaveCount(0);
	}
	await phone.goto('/me/history');
	await expect(phone.getByRole('heading', { name: 'You’re offline' })).toBeVisible();
	await phone.getByRole('link', { name: 'Today' }).click();
	await phone.waitForURL('**/me');
	await context.setOffline(false);
	expect(
		complaints.splice(0).filter((text) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(text))
	).toEqual([]);
	await context.close();
});

test('a page whose data is not on the phone opens as a whole without a connection', async ({
	browser,
	demo,
	complaints
}) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	await onDevice(phone, '/me/day/24/check-in/__data.json');
	await context.setOffline(true);
	// As it is when the connection goes before everything has been fetched.
	await phone.evaluate(async () => {
		const pages = await caches.open('pages');
		await pages.delete(`${location.origin}/me/day/24/check-in/__data.json`);
	});
	await phone.goto('/me');
	await ready(phone);
	await phone.locator('a[href="/me/day/24/check-in"]').first().click();
	await expect(phone.getByText('How hard was it')).toBeVisible();
	await context.setOffline(false);
	expect(
		complaints.splice(0).filter((text) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(text))
	).toEqual([]);
	await context.close();
});

/** What this device keeps of a person: pages, databases and settings. */
const keptOf = (page: Page) =>
	page.evaluate(async () => ({
		pages: (await caches.has('pages')) ? (await (await caches.open('pages')).keys()).length : 0,
		databases: (await indexedDB.databases()).map(({ name }) => name),
		settings: Object.keys(localStorage)
	}));

test('who signs out, or is not known any more, leaves nothing on the phone', async ({ browser, demo }) => {
	const phone = await phoneOf(browser, demo, 'Aroha Pene');
	const context = phone.context();
	await onDevice(phone, '/me/stop');
	await phone.evaluate(() => localStorage.setItem('cadrex.sounds', '{}'));
	expect((await keptOf(phone)).databases).toContain('cadrex');
	await phone.getByRole('button', { name: 'Sign out' }).click();
	await phone.waitForURL('**/sign-in');
	await expect.poll(() => keptOf(phone)).toEqual({ pages: 0, databases: [], settings: [] });

	// The same where the session ended elsewhere.
	await openLink(phone, `/join/${demo.links['Aroha Pene']}`);
	await ready(phone);
	await onDevice(phone, '/me/stop');
	await context.clearCookies();
	await phone.evaluate(() => fetch('/api/me/days/24'));
	await expect.poll(async () => (await keptOf(phone)).pages).toBe(0);
	await context.close();
});

test('what is typed before the scripts of a page run is still there afterwards', async ({
	browser,
	demo
}) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	let letGo = () => {};
	const line = new Promise<void>((resolve) => (letGo = resolve));
	await phone.route('**/_app/**/*.js', async (route) => {
		await line;
		await route.continue();
	});
	await phone.goto('/me/day/24/check-in', { waitUntil: 'commit' });
	await phone.getByLabel('Note to your coach').fill('slow line');
	await phone.locator('input[name="sleepHours"]').fill('7');
	letGo();
	await ready(phone);
	await expect(phone.getByLabel('Note to your coach')).toHaveValue('slow line');
	await expect(phone.locator('input[name="sleepHours"]')).toHaveValue('7');
	await context.close();
});

test('results of two devices are shown side by side, and the person chooses', async ({
	browser,
	demo,
	complaints
}) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	await phone.goto('/me/day/24/check-in');
	await ready(phone);
	await context.setOffline(true);
	await phone.getByText('As planned', { exact: true }).click();
	await phone.getByRole('button', { name: 'Send' }).click();
	await expect(phone.getByText('Kept on this device')).toBeVisible();
	const other = await phoneOf(browser, demo, 'Noor Bastani');
	await other.goto('/me/day/24/check-in');
	await ready(other);
	await other
		.getByText('Not this time', { exact: true })
		.or(other.locator('label:has(input[name="done"][value="none"])'))
		.first()
		.click();
	await other.getByRole('button', { name: 'Send' }).click();
	await other.waitForURL('**/result');
	await context.setOffline(false);
	await phone.goto('/me');
	const both = phone.getByRole('alert').filter({ hasText: 'There are two results for day 24' });
	await expect(both).toContainText('nothing done');
	await expect(both).toContainText('all done');
	await both.getByRole('button', { name: 'Use this one' }).click();
	await expect(both).toHaveCount(0);
	await phone.reload();
	await expect(phone.getByText('Checked in')).toBeVisible();
	await expect(phone.getByRole('status').filter({ hasText: 'Checked in' })).toContainText('all done');
	complaints.splice(0);

	// The same with a connection on both devices, each of which shows the day as it was.
	for (const device of [phone, other]) {
		await device.goto('/me/day/24/check-in');
		await ready(device);
		await device.getByText('How hard was it').waitFor();
	}
	await phone.getByText('Not at all', { exact: true }).click();
	await phone.getByRole('button', { name: 'Send' }).click();
	await phone.waitForURL('**/result');
	await other.getByText('As planned', { exact: true }).click();
	await other.getByRole('button', { name: 'Send' }).click();
	const choice = other.getByRole('alert').filter({ hasText: 'There are two results for day 24' });
	await expect(choice).toContainText('nothing done');
	await choice.getByRole('button', { name: 'Use this one' }).click();
	await other.waitForURL('**/result');
	await expect(other.getByRole('main')).toContainText('all done');
	await Promise.all([context.close(), other.context().close()]);
});
