import { noBarriers } from './barriers';
import { blocks, expect, newSession, openPlace, openSession, ready, save, asCoach, test } from './support';

test.beforeEach(async ({ page, demo }) => {
	await asCoach(page, demo);
});

test('versions beside each other, a copy, and files out', async ({ page }) => {
	await openSession(page, 'Ridge load');
	await page.getByRole('link', { name: 'what changed' }).click();
	await expect(page.getByRole('heading', { name: 'Version 1 beside 2' })).toBeVisible();
	await expect(page.getByRole('cell', { name: 'changed', exact: true })).toHaveCount(3);
	await page.goBack();
	const [json] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'JSON' }).click()
	]);
	expect(json.suggestedFilename()).toBe('Ridge load.json');
	const [text] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'text', exact: true }).click()
	]);
	expect(text.suggestedFilename()).toBe('Ridge load.txt');
	await page.getByRole('button', { name: 'Use as a copy' }).click();
	await expect(page.getByLabel('Name of the session')).toHaveValue(/^Ridge load, copy/);

	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'From a file', exact: true }).click();
	await ready(page);
	await page.locator('input[type=file]').setInputFiles(await json.path());
	await page.getByRole('button', { name: 'Preview', exact: true }).click();
	await expect(page.getByText('5 blocks')).toBeVisible();
	await page.getByLabel('Name', { exact: true }).fill('Ridge load from a file');
	await page.getByRole('button', { name: 'Import session' }).click();
	await page.waitForURL(/build\/[0-9a-f-]{36}$/);
	await expect(blocks(page)).toHaveCount(5);
});

test('a file with faults is refused with their places; unknown exercises are asked about', async ({
	page
}) => {
	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'From a file', exact: true }).click();
	await ready(page);
	const field = page.getByRole('textbox', { name: 'or its text' });
	await field.fill('3 x 10 squat\n3 x nothing\nend repeat');
	await page.getByRole('button', { name: 'Preview', exact: true }).click();
	await expect(page.getByRole('heading', { name: '2 problems, nothing was imported' })).toBeVisible();
	await expect(page.getByRole('cell', { name: 'line 3' })).toBeVisible();
	await expect(field).toHaveValue(/nothing/);
	await field.fill('session: Asked\n3 x 10 goblet sqat @ 12 kg');
	await page.getByRole('button', { name: 'Preview', exact: true }).click();
	await expect(page.getByLabel('What goblet sqat is')).toHaveValue('Goblet squat');
	await page.getByRole('button', { name: 'Import session' }).click();
	await page.waitForURL(/build\/[0-9a-f-]{36}$/);
	await expect(page.getByText('Goblet squat').first()).toBeVisible();
});

test('the call sheet on screen and as PDF', async ({ page }) => {
	await openSession(page, 'Beam day');
	await page.getByRole('link', { name: 'Call sheet' }).click();
	await ready(page);
	await expect(page.getByText('Go: March with arms up').first()).toBeVisible();
	await expect(page.getByText('swap to the heavy pair').first()).toBeVisible();
	const calls = await page.getByRole('listitem').count();
	await page.getByRole('link', { name: 'Without countdowns' }).click();
	await expect.poll(() => page.getByRole('listitem').count()).toBeLessThan(calls);
	const [pdf] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'PDF' }).click()
	]);
	expect(pdf.suggestedFilename()).toBe('Beam day, call sheet.pdf');
});

test('the library is searched, shows a progression, and takes in the coach’s own', async ({ page }) => {
	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'Exercise library' }).click();
	await ready(page);
	await page.getByLabel('name, muscle or equipment').fill('gobelt');
	await page
		.getByRole('link', { name: /Goblet squat/ })
		.first()
		.click();
	await ready(page);
	await expect(page.getByRole('heading', { name: /Progression: squat/ })).toBeVisible();
	await expect(page.getByRole('link', { name: '5 Goblet squat' })).toHaveAttribute('aria-current', 'page');
	await page.getByRole('link', { name: 'Duplicate as my own' }).click();
	await ready(page);
	await page.getByLabel('Name', { exact: true }).fill('Goblet squat');
	await page.getByRole('button', { name: 'Add it to the library' }).click();
	await expect(page.getByText('the library has it; choose a name of your own')).toBeVisible();
	await page.getByLabel('Name', { exact: true }).fill('Stone squat');
	await page.getByLabel('Cues, one a line, up to four').fill('Stone at the belly\nStand tall');
	await page.getByRole('button', { name: 'Add it to the library' }).click();
	await expect(page.getByRole('heading', { name: 'Stone squat' })).toBeVisible();

	await newSession(page, 'With stones', ['3 x 10 stone squat, rest 60']);
	await expect(page.getByRole('region', { name: /Checks/ }).getByText('not in the library')).toHaveCount(0);
	await save(page);
	await page.goto(page.url().replace(/build\/.*/, 'build/library/Stone%20squat'));
	await ready(page);
	await page.getByLabel('Name', { exact: true }).fill('Boulder squat');
	await page.getByRole('button', { name: 'Save the exercise' }).click();
	await expect(page.getByText('before: Stone squat')).toBeVisible();
	await page.getByRole('link', { name: 'With stones' }).click();
	await ready(page);
	await expect(page.getByText('Stone squat').first()).toBeVisible();
	await page.goto(page.url().replace(/build\/.*/, 'build/library/Boulder%20squat'));
	await ready(page);
	await page.getByRole('button', { name: 'Retire it' }).click();
	await expect(page.getByText('your own, retired')).toBeVisible();
});

