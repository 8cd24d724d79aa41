/** Reminders on a phone, through the simulated push service and in the browser itself. */
import { noBarriers } from './barriers';
import { expect, phoneOf, ready, test } from './support';
import type { Page, Worker } from '@playwright/test';

const NOTICE = {
	title: 'Day 24 is open',
	body: 'Your session is ready.',
	url: '/me/messages',
	tag: 'session'
};

/** The service worker of a page; what it shows as a notification is listed instead, as this browser shows none. */
async function workerOf(page: Page): Promise<Worker> {
	await page.evaluate(async () => void (await navigator.serviceWorker.ready));
	const [worker] = page.context().serviceWorkers();
	await worker!.evaluate(() => {
		const scope = globalThis as unknown as Scope;
		scope.shown = [];
		scope.registration.showNotification = (title, options) => {
			scope.shown.push({ title, data: options?.data as unknown, close: () => scope.shown.pop() });
			return Promise.resolve();
		};
		// An event that no browser made is not waited for.
		ExtendableEvent.prototype.waitUntil = () => undefined;
	});
	return worker!;
}

interface Scope extends ServiceWorkerGlobalScope {
	shown: { title: string; data: unknown; close: () => void }[];
}

/** Delivers a push message to a service worker. */
const deliver = (worker: Worker, data: string): Promise<void> =>
	worker.evaluate((text) => {
		(globalThis as unknown as Scope).dispatchEvent(new PushEvent('push', { data: text }));
	}, data);

/** Titles of the notifications that are shown. */
const shown = (worker: Worker): Promise<string[]> =>
	worker.evaluate(() => (globalThis as unknown as Scope).shown.map(({ title }) => title));

/** Taps on the notification that is shown, or on its action. */
const tap = (worker: Worker, action: string): Promise<void> =>
	worker.evaluate((chosen) => {
		const scope = globalThis as unknown as Scope;
		const event = Object.assign(new ExtendableEvent('notificationclick'), {
			notification: scope.shown[0],
			action: chosen
		});
		scope.dispatchEvent(event);
	}, action);

test('reminders are turned on, arrive, and are stopped with one tap', async ({ browser, demo }) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const context = phone.context();
	await phone.getByRole('link', { name: 'Reminders' }).click();
	await ready(phone);
	await noBarriers(phone, 'reminders that are off');
	await phone.getByLabel(/when a message/).uncheck();
	await phone.getByRole('button', { name: 'Turn on reminders' }).click();
	await expect(phone.getByText('Reminders are on for this device.')).toBeVisible();
	await expect(async () => {
		await phone.reload();
		await expect(phone.getByText('This is what they look like.')).toBeVisible({ timeout: 2000 });
	}).toPass();
	await expect(phone.getByLabel(/when a message/)).not.toBeChecked();
	await ready(phone);
	await noBarriers(phone, 'reminders that are on');
	await phone.getByRole('button', { name: 'Stop reminders' }).click();
	await expect(phone.getByRole('button', { name: 'Turn on reminders' })).toBeVisible();
	await context.close();
});

test('a push message is shown without a page, opens what it is about, and stops at one tap', async ({
	browser,
	demo
}) => {
	const phone = await phoneOf(browser, demo, 'Noor Bastani');
	const worker = await workerOf(phone);
	await deliver(worker, 'no notice of ours');
	await deliver(worker, JSON.stringify({ ...NOTICE, stop: crypto.randomUUID() }));
	await expect.poll(() => shown(worker)).toEqual([NOTICE.title]);
	await tap(worker, '');
	await phone.waitForURL('**/me/messages');
	expect(await shown(worker)).toEqual([]);

	const stops = phone
		.context()
		.waitForEvent('request', (request) => request.url().endsWith('/api/push/stop'));
	await deliver(worker, JSON.stringify({ ...NOTICE, stop: crypto.randomUUID() }));
	await expect.poll(() => shown(worker)).toEqual([NOTICE.title]);
	await tap(worker, 'stop');
	expect((await (await stops).response())?.status()).toBe(204);
	expect(await shown(worker)).toEqual([]);
	await phone.context().close();
});
