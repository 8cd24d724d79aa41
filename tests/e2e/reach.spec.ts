/** Who needs the coach: gone through one by one, by keyboard, with what was done on record. */
import { noBarriers } from './barriers';
import { asCoach, expect, openPlace, phoneOf, reachOut, ready, test } from './support';

test('a coach goes through those who need her, notes what she did, puts off and takes back', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Reach out');
	await noBarriers(page, 'Reach out');
	const shown = page.getByRole('region').filter({ has: page.getByRole('heading', { name: 'Why' }) });
	const name = () => shown.getByRole('heading', { level: 2 }).innerText();
	const count = async () =>
		Number(/^(\d+) people need you/.exec(await page.locator('h1 + p').innerText())?.[1]);

	// Whoever is on hold comes first; then pain, with what was said and what it means.
	const held = await name();
	await expect(shown.getByText('On hold', { exact: true })).toBeVisible();
	await page.keyboard.press('n');
	await expect(shown.getByRole('heading', { level: 2 })).not.toHaveText(held);
	const first = await name();
	await expect(shown.getByText('Pain reported', { exact: true })).toBeVisible();
	await expect(shown.getByText(/“.+”( on day \d+|, beside the plan), /).first()).toBeVisible();
	await expect(shown.getByText(/Nothing here diagnoses/).first()).toBeVisible();
	await page.keyboard.press('p');
	await expect(shown.getByRole('heading', { level: 2 })).toHaveText(held);
	await page.keyboard.press('n');
	await expect(shown.getByRole('heading', { level: 2 })).toHaveText(first);

	const before = await count();
	await shown.getByText('Something else, or not now').click();
	await shown.getByText('Called', { exact: true }).click();
	await shown.getByLabel('Note for yourself').fill('step-ups off for a week');
	await shown.getByRole('button', { name: 'Save, and on to the next' }).click();
	await expect(shown.getByRole('heading', { level: 2 })).not.toHaveText(first);
	expect(await count()).toBe(before - 1);
	const second = await name();
	await shown.getByText('Something else, or not now').click();
	await shown.getByRole('button', { name: 'Put off' }).click();
	await expect(shown.getByRole('heading', { level: 2 })).not.toHaveText(second);
	expect(await count()).toBe(before - 2);

	await shown.getByText('Something else, or not now').click();
	// A day that is over is refused, and stays as it was typed.
	await shown.getByLabel('Not now: come back to it on').evaluate((field: HTMLInputElement) => {
		field.min = '';
		field.value = '2020-01-01';
		field.dispatchEvent(new Event('input', { bubbles: true }));
	});
	await shown.getByRole('button', { name: 'Put off' }).click();
	await expect(shown.getByRole('alert')).toContainText('choose a day after today');
	expect(await count()).toBe(before - 2);

	// What was noted is on the person, with what came of it, and can be taken back.
	await page.getByRole('link', { name: 'Desk' }).click();
	await page.waitForURL('**/desk');
	await expect(page.getByRole('link', { name: first }).and(page.locator('[href*="/reach"]'))).toHaveCount(0);
	await openPlace(page, 'Roll');
	await page.getByRole('button', { name: first }).click();
	const person = /people\/([0-9a-f-]+)/.exec(
		(await page.getByRole('link', { name: /^All of / }).getAttribute('href')) ?? ''
	)?.[1];
	await page.goto(`${page.url().replace(/\/roll.*/, '')}/reach?person=${person}`);
	await ready(page);
	const noted = shown.getByRole('listitem').filter({ hasText: '“step-ups off for a week”' });
	await expect(noted.getByText('No check-in since.')).toBeVisible();
	await noted.getByRole('button', { name: 'Remove' }).click();
	await expect(noted).toHaveCount(0);
	await expect(shown.getByText('Pain reported', { exact: true })).toBeVisible();
});

