import { answerQuestions, expect, openPlace, ready, asCoach, signIn, test, openLink } from './support';

/** The demo stands on Wednesday 13 May 2026, 07:40 in Oslo. */
const TODAY = '2026-05-13';

test('from sign-in to the roll: a challenge is made, filled, followed and seen', async ({
	page,
	browser,
	demo
}) => {
	await signIn(page, demo);

	await test.step('the coach frames a challenge and sees its calendar before anything is saved', async () => {
		await page.getByRole('link', { name: 'New challenge' }).first().click();
		await ready(page);
		await page.getByLabel('Name').fill('Path weeks');
		await page.getByLabel('Goal').fill('Carry 10 kg for an hour');
		await page.getByLabel('Starts on').fill(TODAY);
		await page.getByLabel('Weeks', { exact: true }).fill('3');
		await page.getByRole('button', { name: 'Wed' }).click();
		const calendar = page.locator('aside');
		await expect(calendar).toContainText('15 training days of 21');
		await expect(calendar.getByRole('row')).toHaveText([/ends/, /Tue 19 May/, /Tue 26 May/, /Tue 2 Jun/]);
		await page.getByRole('button', { name: 'Make the challenge' }).click();
		await page.waitForURL('**/plan');
		await expect(page.getByText('15 training days without a session')).toBeVisible();
	});

	await test.step('types a session and sees when everything happens', async () => {
		await page.getByRole('link', { name: 'Build' }).click();
		await page.getByRole('link', { name: 'New session' }).click();
		await page.getByLabel('Name of the session').fill('Path load');
		const line = page.getByLabel('Type a block');
		await line.fill('3 x 10 goblet squat 3-1-1 @ 12');
		await expect(page.getByText('is not a load yet')).toBeVisible();
		await line.fill('3 x 10 goblet squat 3-1-1 @ 12 kg, rest 90');
		await expect(page.getByText('5:30').first()).toBeVisible();
		await line.press('Enter');
		await line.fill('warm-up: circuit 1 round 40/10: march on the spot + hip circles per side');
		await line.press('Enter');
		await line.fill('cool-down: 30 s per side calf stretch, rest 5');
		await line.press('Enter');
		// 90 + 30 + 330 + 30 + 65 s; the typed warm-up went to the front.
		await expect(page.getByLabel('Timeline', { exact: true }).getByText('9:05')).toBeVisible();
		await expect(page.locator('section[aria-label] h3')).toHaveText([
			'Warm-up',
			'Straight sets',
			'Cool-down'
		]);
		await page.getByRole('button', { name: 'Save session' }).click();
		await page.waitForURL(/build\/[0-9a-f-]{36}$/);
		await expect(page.getByText('version 1')).toBeVisible();
	});

	await test.step('lays it on days', async () => {
		await page.getByRole('link', { name: 'Plan' }).click();
		await ready(page);
		const cell = (day: number) => page.getByRole('gridcell', { name: new RegExp(`^Day ${day},`) });
		await cell(1).click();
		await cell(3).click({ modifiers: ['Shift'] });
		await expect(page.getByRole('heading', { name: '3 days' })).toBeVisible();
		await page.getByLabel('Kind of day').selectOption('train');
		await page.getByRole('combobox', { name: 'Session' }).selectOption({ label: 'Path load' });
		await page.getByRole('button', { name: 'Save plan' }).click();
		await expect(page.getByText('The plan is saved.')).toBeVisible();
		await expect(cell(3)).toContainText('Path load');
		await expect(page.getByRole('heading', { name: 'Release of day 1' })).toBeVisible();
	});

	let link = '';
	await test.step('enrols from a list, with every bad line explained and nothing written before it is accepted', async () => {
		await page.getByRole('link', { name: 'People' }).click();
		await page.getByRole('link', { name: 'Enrol from a list' }).click();
		await ready(page);
		await page
			.getByLabel('Paste the list')
			.fill(
				'name;mail;time zone;level;equipment\nVesna Radko;vesna@hutseason.example;Europe/Ljubljana;beginner;mat\nOdd One;odd;Mars/Base;superb;\n'
			);
		await page.getByRole('button', { name: 'Preview', exact: true }).click();
		await expect(page.getByText('Read with semicolons')).toBeVisible();
		const wrong = (field: string) => page.getByRole('row', { name: new RegExp(`^3 ${field}`) });
		await expect(wrong('Email address')).toContainText('not an email address');
		await expect(wrong('Time zone')).toContainText('“Mars/Base” isn’t a time zone');
		// One of two is corrected in the preview: the list says so, the other stays as it is.
		await page.getByLabel('Time zone in line 3').fill('Oslo');
		await page.getByRole('button', { name: 'Apply corrections' }).click();
		await expect(wrong('Time zone')).toHaveCount(0);
		await expect(wrong('Email address')).toBeVisible();
		await expect(page.getByLabel('Paste the list')).toHaveValue(/Odd One;odd;Oslo;superb/);
		await page.getByRole('button', { name: 'Enrol 1 of 2' }).click();
		await expect(page.getByText('1 person enrolled.')).toBeVisible();
		link = await page.getByLabel('Copy', { exact: true }).first().inputValue();
		expect(link).toContain('/join/');
	});

	const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
	const me = await phone.newPage();
	await test.step('the participant opens the link on a phone, does the day and checks in', async () => {
		await openLink(me, link);
		await expect(me.getByRole('heading', { name: 'Day 1' })).toBeVisible();
		// Nothing is released before the questions are answered.
		await expect(me.getByText('Have ready')).toHaveCount(0);
		await me.getByRole('link', { name: 'Answer the questions' }).click();
		await answerQuestions(me, { level: 'Some experience', dumbbells: 12 });
		await expect(me.getByText('You can start.')).toBeVisible();
		await me.getByRole('link', { name: 'Go on' }).click();
		await expect(me.getByText('Have ready')).toBeVisible();
		await expect(me.getByText('dumbbell of 12 kg')).toBeVisible();
		await ready(me);
		await me.getByRole('link', { name: 'Check in for day 1' }).click();
		await ready(me);
		await me.getByText('Partly', { exact: true }).click();
		await me.getByRole('group', { name: 'Goblet squat' }).getByRole('button', { name: 'changed' }).click();
		await me.getByLabel('Set 3 of Goblet squat, reps').fill('5');
		await me.getByRole('group', { name: 'How hard was it' }).getByText('7', { exact: true }).click();
		await me.getByLabel('Something hurts').check();
		await me.getByLabel('What hurts').fill('left wrist, 2 of 10');
		await expect(me.getByText('let a doctor or physiotherapist look at it')).toBeVisible();
		await me.getByRole('button', { name: 'Send' }).click();
		await me.waitForURL('**/result');
		// Six sets (two in the warm-up, three squats, one stretch), five and a half done.
		await expect(me.getByText('92 % of the work')).toBeVisible();
	});

	await test.step('days ahead are not there, by address or by data', async () => {
		for (const path of [
			'/me/day/2',
			'/me/day/2/check-in',
			'/api/me/days/2',
			'/me/day/2/__data.json',
			'/api/me/days/22'
		]) {
			const answer = await phone.request.get(path);
			expect(await answer.text(), path).not.toContain('oblet');
			if (!path.includes('__data')) expect(answer.status(), path).toBe(404);
		}
	});

	await test.step('the coach sees it on the desk and the roll', async () => {
		await page.getByRole('link', { name: 'Desk' }).click();
		await expect(page.getByText('Hurts: left wrist, 2 of 10')).toBeVisible();
		await expect(page.getByRole('region', { name: 'Reach out' })).toContainText(
			/Vesna Radko.*Pain reported\.\s+“left wrist, 2 of 10”/
		);
		await page.getByRole('link', { name: 'Roll' }).click();
		const row = page.getByRole('row', { name: /Vesna Radko/ });
		await expect(row).toContainText('92 %');
		await expect(row.getByRole('img')).toContainText('part done, 92 %; pain was reported');
	});
	await phone.close();
});

