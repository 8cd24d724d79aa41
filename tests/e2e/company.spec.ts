/** Those who work on a challenge beside its coach, and the teams of those who take part. */
import { noBarriers } from './barriers';
import { asCoach, expect, openLink, openPlace, ready, test } from './support';

test('a coach is invited by a link and helps; a viewer sees nothing of anybody’s health', async ({
	page,
	demo,
	browser,
	site
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Settings');
	await page.getByRole('link', { name: 'Coaches and viewers' }).click();
	await ready(page);
	await expect(page.getByRole('row', { name: /Ravdna Okello/ }).first()).toBeVisible();
	await expect(page.getByRole('row', { name: /Recorded a clearance/ }).first()).toBeVisible();
	await noBarriers(page, 'coaches and viewers');

	const links: string[] = [];
	for (const [who, role] of [
		['Kestutis Amoah', 'coach'],
		['Zuleika Brandvold', 'viewer']
	] as const) {
		await page.getByLabel('Whom it is for').fill(who);
		await page.getByLabel('As', { exact: true }).selectOption(role);
		await page.getByRole('button', { name: 'Make the link' }).click();
		await expect(page.getByRole('row', { name: new RegExp(`${who}.*invited`) })).toBeVisible();
		const field = page.getByLabel('Copy the link').first();
		await expect.poll(() => field.inputValue()).not.toBe(links[0] ?? '');
		links.push(await field.inputValue());
	}

	const accept = async (link: string, email: string) => {
		const context = await browser.newContext({ baseURL: site });
		const other = await context.newPage();
		await other.goto(new URL(link).pathname);
		await ready(other);
		await other.getByLabel('Email address').fill(email);
		await other.getByLabel('Time zone').fill('Riga');
		await other.getByLabel('New password', { exact: true }).fill('passwordpassword');
		await other.getByRole('button', { name: 'Make it and accept' }).click();
		await expect(other.getByText('would be guessed soon').first()).toBeVisible();
		await expect(other.getByLabel('Email address')).toHaveValue(email);
		await other.getByLabel('New password', { exact: true }).fill('four lakes behind the pass');
		await other.getByRole('button', { name: 'Make it and accept' }).click();
		await other.waitForURL('**/challenges');
		await ready(other);
		return other;
	};

	const helper = await accept(links[0]!, 'kestutis@hutseason.example');
	await helper.getByRole('link', { name: 'Hut Season, six weeks' }).click();
	await ready(helper);
	await openPlace(helper, 'Roll');
	await helper.getByRole('button', { name: 'Oren Falkestad' }).click();
	await helper.getByText('Excuse', { exact: true }).click();
	await helper.getByLabel('Reason').fill('moves house');
	await helper.getByRole('button', { name: 'Excuse these days' }).click();
	await openPlace(helper, 'Settings');
	await expect(helper.getByText('the owner decides')).toBeVisible();

	const viewer = await accept(links[1]!, 'zuleika@hutseason.example');
	await expect(viewer.getByRole('cell', { name: 'viewer' })).toBeVisible();
	await viewer.getByRole('link', { name: 'Hut Season, six weeks' }).click();
	await ready(viewer);
	await expect(viewer.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText([
		/Roll/,
		/Plan/,
		/Group/,
		/Glossary/
	]);
	await viewer.getByRole('button', { name: 'Oren Falkestad' }).click();
	await expect(viewer.getByText('Last seen')).toBeVisible();
	await expect(viewer.getByText('Excuse', { exact: true })).toHaveCount(0);
	await noBarriers(viewer, 'the roll of a viewer');
	await viewer.getByRole('link', { name: /^Group/ }).click();
	await expect(viewer.getByRole('heading', { name: 'Levels' })).toBeVisible();
	await expect(viewer.getByText('To leave out')).toHaveCount(0);
	const roll = new URL(viewer.url()).pathname.replace('people/group', '');
	expect((await viewer.goto(`${roll}people`))?.status()).toBe(403);
	await expect(viewer.getByText('As a viewer you see')).toBeVisible();

	// Who did it is on record; whoever is taken off sees the challenge no more.
	await page.reload();
	await expect(page.getByRole('row', { name: /Kestutis Amoah.*Excused days.*Oren Falkestad/ })).toBeVisible();
	await page.getByRole('button', { name: 'Take Zuleika Brandvold off' }).click();
	await expect(page.getByRole('button', { name: 'Take Zuleika Brandvold off' })).toHaveCount(0);
	expect((await viewer.goto(`${roll}roll`))?.status()).toBe(404);
});

test('teams are divided anew, changed by hand and by keys, and shown on the roll and the phone', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Teams' }).click();
	await ready(page);
	await expect(page.getByRole('region', { name: 'Lake hut' })).toBeVisible();
	await noBarriers(page, 'teams');
	await page.getByLabel('Number of teams').fill('3');
	await page.getByLabel('Divide everybody').selectOption('by level');
	await page.getByRole('button', { name: 'Divide', exact: true }).click();
	await expect(page.getByText('changed', { exact: true })).toBeVisible();
	const pass = page.getByRole('region', { name: 'Pass hut' });
	await expect(pass).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(pass).toBeVisible();
	await page.getByLabel('Move Oren Falkestad to').selectOption('to Lower hut');
	await page.getByLabel('Move Oren Falkestad to').selectOption('to no team');
	await expect(
		page.getByRole('region', { name: 'Without a team' }).getByText('Oren Falkestad')
	).toBeVisible();
	await page.getByLabel('Move Oren Falkestad to').selectOption('to Lake hut');
	await page.getByLabel('Name of the team').nth(2).fill('Lake and shore');
	await page.getByRole('button', { name: 'Save teams' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await openPlace(page, 'Roll');
	await page.getByLabel('Team', { exact: true }).selectOption('Lake and shore');
	await expect(page.getByRole('button', { name: 'Oren Falkestad' })).toBeVisible();
	await openLink(page, `/join/${demo.links['Oren Falkestad']}`);
	await expect(page.getByText('Team: Lake and shore')).toBeVisible();
	await expect(page.getByText(/^Budd(y|ies): /)).toBeVisible();
});
