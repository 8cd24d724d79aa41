import {
	blocks,
	expect,
	newSession,
	openPlace,
	openSession,
	ready,
	save,
	asCoach,
	test,
	total,
	typeBlock
} from './support';

test.beforeEach(async ({ page, demo }) => {
	await asCoach(page, demo);
});

test('typing is completed, shown before it is taken, and every format is understood', async ({ page }) => {
	await newSession(page, 'Every format', []);
	const line = page.getByLabel('Type a block');
	await line.pressSequentially('3 x 10 gob');
	await expect(page.getByRole('option', { name: /Goblet squat/ })).toBeVisible();
	await line.press('Tab');
	await expect(line).toHaveValue('3 x 10 Goblet squat ');
	await line.pressSequentially('3-1-1 @ 12 kg, rest 90');
	// 3 × 50 + 2 × 90 s
	await expect(page.getByText('→ 5:30')).toBeVisible();
	await line.press('Enter');
	for (const typed of [
		'superset 2 rounds: 10 push-up + 10 bent-over row @ 8 kg',
		'circuit 1 round 30/15: squat + bird dog per side',
		'emom 4 min: 8 swing @ 10 kg / 6 push-up',
		'for time 2 rounds, limit 6 min: 10 squat + 8 push-up',
		'amrap 5 min: 10 squat + 8 push-up',
		'stations 1 round, 60 s each, 10 change: 8 squat + 20 s plank / 8 push-up + 20 s wall sit',
		'steady 10 min at 135-150 bpm: brisk walk',
		'hiit 4 x 20/40: fast feet',
		'warm-up: circuit 1 round 40/10: march on the spot',
		'cool-down: holds, rest 5: 30 s per side calf stretch'
	])
		await typeBlock(page, typed);
	await expect(blocks(page)).toHaveText([
		'Warm-up',
		'Straight sets',
		'Superset',
		'Interval circuit',
		'EMOM',
		'For time',
		'AMRAP',
		'Stations',
		'Steady cardio',
		'HIIT',
		'Cool-down'
	]);
	await line.fill('emom 8 min: 40 goblet squat 3-1-1');
	await expect(page.locator('mark')).toBeVisible();
	await expect(page.getByText('leaves no rest in the minute')).toBeVisible();
	await expect(page.getByRole('button', { name: 'add', exact: true })).toBeDisabled();
	await save(page);
	await expect(blocks(page)).toHaveCount(11);
});

test('with the keyboard alone: build, change, move, undo and save', async ({ page }) => {
	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'New session' }).focus();
	await page.keyboard.press('Enter');
	await page.waitForURL('**/build/new');
	await ready(page);
	await page.getByLabel('Name of the session').focus();
	await page.keyboard.type('By keys');
	await page.getByLabel('Type a block').focus();
	for (const line of ['3 x 10 squat, rest 60', '3 x 10 curl @ 8 kg, rest 60']) {
		await page.keyboard.type(line);
		await page.keyboard.press('Enter');
	}
	const parts = page.getByRole('list', { name: 'Blocks' }).locator('b.truncate');
	await expect(parts).toHaveText(['Squat', 'Curl']);
	// The grip takes a block up with Enter, the arrows move it, Enter lays it down.
	await page.getByLabel('Move block 2').focus();
	await page.keyboard.press('Enter');
	await page.keyboard.press('ArrowUp');
	await page.keyboard.press('Enter');
	await expect(parts).toHaveText(['Curl', 'Squat']);
	await page.getByLabel('Type a block').focus();
	await page.getByRole('button', { name: 'Undo' }).focus();
	await page.keyboard.press('Enter');
	await expect(parts).toHaveText(['Squat', 'Curl']);
	await page.keyboard.press('Control+Shift+Z');
	await expect(parts).toHaveText(['Curl', 'Squat']);
	await page.getByLabel('More for block 1').focus();
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: 'Join with the next as superset' }).focus();
	await page.keyboard.press('Enter');
	await expect(blocks(page)).toHaveText(['Superset']);
	await page.getByRole('button', { name: 'Save session' }).focus();
	await page.keyboard.press('Enter');
	await page.waitForURL(/build\/[0-9a-f-]{36}$/);
	await expect(blocks(page)).toHaveText(['Superset']);
});