test('a correction takes the place of what was sent, and a check-in sent twice stays one', async ({
	browser,
	demo
}) => {
	const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
	const me = await phone.newPage();
	await openLink(me, `/join/${demo.links['Aroha Pene']}`);
	await me.getByRole('link', { name: 'Correct it' }).click();
	await ready(me);
	await me.getByText('Not at all', { exact: true }).click();
	await me.getByRole('button', { name: 'Send' }).click();
	await me.waitForURL('**/result');
	await expect(me.getByText('nothing done')).toBeVisible();
	await me.getByRole('link', { name: 'To today' }).click();
	await me.getByRole('link', { name: 'Correct it' }).click();
	await ready(me);
	await me.getByText('As planned', { exact: true }).click();
	await me.getByRole('button', { name: 'Send' }).click();
	await expect(me.getByRole('status')).toContainText('all done');
	await phone.close();
});

test('what was typed stays when the server refuses it', async ({ page, demo }) => {
	await openLink(page, `/join/${demo.links['Noor Bastani']}`);
	await page.goto('/me/day/24/check-in');
	await ready(page);
	await page.getByText('As planned', { exact: true }).click();
	await page.getByLabel('Sleep last night').fill('30');
	await page.getByLabel('Note to your coach').fill('the pass was closed');
	await page.getByRole('button', { name: 'Send' }).click();
	await expect(page.getByRole('alert')).toContainText('Sleep is 0 to 24 hours');
	await expect(page.getByLabel('Note to your coach')).toHaveValue('the pass was closed');
	await expect(page.getByLabel('Sleep last night')).toHaveValue('30');
	// The same where something stands already and is corrected.
	await page.getByLabel('Sleep last night').fill('7');
	await page.getByRole('button', { name: 'Send' }).click();
	await page.waitForURL('**/result');
	await page.goto('/me/day/24/check-in');
	await ready(page);
	await page.getByLabel('Sleep last night').fill('30');
	await page.getByRole('button', { name: 'Send' }).click();
	await expect(page.getByRole('alert')).toContainText('Sleep is 0 to 24 hours');
	await expect(page.getByLabel('Sleep last night')).toHaveValue('30');
	await expect(page.getByLabel('Note to your coach')).toHaveValue('the pass was closed');
});

