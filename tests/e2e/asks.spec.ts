/** A line about a result in two keys, a poll, a request, and links by email. */
import { noBarriers } from './barriers';
import { asCoach, expect, openPlace, phoneOf, ready, test } from './support';

test('a result is answered with two keys, and whoever it is about reads it', async ({
	browser,
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	await page.keyboard.press('r');
	const form = page.locator('form[data-answering]');
	await expect(form).toBeFocused();
	const name = (await form.getAttribute('aria-label'))!.replace('A line to ', '');
	await page.keyboard.press('5');
	await expect(form).toHaveCount(0);
	const row = page.getByRole('listitem').filter({ has: page.getByRole('link', { name, exact: true }) });
	await expect(row.getByText('How do you feel today?').first()).toBeVisible();
	// Elsewhere a number is a place.
	await page.keyboard.press('3');
	await page.waitForURL('**/roll');
	await page.keyboard.press('1');
	await page.waitForURL('**/desk**');
	await ready(page);
	// Whoever tells of pain gets no line.
	await expect(page.getByRole('link', { name: 'Decide about it' }).first()).toBeVisible();

	const lines = page.getByRole('button', { name: 'Reply to Oren Falkestad' });
	if ((await lines.count()) > 0) {
		await lines.first().click();
		await page.getByRole('button', { name: /Well trained, Oren\./ }).click();
	}
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	await phone.goto('/me/messages');
	await expect(phone.getByText(/about day \d+/).first()).toBeVisible();
	await phone.context().close();
});

test('a poll is asked, answered with one press, counted and closed', async ({ browser, page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'Post');
	await page.getByRole('link', { name: 'Announcements and polls' }).click();
	await page.waitForURL('**/post/group');
	await ready(page);
	await noBarriers(page, 'Announcements and polls');
	const polls = page.getByRole('region', { name: 'Polls' });
	await polls.getByLabel('Question').fill('Which hut first?');
	await polls.getByLabel('Answer 1').fill('The upper one');
	await polls.getByLabel('Answer 2').fill('the upper one');
	await polls.getByRole('button', { name: 'Ask' }).click();
	await expect(polls.getByRole('alert')).toContainText('Two answers are the same');
	await expect(polls.getByLabel('Question'), 'nothing is lost').toHaveValue('Which hut first?');
	await polls.getByLabel('Answer 2').fill('The lower one');
	await polls.getByRole('button', { name: 'Ask' }).click();
	await expect(page.getByText('It is on their pages.')).toBeVisible();

	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	await phone.getByRole('button', { name: 'The lower one' }).click();
	await expect(phone.getByRole('button', { name: /The lower one 1 100 %/ })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await phone.goto('/me/messages');
	await ready(phone);
	await phone.locator('select[name=wants]').selectOption('other');
	await phone.getByLabel('What would you like?').fill('Something with a rope');
	await phone.getByRole('button', { name: 'Ask' }).click();
	await expect(phone.getByText('waits for your coach')).toBeVisible();
	await noBarriers(phone, 'messages');

	await page.reload();
	const poll = page.getByRole('article', { name: 'Which hut first?' });
	await expect(poll).toContainText('1 of');
	await poll.getByText('The lower one').click();
	await expect(poll.getByRole('link', { name: 'Oren Falkestad' })).toBeVisible();
	await poll.getByRole('button', { name: 'Close' }).click();
	await expect(poll).toContainText('Closed');

	await openPlace(page, 'Reach out');
	await page.getByRole('link', { name: 'Requests' }).click();
	await page.waitForURL('**/reach/requests');
	await ready(page);
	const asked = page.getByRole('listitem').filter({ hasText: 'Something with a rope' });
	await asked.getByText('No', { exact: true }).click();
	await noBarriers(page, 'Requests');
	await asked.getByLabel('What you write to Oren Falkestad').fill('Ropes come in spring.');
	await asked.getByRole('button', { name: 'Send the answer' }).click();
	await expect(asked).toContainText('No, Runa Hallgren');
	await phone.reload();
	await expect(phone.getByText('Ropes come in spring.')).toBeVisible();
	await expect(phone.getByText('your coach says: no')).toBeVisible();
	await phone.context().close();
});

test('whoever has not been here gets their link by email', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Add and invite' }).click();
	await ready(page);
	await page.getByLabel('Name', { exact: true }).fill('Sigrun Amadi');
	await page.getByLabel(/^Email/).fill('sigrun@hutseason.example');
	await page.getByRole('combobox', { name: /zone/i }).first().fill('Europe/Oslo');
	await page.getByRole('button', { name: 'Add them' }).click();
	await expect(page.getByText('Sigrun Amadi is enrolled.')).toBeVisible();
	await page.getByRole('link', { name: 'People', exact: true }).first().click();
	await ready(page);
	await page.getByText(/opened their link yet: email it to them/).click();
	await page.getByLabel('In your own words, if you like').fill('Good to have you.');
	await page.getByRole('button', { name: 'Email their links' }).click();
	await expect(page.getByRole('status')).toContainText(/\d+ links? (is|are) on the way by email/);
	await expect(page.getByRole('row').filter({ hasText: 'Sigrun Amadi' })).toContainText(/email/);

	// Without a team she would read a gap: one press writes to the others.
	await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Post' }).click();
	await page.waitForURL('**/post');
	await ready(page);
	const send = page.getByRole('button', { name: /^Send to \d+ people$/ });
	const people = async () => Number(/\d+/.exec(await send.innerText())![0]);
	const everybody = await people();
	await page.getByLabel('Message').fill('Team {team}: half counts as half.');
	await expect(page.getByText('A field is empty for Sigrun Amadi')).toBeVisible();
	await page.getByRole('button', { name: `Write to the other ${everybody - 1}` }).click();
	await expect(page.getByText('A field is empty for')).toHaveCount(0);
	expect(await people()).toBe(everybody - 1);
	await expect(page.getByRole('checkbox', { name: 'Sigrun Amadi' })).not.toBeChecked();
});
