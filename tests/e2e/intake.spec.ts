import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
/** The questions before the start, the hold, and who gets what. */
import { noBarriers } from './barriers';
import { answerQuestions, asCoach, expect, openPlace, phoneOf, ready, test } from './support';
import { paceOf, secondsOf } from './pace';

test('answers given without a connection are sent later; a warning sign holds until the coach records a clearance', async ({
	page,
	demo,
	browser
}) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	await expect(phone.getByText('Have ready')).toBeVisible();
	await phone.goto('/me/intake');
	await ready(phone);
	await phone.getByRole('button', { name: 'Something has changed' }).click();
	const next = () => phone.getByRole('button', { name: 'Next' }).click();
	const heading = (name: string) =>
		expect(phone.getByRole('heading', { name, level: 1, exact: true })).toBeVisible();
	await heading('You');
	await noBarriers(phone, 'questions, you');
	await next();
	await heading('Your training');
	await next();

	// Two answers that speak against each other are asked about, where they stand.
	await heading('What you have');
	await noBarriers(phone, 'questions, equipment');
	await phone.getByLabel('I have none of this').check();
	await next();
	await expect(phone.getByText(/You said that you have nothing, and listed/)).toBeVisible();
	await phone.getByLabel('I have none of this').uncheck();
	await phone.getByLabel('How heavy, kg').fill('412');
	await phone.getByRole('button', { name: 'Add it' }).click();
	await next();
	await expect(phone.getByText('Did you mean 41.2 kg?')).toBeVisible();
	await phone.getByRole('button', { name: /Remove pair of dumbbells 412 kg/ }).click();

	await context.setOffline(true);
	await next();
	await heading('Your body');
	await expect(phone.getByText('No connection at the moment')).toBeVisible();
	await noBarriers(phone, 'questions, body');
	await next();
	await heading('Your health');
	await phone
		.getByRole('group', { name: /pain or pressure in the chest/ })
		.getByText('Yes', { exact: true })
		.click();
	await next();
	await phone.getByLabel('I agree').check();
	await phone.getByRole('button', { name: 'Send' }).click();
	await heading('Waiting for a connection');
	await context.setOffline(false);
	await expect(phone.getByText('Ask a doctor first')).toBeVisible();
	await noBarriers(phone, 'what answers mean');
	await phone.getByRole('link', { name: 'Go on' }).click();
	await expect(phone.getByText('Ask first, then train')).toBeVisible();
	await expect(phone.getByText('Have ready')).toHaveCount(0);
	const [day] = /\d+/.exec(await phone.getByRole('heading', { level: 1 }).innerText()) ?? ['24'];
	const api = await phone.request.get(`/api/me/days/${day}`);
	expect(await api.text()).not.toContain('exercise');

	await asCoach(page, demo);
	await openPlace(page, 'Desk');
	const held = page.getByRole('group', { name: 'Held' });
	await expect(held).toContainText('Noor Bastani');
	await openPlace(page, 'Plan');
	const kept = page.getByRole('list', { name: 'Not released to' }).getByRole('listitem');
	await expect(kept.filter({ hasText: 'Noor Bastani' })).toContainText('needs an OK from a professional');
	await noBarriers(page, 'a release that somebody does not get');
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Who gets what' }).click();
	await ready(page);
	await expect(page.locator('s').filter({ hasText: 'Noor Bastani' })).toBeVisible();
	await openPlace(page, 'Desk');
	await held.getByRole('link', { name: 'Noor Bastani' }).click();
	await ready(page);
	await expect(page.getByText('On hold: needs an OK from a professional')).toBeVisible();
	await page.getByRole('button', { name: 'Show health answers' }).click();
	await expect(page.getByText('pain or pressure in the chest, neck, jaw or arm').first()).toBeVisible();
	await noBarriers(page, 'a person who is held');
	await page.getByLabel('Who said yes').fill('Dr Lindqvist, by phone');
	await page.getByRole('button', { name: 'Record clearance' }).click();
	await expect(page.getByText('Cleared by Dr Lindqvist, by phone')).toBeVisible();

	await phone.goto('/me');
	await expect(phone.getByText('Have ready')).toBeVisible();
	await phone.goto('/me/intake');
	await expect(phone.getByText('Runa Hallgren,')).toBeVisible();
	await context.close();
});

