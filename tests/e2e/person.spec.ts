/** What is one person's own: what differs for them, pauses; and what the installation does by itself. */
import { noBarriers } from './barriers';
import { expect, openPlace, ready, asCoach, test, openLink } from './support';

test('a difference is shown to the person it is for, with its reason, until it is removed', async ({
	page,
	demo,
	browser,
	site
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Noor Bastani' }).click();
	await ready(page);
	const differs = page.getByRole('region', { name: 'Different for Noor' });
	// What hurt is off by itself until it is decided about; this one is not among it.
	const own = differs.getByRole('listitem').filter({ hasText: 'Stair climb' });
	await expect(own).toHaveCount(0);

	const context = await browser.newContext({ baseURL: site, viewport: { width: 390, height: 844 } });
	const phone = await context.newPage();
	await openLink(phone, `/join/${demo.links['Noor Bastani']}`);
	await ready(phone);
	await expect(phone.getByText('Stair climb').first()).toBeVisible();
	await expect(phone.getByText('No stairs where you are')).toHaveCount(0);

	await differs.getByText('Change something for Noor').click();
	await differs.getByRole('combobox', { name: 'Exercise' }).fill('Anvil lift');
	await differs.getByRole('combobox', { name: 'Instead' }).fill('Step-up');
	await differs.getByLabel('Why, for Noor to read').fill('No stairs where you are');
	const change = differs.getByRole('button', { name: 'Change it for Noor' });
	await change.click();
	// What is wrong is said, and nothing that was typed is lost.
	await expect(differs.getByRole('alert')).toHaveText(/The library has no Anvil lift/);
	await expect(differs.getByLabel('Why, for Noor to read')).toHaveValue('No stairs where you are');
	await differs.getByRole('combobox', { name: 'Exercise' }).fill('Stair climb');
	await change.click();
	await expect(own).toContainText(/Stair climb → Step-up, from day \d+ on/);
	await noBarriers(page, 'person');

	await phone.reload();
	await ready(phone);
	await expect(phone.getByText('No stairs where you are')).toBeVisible();
	await expect(phone.getByText('Step-up').first()).toBeVisible();
	await noBarriers(phone, 'changed for you');

	await own.getByRole('button', { name: 'Remove' }).click();
	await expect(own).toHaveCount(0);
	await phone.reload();
	await ready(phone);
	await expect(phone.getByText('No stairs where you are')).toHaveCount(0);
	await context.close();
});

test('days of a pause ask for nothing and count for nobody', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Oren Falkestad' }).click();
	await ready(page);
	await page.getByText('Pauses', { exact: true }).click();
	const pauses = page.getByRole('group').filter({ hasText: 'Reason, for you alone' });
	await pauses.getByLabel('From day').fill('30');
	await pauses.getByLabel('To day').fill('33');
	await pauses.getByLabel('Reason, for you alone').fill('Moving house');
	await pauses.getByRole('button', { name: 'Pause' }).click();
	await expect(pauses.getByRole('listitem')).toContainText('Days 30 to 33: Moving house');
	await pauses.getByRole('button', { name: 'Remove' }).click();
	await expect(pauses.getByRole('listitem')).toHaveCount(0);
});

test('upkeep says what is done by itself, and that nothing was given up', async ({ page, demo }) => {
	await asCoach(page, demo);
	await page.goto('/upkeep');
	await ready(page);
	await expect(page.getByText('None. Every job has finished.')).toBeVisible();
	await expect(page.getByRole('row', { name: /sign-ins/i })).toBeVisible();
	await noBarriers(page, 'upkeep');
});
