import { noBarriers } from './barriers';
import { expect, openPlace, ready, asCoach, test, openLink } from './support';

test('main views have no barriers', async ({ page, demo }) => {
	await page.goto('/sign-in');
	await ready(page);
	await noBarriers(page, 'sign-in');
	await asCoach(page, demo);
	await page.goto('/challenges');
	await ready(page);
	await noBarriers(page, 'challenges');
	for (const place of ['Desk', 'Roll', 'Build', 'People', 'Settings']) {
		await openPlace(page, place);
		await noBarriers(page, place);
	}
	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'Ridge load', exact: true }).click();
	await ready(page);
	await page.getByRole('button', { name: 'Edit' }).first().click();
	await noBarriers(page, 'session');
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Noor Bastani' }).click();
	await ready(page);
	await noBarriers(page, 'person');
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Enrol from a list' }).click();
	await ready(page);
	await noBarriers(page, 'import');
	await page.getByRole('link', { name: 'Glossary' }).click();
	await ready(page);
	await noBarriers(page, 'glossary');
	await page.getByLabel('Search').fill('twenty seconds');
	await expect(page.getByRole('term')).toHaveText('Tabata');
	await page.getByLabel('Search').fill('');
	await expect(page.locator('#roll')).toContainText('Everybody and every day');
});

test('a participant’s views have no barriers', async ({ page, demo }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await openLink(page, `/join/${demo.links['Noor Bastani']}`);
	await ready(page);
	await noBarriers(page, 'today');
	await page.goto('/me/day/24/check-in');
	await ready(page);
	await page.getByText('Partly', { exact: true }).click();
	await page.getByLabel('Something hurts').check();
	await noBarriers(page, 'check-in');
	await page.goto('/nowhere');
	await noBarriers(page, 'error');
});

test('nothing to tap on a phone is smaller than 44 px, and nothing runs off the side', async ({
	page,
	demo
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await openLink(page, `/join/${demo.links['Noor Bastani']}`);
	for (const path of ['/me', '/me/calendar', '/me/intake', '/me/data', '/me/day/23', '/me/day/24/check-in']) {
		await page.goto(path);
		await ready(page);
		if (path.endsWith('check-in')) {
			await page.getByText('Partly', { exact: true }).click();
			await page.getByRole('button', { name: 'changed' }).first().click();
		}
		const small = await page
			.locator(
				'a:visible, button:visible, summary:visible, label:has(input):visible, input[type=text]:visible'
			)
			.evaluateAll((elements) =>
				elements
					.map((element) => ({
						height: element.getBoundingClientRect().height,
						text: element.textContent.trim().slice(0, 30)
					}))
					.filter(({ height }) => height > 0 && height < 43.5)
					.map(({ height, text }) => `${text} ${height}`)
			);
		expect(small, path).toEqual([]);
		expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
	}
});

test('the coach works by keyboard alone: sign in, go about, look back, find', async ({ page, demo }) => {
	await page.goto('/sign-in');
	await ready(page);
	await page.keyboard.press('Tab');
	await page.keyboard.type(demo.email);
	await page.keyboard.press('Tab');
	await page.keyboard.type(demo.password);
	await page.keyboard.press('Enter');
	await page.waitForURL('**/challenges');
	await page.getByRole('link', { name: 'Hut Season, six weeks' }).focus();
	await page.keyboard.press('Enter');
	await page.waitForURL('**/desk');
	await ready(page);
	await page.keyboard.press('2');
	await page.waitForURL('**/reach');
	await ready(page);
	await page.keyboard.press('3');
	await page.waitForURL('**/roll');
	await ready(page);
	await page.keyboard.press('[');
	await expect(page.getByText('As it stood on day 23')).toBeVisible();
	await page.keyboard.press('t');
	await expect(page.getByText('As it stood on')).toBeHidden();
	await page.keyboard.press('n');
	await expect(page.getByRole('complementary', { name: 'Anahí Quispe' })).toBeVisible();
	await page.keyboard.press('n');
	await expect(page.getByRole('complementary', { name: 'Aroha Pene' })).toBeVisible();
	await page.keyboard.press('p');
	await page.keyboard.press('/');
	await page.keyboard.type('reykj');
	await expect(page.getByRole('row', { name: /Ingrith Solvei/ })).toBeVisible();
	await expect(page.getByRole('row', { name: /Anahí/ })).toBeHidden();
	await page.keyboard.press('Escape');
	await page.getByLabel('Find a person').blur();
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
	await page.keyboard.press('Escape');
	await page.keyboard.press('4');
	await page.waitForURL('**/plan');
});

test('a challenge that is over opens with how it went, and asks for nobody', async ({ page, demo }) => {
	await asCoach(page, demo);
	await page.goto('/challenges');
	await ready(page);
	await page.getByRole('link', { name: 'First Load, four weeks' }).click();
	await page.waitForURL('**/desk');
	await ready(page);
	await expect(page.getByRole('heading', { level: 1, name: 'How it went' })).toBeVisible();
	const went = page.getByRole('region', { name: 'How it went' });
	await expect(went).toContainText('72 % of 360 due days done');
	await expect(went).toContainText('15 of 18 who began were still there in the last week');
	await expect(page.getByRole('heading', { name: 'Going out' })).toHaveCount(0);
	await noBarriers(page, 'the desk of a challenge that is over');
});

test('the roll sorts by what the coach asks', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'Roll');
	const first = () => page.locator('[role=rowgroup] [role=row]').first();
	await page.getByLabel('Sort').selectOption('silent');
	await expect(first()).toContainText('Mirela Codrean');
	await page.getByLabel('Sort').selectOption('high');
	await expect(first()).toContainText('100 %');
	await page.getByLabel('Sort').selectOption('fading');
	await expect(first()).toContainText('−');
});