test('dragging lays a block elsewhere; copies, splits, repeats and their undoing', async ({ page }) => {
	await newSession(page, 'Moved about', [
		'3 x 10 squat, rest 60',
		'superset 2 rounds: 10 push-up + 8 curl @ 8 kg',
		'2 x 30 s plank, rest 30'
	]);
	const from = await page.getByLabel('Move block 3').boundingBox();
	const to = await page.getByLabel('Move block 1').boundingBox();
	if (!from || !to) throw new Error('no grips');
	await page.mouse.move(from.x + 5, from.y + 8);
	await page.mouse.down();
	await page.mouse.move(from.x + 5, from.y - 20, { steps: 5 });
	await page.mouse.move(to.x + 5, to.y - 6, { steps: 20 });
	await page.mouse.move(to.x + 5, to.y - 8, { steps: 5 });
	await page.mouse.up();
	const first = page.getByRole('list', { name: 'Blocks' }).locator('b.truncate').first();
	await expect(first).toHaveText('Plank');
	// The picture that was dragged is gone once it has settled.
	await expect(page.getByLabel('More for block 3')).toHaveCount(1);
	await page.getByLabel('More for block 3').click();
	await page.getByRole('button', { name: 'Split into single exercises' }).click();
	await expect(blocks(page)).toHaveCount(4);
	await page.getByLabel('More for block 1').click();
	await page.getByRole('button', { name: 'Repeat this block' }).click();
	await page.getByLabel('How many times').fill('3');
	await page.getByLabel('Last block of the repeat').fill('2');
	await expect(page.getByLabel('Timeline').getByText(/ 3\/3/).first()).toBeVisible();
	await page.getByLabel('More for block 4').click();
	await page.getByRole('button', { name: 'Duplicate' }).click();
	await expect(blocks(page)).toHaveCount(5);
	await page.getByLabel('More for block 5').click();
	await page.getByRole('button', { name: 'Remove' }).click();
	await expect(blocks(page)).toHaveCount(4);
	const undo = page.getByRole('button', { name: 'Undo' });
	while (await undo.isEnabled()) await undo.click();
	await expect(blocks(page)).toHaveCount(0);
});

test('fields say what lines say: load, tempo, choice, partial, drop, set-up, minutes and heart rate', async ({
	page
}) => {
	await newSession(page, 'By fields', ['3 x 10 curl @ 8 kg, rest 60']);
	await page.getByRole('button', { name: 'Edit' }).click();
	await page.getByLabel('how much').fill('12');
	await page.getByLabel('load, kg').fill('10');
	await page.getByLabel('tempo').fill('slow');
	await page.getByLabel('tempo').blur();
	await expect(page.getByText('three or four numbers of seconds')).toBeVisible();
	await page.getByLabel('tempo').fill('2-0-1');
	await page.getByLabel('tempo').blur();
	await page.getByLabel('or else').selectOption('seconds');
	await page.getByLabel('each one').selectOption('1¼');
	await page.getByLabel('drops').selectOption('drop set');
	await page.getByLabel('times', { exact: true }).fill('2');
	await page.getByLabel('less each, %').fill('25');
	await page.getByLabel('set up before it').fill('swap to the light pair');
	await page.getByLabel('takes, s').fill('15');
	// sets 3 × 12 × 3 × 1.25 = 135, rests 120, drops 2 × (5 + 45), set-up 15
	await expect(total(page)).toHaveText('6:10');
	await page.getByRole('button', { name: 'As text' }).click();
	await expect(page.getByLabel('The session as text')).toHaveValue(
		'setup 15 s: swap to the light pair\n3 x 12 reps or 40 s 1¼ Curl 2-0-1-0 @ 10 kg, drop 2 x 25% on last, rest 60\n'
	);
	await page
		.getByLabel('The session as text')
		.fill('amrap 12 min: 10 squat\nsteady 20 min, talk test: brisk walk');
	await page.getByRole('button', { name: 'Use this text' }).click();
	await page.getByRole('button', { name: 'Edit' }).first().click();
	await page.getByLabel('length, min:s').fill('10:30');
	await page.getByLabel('length, min:s').blur();
	await page.getByRole('button', { name: 'Edit' }).first().click();
	await page.getByRole('combobox', { name: /^effort/ }).selectOption('by heart rate');
	await page.getByLabel('from, bpm').fill('160');
	await expect(page.getByText('lies under the upper one').first()).toBeVisible();
	await expect(page.getByRole('button', { name: 'Save session' })).toBeDisabled();
	await page.getByLabel('to, bpm').fill('170');
	// 10:30 + 30 s way + 20 min
	await expect(total(page)).toHaveText('31:00');
});

