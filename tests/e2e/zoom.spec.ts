/** The participant's pages at twice the text size (WCAG 2.2, 1.4.4) on phones of 390 and 320 px: everything stays in reach. */
import { noBarriers } from './barriers';
import { expect, openLink, ready, test } from './support';
import type { Page } from '@playwright/test';

const PHONES = [
	{ width: 390, height: 844 },
	{ width: 320, height: 640 }
];

/** Runs in a page: controls that are off the screen and cannot be scrolled to, and a page wider than its window. */
const outOfReach = (): string[] => {
	const found: string[] = [];
	const scrolls = (element: Element): boolean => {
		for (let over = element.parentElement; over; over = over.parentElement) {
			const { overflowY, position } = getComputedStyle(over);
			if (/auto|scroll/.test(overflowY)) return true;
			if (position === 'fixed') return false;
		}
		return true;
	};
	for (const control of document.querySelectorAll(
		'button, a, input:not([type=hidden]), select, textarea, summary'
	)) {
		if (!control.checkVisibility() || control.closest('.sr-only')) continue;
		const { left, right, top, bottom, width } = control.getBoundingClientRect();
		const name = control.getAttribute('aria-label') ?? control.textContent.trim().slice(0, 40);
		if (width > 0 && (left < -1 || right > innerWidth + 1)) found.push(`beside the screen: ${name}`);
		if ((top < -1 || bottom > innerHeight + 1) && !scrolls(control)) found.push(`below the screen: ${name}`);
	}
	const { scrollWidth } = document.documentElement;
	if (scrollWidth > innerWidth + 1) found.push(`${scrollWidth} px wide`);
	return found;
};

const inReach = async (page: Page, what: string) => {
	await page.evaluate(() => (document.documentElement.style.fontSize = '200%'));
	await expect.soft.poll(() => page.evaluate(outOfReach), { message: what, timeout: 3000 }).toEqual([]);
};

for (const viewport of PHONES)
	test(`everything stays in reach at twice the text size, ${viewport.width} px wide`, async ({
		browser,
		demo,
		site
	}) => {
		test.slow();
		const context = await browser.newContext({ baseURL: site, viewport });
		const phone = await context.newPage();
		await openLink(phone, `/join/${demo.links['Noor Bastani']}`);
		await ready(phone);
		await inReach(phone, 'today');
		await noBarriers(phone, 'today at twice the text size');
		await phone.goto('/me/day/24/check-in');
		await ready(phone);
		await phone.getByText('Partly', { exact: true }).click();
		await phone.getByRole('button', { name: 'changed' }).first().click();
		await inReach(phone, 'check-in');
		await noBarriers(phone, 'the check-in at twice the text size');
		for (const path of ['/me/stop', '/me/ok', '/me/pause', '/me/messages', '/me/reminders']) {
			await phone.goto(path);
			await ready(phone);
			await inReach(phone, path);
		}
		await phone.goto('/me/day/24/run?speed=20');
		await ready(phone);
		await inReach(phone, 'before the session');
		await phone.getByRole('button', { name: 'Start' }).click();
		await inReach(phone, 'lead-in');
		await phone.getByRole('button', { name: 'Go', exact: true }).click();
		await expect(phone.getByRole('button', { name: /^(?:Done|End early|All done)$/ })).toBeVisible();
		await inReach(phone, 'work');
		await noBarriers(phone, 'work at twice the text size');
		await phone.getByRole('button', { name: 'More', exact: true }).click();
		await inReach(phone, 'more');
		await phone.getByRole('button', { name: 'This hurts' }).click();
		await inReach(phone, 'where it hurts');
		await phone.getByRole('button', { name: 'Close' }).click();
		await phone.keyboard.press('Enter');
		await inReach(phone, 'rest');
		await phone.getByRole('button', { name: 'Pause' }).click();
		await inReach(phone, 'paused');
		await phone.getByRole('button', { name: 'More', exact: true }).click();
		await phone.getByRole('button', { name: 'End the session here' }).click();
		await inReach(phone, 'the end');
		await phone.getByRole('button', { name: 'Discard' }).click();
		await context.close();
	});