test('a session changed in two windows: the second saver is told, and loses nothing', async ({
	page,
	context,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'Every minute' }).click();
	await page.waitForURL(/build\/[0-9a-f-]{36}$/);
	const second = await context.newPage();
	await second.goto(page.url());
	for (const window of [page, second]) {
		await ready(window);
		await window.getByLabel('Type a block').fill('2 x 20 s wall sit, rest 20');
		await window.getByLabel('Type a block').press('Enter');
	}
	await page.getByRole('button', { name: 'Save as version 2' }).click();
	await expect(page.getByText('Version 2 is saved')).toBeVisible();
	await second.getByRole('button', { name: 'Save as version 2' }).click();
	await expect(second.getByRole('alert').filter({ hasText: 'Nothing was written over' })).toBeVisible();
	await expect(second.getByText('Wall sit', { exact: true })).toBeVisible();
});

test('wrong numbers in a challenge are named where they stand', async ({ page, demo }) => {
	await asCoach(page, demo);
	await page.goto('/challenges/new');
	await ready(page);
	await page.getByLabel('Weeks', { exact: true }).fill('13');
	await expect(page.locator('aside')).toContainText('1 to 12 weeks');
	await page.getByLabel('Goal').fill('Kept while the rest is mended');
	await page.locator('main form').evaluate((form: HTMLFormElement) => (form.noValidate = true));
	await page.getByRole('button', { name: 'Make the challenge' }).click();
	await expect(page.locator('#weeks-fault')).toContainText('at most 12 weeks');
	await expect(page.locator('#name-fault')).toContainText('needs a name');
	await expect(page.getByLabel('Goal')).toHaveValue('Kept while the rest is mended');
});