test('what is not clear is asked, and one press answers it', async ({ page }) => {
	await newSession(page, 'As typed', []);
	const line = page.getByLabel('Type a block');
	await line.fill('goblet sqaut 3x8-12 @ 12, RPE 7-8');
	await expect(page.getByText('did you mean Goblet squat?')).toBeVisible();
	await page.getByRole('button', { name: 'Goblet squat', exact: true }).click();
	await page.getByRole('button', { name: '@ 12 kg', exact: true }).click();
	await expect(line).toHaveValue('Goblet squat 3x8-12 @ 12 kg, RPE 7-8');
	await line.press('Enter');
	await expect(page.getByText('8-12 reps')).toBeVisible();
	await line.fill('rows 3x10');
	await page.getByRole('button', { name: 'Band row', exact: true }).click();
	await line.press('Enter');
	await line.fill('3 x 8 sled drag');
	await page.getByRole('button', { name: /as an exercise of my own/ }).click();
	await line.press('Enter');
	await page.getByRole('button', { name: 'As text' }).click();
	await expect(page.getByLabel('The session as text')).toHaveValue(
		'3 x 8-12 reps Goblet squat @ 12 kg effort 7-8, rest 60\n3 x 10 reps Band row, rest 60\n3 x 8 reps "sled drag", rest 60\n'
	);
});

test('a session pasted as it was written down gives its blocks and its name', async ({ page }) => {
	await newSession(page, '', []);
	await page.getByRole('button', { name: 'As text' }).click();
	await page
		.getByLabel('The session as text')
		.fill(
			'Hut legs\n\nWarm-up\n- 2 min march\n\nMain\nA1 Goblet squat 3x10 @ 12kg\nA2 Push-ups 3x8\nRest 75 s\n\n3 rounds:\n- 10 swings\n- 8 flurbs'
		);
	const fault = page.getByRole('listitem').filter({ hasText: 'line 13' });
	await expect(fault).toContainText('is not an exercise of your library');
	await page.getByLabel('The session as text').press('ControlOrMeta+End');
	await page.keyboard.press('Backspace');
	for (let i = 0; i < 5; i++) await page.keyboard.press('Backspace');
	await page.keyboard.type('curls');
	await expect(page.getByText('“Hut legs” is taken as the name of the session.')).toBeVisible();
	await page.getByRole('button', { name: 'Use this text' }).click();
	await expect(page.getByLabel('Name of the session')).toHaveValue('Hut legs');
	for (const title of ['Warm-up', 'Superset', 'Rounds'])
		await expect(page.getByText(title, { exact: true }).first()).toBeVisible();
});

test('wrong numbers are named, keep what was typed, and cannot be saved', async ({ page }) => {
	await newSession(page, 'Wrong', ['3 x 10 squat, rest 60']);
	await page.getByRole('button', { name: 'Edit' }).click();
	for (const [wrong, says] of [
		['0', 'from 1 to 50'],
		['-3', 'from 1 to 50'],
		['2.5', 'whole number'],
		['99999', '99,999 sets']
	] as const) {
		await page.getByLabel('sets', { exact: true }).fill(wrong);
		await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
		await expect(page.getByLabel('sets', { exact: true })).toHaveValue(wrong);
		await expect(page.getByRole('button', { name: 'Save session' })).toBeDisabled();
	}
});

test('a draft outlives the window, and is offered again until it is saved', async ({ page, context }) => {
	await openSession(page, 'Valley circuit');
	await typeBlock(page, '2 x 10 curl @ 6 kg, rest 30');
	await expect(page.getByText('draft kept')).toBeVisible();
	const address = page.url();
	await page.reload();
	await ready(page);
	await expect(blocks(page)).toHaveCount(4);
	await page.close();
	const again = await context.newPage();
	await again.goto(address);
	await ready(again);
	await expect(again.getByText(/A draft of .* was not saved/)).toBeVisible();
	await expect(blocks(again)).toHaveCount(3);
	await again.getByRole('button', { name: 'Take it up' }).click();
	await expect(blocks(again)).toHaveCount(4);
	await again.getByRole('button', { name: 'Undo' }).click();
	await expect(blocks(again)).toHaveCount(3);
	await again.reload();
	await ready(again);
	await expect(again.getByText(/was not saved/)).toHaveCount(0);
});

