import type { Page } from '@playwright/test';
import { noBarriers } from './barriers';
import { expect, openAnnouncements, openPlace, ready, asCoach, test, openLink } from './support';

test.beforeEach(async ({ page, demo }) => {
	await asCoach(page, demo);
});

/** The plan of the challenge that begins in some weeks: nothing of it is released. */
const openSpring = (page: Page) => openPlace(page, 'Plan', 'Spring Ridge, eight weeks');
const cell = (page: Page, day: number) => page.getByRole('gridcell', { name: new RegExp(`^Day ${day},`) });
const part = async (page: Page, name: string) => {
	await page.getByRole('navigation', { name: 'Parts of the plan' }).getByRole('link', { name }).click();
	await ready(page);
};

test('a day is dragged onto another: what it breaks is said before it is dropped, and it is undone', async ({
	page
}) => {
	await openSpring(page);
	await expect(cell(page, 1)).toContainText('Carry test');
	await expect(cell(page, 2)).toContainText('Pull and press');
	await cell(page, 2).hover();
	await page.mouse.down();
	await cell(page, 5).hover();
	await cell(page, 5).hover();
	await expect(page.getByText('Swap day 2 and 5.')).toBeVisible();
	await page.mouse.up();
	await expect(cell(page, 2)).toContainText('Every minute');
	await expect(cell(page, 5)).toContainText('Pull and press');
	await expect(page.getByText('changed', { exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(cell(page, 2)).toContainText('Pull and press');
	await expect(page.getByRole('button', { name: 'Save plan' })).toBeDisabled();
});

test('by keys alone: move, copy, choose, lay a week over others, and save', async ({ page }) => {
	await openSpring(page);
	await cell(page, 1).focus();
	await page.keyboard.press('ArrowRight');
	await expect(cell(page, 2)).toBeFocused();
	await page.keyboard.press('c');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowRight');
	await expect(page.getByText('Copy day 2 to 4.')).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(cell(page, 4)).toContainText('Pull and press');
	await page.keyboard.press('Shift+ArrowRight');
	await expect(page.getByRole('heading', { name: '2 days' })).toBeVisible();
	await page.keyboard.press('m');
	await expect(page.getByText('Choose where it goes')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByText('Choose where it goes')).toBeHidden();
	await page.getByRole('button', { name: 'Week 1' }).press('Enter');
	await page.getByLabel('Lay it over week').first().selectOption('2');
	await page.getByRole('button', { name: 'Lay', exact: true }).first().click();
	await expect(cell(page, 11)).toContainText('Pull and press');
	await page.getByRole('button', { name: 'Save plan' }).press('Enter');
	await expect(page.getByText('The plan is saved.')).toBeVisible();
	await page.reload();
	await expect(cell(page, 11)).toContainText('Pull and press');
	// A second save begins from the first one.
	await cell(page, 11).click();
	await page.getByLabel('Kind of day').selectOption('rest');
	await page.getByRole('button', { name: 'Save plan' }).click();
	await expect(page.getByText('The plan is saved.')).toBeVisible();
});

test('a rule makes the weeks harder, runs into a wall, and a way is offered', async ({ page }) => {
	await openSpring(page);
	await cell(page, 1).click();
	await cell(page, 7).click({ modifiers: ['Shift'] });
	await page.getByRole('button', { name: 'Week 1' }).click();
	await page.getByLabel('Lay it over week').first().selectOption('all of them');
	await page.getByRole('button', { name: 'Lay', exact: true }).first().click();
	await part(page, 'Progression and tests');
	await page.getByRole('button', { name: 'Add a rule' }).click();
	await page.getByLabel('About').selectOption({ label: 'Overhead press' });
	await page.getByLabel('Each step').selectOption('more load');
	await page.getByLabel('kg', { exact: true }).fill('4');
	await page.getByLabel('kg', { exact: true }).press('Tab');
	const row = page.getByRole('row', { name: /Overhead press: load/ });
	await expect(row).toContainText('8 kg12 kg16 kg20 kg24 kg');
	await part(page, 'Weeks and days');
	const wall = page.getByText(/Week 5, Pull and press: Overhead press at 24 kg/);
	await expect(wall).toBeVisible();
	await page.getByRole('button', { name: 'Go on slower instead of heavier' }).click();
	await expect(wall).toBeHidden();
	await part(page, 'Progression and tests');
	await page
		.getByRole('button', { name: 'Overhead press: +4 kg every week from week 2 to week 4' })
		.first()
		.click();
	await page.getByLabel('lighter weeks').check();
	await expect(page.getByRole('columnheader', { name: 'week 4, lighter' }).first()).toBeVisible();
});

test('a day put in makes the challenge longer for those who are in it; released days stay', async ({
	page
}) => {
	await openPlace(page, 'Plan');
	await cell(page, 24).click();
	await expect(page.getByText('Day 24 is released.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Put a rest day before it' })).toBeDisabled();
	await cell(page, 29).click();
	await page.getByRole('button', { name: 'Put a rest day before it' }).click();
	await expect(page.getByText(/1\s+day\s+longer, for \d+ people from day 25 on/)).toBeVisible();
	await expect(cell(page, 30)).toContainText('Ridge load');
	await cell(page, 23).focus();
	await page.keyboard.press('m');
	await page.keyboard.press('ArrowRight');
	await expect(page.getByText('That day is released and keeps its place.')).toBeVisible();
	// Who goes elsewhere and comes back finds it as it was.
	await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Roll' }).click();
	await page.waitForURL('**/roll');
	await openPlace(page, 'Plan');
	await expect(page.getByText(/1\s+day\s+longer, for \d+ people from day 25 on/)).toBeVisible();
});

test('an edited plan is kept as a draft until it is saved, and a challenge without sessions takes a template', async ({
	page
}) => {
	await page.goto('/challenges/new');
	await ready(page);
	await page.getByLabel('Name').fill('Empty at first');
	await page.getByLabel('Goal').fill('Find a template');
	await page.getByRole('button', { name: 'Make the challenge' }).click();
	await page.waitForURL('**/plan');
	await ready(page);
	await cell(page, 1).click();
	await page.getByLabel('Kind of day').selectOption('cardio');
	await expect(page.getByText('draft kept')).toBeVisible();
	await page.reload();
	await ready(page);
	await expect(page.getByText('draft kept')).toBeVisible();
	await expect(cell(page, 1)).toHaveAccessibleName(/cardio/);
	await page.getByLabel('Template', { exact: true }).selectOption('daily-21');
	await expect(page.getByRole('button', { name: 'Apply template' })).toBeDisabled();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('is then 21 days long, not 42')).toBeVisible();
	await page.getByRole('button', { name: 'Apply template' }).click();
	await expect(page.getByText('21 days, ')).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Start from a template' })).toHaveCount(0);
	await part(page, 'Progression and tests');
	await page.getByRole('button', { name: 'Build their session' }).click();
	await expect(page.getByText('“Test day” takes them one after the other')).toBeVisible();
});

test('what is ahead is shifted for all, with an announcement', async ({ page }) => {
	await openSpring(page);
	await cell(page, 3).click();
	await page.getByRole('radio', { name: 'Shift' }).check();
	await page.getByLabel('Reason that people read').fill('Snow on the road');
	await page.getByLabel('Post it as an announcement').check();
	await page.getByRole('button', { name: 'Shift', exact: true }).click();
	await expect(page.getByText('57 days, ')).toBeVisible();
	await expect(cell(page, 3)).toContainText('cancelled: Snow on the road');
	await expect(cell(page, 4)).toContainText('Stair intervals');
	await openAnnouncements(page);
	await expect(page.getByText(/1 day of rest from day 3 .* on: Snow on the road/)).toBeVisible();
	// Back as it was, for the tests after this one.
	await openSpring(page);
	await cell(page, 3).click();
	await page.getByRole('button', { name: 'Restore it' }).click();
	await page.getByRole('button', { name: 'Take the day out' }).click();
	await page.getByRole('button', { name: 'Save plan' }).click();
	await expect(page.getByText('The plan is saved.')).toBeVisible();
	await expect(page.getByText('56 days, ')).toBeVisible();
});

test('a new challenge starts from a template, with sessions, tests and what makes them harder', async ({
	page
}) => {
	await page.goto('/challenges/new');
	await ready(page);
	await page.getByRole('radio', { name: /^28 days, five and a free weekend/ }).check();
	await expect(page.getByRole('spinbutton', { name: 'Weeks' })).toHaveValue('4');
	await expect(page.getByRole('button', { name: 'Sat' })).toHaveAttribute('aria-pressed', 'false');
	await page.getByLabel('Name').fill('First month');
	await page.getByLabel('Goal').fill('Thirty squats in a minute');
	await page.getByRole('button', { name: 'Make the challenge' }).click();
	await page.waitForURL('**/plan');
	await ready(page);
	await expect(cell(page, 1)).toContainText('Where you stand');
	await expect(cell(page, 2)).toContainText('Push and trunk');
	await part(page, 'Progression and tests');
	await expect(page.getByText('Legs and pull: +1 rep every week from week 2').first()).toBeVisible();
	await expect(page.getByText('on day 1, 15, 26').first()).toBeVisible();
});

test('a day is cancelled for everyone, people read why, and it is restored', async ({
	page,
	demo,
	browser,
	site
}) => {
	await openPlace(page, 'Plan');
	await cell(page, 24).click();
	await page.getByLabel('Reason that people read').fill('Storm over the ridge');
	await page.getByRole('button', { name: 'Cancel', exact: true }).click();
	await expect(cell(page, 24)).toContainText('cancelled: Storm over the ridge');
	const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL: site });
	await openLink(phone, `/join/${demo.links['Noor Bastani']}`);
	await expect(phone.getByText('Today is cancelled for everyone')).toBeVisible();
	await page.getByRole('button', { name: 'Restore it' }).click();
	await expect(cell(page, 24)).not.toContainText('cancelled');
	await phone.reload();
	await expect(phone.getByRole('link', { name: 'Check in for day 24' })).toBeVisible();
	await phone.close();
});