test('who gets what is seen for everybody, filtered, and as one person gets it', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Who gets what' }).click();
	await ready(page);
	const groups = page.getByRole('list', { name: 'Who gets what, by what is different' });
	await expect(groups.getByText(/^As planned for \d+$/)).toBeVisible();
	await expect(groups.getByRole('link', { name: 'Halvard Eik' })).toBeVisible();
	await noBarriers(page, 'who gets what');
	await page.getByText('Person by person').click();
	const table = page.getByRole('table', { name: /Who gets what/ });
	await expect(table.getByRole('rowheader').first()).toBeVisible();
	const everybody = await table.getByRole('rowheader').count();
	await page.getByRole('button', { name: /^Something differs/ }).click();
	const differing = await table.getByRole('rowheader').count();
	expect(differing).toBeGreaterThan(0);
	expect(differing).toBeLessThan(everybody);
	await page.getByLabel('Find a person').fill('Halvard');
	await table.getByRole('button', { name: 'Halvard Eik' }).click();
	const beside = page.getByRole('complementary', { name: 'Halvard Eik' });
	await expect(beside).toContainText('Fast feet → Seated march');
	await expect(beside).toContainText('no balance without support');
	await beside.getByRole('link', { name: 'The session as Halvard gets it' }).click();
	await ready(page);
	await expect(page.getByRole('heading', { name: /as Halvard gets it/ })).toBeVisible();
	await expect(page.getByText('Changed for Halvard')).toBeVisible();
	await noBarriers(page, 'a session as one person gets it');
});

test('a coach fills in for somebody who is on the telephone', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Tamsin Reeve-Adu' }).click();
	await ready(page);
	await page.getByRole('link', { name: 'Correct the answers' }).click();
	await page.waitForURL('**/intake');
	await ready(page);
	await expect(page.getByText('for Tamsin')).toBeVisible();
	for (const title of ['You', 'Your training', 'What you have']) {
		await expect(page.getByRole('heading', { name: title, level: 1, exact: true })).toBeVisible();
		await page.getByRole('button', { name: 'Next' }).click();
	}
	// What she said of her body is not there before it is asked for.
	await expect(page.getByRole('heading', { name: 'Your body' })).toBeVisible();
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByText('choose your age')).toBeVisible();
	await page.getByRole('button', { name: 'Show it, to correct it' }).click();
	for (const title of ['You', 'Your training', 'What you have', 'Your body']) {
		await expect(page.getByRole('heading', { name: title, level: 1, exact: true })).toBeVisible();
		await page.getByRole('button', { name: 'Next' }).click();
	}
	await expect(page.getByRole('heading', { name: 'Your health' })).toBeVisible();
});

/** The path with which somebody confirms that they join, from the last letter to them. */
function linkMailedTo(email: string, worker: number): string {
	const outbox = join('.cache', `e2e-data-${worker}`, 'outbox');
	const letters = readdirSync(outbox)
		.filter((name) => name.endsWith('.eml'))
		.sort()
		.map((name) => readFileSync(join(outbox, name), 'utf8'));
	const letter = letters.findLast((text) => text.includes(`To: ${email}`)) ?? '';
	// Lines of a message are broken by a = at their end (RFC 2045, 6.7).
	return /\/start\/[A-Z2-9]{8}\/[\w.-]+/.exec(letter.replace(/=\r\n/g, ''))?.[0] ?? 'no letter';
}

