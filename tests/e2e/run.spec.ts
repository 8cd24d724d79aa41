/** A session that is led on the phone: by the clock, with the network gone and the page closed in between, to the coach's roll. */
import { noBarriers } from './barriers';
import { asCoach, expect, onDevice, openPlace, phoneOf, ready, test } from './support';
import type { Page } from '@playwright/test';

/** Goes on to the end: what waits for a tap gets one, the rest goes by itself. */
const goOn = (page: Page): Promise<void> =>
	expect(async () => {
		const done = page.getByRole('button', { name: /^(?:Done|All done)$/ });
		if (await done.count()) await done.click({ timeout: 1000 });
		await expect(page.getByRole('link', { name: 'Check in' })).toBeVisible({ timeout: 200 });
	}).toPass({ intervals: [200], timeout: 120_000 });

test('a session at twenty times its speed, without a network in the middle and with the page closed, is on the roll', async ({
	browser,
	demo,
	page,
	complaints
}) => {
	test.slow();
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	await onDevice(phone, '/me');
	// Opened at once: today has not had the time to fetch what goes with it.
	await phone.goto('/me/day/24/run?speed=20');
	await ready(phone);
	for (const path of ['/me/day/24/run', '/me/day/24/check-in', '/me/day/24/check-in/__data.json', '/me'])
		await onDevice(phone, path);
	await noBarriers(phone, 'before a session');
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(phone.getByRole('button', { name: 'Pause' })).toBeVisible();
	await phone.getByRole('button', { name: 'Pause' }).click();
	await expect(phone.getByRole('heading', { name: 'Paused' })).toBeVisible();
	await noBarriers(phone, 'a session that is paused');
	await phone.getByRole('button', { name: 'Go on' }).first().click();
	// The keyboard leads on as well: to the last minutes, so that the test is not as long as the session.
	await expect(async () => {
		await phone.keyboard.press('ArrowRight');
		await phone.keyboard.press('ArrowRight');
		await expect(phone.getByText(/^[1-5] min left$/)).toBeVisible({ timeout: 100 });
	}).toPass({ intervals: [100] });

	await context.setOffline(true);
	const before = await phone.locator('h1').first().innerText();
	await phone.close();
	const again = await context.newPage();
	await again.goto('/me/day/24/run?speed=20');
	await expect(again.getByRole('button', { name: 'Pause' })).toBeVisible();
	expect(before).not.toBe('');
	await goOn(again);
	await expect(again.getByRole('heading', { level: 1 })).toContainText(/of it done/);
	await noBarriers(again, 'the end of a session');
	await again.getByRole('link', { name: 'Check in' }).click();
	await again.waitForURL('**/check-in?run=yes');
	await expect(again.getByText('8', { exact: true }).first()).toBeVisible();
	await again.getByText('8', { exact: true }).first().click();
	await again.getByRole('button', { name: 'Send' }).click();
	await expect(again.getByText('Kept on this device')).toBeVisible();
	await again.getByRole('link', { name: 'To today', exact: true }).click();
	await expect(again.getByText(/1 result waiting on this device/)).toBeVisible();

	await context.setOffline(false);
	await expect(again.getByText(/waiting on this device/)).toHaveCount(0);
	await again.reload();
	await expect(again.getByText('Checked in')).toBeVisible();
	await context.close();

	expect(complaints.splice(0).every((text) => text.includes('ERR_INTERNET_DISCONNECTED'))).toBe(true);
	await asCoach(page, demo);
	await openPlace(page, 'Roll');
	await page.getByRole('button', { name: 'Noor Bastani' }).click();
	await expect(page.getByRole('complementary')).toContainText(/Day 24.*done/);
});