test('checks come with remedies that mend; a session is fitted to its minutes', async ({ page }) => {
	await newSession(page, 'Mended', [
		'emom 8 min: 6 per side step-up 2-0-2 @ 8 kg',
		'30 x 10 overhead press 2-0-1 @ 6 kg, rest 45'
	]);
	const checks = page.getByRole('region', { name: /Checks/ });
	await checks.getByRole('button', { name: 'Use 5 per side Step-up' }).click();
	await expect(checks.getByText('Minute 1 leaves')).toHaveCount(0);
	for (const missing of ['No warm-up', 'No cool-down']) {
		const found = checks.locator('li').filter({ hasText: missing });
		await found.getByRole('button', { name: 'Add one that fits the work' }).click();
		await expect(found).toHaveCount(0);
	}
	await expect(blocks(page).first()).toHaveText('Warm-up');
	await expect(blocks(page).last()).toHaveText('Cool-down');
	await checks.getByRole('button', { name: /^Add \d × \d+ .*row/ }).click();
	await expect(page.getByText(/row$/i).first()).toBeVisible();
	await page.getByRole('button', { name: 'Fit to 30 min' }).click();
	const fit = page.getByRole('region', { name: 'Ways to fit' });
	await fit.getByLabel('Minutes to fit into').fill('40');
	await fit.getByRole('button', { name: 'Take it' }).first().click();
	const [minutes, seconds] = (await total(page).innerText()).split(':').map(Number);
	expect(Math.abs((minutes ?? 0) * 60 + (seconds ?? 0) - 2400)).toBeLessThanOrEqual(48);
	await page.getByRole('button', { name: 'Fit to 30 min' }).click();
	await fit.getByLabel('Minutes to fit into').fill('2');
	await expect(fit.getByText(/is the nearest/)).toBeVisible();
});

test('the timeline is read by pointer and by keys, and zoomed', async ({ page }) => {
	await openSession(page, 'Ridge load');
	const bar = page.getByRole('slider', { name: 'Moment of the session' });
	await bar.focus();
	await page.keyboard.press('ArrowRight');
	await expect(bar).toHaveAttribute(
		'aria-valuetext',
		/^0:00 to 0:30 · March with arms up · 30 s · warm-up, round 1 of 2/
	);
	await page.keyboard.press('End');
	await expect(bar).toHaveAttribute('aria-valuetext', /Child rest/);
	await page.keyboard.press('+');
	await page.keyboard.press('+');
	await expect(page.getByText('4×')).toBeVisible();
	const box = await bar.boundingBox();
	if (!box) throw new Error('no timeline');
	await page.keyboard.press('Escape');
	await page.mouse.move(box.x + 300, box.y + 40);
	await expect(bar).toHaveAttribute('aria-valuetext', / to .* · /);
});

test('seen as another level and kit, what changes is marked and nothing is edited', async ({ page }) => {
	await openSession(page, 'Ridge load');
	await page.getByLabel('Level').selectOption('easier');
	await page.getByLabel('Equipment', { exact: true }).selectOption('nothing');
	await expect(page.getByText('was Goblet squat: one step easier')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Edit', exact: true })).toHaveCount(0);
	await page.getByRole('button', { name: 'Back to editing' }).click();
	await expect(page.getByText('Goblet squat').first()).toBeVisible();
	await expect(page.getByRole('button', { name: 'Save as version 3' })).toBeDisabled();
});

test('many pasted lines are read together, as far as a session goes', async ({ page }) => {
	await newSession(page, 'Pasted', []);
	const paste = (text: string) =>
		page.getByLabel('Type a block').evaluate((input, data) => {
			const clipboardData = new DataTransfer();
			clipboardData.setData('text', data);
			input.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
		}, text);
	await paste('3 x 10 squat\n3 x 10 push-up\n');
	await page.getByRole('button', { name: 'Add 2 blocks' }).click();
	await expect(blocks(page)).toHaveCount(2);
	await paste('3 x 10 squat\n'.repeat(10_000));
	await expect(page.getByText(/at most 60 blocks: 9941 lines/)).toBeVisible();
	await expect(page.getByRole('button', { name: /^Add/ }).first()).toBeDisabled();
});