test('somebody joins on the page of a challenge, and takes out and deletes what is kept of them', async ({
	page,
	demo,
	browser,
	site
}, { parallelIndex }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	// Others of this browser's tests may have enrolled somebody.
	const enrolled = parseInt(await page.getByText(/^\d+ people in \d+ time zones/).innerText(), 10);
	await page.getByRole('link', { name: 'Add and invite' }).click();
	await ready(page);
	await page.getByLabel(/Places, empty/).fill(String(enrolled + 1));
	await page.getByRole('button', { name: 'Turn it on' }).click();
	const address = await page.getByLabel('Copy the address').first().inputValue();
	await noBarriers(page, 'add and invite');

	const context = await browser.newContext({ baseURL: site, viewport: { width: 390, height: 844 } });
	const phone = await context.newPage();
	await phone.goto(new URL(address).pathname);
	await ready(phone);
	await expect(phone.getByText('1 left')).toBeVisible();
	await noBarriers(phone, 'page to join on');
	await phone.getByLabel('Your name').fill('Tindra Vesk');
	await phone.getByLabel('Email address').fill('tindra');
	await phone.getByLabel('Time zone').fill('Riga');
	await phone.getByRole('button', { name: 'Join' }).click();
	await expect(phone.getByText(/is not an email address/).first()).toBeVisible();
	await expect(phone.getByLabel('Your name')).toHaveValue('Tindra Vesk');
	await phone.getByLabel('Email address').fill('tindra@hutseason.example');
	await phone.getByRole('button', { name: 'Join' }).click();
	await expect(phone.getByText('Check your email')).toBeVisible();
	await phone.goto(linkMailedTo('tindra@hutseason.example', parallelIndex));
	await ready(phone);
	await noBarriers(phone, 'the page on which joining is confirmed');
	await expect(phone.getByText('You’re joining as Tindra Vesk')).toBeVisible();
	await phone.getByRole('button', { name: 'Yes, join' }).click();
	await expect(phone.getByRole('heading', { name: 'You’re in' })).toBeVisible();
	await expect(phone.getByLabel('Copy the link').first()).toHaveValue(/\/join\/[\w-]{20,}$/);
	await noBarriers(phone, 'the link of somebody who joined');
	await phone.getByRole('link', { name: 'Go on to the questions' }).click();
	await phone.waitForURL('**/me/intake');
	await ready(phone);
	const pace = await paceOf(phone);
	await answerQuestions(phone, { level: 'Trained', dumbbells: 8 });
	await expect(phone.getByText('You can start.')).toBeVisible();
	// Everything read, everything tapped: under four minutes.
	const took = await pace();
	expect(took.words).toBeGreaterThan(300);
	expect(took.taps).toBeGreaterThan(25);
	expect(secondsOf(took)).toBeLessThan(240);

	// The last place is taken: whoever comes now waits.
	const later = await (await browser.newContext({ baseURL: site })).newPage();
	await later.goto(new URL(address).pathname);
	await ready(later);
	await later.getByLabel('Your name').fill('Okello Marwa');
	await later.getByLabel('Email address').fill('okello@hutseason.example');
	await later.getByLabel('Time zone').fill('Africa/Kampala');
	await later.getByRole('button', { name: 'Put me on the waiting list' }).click();
	await expect(later.getByText('Check your email')).toBeVisible();
	await later.goto(linkMailedTo('okello@hutseason.example', parallelIndex));
	await ready(later);
	await later.getByRole('button', { name: 'Put me on the waiting list' }).click();
	await expect(later.getByText('You’re on the list')).toBeVisible();
	await later.context().close();
	await page.reload();
	await expect(page.getByText('Okello Marwa')).toBeVisible();

	await phone.goto('/me/data');
	await ready(phone);
	await noBarriers(phone, 'my data');
	const file = await phone.request.get('/me/data.json');
	expect(await file.json()).toMatchObject({ person: { name: 'Tindra Vesk' } });
	await phone.getByRole('button', { name: 'Delete my data' }).click();
	await expect(phone.getByRole('alert')).toContainText('Type Tindra Vesk');
	await phone.getByLabel(/to confirm/).fill('tindra vesk');
	await phone.getByRole('button', { name: 'Delete my data' }).click();
	await phone.waitForURL('**/sign-in');
	await phone.goto('/me');
	await phone.waitForURL('**/sign-in**');
	await context.close();
});

