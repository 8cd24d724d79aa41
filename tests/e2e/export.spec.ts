/** What leaves a plan: calendars, paper, files, announcements; and what tries it out. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { noBarriers } from './barriers';
import { expect, openAnnouncements, openPlace, ready, asCoach, test, openLink } from './support';

async function openPart(page: Page, name: string): Promise<void> {
	await openPlace(page, 'Plan');
	await page.getByRole('navigation', { name: 'Parts of the plan' }).getByRole('link', { name }).click();
	await ready(page);
}
const events = (text: string) => text.match(/BEGIN:VEVENT/g)?.length ?? 0;

test('a participant puts the days into a calendar at an hour of their own, and ends the address', async ({
	page,
	demo,
	request
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await openLink(page, `/join/${demo.links['Oren Falkestad']}`);
	await ready(page);
	await expect(page.getByText('session 18 of 30, 12 left after it')).toBeVisible();
	await page.getByRole('link', { name: 'Calendar and print' }).click();
	await ready(page);
	await noBarriers(page, 'calendar');
	await page.getByLabel('Hour at which I train').fill('18:15');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Entries begin at 18:15.')).toBeVisible();
	await page.getByRole('button', { name: /^Create/ }).click();
	const address = await page.getByLabel('Copy the calendar link').first().inputValue();
	const answer = await request.get(address);
	expect(answer.headers()['content-type']).toContain('text/calendar');
	const text = await answer.text();
	expect(events(text)).toBe(30);
	expect(text).toContain('TZID=Europe/Lisbon:20260514T181500'.replace('0514', '0515'));
	expect(text).not.toMatch(/Ridge load|Pull and press/);
	const unchanged = await request.get(address, { headers: { 'if-none-match': answer.headers().etag ?? '' } });
	expect(unchanged.status()).toBe(304);
	await page.goto('/me/calendar');
	await ready(page);
	await page.getByRole('button', { name: 'Turn off' }).click();
	await expect(page.getByText('The calendar link is turned off')).toBeVisible();
	expect((await request.get(address)).status()).toBe(404);
});

test('the plan is saved for paper, as two pages and as sessions; without the days ahead unless they are asked for', async ({
	page,
	demo
}) => {
	// Three papers are set, and a page with every part of it is looked over for barriers.
	test.slow();
	await asCoach(page, demo);
	await openPart(page, 'Calendar, print and export');
	await noBarriers(page, 'export');
	const saved = async (name: string) => {
		const [file] = await Promise.all([
			page.waitForEvent('download'),
			page.getByRole('link', { name, exact: true }).click()
		]);
		const bytes = readFileSync(await file.path());
		expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
		return {
			name: file.suggestedFilename(),
			pages: bytes.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0
		};
	};
	expect(await saved('Plan as PDF')).toEqual({ name: 'Hut Season, six weeks, plan.pdf', pages: 2 });
	await page.getByLabel('For').fill('Noor Bas');
	await expect(page.getByText('Nobody called “Noor Bas” is enrolled')).toBeVisible();
	await page.getByLabel('For').fill('Noor Bastani');
	await expect(page.getByText('Nobody called')).toHaveCount(0);
	const out = await saved('Sessions as PDF');
	expect(out.name).toBe('Hut Season, six weeks, Noor Bastani, on paper.pdf');
	await page.getByLabel('include upcoming days').check();
	await expect(page.getByText('before its morning')).toBeVisible();
	// Twelve sessions are ahead of the eighteen released.
	expect((await saved('Sessions as PDF')).pages).toBeGreaterThanOrEqual(out.pages + 12);
});

test('the plan is printed on two pages across, twelve weeks as well', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPart(page, 'Calendar, print and export');
	await page.getByRole('link', { name: 'Print preview' }).click();
	await ready(page);
	await expect(page.getByRole('row', { name: /Week 3/ })).toContainText('halfway');
	await noBarriers(page, 'sheet');
	const print = async () => (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
	const printed = await print();
	expect(printed.match(/\/Type \/Page\b/g)).toHaveLength(2);
	// A4, across.
	expect(printed).toMatch(/\/MediaBox \[0 0 84[12][\d.]* 59[45][\d.]*\]/);
	// As many weeks as there can be.
	await page.goto('/challenges/new');
	await ready(page);
	await page.getByRole('radio', { name: /^Twelve weeks/ }).check();
	await page.getByLabel('Name').fill('Twelve on a wall');
	await page.getByLabel('Goal').fill('See them all at once');
	await page.getByRole('button', { name: 'Make the challenge' }).click();
	await page.waitForURL('**/plan');
	await page.goto(`${page.url()}/sheet`);
	await ready(page);
	expect((await print()).match(/\/Type \/Page\b/g)).toHaveLength(2);
});

