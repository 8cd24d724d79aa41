import { spawn } from 'node:child_process';
import { test as base, expect, type Browser, type Cookie, type Page } from '@playwright/test';
import { SLIP } from '../support/slips';

interface Site {
	url: string;
	/** Suspends the server while `work` runs. */
	standStill: (work: () => Promise<unknown>) => Promise<void>;
}

interface DemoServer extends Site {
	stop: () => Promise<void>;
	log: () => string;
}

/** The demo in a process of its own. Rejects with what it wrote when it ends instead of starting. */
function demoServer(index: number): Promise<DemoServer> {
	const child = spawn(process.execPath, ['tests/support/e2e-server.mjs', String(index)], {
		stdio: ['ignore', 'pipe', 'pipe']
	});
	const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
	let output = '';
	return new Promise((resolve, reject) => {
		const listen = (chunk: Buffer) => {
			output += chunk.toString();
			const url = /demo data: (http\S+)/.exec(output)?.[1];
			if (!url) return;
			const stop = async () => {
				child.kill('SIGTERM');
				await ended;
			};
			resolve({
				url,
				standStill: async (work) => {
					child.kill('SIGSTOP');
					await work().finally(() => child.kill('SIGCONT'));
				},
				stop,
				log: () =>
					output
						.split('\n')
						.filter((line) => line.startsWith('{'))
						.join('\n')
			});
		};
		child.stdout.on('data', listen);
		child.stderr.on('data', listen);
		child.once('exit', (code) => reject(new Error(`the demo ended with ${code}: ${output}`)));
	});
}

export interface DemoSignIn {
	email: string;
	password: string;
	links: Record<string, string>;
}

/** What the tests type or show that no log may hold: health, notes, reasons, names, addresses. */
const PRIVATE = [
	'hutseason.example',
	'left wrist',
	'the pass was closed',
	'moves house',
	'sent from the ridge',
	'Vesna Radko',
	'Path weeks'
];

/** Runs in every page: what is written on a canvas by mistake becomes an error of the page. */
const listenToCanvases = (slip: string) => {
	const wrong = new RegExp(slip);
	for (const key of ['fillText', 'strokeText']) {
		const draw = Reflect.get(CanvasRenderingContext2D.prototype, key) as (text: string) => void;
		const listened = new Proxy(draw, {
			apply(target, context, args: [string]) {
				if (wrong.test(String(args[0])))
					queueMicrotask(() => {
						throw new Error(`on a canvas: ${String(args[0])}`);
					});
				Reflect.apply(target, context, args);
			}
		});
		Reflect.set(CanvasRenderingContext2D.prototype, key, listened);
	}
};