test('a list comes in as a file, whatever a spreadsheet made of it, and a broken one is explained', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Enrol from a list' }).click();
	await ready(page);
	const choose = async (name: string, buffer: Buffer) => {
		await page.getByLabel('or choose a file').setInputFiles({ name, mimeType: 'text/csv', buffer });
		await page.getByRole('button', { name: 'Preview', exact: true }).click();
	};
	const text = 'Zone\tE-Mail\tFull name\nEurope/Helsinki\tsaara@hutseason.example\tSaara Kyllönen\n';
	await choose('utf16.csv', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(text, 'utf16le')]));
	await expect(page.getByText('Read as UTF-16.')).toBeVisible();
	await expect(page.getByRole('row', { name: /Saara Kyllönen/ })).toBeVisible();
	// A form that carries the whole list sends it as it is: with every sign written as three it would be too large.
	await expect(page.locator('form:has([name=list])')).toHaveCount(3);
	for (const form of await page.locator('form:has([name=list])').all())
		await expect(form).toHaveAttribute('enctype', 'multipart/form-data');
	await choose('open.csv', Buffer.from('name,mail,zone\nA,a@b.org,UTC\n"B,b@b.org,UTC\n'));
	await expect(page.getByRole('alert')).toContainText('Line 3: a quotation mark opens and is never closed');
	await choose(
		'many.csv',
		Buffer.from('name,mail,zone\n' + 'Somebody,somebody@example.org,Europe/Oslo\n'.repeat(120_000))
	);
	await expect(page.getByRole('alert')).toContainText('120,000 people in one list');
	await choose('picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13, 0x49, 0, 1, 2]));
	await expect(page.getByRole('alert')).toContainText('no text');
});

test('pages that are not there say so in our words', async ({ page }) => {
	const answer = await page.goto('/no/such/page');
	expect(answer?.status()).toBe(404);
	await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
});

test('works without scripts: the participant reads the day and checks in', async ({ browser, demo }) => {
	const plain = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 390, height: 844 } });
	const me = await plain.newPage();
	await me.goto(`/join/${demo.links['Noor Bastani']}`);
	await me.getByRole('button', { name: 'Yes, I’m Noor Bastani' }).click();
	await expect(me.getByRole('heading', { name: 'Day 24' })).toBeVisible();
	await expect(me.getByText('Have ready')).toBeVisible();
	await plain.close();
});

test('a slip is seen, in the text and on a canvas', async ({ page, demo, complaints }) => {
	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	await page.evaluate(() => {
		document.createElement('canvas').getContext('2d')?.fillText('undefined of 26', 0, 0);
		document.querySelector('h1')?.append(' NaN %');
	});
	await expect.poll(() => complaints).toEqual(['on a canvas: undefined of 26']);
	complaints.length = 0;
	await expect(ready(page)).rejects.toThrow(/NaN %/);
});

test('every page of coach and participant is read through', async ({ page, demo }) => {
	await asCoach(page, demo);
	const seen = new Set<string>();
	const pages = async () =>
		(
			await page
				.locator('main a[href^="/"], nav a[href^="/"]')
				.evaluateAll((links) => links.map((link) => link.getAttribute('href') ?? ''))
		).filter((path) => !/\.(?:csv|pdf|ics|json)|\/api\/|sign-out|packet|export\?|\/file/.test(path));
	/** Pages of one kind differ in their ids alone. */
	const kindOf = (path: string) =>
		path
			.replace(/[0-9a-f-]{36}/g, ':id')
			.replace(/\/\d+/g, '/:n')
			.replace(/\/library\/(?!import|new)[^/?]+/, '/library/:name')
			.replace(/\?(?!show=).*/, '');
	const queue = ['/challenges'];
	for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
		if (seen.has(kindOf(path))) continue;
		seen.add(kindOf(path));
		const answer = await page.goto(path);
		if (!/html/.test(answer?.headers()['content-type'] ?? '')) continue;
		await ready(page);
		queue.push(...(await pages()));
	}
	expect(seen.size).toBeGreaterThan(20);
	await page.context().clearCookies();
	await openLink(page, `/join/${demo.links['Noor Bastani']}`);
	for (const path of [
		'/me',
		'/me/calendar',
		'/me/intake',
		'/me/data',
		'/me/day/23',
		'/me/day/24',
		'/me/day/24/check-in'
	]) {
		await page.goto(path);
		await ready(page);
	}
});