test('a message begun for the reason is sent, read on the phone, answered, and the answer is seen', async ({
	browser,
	page,
	demo
}) => {
	const me = await phoneOf(browser, demo, 'Noor Bastani');

	await asCoach(page, demo);
	await reachOut(page, 'Noor Bastani');
	const shown = page.getByRole('region').filter({ has: page.getByRole('heading', { name: 'Why' }) });
	await expect(shown.getByRole('heading', { level: 2 })).toHaveText('Noor Bastani');
	await page.keyboard.press('w');
	const field = shown.getByLabel('Write to Noor');
	await expect(field).toBeFocused();
	await expect(field).toContainText(/Hi Noor,\s*You wrote that something hurts: “/);
	const here = page.url();
	await field.fill('');
	await expect(field).toHaveText('');
	await shown.getByRole('button', { name: 'Send, and on to the next' }).click();
	await expect(shown.getByRole('alert')).toContainText('Write something first');
	await field.pressSequentially('Leave the step-up out.');
	await page.keyboard.press('Enter');
	await shown.getByRole('button', { name: 'Bold' }).click();
	await field.pressSequentially('No lunges ');
	await shown.getByRole('button', { name: 'Bold' }).click();
	await field.pressSequentially('<b>Runa</b>');
	await shown.getByRole('button', { name: 'Send, and on to the next' }).click();
	await expect(shown.getByRole('heading', { level: 2 })).not.toHaveText('Noor Bastani');

	await me.goto('/me');
	await ready(me);
	await me.getByRole('link', { name: 'A message from your coach' }).click();
	await me.waitForURL('**/messages');
	await ready(me);
	await expect(me.getByText('Leave the step-up out.')).toBeVisible();
	await expect(me.getByRole('strong').filter({ hasText: 'No lunges' })).toBeVisible();
	await expect(me.getByText('<b>Runa</b>'), 'it is text, whatever it looks like').toBeVisible();
	await noBarriers(me, 'messages');
	await me.getByLabel('Write to your coach').fill('I will. It is better today.');
	await me.getByRole('button', { name: 'Send' }).click();
	await expect(me.getByText(/You, .*not read yet/)).toBeVisible();
	await expect(me.getByLabel('Write to your coach')).toHaveValue('');
	await me.goto('/me');
	await ready(me);
	await expect(me.getByRole('link', { name: 'A message from your coach' })).toHaveCount(0);

	await page.goto(here.replace(/\?.*/, ''));
	await ready(page);
	await expect(page.getByRole('heading', { name: 'Waiting for an answer' })).toBeVisible();
	await page
		.getByRole('navigation', { name: 'Who needs you' })
		.getByRole('link', { name: /^Noor Bastani$/ })
		.first()
		.click();
	// What waits for an answer stands above it, and the answer is begun as one.
	await expect(shown.getByRole('blockquote')).toContainText('I will. It is better today.');
	await expect(shown.getByLabel('Answer Noor')).toContainText('Thank you for writing.');
	await expect(shown.getByText(/You, .*, read /).last()).toBeVisible();
	// What was seen is new no longer.
	await expect(async () => {
		await page.reload();
		await ready(page);
		await expect(
			page.getByRole('listitem').filter({ hasText: 'Noor Bastani' }).filter({ hasText: 'new message' })
		).toHaveCount(0);
	}).toPass();
	// It waits all the same, until it is answered or said to need no answer.
	const waits = page.getByRole('listitem').filter({ hasText: /Noor Bastani\s*since / });
	await expect(waits).toBeVisible();
	// As where nobody else is next: who is open stays so, and the field begins anew with what is proposed now.
	await shown.locator('form[action="?/write"]').evaluate((form: HTMLFormElement) => {
		const field = (name: string) => form.elements.namedItem(name) as HTMLInputElement;
		field('next').value = field('person').value;
	});
	await shown.getByRole('button', { name: 'Needs no answer' }).click();
	await expect(waits).toHaveCount(0);
	await expect(shown.getByLabel('Write to Noor')).toBeVisible();
	await expect(shown.getByLabel('Write to Noor')).not.toContainText('Thank you for writing.');
	await me.context().close();
});