test('an excuse given on the roll shows as one and can be taken back', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'Roll');
	await page.getByRole('button', { name: 'Mirela Codrean' }).click();
	const panel = page.getByRole('complementary', { name: 'Mirela Codrean' });
	await page.keyboard.press('x');
	await panel.getByRole('button', { name: 'Excuse these days' }).click();
	await expect(panel.getByRole('alert')).toContainText('reason');
	await panel.getByLabel('Reason').fill('moves house');
	await panel.getByRole('button', { name: 'Excuse these days' }).click();
	await expect(page.getByRole('row', { name: /Mirela Codrean/ }).getByRole('img')).toContainText(
		'Day 24: excused'
	);
	await panel.getByRole('link', { name: 'All of Mirela’s days and notes' }).click();
	await expect(page.getByText('moves house')).toBeVisible();
	await page.getByRole('button', { name: 'Take back' }).click();
	await expect(page.getByText('moves house')).toBeHidden();
});

test('a link made anew ends the one before, and a revoked one lets nobody in', async ({
	page,
	browser,
	demo
}) => {
	await signIn(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Sefa Leota' }).click();
	await ready(page);
	await page.getByRole('button', { name: 'Create a new link' }).click();
	const link = await page.getByLabel('Copy the link').first().inputValue();
	const phone = await browser.newContext();
	const me = await phone.newPage();
	await openLink(me, link);
	await expect(me.getByText('Sefa Leota')).toBeVisible();
	await page.reload();
	await ready(page);
	await page.getByRole('button', { name: 'Revoke' }).click();
	await expect(page.getByText('has no link and cannot get in')).toBeVisible();
	await me.goto('/me');
	await expect(me).toHaveURL(/sign-in/);
	await me.goto(link);
	await expect(me.getByText('This link is not good any more')).toBeVisible();
	await phone.close();
});

test('the demo clock moves on, and the invented people with it', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'Roll');
	const before = await page
		.getByText(/of \d+ checked in for day/)
		.locator('..')
		.innerText();
	await page.getByText(/demo clock/).click();
	await page.getByRole('button', { name: 'One hour on' }).click();
	await expect(page.getByText('08:40 · demo clock')).toBeVisible();
	await page.getByText(/demo clock/).click();
	await page.getByRole('button', { name: 'To the next morning' }).click();
	await expect(page.getByText('Thu 14 May 07:40 · demo clock')).toBeVisible();
	await expect(page.getByText('day 25 of 42')).toBeVisible();
	await page.getByText(/demo clock/).click();
	await page.getByRole('button', { name: 'Back to the real time' }).click();
	await expect(page.getByText('Wed 13 May 07:40 · demo clock')).toBeVisible();
	await expect(page.getByText(/of \d+ checked in for day/).locator('..')).toHaveText(
		before.replace(/\s+/g, ' ')
	);
});

test('without a connection the check-in is kept, and sent again it counts once', async ({
	page,
	context,
	demo,
	complaints
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await openLink(page, `/join/${demo.links['Noor Bastani']}`);
	await page.goto('/me/day/24/check-in');
	await ready(page);
	await page.getByText('As planned', { exact: true }).click();
	await page.getByLabel('Note to your coach').fill('sent from the ridge');
	await context.setOffline(true);
	await page.getByRole('button', { name: 'Send' }).click();
	await expect(page.getByText('Kept on this device')).toBeVisible();
	await context.setOffline(false);
	await expect(page.getByText(/waiting on this device/)).toHaveCount(0);
	await page.getByRole('link', { name: 'To today', exact: true }).click();
	await page.waitForURL('**/me');
	await expect(page.getByRole('status')).toContainText('all done');
	expect(complaints.splice(0).every((text) => text.includes('ERR_INTERNET_DISCONNECTED'))).toBe(true);
});
