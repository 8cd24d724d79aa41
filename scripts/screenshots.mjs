// npm run screenshots: one picture of each main view in docs/screenshots, from the demo data on a fixed day.
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM, CHROMIUM_FLAGS, ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, fail, ROOT, run } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
process.env.CADREX_DATA = join(ROOT, '.cache', 'screenshots-demo');
process.env.CADREX_FIXED_NOW = '2026-05-13T05:40:00Z';
process.env.PORT = '4178';
rmSync(process.env.CADREX_DATA, { recursive: true, force: true });
await import('./demo.mjs');
const { chromium } = await import('@playwright/test');

const BASE = `http://localhost:${process.env.PORT}`;
const directory = join(ROOT, 'docs', 'screenshots');
rmSync(directory, { recursive: true, force: true });
mkdirSync(directory, { recursive: true });
const { email, password, links } = await (await fetch(`${BASE}/api/demo/sign-in`)).json();
const browser = await chromium.launch({
	executablePath: CHROMIUM,
	args: CHROMIUM_FLAGS
});

/**
 * @param {{ width: number, height: number }} viewport
 * @param {string} [userAgent] of the device that it stands for
 */
async function window(viewport, userAgent) {
	const context = await browser.newContext({
		viewport,
		reducedMotion: 'reduce',
		...(userAgent && { userAgent })
	});
	const page = await context.newPage();
	return {
		page,
		/** @param {string} path */
		go: async (path) => {
			await page.goto(BASE + path);
			await page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });
		},
		/** @param {string} name */
		shoot: (name) => page.screenshot({ path: join(directory, `${name}.png`) }),
		/** For a picture of several: as an address that a page can show. */
		picture: async () => `data:image/png;base64,${(await page.screenshot()).toString('base64')}`
	};
}

/**
 * Several pictures of a phone as one, side by side.
 * @param {string} name @param {string[]} pictures
 */
async function sideBySide(name, pictures) {
	const { page, shoot } = await window({
		width: 390 * pictures.length + 24 * (pictures.length + 1),
		height: 844 + 48
	});
	await page.setContent(
		`<body style="margin:24px;display:flex;gap:24px;background:#d9d5c8">${pictures
			.map((picture) => `<img width="390" height="844" alt="" src="${picture}">`)
			.join('')}</body>`
	);
	await shoot(name);
}

const desk = await window({ width: 1280, height: 800 });
await desk.go('/sign-in');
await desk.page.fill('#email', email);
await desk.page.fill('#password', password);
await desk.page.click('form button');
await desk.page.waitForURL('**/challenges');
const href = await desk.page
	.getByRole('link', { name: 'Hut Season, six weeks', exact: true })
	.getAttribute('href');
const challenge = (href ?? '').replace('/desk', '');
for (const place of ['desk', 'plan']) {
	await desk.go(`${challenge}/${place}`);
	await desk.shoot(place);
}
await desk.go(`${challenge}/roll`);
await desk.page.getByRole('button', { name: 'Rui Quintal' }).click();
await desk.page.getByText('Record a result', { exact: true }).click();
await desk.page.getByRole('button', { name: 'Record', exact: true }).click();
await desk.page.getByRole('status').filter({ hasText: 'Recorded for day' }).waitFor();
await desk.shoot('roll');
await desk.go(`${challenge}/reach`);
await desk.page
	.getByRole('link', { name: /Yelena Dravec/ })
	.first()
	.click();