test('what hurts is told and left out, and what was done of it counts', async ({ browser, demo }) => {
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	const context = phone.context();
	await phone.goto('/me/day/24/run');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await phone.getByRole('button', { name: 'More', exact: true }).click();
	await noBarriers(phone, 'more in a session');
	const name = await phone.getByRole('dialog').getByRole('heading', { level: 1 }).innerText();
	await phone.getByRole('button', { name: 'This hurts' }).click();
	await phone.getByRole('button', { name: 'knee' }).click();
	await expect(phone.getByText('Stop this exercise.')).toBeVisible();
	await phone.getByRole('button', { name: 'Leave it out from here on' }).click();
	await expect(phone.locator('h1').first()).not.toHaveText(name);
	await phone.getByRole('button', { name: 'More', exact: true }).click();
	await phone.getByRole('button', { name: 'End the session here' }).click();
	await expect(phone.getByText(`${name}: the knee hurt`)).toBeVisible();
	await phone.getByRole('link', { name: 'Check in' }).click();
	await phone.waitForURL('**/check-in?run=yes');
	await expect(phone.getByLabel('What hurts')).toHaveValue(`knee, in ${name}`);
	await phone.getByRole('button', { name: 'Send' }).click();
	await phone.waitForURL('**/result');
	await expect(phone.getByText('Checked in')).toBeVisible();
	await context.close();
});

test('a coach leads a session by the clock, from the keyboard, and a second screen shows the same', async ({
	page,
	demo,
	context
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	await page.getByRole('link', { name: 'Lead it' }).click();
	await ready(page);
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Stair intervals');
	await noBarriers(page, 'a session before it is led');
	await page.getByLabel('Pace').selectOption('rehearsal, 4 times');
	const opened = context.waitForEvent('page');
	await page.getByRole('link', { name: 'Second screen' }).click();
	const screen = await opened;
	await ready(screen);
	await expect(screen.getByRole('button', { name: 'Start' })).toHaveCount(0);

	await page.keyboard.press(' ');
	const name = page.getByRole('region', { name: 'Now' }).getByRole('heading', { level: 1 });
	await expect(name).toHaveText('March on the spot');
	await expect(screen.getByRole('heading', { level: 1 })).toHaveText('March on the spot');
	await page.keyboard.press(' ');
	await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
	await noBarriers(page, 'a session that is led');
	await page.keyboard.press('ArrowRight');
	await expect(name).not.toHaveText('March on the spot');
	await expect(screen.getByRole('heading', { level: 1 })).toHaveText(await name.innerText());
	await page.keyboard.press('ArrowLeft');
	await expect(name).toHaveText('March on the spot');
	await page
		.getByRole('complementary', { name: 'The group' })
		.getByText('Tamsin', { exact: false })
		.first()
		.waitFor();
	await page.getByRole('link', { name: 'Leave' }).click();
	await page.waitForURL('**/desk');
});

test('exercises of a session are said as they begin, for those who do not see them', async ({
	browser,
	demo
}) => {
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	const context = phone.context();
	await phone.goto('/me/day/24/run?again');
	await ready(phone);
	await phone.getByRole('button', { name: 'Start' }).click();
	await expect(phone.getByRole('button', { name: 'Pause' })).toBeVisible();
	// What a screen reader hears: each change of the region that it is told to read at once.
	await phone.locator('p[aria-live="assertive"]').evaluate((region) => {
		const heard = ((window as { heard?: string[] }).heard = [region.textContent ?? '']);
		new MutationObserver(() => heard.push(region.textContent ?? '')).observe(region, {
			childList: true,
			characterData: true,
			subtree: true
		});
	});
	const exercises = new Set<string>();
	for (
		let step = 0;
		step < 200 && (await phone.getByRole('link', { name: 'Check in' }).count()) === 0;
		step++
	) {
		if ((await phone.getByRole('button', { name: /^(?:Done|All done|End early)$/ }).count()) > 0)
			exercises.add(await phone.locator('h1').first().innerText());
		await phone.keyboard.press('ArrowRight');
	}
	const heard = await phone.evaluate(() => (window as { heard?: string[] }).heard ?? []);
	for (const exercise of exercises)
		expect(
			heard.some((text) => text.startsWith(exercise)),
			`${exercise} is said`
		).toBe(true);
	expect(exercises.size).toBeGreaterThan(2);
	await context.close();
});