test('the group as a whole suggests whom the plan is made for', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'The group' }).click();
	await ready(page);
	await noBarriers(page, 'the group');
	await expect(page.getByRole('list', { name: /Hours of the day/ }).getByRole('listitem')).toHaveCount(24);
	await page.getByRole('button', { name: 'Make the plan for it' }).click();
	await expect(page.getByText('The plan is made for this group.')).toBeVisible();
});

test('notes and documents about somebody are the coach’s alone', async ({ page, demo }) => {
	await asCoach(page, demo);
	await openPlace(page, 'People');
	await page.getByRole('link', { name: 'Zofia Brandys' }).click();
	await ready(page);
	await page.getByLabel('A new note').fill('Asked for more pulls.');
	await page.getByRole('button', { name: 'Add note' }).click();
	const notes = page.getByRole('region', { name: 'Private notes' });
	await expect(notes.getByRole('listitem')).toContainText('Asked for more pulls.');
	await page.getByText('Documents, 0').click();
	const file = page.getByLabel(/A clearance or the like/);
	await file.setInputFiles({
		name: 'clearance.pdf',
		mimeType: 'application/pdf',
		buffer: Buffer.from('hello')
	});
	await page.getByRole('button', { name: 'Add document' }).click();
	await expect(page.getByRole('alert')).toContainText('“clearance.pdf” is no PDF, JPEG or PNG');
	const pdf = Buffer.from('%PDF-1.7 yes');
	await file.setInputFiles({ name: 'clearance.pdf', mimeType: 'application/pdf', buffer: pdf });
	await page.getByRole('button', { name: 'Add document' }).click();
	const link = page.getByRole('link', { name: 'clearance.pdf' });
	const answer = await page.request.get((await link.getAttribute('href')) ?? '');
	expect(answer.headers()['content-disposition']).toContain('attachment');
	expect(await answer.body()).toEqual(pdf);
	await noBarriers(page, 'a person with notes and documents');
	await page
		.getByRole('listitem')
		.filter({ hasText: 'clearance.pdf' })
		.getByRole('button', { name: 'Delete' })
		.click();
	await expect(page.getByText('Documents, 0')).toBeVisible();
});

test('the questions keep each change, ask about a weight that was not added, and the phone’s Back goes one section back', async ({
	demo,
	browser
}) => {
	const phone = await phoneOf(browser, demo, 'Oren Falkestad');
	const context = phone.context();
	await phone.goto('/me/intake');
	await ready(phone);
	const open = () => phone.getByRole('button', { name: 'Something has changed' }).click();
	const heading = (name: string) =>
		expect(phone.getByRole('heading', { name, level: 1, exact: true })).toBeVisible();
	await open();
	await heading('You');
	await phone.getByLabel('Name others will see').fill('Oren of the ridge');
	await phone.reload();
	await ready(phone);
	await open();
	await expect(phone.getByLabel('Name others will see')).toHaveValue('Oren of the ridge');
	await phone.getByRole('button', { name: 'Next' }).click();
	await heading('Your training');
	await phone.getByRole('button', { name: 'Next' }).click();
	await heading('What you have');
	await phone.getByLabel('How heavy, kg').fill('14');
	await phone.getByRole('button', { name: 'Next' }).click();
	const asks = phone.getByRole('alert').filter({ hasText: 'You typed a weight but haven’t added it' });
	await expect(asks).toBeVisible();
	await asks.getByRole('button', { name: 'Add it' }).click();
	await expect(phone.getByText('pair of dumbbells 14 kg').first()).toBeVisible();
	await phone.goBack();
	await heading('Your training');
	await phone.goBack();
	await heading('You');
	await expect(phone.getByLabel('Name others will see')).toHaveValue('Oren of the ridge');
	await context.close();
});
