/** A day of two sessions, ticked off piece by piece, and a session from the shelf. */
import { noBarriers } from './barriers';
import { asCoach, expect, openLink, openPlace, ready, test } from './support';

const PHONE = { width: 390, height: 844 };

test('a day of two sessions is ticked off one by one, and told of in the end', async ({
	page,
	browser,
	site,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	const move = async (button: string) => {
		await page.getByText(/demo clock/).click();
		await page.getByRole('button', { name: button }).click();
	};
	await move('To the next morning');
	await expect(page.getByText('Thu 14 May 07:40 · demo clock')).toBeVisible();
	await move('To the next morning');
	await expect(page.getByText('Fri 15 May 07:40 · demo clock')).toBeVisible();
	await expect(page.getByText('Every minute + Long stretch')).toBeVisible();

	const context = await browser.newContext({ baseURL: site, viewport: PHONE });
	const phone = await context.newPage();
	await openLink(phone, `/join/${demo.links['Oren Falkestad']}`);
	await ready(phone);
	await expect(phone.getByRole('heading', { name: 'Evening: Long stretch' })).toBeVisible();
	await expect(phone.getByText('0 done')).toBeVisible();
	await noBarriers(phone, 'a day in pieces');
	await phone.getByRole('button', { name: 'Tick it off , Morning: Every minute' }).click();
	await expect(phone.getByText('1 done')).toBeVisible();
	await expect(phone.getByRole('status')).toContainText('% of the work');
	await phone.getByRole('button', { name: 'Tick it off , Evening: Long stretch' }).click();
	await expect(phone.getByText('2 done')).toBeVisible();
	await expect(phone.getByRole('status')).toContainText('all done');
	await phone.getByRole('link', { name: 'Say how it went' }).click();
	await ready(phone);
	await phone.getByRole('group', { name: 'How hard was it' }).getByText('7', { exact: true }).click();
	await phone.getByRole('button', { name: /Send|Correct|Check in/ }).click();
	await phone.waitForURL('**/result');
	await phone.getByRole('link', { name: 'To today' }).click();
	await expect(phone.getByRole('link', { name: 'Correct it' })).toBeVisible();
	await context.close();

	await openPlace(page, 'Desk');
	await expect(page.getByText('day 26, all done, effort 7 of 10').first()).toBeVisible();
	await move('Back to the real time');
	await expect(page.getByText('Wed 13 May 07:40 · demo clock')).toBeVisible();
});

test('a session from the shelf is put there, taken, seen by the coach, and taken back', async ({
	page,
	browser,
	site,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Plan');
	await page.getByRole('link', { name: 'Shelf' }).click();
	await page.waitForURL('**/plan/shelf');
	await ready(page);
	await page.getByRole('combobox', { name: 'Session' }).selectOption({ label: 'Steady valley, 36 min' });
	await page.getByRole('button', { name: 'Add to the shelf' }).click();
	const row = page.getByRole('row', { name: /Steady valley/ });
	await expect(row).toContainText('not yet');
	await expect(row).toContainText('no');
	await row.getByRole('button', { name: /Change it/ }).click();
	await expect(row).toContainText('yes');
	await noBarriers(page, 'shelf');

	const context = await browser.newContext({ baseURL: site, viewport: PHONE });
	const phone = await context.newPage();
	await openLink(phone, `/join/${demo.links['Noor Bastani']}`);
	await ready(phone);
	await phone.getByRole('link', { name: 'Extra sessions' }).click();
	await ready(phone);
	await phone.getByRole('link', { name: /Steady valley/ }).click();
	await ready(phone);
	await noBarriers(phone, 'a session of the shelf');
	await phone.getByLabel('How much of it').selectOption('About half');
	await phone.getByLabel('Does anything hurt?').fill('Left heel');
	await phone.getByRole('button', { name: 'Log it' }).click();
	await phone.waitForURL('**/me/shelf');
	await expect(phone.getByText('50 % of it')).toBeVisible();

	await openPlace(page, 'Desk');
	await expect(page.getByText('from the shelf: Steady valley').first()).toBeVisible();
	await expect(page.getByText('Hurts: Left heel')).toBeVisible();

	await phone.getByRole('button', { name: 'Remove Steady valley' }).click();
	await expect(phone.getByText('50 % of it')).toHaveCount(0);
	await context.close();
	await page.reload();
	await expect(page.getByText('from the shelf: Steady valley')).toHaveCount(0);
	await openPlace(page, 'Plan');
	await page.getByRole('link', { name: 'Shelf' }).click();
	await page.getByRole('button', { name: 'Remove Steady valley from the shelf' }).click();
	await expect(page.getByRole('row', { name: /Steady valley/ })).toHaveCount(0);
});
