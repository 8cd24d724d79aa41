/** Writing to several, what goes wrong with mail, pain that is decided about, form checks, measures and photographs. */
import sharp from 'sharp';
import { noBarriers } from './barriers';
import { asCoach, expect, openPlace, phoneOf, reachOut, ready, test } from './support';

const picture = () =>
	sharp({ create: { width: 400, height: 500, channels: 3, background: '#4d5f7a' } })
		.png()
		.toBuffer();

/** In the demo from the first day. */
const WRITTEN_TO = ['Aroha Pene', 'Bao Trinh'];

test('a coach writes to several, sees what each will read, plans it and takes it back', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Post');
	await noBarriers(page, 'Post');
	const preview = page.getByRole('region', { name: 'Preview' });
	await page.getByLabel('Subject').fill('Day {day}, {nam}');
	await expect(page.getByText('Subject: there is no field {nam}; did you mean {name}?')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Send to/ })).toBeDisabled();
	await page.getByLabel('Subject').fill('Day {day}, {name}');
	await page.getByLabel('Message').fill('Team {team}: half counts as half.');
	const first = await preview.getByText(/^as .+ reads it/).innerText();
	await preview.getByRole('button', { name: 'Next' }).click();
	await expect(preview.getByText(/^as .+ reads it/)).not.toHaveText(first);
	await expect(preview.getByText(/^Team .+: half counts as half\.$/)).toBeVisible();
	// Others of this browser's tests may have enrolled people without a team or a day yet.
	await page.locator('select[name=to]').selectOption('people');
	for (const name of WRITTEN_TO) await page.getByRole('checkbox', { name }).check();
	await page.getByLabel('Send later').check();
	await page.getByRole('button', { name: 'Plan for 2 people' }).click();
	await expect(page.getByRole('status')).toContainText('2 messages are planned.');
	const row = page.getByRole('row').filter({ hasText: 'Day {day}, {name}' });
	await expect(row).toContainText('their clock');
	await row.getByRole('button', { name: 'Take back' }).click();
	await expect(page.getByRole('status')).toContainText('taken back before going out');
	await expect(row).toContainText('taken back');

	// Mail that did not get through says what the other side said.
	await expect(page.getByText('550 5.1.1 There is no mailbox of this name')).toBeVisible();

	await page.getByRole('link', { name: 'Tone, hours and rules' }).click();
	await page.waitForURL('**/post/settings');
	await ready(page);
	await noBarriers(page, 'Post settings');
	await page.getByLabel('Warm: with an offer and a kind word').check();
	await page.getByLabel('Greeting').fill('Hei {name},');
	const example = page.getByRole('region', { name: 'A draft for three missed days' });
	await expect(example).toContainText('Hei Tamsin,');
	await expect(example).toContainText('No hurry with the answer.');
	await page.getByRole('button', { name: 'Send a test' }).click();
	await expect(page.getByText('It went.')).toBeVisible();
});

test('pain told on the phone is decided about by the coach, and a warning sign holds everything', async ({
	browser,
	page,
	demo
}) => {
	const me = await phoneOf(browser, demo, 'Aroha Pene');
	await me.goto('/me/stop');
	await ready(me);
	await noBarriers(me, 'stop');
	await me.getByLabel('palpitations').check();
	await me.getByRole('button', { name: 'Tell my coach, and hold my sessions' }).click();
	await expect(me.getByRole('heading', { name: 'Your coach knows' })).toBeVisible();
	await me.goto('/me');
	await ready(me);
	await expect(me.getByText('Don’t train for now')).toBeVisible();

	await asCoach(page, demo);
	await reachOut(page, 'Aroha Pene');
	const sign = page.getByRole('region', { name: 'Warning sign to decide about' });
	await expect(sign).toContainText('“palpitations”');
	await sign.getByRole('button', { name: 'Somebody qualified said yes' }).click();
	await expect(sign.getByRole('alert')).toContainText('Say who said yes');
	await sign.getByLabel('Who said yes, and when').fill('Dr Tui, this morning');
	await sign.getByRole('button', { name: 'Somebody qualified said yes' }).click();
	await expect(sign).toHaveCount(0);
	await me.reload();
	await ready(me);
	await expect(me.getByText('Don’t train for now')).toHaveCount(0);
	await me.context().close();
});