await desk.page.getByLabel('Answer Yelena').waitFor();
await desk.shoot('reach');
await desk.go(`${challenge}/post`);
await desk.page.getByLabel('Template').selectOption({ label: 'Halfway' });
await desk.shoot('post');
await desk.go(`${challenge}/people`);
const person = await desk.page.getByRole('link', { name: 'Halvard Eik' }).getAttribute('href');
await desk.go(person ?? '');
await desk.shoot('person');
await desk.go(`${challenge}/people/fit?day=26`);
await desk.shoot('fit');
await desk.go(`${challenge}/lead/26`);
await desk.page.keyboard.press(' ');
while ((await desk.page.getByText('EMOM').count()) === 0) {
	await desk.page.keyboard.press('ArrowRight');
	await desk.page.waitForTimeout(400);
}
await desk.page.keyboard.press(' ');
await desk.shoot('lead');
await desk.go(`${challenge}/plan?show=progression`);
await desk.page.getByRole('button', { name: /^Overhead press/ }).click();
await desk.shoot('progression');
await desk.go(`${challenge}/plan?show=try`);
await desk.page.getByRole('button', { name: 'Simulate' }).click();
await desk.page.getByText('in eight of ten groups').waitFor();
await desk.page.getByRole('button', { name: 'Cancel' }).waitFor({ state: 'detached' });
await desk.page.setViewportSize({ width: 1280, height: 900 });
await desk.shoot('plan-trial');
await desk.page.setViewportSize({ width: 1280, height: 800 });
await desk.go(`${challenge}/build`);
const session = await desk.page.getByRole('link', { name: 'Ridge load' }).getAttribute('href');
await desk.go(session ?? '');
await desk.page.getByLabel('Type a block').fill('goblet sqaut 3x8-12 @ 12, RPE 7-8');
await desk.page.setViewportSize({ width: 1440, height: 1500 });
await desk.page.evaluate('window.scrollTo(0, 0)');
await desk.shoot('build');
await desk.page.setViewportSize({ width: 1280, height: 800 });
await desk.go(`${challenge}/build/library`);
await desk.shoot('library');
await desk.go(`${session}/call-sheet`);
await desk.shoot('call-sheet');
const sheet = join(ROOT, 'build-cli', 'figures.html');
if (!run('node', [join('build-cli', 'figures.js'), sheet])) fail('The sheet of figures was not written.');
await desk.page.setViewportSize({ width: 1588, height: 900 });
await desk.page.goto(`file://${sheet}`);
await desk.page.locator('section.all').screenshot({ path: join(directory, 'figures.png') });
await desk.page.setViewportSize({ width: 1280, height: 800 });

const phone = await window(
	{ width: 390, height: 844 },
	'Mozilla/5.0 (Android 14; Mobile; rv:128.0) Gecko/128.0 Firefox/128.0'
);
await phone.go(`/join/${links['Noor Bastani']}`);
await phone.page.getByRole('button', { name: /^Yes, I’m / }).click();
await phone.page.waitForURL('**/me');
const today = await phone.picture();
await phone.go('/me/day/24');
await phone.page.locator('summary').nth(3).click();
await phone.page
	.locator('summary')
	.nth(2)
	.evaluate((part) => part.scrollIntoView());
const exercise = await phone.picture();
await phone.go('/me/calendar');
const calendar = await phone.picture();
await phone.go('/me/shelf');
await phone.page.getByRole('link', { name: 'Desk breaks' }).click();
await phone.page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });
const shelf = await phone.picture();
await phone.go('/me/day/24/check-in');
await phone.page.getByText('Partly', { exact: true }).click();
await phone.page.getByRole('button', { name: 'changed' }).nth(3).click();
await sideBySide('me', [today, exercise, await phone.picture(), shelf, calendar]);

const oren = await window({ width: 390, height: 844 });
await oren.go(`/join/${links['Oren Falkestad']}`);
await oren.page.getByRole('button', { name: /^Yes, I’m / }).click();
await oren.page.waitForURL('**/me');
await oren.go('/me/day/24/check-in');
await oren.page.getByRole('button', { name: /^front of thighs, front/ }).focus();
await oren.page.keyboard.press('Enter');
await oren.page.getByRole('button', { name: /^calves, back/ }).focus();
await oren.page.keyboard.press('Enter');
await oren.page.keyboard.press('Enter');
await oren.page.locator(':focus').blur();
await oren.page.getByText('Mood today').evaluate((part) => part.scrollIntoView());
const well = await oren.picture();
await oren.go('/me/body');
const measures = await oren.picture();
await oren.go('/me/photos');
const photographs = await oren.picture();
await oren.go('/me/form');
await sideBySide('body', [well, measures, photographs, await oren.picture()]);