test('figures stand still when reduced motion is asked for, and move slowly otherwise', async ({ page }) => {
	await openPlace(page, 'Build');
	const address = page.url().replace(/build.*/, 'build/library/Squat');
	const big = page.getByRole('img', { name: 'Squat, from start to end' }).locator('circle').first();
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await page.goto(address);
	await ready(page);
	const still = await big.getAttribute('cy');
	await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
	expect(await big.getAttribute('cy')).toBe(still);
	await page.emulateMedia({ reducedMotion: 'no-preference' });
	await expect.poll(() => big.getAttribute('cy')).not.toBe(still);
});

test('house rules change cues, checks and pace', async ({ page }) => {
	await openPlace(page, 'Settings');
	await page.getByLabel('Tempo where none is given').fill('fast');
	await page.getByRole('button', { name: 'Save the house rules' }).click();
	await expect(page.getByRole('alert')).toContainText('four numbers');
	await page.getByLabel('Tempo where none is given').fill('2-0-1-0');
	await page.getByLabel('Rest that a minute leaves, s').fill('30');
	await page.getByLabel('Depth').selectOption('as deep as control allows');
	await page.getByRole('button', { name: 'Save the house rules' }).click();
	await expect(page.getByText('Your house rules are saved')).toBeVisible();
	await newSession(page, 'In this house', ['emom 4 min: 12 squat 2-0-1']);
	await expect(page.getByText('Minute 1 leaves 24 s')).toBeVisible();
	await page.goto(page.url().replace(/build.*/, 'build/library/Squat'));
	await expect(page.getByText('As deep as you control')).toBeVisible();
	await openPlace(page, 'Settings');
	await page.getByLabel('Rest that a minute leaves, s').fill('15');
	await page.getByLabel('Depth').selectOption('90° at the knee');
	await page.getByRole('button', { name: 'Save the house rules' }).click();
	await expect(page.getByText('Your house rules are saved')).toBeVisible();
});

test('another coach’s session, an unknown version and a strange file are not there', async ({ page }) => {
	await openPlace(page, 'Build');
	const base = page.url().replace(/build.*/, 'build');
	for (const path of [
		'00000000-0000-4000-8000-000000000000',
		'nonsense/call-sheet',
		'nonsense/file.json',
		'library/No%20such%20thing'
	]) {
		const answer = await page.goto(`${base}/${path}`);
		expect(answer?.status(), path).toBe(404);
	}
});

test('no barriers in Build', async ({ page }) => {
	await openSession(page, 'Beam day');
	await page.getByRole('button', { name: 'Edit' }).nth(1).click();
	await page.getByRole('button', { name: 'Fit to 30 min' }).click();
	await expect(page.getByRole('button', { name: 'Take it' }).first()).toBeVisible();
	await page.getByLabel('Type a block').pressSequentially('3 x 10 squ');
	await noBarriers(page, 'session');
	await page.getByRole('button', { name: 'As text' }).click();
	await noBarriers(page, 'as text');
	await page.getByRole('link', { name: 'Call sheet' }).click();
	await ready(page);
	await noBarriers(page, 'call sheet');
	await openSession(page, 'Ridge load');
	await page.getByRole('link', { name: 'what changed' }).click();
	await ready(page);
	await noBarriers(page, 'compare');
});

test('no barriers in the library', async ({ page }) => {
	await openPlace(page, 'Build');
	const base = page.url();
	for (const path of [
		'library',
		'library/Push-up',
		'library/Beam%20lift',
		'library/new',
		'library/import',
		'import'
	]) {
		await page.goto(`${base}/${path}`);
		await ready(page);
		await noBarriers(page, path);
	}
});
