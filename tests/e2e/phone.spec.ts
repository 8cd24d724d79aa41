/** A session on a phone that is left, reopened, silenced and slowed down. */
import type { Course } from '../../src/core/run';
import { expect, openLink, ready, test, type DemoSignIn } from './support';
import type { Browser, BrowserContext, Page } from '@playwright/test';

const PHONE = { width: 390, height: 844 };

async function phoneOf(
	browser: Browser,
	site: string,
	demo: DemoSignIn,
	name: string
): Promise<{ context: BrowserContext; phone: Page }> {
	const context = await browser.newContext({ baseURL: site, viewport: PHONE });
	const phone = await context.newPage();
	await openLink(phone, `/join/${demo.links[name]}`);
	await ready(phone);
	return { context, phone };
}

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
	demo,
	site
}) => {
	const { context, phone } = await phoneOf(browser, site, demo, 'Noor Bastani');
	await phone.goto('/me/day/24/run');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(phone.getByRole('heading', { level: 1, name: 'Get ready' })).toBeVisible();
	await phone.goto('/me');
	await ready(phone);
	await keptRun(phone, 3_600_000);
	await phone.goto('/me/day/24/run');
	const asks = phone.getByRole('alert').filter({ hasText: /You were away for 1 h \d+ min/ });
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
	demo,
	site
}) => {
	const { context, phone } = await phoneOf(browser, site, demo, 'Oren Falkestad');
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

test('“More” and “This hurts” stop the clock, and closing them lets it go on', async ({
	browser,
	demo,
	site
}) => {
	const { context, phone } = await phoneOf(browser, site, demo, 'Oren Falkestad');
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
	const begin = AudioScheduledSourceNode.prototype.start;
	AudioScheduledSourceNode.prototype.start = function (this: AudioScheduledSourceNode, when = 0) {
		tones.push(performance.timeOrigin + performance.now() + (when - this.context.currentTime) * 1000);
		begin.call(this, when);
	};
	// One core has something else to do.
	new Worker(URL.createObjectURL(new Blob(['for (;;);'], { type: 'text/javascript' })));
};

test('each call of a session sounds within 50 ms of its time, with a core busy', async ({
	browser,
	demo,
	site
}) => {
	test.slow();
	const { context, phone } = await phoneOf(browser, site, demo, 'Oren Falkestad');
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