await phone.go('/me/day/22/run');
const before = await phone.picture();
await phone.page.getByText('Use a heart-rate strap').click();
await phone.page.getByLabel('Your age').fill('34');
await phone.page.getByLabel('At rest, if known').fill('58');
await phone.page.getByRole('button', { name: /Simulated strap/ }).click();
await phone.page.getByText('connected', { exact: true }).waitFor();
await phone.page.getByRole('button', { name: 'Start' }).click();
const done = phone.page.getByRole('button', { name: 'Done', exact: true });
while ((await done.count()) === 0) {
	await phone.page.keyboard.press('ArrowRight');
	await phone.page.waitForTimeout(400);
}
const work = await phone.picture();
await phone.page.getByRole('button', { name: 'More', exact: true }).click();
await phone.page.getByRole('button', { name: 'This hurts' }).click();
await phone.page.getByRole('button', { name: 'wrist' }).click();
const hurts = await phone.picture();
await phone.page.getByRole('button', { name: 'Close' }).click();
await done.click();
await phone.page.getByRole('button', { name: 'As shown' }).waitFor();
const rest = await phone.picture();
await phone.page.getByRole('button', { name: 'More', exact: true }).click();
await phone.page.getByRole('button', { name: 'End the session here' }).click();
await phone.page.getByText('Part of it done').waitFor();
const over = await phone.picture();
await phone.page.getByRole('link', { name: 'Check in' }).click();
await phone.page.getByText('Partly', { exact: true }).waitFor();
await phone.page.getByText('As planned', { exact: true }).click();
await phone.page.getByRole('button', { name: 'Send' }).click();
await phone.page.waitForURL('**/result');
await phone.page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });
await sideBySide('run', [before, work, hurts, rest, over, await phone.picture()]);

await phone.go('/me/intake');
await phone.page.getByRole('button', { name: 'Something has changed' }).click();
const next = () => phone.page.getByRole('button', { name: 'Next' }).click();
await next();
const training = await phone.picture();
await next();
const kit = await phone.picture();
await next();
await phone.page.getByRole('button', { name: 'knee', exact: true }).scrollIntoViewIfNeeded();
const body = await phone.picture();
await next();
await phone.page.getByRole('group', { name: /dizzy/ }).getByText('Yes', { exact: true }).click();
await next();
await phone.page.getByLabel('I agree').check();
await phone.page.getByRole('button', { name: 'Send' }).click();
await phone.page.getByText('Ask a doctor first').waitFor();
const result = await phone.picture();
await phone.go('/me');
const held = await phone.picture();
await sideBySide('intake', [training, kit, body, result, held]);

// What happens between: left for an hour, without a network, at twice the text size, on hold, reminded.
await oren.go('/me');
await oren.page.getByText('From your coach').first().scrollIntoViewIfNeeded();
const news = await oren.picture();
await oren.go('/me/day/24/run');
await oren.page.getByRole('button', { name: 'Start' }).click();
await oren.page.getByRole('button', { name: 'Pause' }).waitFor();
await oren.page.evaluate(async (hour) => {
	const request = indexedDB.open('cadrex');
	const database = await new Promise((resolve) => (request.onsuccess = () => resolve(request.result)));
	const store = database.transaction('runs', 'readwrite').objectStore('runs');
	const all = store.getAll();
	const [run] = await new Promise((resolve) => (all.onsuccess = () => resolve(all.result)));
	for (const act of run.acts) act.at -= hour;
	run.seen -= hour;
	const put = store.put(run);
	await new Promise((resolve) => (put.onsuccess = resolve));
	database.close();
}, 3_600_000);
await oren.go('/me/day/24/run');
await oren.page.getByText('You were away').waitFor();
const away = await oren.picture();
await oren.page.getByRole('button', { name: 'Go back to where I was' }).click();
await oren.page.evaluate("document.documentElement.style.fontSize = '200%'");
const large = await oren.picture();
await oren.go('/me/reminders');
await oren.page.getByRole('button', { name: 'Turn on reminders' }).click();
await oren.page.getByText('Reminders are on for this device.').waitFor();
await oren.page.waitForTimeout(4000);
await oren.go('/me/reminders');
const reminders = await oren.picture();
await oren.go('/me');
await oren.page.waitForTimeout(4000);
await oren.page.context().setOffline(true);
await oren.page.goto(`${BASE}/me/stop`);
await oren.page.getByRole('link', { name: 'Call 112' }).waitFor();
await sideBySide('between', [news, away, large, await oren.picture(), held, reminders]);

await browser.close();
process.exit(0);