test('a challenge leaves as a file and comes back as the same plan; a broken file says where', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPart(page, 'Calendar, print and export');
	const save = async () => {
		const [file] = await Promise.all([
			page.waitForEvent('download'),
			page.getByRole('link', { name: 'Export challenge' }).click()
		]);
		return readFileSync(await file.path(), 'utf8');
	};
	const text = await save();
	await page.goto('/challenges/import');
	await ready(page);
	await noBarriers(page, 'import');
	const look = async (of: string) => {
		const buffer = Buffer.from(of);
		await page
			.getByLabel('A challenge as Cadrex saves it')
			.setInputFiles({ name: 'challenge.json', mimeType: 'application/json', buffer });
		await page.getByRole('button', { name: 'Preview', exact: true }).click();
	};
	await look(text.replace('"session": "s1"', '"session": "s99"'));
	await expect(page.getByRole('cell', { name: /no session “s99”/ })).toBeVisible();
	await expect(page.getByRole('cell', { name: /^plan\.days\[\d+\]\.session$/ })).toBeVisible();
	await look(text.replace('"version": 1', '"version": 2'));
	await expect(page.getByRole('cell', { name: /needs a Cadrex that reads version 2/ })).toBeVisible();
	await look(text);
	await expect(page.getByRole('cell', { name: /here already and the same/ }).first()).toBeVisible();
	await page.getByLabel('Name').fill('Hut Season once more');
	await page.getByLabel('Starts on').fill('2020-01-06');
	await page.getByRole('button', { name: 'Make this challenge' }).click();
	await expect(page.getByText('It would have ended on Sun 16 Feb already')).toBeVisible();
	await expect(page.getByLabel('Name')).toHaveValue('Hut Season once more');
	await page.getByLabel('Starts on').fill('2026-05-26');
	await expect(page.getByText('It was made to start on a Mon')).toBeVisible();
	await page.getByLabel('Starts on').fill('2026-05-25');
	await page.getByRole('button', { name: 'Make this challenge' }).click();
	await page.waitForURL('**/plan');
	await ready(page);
	await expect(page.getByRole('gridcell', { name: /^Day 2,/ })).toContainText('Pull and press');
	await page.getByRole('link', { name: 'Calendar, print and export' }).click();
	await ready(page);
	const days = (of: string) =>
		(JSON.parse(of) as { plan: { days: { kind: string }[] } }).plan.days.map(({ kind }) => kind);
	expect(days(await save())).toEqual(days(text));
});

test('an announcement goes up, is read on the phone, and comes down', async ({
	page,
	demo,
	browser,
	site
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	await openAnnouncements(page);
	await page.getByRole('textbox', { name: 'Announcement', exact: true }).fill('Bring both gloves on Friday.');
	await page.getByRole('button', { name: 'Post', exact: true }).click();
	await expect(page.getByText('It is up.')).toBeVisible();
	const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL: site });
	await openLink(phone, `/join/${demo.links['Noor Bastani']}`);
	await expect(phone.getByText('Bring both gloves on Friday.')).toBeVisible();
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Bring both gloves' })
		.getByRole('button', { name: 'Remove' })
		.click();
	await expect(page.getByText('Bring both gloves')).toHaveCount(0);
	await phone.reload();
	await ready(phone);
	await expect(phone.getByText('Bring both gloves')).toHaveCount(0);
	await phone.close();
});

test('a plan is tried out with imagined groups: the same seed, the same figures', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPart(page, 'Simulate');
	const run = async () => {
		await page.getByRole('button', { name: 'Simulate' }).click();
		await expect(page.getByText('in eight of ten groups')).toBeVisible();
		// Two hundred groups are real work, and two browsers with their servers share the cores.
		await expect(page.getByRole('progressbar')).toHaveCount(0, { timeout: 30_000 });
		return page.getByRole('region', { name: 'Expected outcome' }).locator('dl').textContent();
	};
	const first = await run();
	await noBarriers(page, 'try');
	await page.getByLabel('Typical person completes').fill('60');
	await expect(page.getByText('has changed since')).toBeVisible();
	expect(await run()).not.toBe(first);
	await page.getByLabel('Typical person completes').fill('85');
	expect(await run()).toBe(first);
	await page.getByLabel('Typical person completes').fill('120');
	await expect(page.getByRole('alert')).toHaveText(/from 5 to 99\s+%/);
	await expect(page.getByRole('button', { name: 'Simulate' })).toBeDisabled();
});
