import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { noBarriers } from './barriers';
import { asCoach, expect, openPlace, ready, test } from './support';

test('a stranger joins on the page of a challenge, once the letter to their address is opened', async ({
	browser,
	page,
	demo
}, { parallelIndex }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People', 'Spring Ridge, eight weeks');
	await page.goto(`${page.url().replace(/\?.*/, '')}/join`);
	await ready(page);
	await page.getByRole('button', { name: 'Turn it on' }).click();
	const address = await page
		.getByRole('textbox', { name: /^(?!.*places)/ })
		.evaluateAll(
			(fields) =>
				(fields as HTMLInputElement[]).map(({ value }) => value).find((value) => value.includes('/start/')) ??
				''
		);
	expect(address).toMatch(/\/start\/[A-Z2-9]{8}$/);

	const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
	await phone.goto(address);
	await ready(phone);
	await noBarriers(phone, 'the page to join on');
	await phone.getByLabel('Your name').fill('Tindra Vesk');
	await phone.getByLabel('Email address').fill('tindra@hutseason.example');
	await phone.getByRole('button', { name: 'Join' }).click();
	await expect(phone.getByText('Check your mail')).toBeVisible();
	const outbox = join('.cache', `e2e-data-${parallelIndex}`, 'outbox');
	const letters = readdirSync(outbox)
		.filter((name) => name.endsWith('.eml'))
		.map((name) => readFileSync(join(outbox, name), 'utf8'));
	const letter = letters.find((text) => text.includes('To: tindra@hutseason.example')) ?? '';
	// Lines of a message are broken by a = at their end (RFC 2045, 6.7).
	const link = /http\S+\/start\/[A-Z2-9]{8}\/[\w.-]+/.exec(letter.replace(/=\r\n/g, ''))?.[0];
	expect(link).toBeDefined();

	await phone.goto(link!);
	await ready(phone);
	await noBarriers(phone, 'the page on which joining is confirmed');
	await expect(phone.getByText('You join as Tindra Vesk')).toBeVisible();
	await phone.getByRole('button', { name: 'Yes, I join' }).click();
	await expect(phone.getByRole('heading', { name: 'You’re in' })).toBeVisible();
	await phone.getByRole('link', { name: 'Go on to the questions' }).click();
	await phone.waitForURL('**/me/intake');
	await phone.context().close();

	await page.reload();
	await ready(page);
	await page.getByRole('button', { name: 'Turn it off' }).click();
	await expect(page.getByRole('button', { name: 'Turn it on' })).toBeVisible();
});