/** Runs in a page: what of its texts, titles and names is a slip, and whether the page is wider than its window. */
const slipsIn = (slip: string): string[] => {
	const wrong = new RegExp(slip);
	const found = document.body.innerText.split('\n').filter((line) => wrong.test(line));
	if (wrong.test(document.title)) found.push(`title: ${document.title}`);
	for (const element of document.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
		for (const name of ['aria-label', 'title', 'placeholder', 'alt']) {
			const text = element.getAttribute(name);
			if (text && wrong.test(text)) found.push(`${name}: ${text}`);
		}
	const { scrollWidth, clientWidth } = document.documentElement;
	if (scrollWidth > clientWidth + 1) found.push(`${scrollWidth} px wide in a window of ${clientWidth}`);
	return found;
};

/** A test whose pages may not complain: no error in the console, no blocked source, no page error, no slip on a canvas. */
export const test = base.extend<{ demo: DemoSignIn; complaints: string[]; site: string }, { server: Site }>({
	server: [
		// eslint-disable-next-line no-empty-pattern -- Playwright asks for a pattern
		async ({}, use, { parallelIndex }) => {
			const { url, standStill, stop, log } = await demoServer(parallelIndex);
			const { email, password, links } = (await (
				await fetch(`${url}/api/demo/sign-in`)
			).json()) as DemoSignIn;
			await use({ url, standStill });
			await stop();
			expect(log()).toContain('"msg":"request"');
			const people = Object.entries(links).flat();
			for (const secret of [email, password, ...people, ...PRIVATE])
				expect(log().toLowerCase()).not.toContain(secret.toLowerCase());
		},
		{ scope: 'worker', timeout: 180_000 }
	],
	site: async ({ server }, use) => use(server.url),
	baseURL: async ({ site }, use) => use(site),
	demo: async ({ request }, use) => {
		await use((await (await request.get('/api/demo/sign-in')).json()) as DemoSignIn);
	},
	complaints: [
		async ({ context }, use) => {
			const complaints: string[] = [];
			context.on('console', (message) => {
				// A refused form and a page that is not there are answered with their status: the browser notes it.
				if (message.type() === 'error' && !/status of (4\d\d)/.test(message.text()))
					complaints.push(message.text());
			});
			context.on('weberror', (error) => complaints.push(error.error().message));
			await context.addInitScript(listenToCanvases, SLIP);
			await use(complaints);
			expect(complaints).toEqual([]);
		},
		{ auto: true }
	]
});
export { expect };

/** Runs in a page: what a press leads to begins after the next frame has been drawn; by the second it is on its way. */
const afterFrames = async (): Promise<void> => {
	for (let i = 0; i < 2; i++)
		await new Promise<void>((resolve) => {
			requestAnimationFrame(() => setTimeout(resolve));
			// A page that is not drawn has no frames.
			setTimeout(resolve, 100);
		});
};

/** Waits until the scripts of a page run and no other page is on its way, and reads all of it. */
export async function ready(page: Page): Promise<void> {
	// A page that is left meanwhile answers nothing any more.
	await page.evaluate(afterFrames).catch(() => undefined);
	await page.locator('html[data-settled="yes"]').waitFor({ state: 'attached' });
	expect(await page.evaluate(slipsIn, SLIP), page.url()).toEqual([]);
}

export async function signIn(page: Page, demo: Pick<DemoSignIn, 'email' | 'password'>): Promise<void> {
	await page.goto('/sign-in');
	await ready(page);
	await page.getByLabel('Email address').fill(demo.email);
	await page.getByLabel('Password').fill(demo.password);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await page.waitForURL('**/challenges');
}

/** What the coach of the demo is known by, for all tests of a worker. */
let known: Cookie[] = [];

/** Makes the coach known to a browser, whatever it has open; what is about signing in takes {@link signIn}. */
export async function asCoach(page: Page, demo: DemoSignIn): Promise<void> {
	const context = page.context();
	await context.addCookies(known);
	// Whoever changes a password signs out elsewhere.
	const answer = await context.request.get('/challenges', { maxRedirects: 0 });
	if (answer.ok()) return;
	await signIn(page, demo);
	known = await context.cookies();
}

/** Opens a participant's personal link on a device and says that it is theirs. */
export async function openLink(page: Page, link: string): Promise<void> {
	await page.goto(link);
	await ready(page);
	await page.getByRole('button', { name: /^Yes, I’m / }).click();
	await page.waitForURL('**/me');
}

const RUNNING = 'Hut Season, six weeks';
/** The places of the demo's challenges by name, as far as a test of this worker has been there. */
const placesOf = new Map<string, Map<string, string>>();
const placesIn = (page: Page) => page.getByRole('navigation', { name: 'Places' }).getByRole('link');

/** Goes the way to a challenge, and notes where its places are. */
async function findPlaces(page: Page, challenge: string): Promise<Map<string, string>> {
	await page.goto('/challenges');
	await page.getByRole('link', { name: challenge }).click();
	await page.waitForURL('**/desk');
	const found = await placesIn(page).evaluateAll((links) =>
		// Behind its name each has the number of its key.
		links.map((link): [string, string] => [
			link.textContent.replace(/\d+$/, '').trim(),
			link.getAttribute('href') ?? ''
		])
	);
	placesOf.set(challenge, new Map(found));
	return new Map(found);
}

/** Goes to a place of a challenge of the demo, of the running one if none is said. */
export async function openPlace(page: Page, place: string, challenge = RUNNING): Promise<void> {
	const places = placesOf.get(challenge) ?? (await findPlaces(page, challenge));
	const path = places.get(place);
	if (!path) throw new Error(`“${place}” is not among the places: ${[...places.keys()].join(', ')}`);
	await page.goto(path);
	await ready(page);
}

/** Announcements of the challenge that is open. */
export async function openAnnouncements(page: Page): Promise<void> {
	await placesIn(page).filter({ hasText: 'Post' }).click();
	await page.waitForURL('**/post');
	await page.getByRole('link', { name: 'Announcements and polls' }).click();
	await page.waitForURL('**/post/group');
	await ready(page);
}

export async function openSession(page: Page, name: string): Promise<void> {
	await openPlace(page, 'Build');
	await page.getByRole('link', { name, exact: true }).click();
	await page.waitForURL(/build\/[0-9a-f-]{36}$/);
	await ready(page);
}
/** A session of one's own, so that tests do not stand in each other's way. */
export async function newSession(page: Page, name: string, lines: string[]): Promise<void> {
	await openPlace(page, 'Build');
	await page.getByRole('link', { name: 'New session' }).click();
	await ready(page);
	await page.getByLabel('Name of the session').fill(name);
	for (const line of lines) await typeBlock(page, line);
}
export async function typeBlock(page: Page, line: string): Promise<void> {
	await page.getByLabel('Type a block').fill(line);
	await page.getByLabel('Type a block').press('Enter');
}
export async function save(page: Page): Promise<void> {
	await page.getByRole('button', { name: /^Save/ }).click();
	await page.waitForURL(/build\/[0-9a-f-]{36}$/);
	await ready(page);
}
export const blocks = (page: Page) =>
	page.getByRole('list', { name: 'Blocks' }).getByRole('heading', { level: 3 });
export const total = (page: Page) => page.getByLabel('Timeline').first().locator('dd').first();

/** Goes through the questions before the start as somebody would who has nothing to say of their health. */
export async function answerQuestions(
	page: Page,
	{ level, dumbbells, yes }: { level: string; dumbbells: number; yes?: RegExp }
): Promise<void> {
	await ready(page);
	const next = () => page.getByRole('button', { name: 'Next' }).click();
	const choose = (legend: string | RegExp, label: string) =>
		page.getByRole('group', { name: legend }).getByText(label, { exact: true }).click();
	await expect(page.getByRole('heading', { name: 'You', exact: true })).toBeVisible();
	await next();
	await choose('How much training have you done?', level);
	await choose('Training with weights', 'Sometimes');
	await choose(/three days a week/, 'Yes');
	await choose('Minutes you have', '30');
	await next();
	await page.getByLabel('Which weight').selectOption('one dumbbell');
	await page.getByLabel('How heavy, kg').fill(String(dumbbells));
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText(`dumbbell ${dumbbells} kg`)).toBeVisible();
	await next();
	await choose('How old are you?', '18 to 39');
	await choose('Can you exercise standing?', 'Yes');
	await choose('Your balance', 'steady');
	await choose('Down to the floor', 'easy');
	await choose('Pregnancy and birth', 'neither');
	await next();
	await expect(page.getByRole('heading', { name: 'Your health' })).toBeVisible();
	const questions = page.getByRole('group');
	for (const question of await questions.all()) {
		const text = await question.innerText();
		await question.getByText(yes?.test(text) ? 'Yes' : 'No', { exact: true }).click();
	}
	await next();
	await page.getByLabel('I agree').check();
	await page.getByRole('button', { name: 'Send' }).click();
}

