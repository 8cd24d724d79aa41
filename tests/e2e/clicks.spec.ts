/** Daily tasks of a coach take at most three clicks. */
import { asCoach, expect, openPlace, phoneOf, ready, test } from './support';
import type { Locator, Page } from '@playwright/test';

/** Clicks of one task; typing is none. */
class Clicks {
	count = 0;
	async on(target: Locator): Promise<void> {
		this.count++;
		await target.click();
	}
}

async function openPerson(page: Page, name: string): Promise<void> {
	await openPlace(page, 'People');
	await page.getByRole('link', { name }).click();
	await page.waitForURL(/people\/[0-9a-f-]{36}$/);
	await ready(page);
}

test('a person who wrote that they are ill is excused with one click, for the days in the message', async ({
	page,
	demo,
	browser
}) => {
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	await phone.goto('/me/messages');
	await ready(phone);
	await phone.getByLabel('Write to your coach').fill('I have the flu. Back on Saturday, I hope.');
	await phone.getByRole('button', { name: 'Send', exact: true }).click();
	await expect(phone.getByText('I have the flu')).toBeVisible();
	await phone.context().close();

	await asCoach(page, demo);
	await openPlace(page, 'Reach out');
	await page
		.getByRole('link', { name: /^Oren Falkestad/ })
		.first()
		.click();
	await ready(page);
	const clicks = new Clicks();
	const excuse = page.getByRole('group').filter({ hasText: 'Ill? Excuse these days' });
	await expect(excuse).toContainText('“I have the flu. Back on Saturday, I hope.”');
	// Today is Wednesday 13 May, day 24.
	await expect(excuse.locator('select[name="from"]')).toHaveValue('24');
	await expect(excuse.locator('select[name="to"]')).toHaveValue('26');
	await expect(excuse.getByLabel('Reason')).toHaveValue('ill');
	await clicks.on(excuse.getByRole('button', { name: 'Excuse these days' }));
	await expect(page.getByText('Excused. Those days count for nothing.')).toBeVisible();
	await expect(page.getByText('Ill? Excuse these days')).toHaveCount(0);
	expect(clicks.count).toBe(1);

	await openPerson(page, 'Oren Falkestad');
	const excused = page.getByRole('region', { name: 'Excused' });
	await expect(excused.getByText(/^Day 2[456]/)).toHaveCount(3);
	for (let left = 3; left > 0; left--) {
		await excused.getByRole('button', { name: 'Take back' }).first().click();
		await expect(excused.getByText(/^Day 2[456]/)).toHaveCount(left - 1);
	}
});

test('an excuse, a message to some, another exercise, equipment and hour take three clicks at most', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);

	await openPlace(page, 'Roll');
	const excuse = new Clicks();
	await excuse.on(page.getByRole('button', { name: 'Noor Bastani' }));
	const panel = page.getByRole('complementary');
	await excuse.on(panel.getByText('Excuse', { exact: true }));
	await panel.getByLabel('Reason').fill('travels');
	await excuse.on(panel.getByRole('button', { name: 'Excuse these days' }));
	await expect(panel).toContainText('excused');
	expect(excuse.count).toBeLessThanOrEqual(3);

	// In another challenge: what is sent here is on nobody's page in the tests of the running one.
	await openPlace(page, 'Post', 'Spring Ridge, eight weeks');
	const message = new Clicks();
	const to = page.getByRole('combobox', { name: 'To', exact: true });
	const some = await to
		.getByRole('option')
		.evaluateAll((options) =>
			options.findIndex((option, i) => i > 0 && /\([1-9]\d*\)$/.test(option.textContent.trim()))
		);
	await to.selectOption({ index: some });
	await page.getByLabel('Subject').fill('Tomorrow');
	await page.getByRole('textbox', { name: 'Message' }).fill('Have a mat ready.');
	await message.on(page.getByRole('button', { name: /^Send to \d+ (?:person|people)$/ }));
	await expect(page.getByRole('status').filter({ hasText: 'on the way' })).toBeVisible();
	expect(message.count).toBe(1);

	await openPerson(page, 'Noor Bastani');
	await page.getByRole('region', { name: 'Excused' }).getByRole('button', { name: 'Take back' }).click();
	await expect(page.getByRole('region', { name: 'Excused' })).toHaveCount(0);
	const other = new Clicks();
	const differs = page.getByRole('region', { name: 'Different for Noor' });
	await other.on(differs.getByText('Change something for Noor'));
	await differs.getByRole('combobox', { name: 'Exercise' }).fill('Stair climb');
	await differs.getByRole('combobox', { name: 'Instead' }).fill('Step-up');
	await differs.getByLabel('Why, for Noor to read').fill('no stairs');
	await other.on(differs.getByRole('button', { name: 'Change it for Noor' }));
	const changed = differs.getByRole('listitem').filter({ hasText: 'no stairs' });
	await expect(changed).toBeVisible();
	expect(other.count).toBeLessThanOrEqual(3);
	await changed.getByRole('button', { name: 'Remove' }).click();
	await expect(changed).toHaveCount(0);

	const owns = page.getByRole('region', { name: 'Has and wants' });
	const was = await owns.getByRole('definition').first().locator('span').first().innerText();
	const equipment = new Clicks();
	await equipment.on(owns.getByRole('button', { name: 'Edit equipment' }));
	await expect(owns.getByLabel('Equipment')).toBeFocused();
	await owns.getByLabel('Equipment').fill(`${was}; a hammock`);
	await equipment.on(owns.getByRole('button', { name: 'Save' }));
	await expect(owns.getByText('Not understood, kept as written: a hammock.')).toBeVisible();
	expect(equipment.count).toBe(2);
	await owns.getByRole('button', { name: 'Edit equipment' }).click();
	await owns.getByLabel('Equipment').fill(was);
	await owns.getByRole('button', { name: 'Save' }).click();
	await expect(owns.getByText('Not understood')).toHaveCount(0);

	const hour = new Clicks();
	await hour.on(owns.getByRole('button', { name: 'Edit training hour' }));
	await owns.getByLabel('Training hour').fill('18:30');
	await hour.on(owns.getByRole('button', { name: 'Save' }));
	await expect(owns.getByText('18:30 by their clock')).toBeVisible();
	expect(hour.count).toBe(2);
	// Escape leaves it as it is.
	await owns.getByRole('button', { name: 'Edit training hour' }).click();
	await owns.getByLabel('Training hour').fill('19:30');
	await page.keyboard.press('Escape');
	await expect(owns.getByText('18:30 by their clock')).toBeVisible();
});