test('a week is looked at closely: what it comes to, and what checks find in it', async ({ page }) => {
	await openPlace(page, 'Plan');
	await page.getByRole('button', { name: 'Week 5' }).click();
	await page.getByRole('button', { name: 'What it comes to' }).click();
	const week = page.getByRole('region', { name: /^Week 5/ });
	await expect(week).toContainText(/Load\s*\d+ [+−±]\d+ % on week 3/);
	await expect(week.getByRole('row', { name: /chest/ })).toContainText(/\d+ days?/);
	await expect(week.getByText(/hard on days \d+ and \d+/)).toBeVisible();
	await noBarriers(page, 'week');
	await week.getByRole('button', { name: 'The week before' }).click();
	await expect(page.getByRole('region', { name: /^Week 4/ })).toContainText('lighter');
	await page.getByRole('button', { name: 'Close the week' }).click();
	await expect(page.getByRole('region', { name: /^Week 4/ })).toHaveCount(0);
});

test('no barriers in Plan', async ({ page }) => {
	await openPlace(page, 'Plan');
	await cell(page, 29).click();
	await noBarriers(page, 'plan');
	await part(page, 'Progression and tests');
	await page
		.getByRole('button', { name: /Overhead press/ })
		.first()
		.click();
	await noBarriers(page, 'progression');
	await part(page, 'Charts');
	await expect(page.getByRole('img', { name: /Planned load by week/ }).first()).toBeVisible();
	await noBarriers(page, 'charts');
});