test('measures, photographs and a form check are sent from the phone, and answered with a mark', async ({
	browser,
	page,
	demo
}) => {
	const me = await phoneOf(browser, demo, 'Oren Falkestad');
	await me.goto('/me/body');
	await ready(me);
	await noBarriers(me, 'measures');
	await me.getByRole('textbox', { name: 'In kg' }).fill('8');
	await me.getByRole('button', { name: 'Keep' }).click();
	await expect(me.getByRole('alert')).toContainText('Weight: from 25 to 350 kg');
	await expect(me.getByRole('textbox', { name: 'In kg' })).toHaveValue('8');
	await me.getByRole('button', { name: 'Simulated scale' }).click();
	await expect(me.getByText('Read from the scale.')).toBeVisible();
	await me.getByRole('button', { name: 'Keep' }).click();
	await expect(me.getByRole('textbox', { name: 'In kg' })).toHaveValue('');

	await me.goto('/me/photos');
	await ready(me);
	await noBarriers(me, 'photographs');
	await me.getByLabel('How much of the one before is seen, in percent').fill('20');
	await me.getByLabel('Photograph', { exact: true }).setInputFiles({
		name: 'x.svg',
		mimeType: 'image/svg+xml',
		buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')
	});
	await me.getByRole('button', { name: 'Keep' }).click();
	await expect(me.getByRole('alert')).toContainText('no JPEG, PNG or WebP');
	const before = await me.getByRole('button', { name: 'Delete' }).count();
	await me
		.getByLabel('Photograph', { exact: true })
		.setInputFiles({ name: 'me.png', mimeType: 'image/png', buffer: await picture() });
	await me.getByRole('button', { name: 'Keep' }).click();
	await expect(me.getByRole('button', { name: 'Delete' })).toHaveCount(before + 1);

	await me.goto('/me/form');
	await ready(me);
	await noBarriers(me, 'form check');
	await me.getByLabel('Exercise').fill('Plank');
	await me
		.getByLabel('Photograph or clip')
		.setInputFiles({ name: 'plank.png', mimeType: 'image/png', buffer: await picture() });
	await me.getByRole('button', { name: 'Send' }).click();
	await expect(me.getByRole('region', { name: /^Plank,/ })).toContainText('Not answered yet.');

	await asCoach(page, demo);
	await openPlace(page, 'Reach out');
	await page.getByRole('link', { name: 'Form check' }).click();
	await page.waitForURL('**/reach/form');
	await ready(page);
	await noBarriers(page, 'form checks');
	await page.getByRole('button', { name: /Oren Falkestad.*Plank/s }).click();
	await page.getByRole('button', { name: 'Mark a place' }).click({ position: { x: 60, y: 90 } });
	await page.getByLabel('What to mind').fill('Hips down a little.');
	await page.getByRole('button', { name: 'Answer', exact: true }).click();
	await expect(page.getByRole('button', { name: /Oren Falkestad.*Plank, answered/s })).toBeVisible();
	await me.reload();
	await ready(me);
	const mine = me.getByRole('region', { name: /^Plank,/ });
	await expect(mine).toContainText('Hips down a little.');
	await expect(mine.locator('[data-mark]')).toBeVisible();
	await me.context().close();
});

test('the rules are tried on a challenge that is over, and what came of writing is told', async ({
	page,
	demo
}) => {
	await asCoach(page, demo);
	await openPlace(page, 'Reach out');
	await page.getByRole('link', { name: 'What works' }).click();
	await expect(page.getByRole('heading', { name: 'Checked in within two days' })).toBeVisible();
	await noBarriers(page, 'What works');
	await page.getByRole('link', { name: 'Rules', exact: true }).click();
	await page.waitForURL('**/reach/rules');
	await ready(page);
	await page.getByLabel('Fading: points under the week before').fill('none');
	await page.getByRole('button', { name: 'Preview' }).click();
	await expect(page.getByRole('alert')).toContainText(/points of adherence lost/i);
	await page.getByLabel('Fading: points under the week before').fill('20');
	await page.getByLabel('Look back on').selectOption({ label: 'First Load, four weeks' });
	await page.getByRole('button', { name: 'Preview' }).click();
	await expect(page.getByRole('heading', { name: 'First Load, four weeks, over' })).toBeVisible();
	await expect(
		page.getByText(/of \d+ people who dropped out (was|were) named while still there/)
	).toBeVisible();
	await noBarriers(page, 'Rules');
});
