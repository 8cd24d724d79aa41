/** A session as others see it while it goes on, what comes of it afterwards, and the heart rate on the way. */
import { readFileSync } from 'node:fs';
import type { Browser, Page } from '@playwright/test';
import { noBarriers } from './barriers';
import { asCoach, expect, openLink, openPlace, ready, test, type DemoSignIn } from './support';

const PHONE = { width: 390, height: 844 };

async function phoneOf(browser: Browser, site: string, demo: DemoSignIn, name: string): Promise<Page> {
	const context = await browser.newContext({ baseURL: site, viewport: PHONE });
	const phone = await context.newPage();
	await openLink(phone, `/join/${demo.links[name]}`);
	await ready(phone);
	return phone;
}
const endSession = async (phone: Page): Promise<void> => {
	await phone.getByRole('button', { name: 'More', exact: true }).click();
	await phone.getByRole('button', { name: 'End the session here' }).click();
};

test('a coach sees who trains as it happens, what hurts at once, and who is done', async ({
	browser,
	page,
	demo,
	site
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	await page.getByRole('link', { name: 'Lead it' }).click();
	await page.waitForURL('**/lead/24');
	// The day before yesterday is still open to those who have not done it.
	await page.goto(page.url().replace('/lead/24', '/lead/22'));
	await ready(page);
	const group = page.getByRole('complementary', { name: 'The group' });
	const state = (label: RegExp) =>
		group.locator('div', { has: page.getByRole('heading', { name: label }) }).last();
	await expect(state(/^Open, not done/)).toContainText('Noor Bastani');

	const phone = await phoneOf(browser, site, demo, 'Noor Bastani');
	await phone.goto('/me/day/22/run');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(group.getByRole('heading', { name: 'Training now, 1' })).toBeVisible();
	await expect(group.getByRole('link', { name: 'Noor Bastani' })).toBeVisible();
	await phone.getByRole('button', { name: 'More', exact: true }).click();
	await phone.getByRole('button', { name: 'This hurts' }).click();
	await phone.getByRole('button', { name: 'shoulder' }).click();
	await expect(group.getByText('The shoulder hurts')).toBeVisible();
	await noBarriers(page, 'a group that trains');
	await phone.keyboard.press('Escape');
	await phone.getByRole('button', { name: 'Leave it out from here on' }).click();
	await endSession(phone);
	await expect(group.getByText('through with it')).toBeVisible();

	await page.getByRole('button', { name: 'Call sheet' }).click();
	const calls = page.getByRole('complementary', { name: 'What is called' });
	await page.keyboard.press(' ');
	await expect(calls.locator('[aria-current="step"]').first()).toBeVisible();
	await noBarriers(page, 'a call sheet beside the clock');
	await page.getByRole('button', { name: /^The group/ }).click();

	await phone.getByRole('link', { name: 'Check in' }).click();
	await phone.waitForURL('**/check-in?run=yes');
	await phone.getByText('As planned', { exact: true }).click();
	await phone.getByRole('button', { name: 'I did something on top' }).click();
	await phone.getByLabel('Exercise 1 beyond the plan', { exact: true }).fill('Plank');
	await phone.getByLabel('How much of it').fill('45');
	await phone.getByLabel('In reps, seconds or metres').selectOption('s');
	await phone.getByRole('button', { name: 'Send' }).click();
	await phone.waitForURL('**/result');
	await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Day 22 saved');
	await noBarriers(phone, 'the result of a day');
	await expect(state(/^Done, /)).toContainText('Noor Bastani');

	await page.getByRole('link', { name: 'Leave' }).click();
	await page.waitForURL('**/desk');
	await expect(page.getByText('On top: Plank, 45 seconds')).toBeVisible();
	await phone.context().close();
});

test('what somebody has done is there to look at, to compare and to do again', async ({
	browser,
	demo,
	site
}) => {
	const phone = await phoneOf(browser, site, demo, 'Aroha Pene');
	await phone.getByRole('link', { name: 'Your history' }).click();
	await ready(phone);
	await expect(phone.getByRole('heading', { name: 'Your bests' })).toBeVisible();
	await noBarriers(phone, 'somebody’s history');
	await phone.getByRole('link', { name: /^Day 2 / }).click();
	await ready(phone);
	await expect(phone.getByRole('heading', { name: 'Asked and done' })).toBeVisible();
	await noBarriers(phone, 'a day as it was done');
	await phone.getByRole('link', { name: 'Do this session again' }).click();
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await phone.getByRole('button', { name: 'End early' }).click();
	await endSession(phone);
	await phone.getByRole('link', { name: 'Check in' }).click();
	await phone.waitForURL('**/check-in?run=again');
	await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Done again, day 2');
	await phone.getByText('As planned', { exact: true }).click();
	await phone.getByRole('button', { name: 'Send' }).click();
	await phone.waitForURL('**/me/history/2');
	await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Day 2, again');
	await expect(
		phone.getByRole('navigation', { name: 'Times that you did this day' }).getByRole('link')
	).toHaveCount(2);
	await phone.context().close();
});

test('a strap goes along, shows its band, and what it told is kept as a file', async ({
	browser,
	demo,
	site
}) => {
	const phone = await phoneOf(browser, site, demo, 'Aroha Pene');
	await phone.goto('/me/day/23/run?again=yes&speed=20');
	await ready(phone);
	await phone.getByText('Use a heart-rate strap').click();
	await phone.getByLabel('Your age').fill('12');
	await phone.getByRole('button', { name: /Simulated strap/ }).click();
	await expect(phone.getByRole('alert')).toContainText('from 18 to 100');
	await phone.getByLabel('Your age').fill('40');
	await phone.getByLabel('At rest, if known').fill('60');
	await phone.getByRole('button', { name: /Simulated strap/ }).click();
	await expect(phone.getByText('connected', { exact: true })).toBeVisible();
	await noBarriers(phone, 'a strap that is connected');
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(phone.getByLabel(/^Heart rate \d+$/)).toBeVisible();
	await expect(phone.getByText('very light')).toBeVisible();
	await endSession(phone);
	await expect(phone.getByText('beats a minute on average')).toBeVisible();
	await noBarriers(phone, 'a heart rate that was recorded');
	const saved = phone.waitForEvent('download');
	await phone.getByRole('button', { name: 'Save as a file' }).click();
	const file = readFileSync(await (await saved).path(), 'utf8');
	expect(file).toMatch(/^time,bpm\r\n\d{4}-\d\d-\d\dT[\d:.]+Z,\d+\r\n/);
	const read = (text: string) =>
		phone
			.getByLabel('Read a file')
			.setInputFiles({ name: 'watch.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
	await read('time,bpm\nyesterday,80');
	await expect(phone.getByRole('alert')).toContainText('Line 2: “yesterday” is no time');
	await read('time,bpm\n2020-01-01T06:00:00Z,80');
	await expect(phone.getByText('Nothing in that file is from the time of this session.')).toBeVisible();
	await read(file);
	await expect(phone.getByText('beats a minute on average')).toBeVisible();
	await phone.context().close();
});

test('a session that is open in two windows is led in one of them', async ({ browser, demo, site }) => {
	const phone = await phoneOf(browser, site, demo, 'Noor Bastani');
	await phone.goto('/me/day/22/run');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(phone.getByRole('button', { name: 'Pause' })).toBeVisible();
	const second = await phone.context().newPage();
	await second.goto('/me/day/22/run');
	await expect(second.getByRole('alert')).toContainText('open in another window');
	await noBarriers(second, 'a session that another window leads');
	await second.getByRole('button', { name: 'Go on in this window' }).click();
	await expect(second.getByRole('button', { name: 'Pause' })).toBeVisible();
	await expect(phone.getByRole('alert')).toContainText('open in another window');
	await phone.context().close();
});