/** The phone of somebody whose link the demo prints, signed in. */
export async function phoneOf(
	browser: Browser,
	demo: Pick<DemoSignIn, 'links'>,
	name: string
): Promise<Page> {
	const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
	const page = await phone.newPage();
	await openLink(page, `/join/${demo.links[name]}`);
	await ready(page);
	return page;
}

/** Waits until a page is kept on the device. */
export const onDevice = (page: Page, path: string): Promise<void> =>
	page.evaluate(async (wanted) => {
		await navigator.serviceWorker.ready;
		for (let i = 0; i < 200; i++) {
			const kept = await (await caches.open('pages')).match(location.origin + wanted);
			if (kept && navigator.serviceWorker.controller) return;
			await new Promise((next) => setTimeout(next, 100));
		}
		throw new Error(`${wanted} was not kept`);
	}, path);

/** Opens somebody in the list of those who need their coach. */
export async function reachOut(page: Page, name: string): Promise<void> {
	await openPlace(page, 'Reach out');
	await ready(page);
	await page
		.getByRole('navigation', { name: 'Who needs you' })
		.getByRole('link', { name: new RegExp(`^${name}`) })
		.first()
		.click();
	// They may be open already, as the first in need: the page that was asked for is waited for all the same.
	await page.waitForURL(/person=/);
	await ready(page);
}
