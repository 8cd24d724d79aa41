/** Reminders on a device: subscribing to them in the browser, and showing them. */

/** Payload of a push message. */
export interface Notice {
	title: string;
	body: string;
	/** A path of ours that opens at a tap. */
	url: string;
	/** A newer one takes the place of an older one with the same tag. */
	tag: string;
	/** Stops the reminders of this device. */
	stop: string;
}

/** The action of a notification that stops reminders. */
export const STOP = 'stop';
export const STOP_LABEL = 'Stop reminders';

/** Reads a notice; null for anything else. A path outside a participant's pages opens today's page. */
export function readNotice(text: string): Notice | null {
	try {
		const { title, body, url, tag, stop } = JSON.parse(text) as Record<string, unknown>;
		if (![title, body, tag, stop].every((value) => typeof value === 'string')) return null;
		const path = typeof url === 'string' && /^\/me(?:\/[\w/-]*)?$/.test(url) ? url : '/me';
		return { title, body, url: path, tag, stop } as Notice;
	} catch {
		return null;
	}
}

/** Title and options of the notification: a tap opens it, an action stops all reminders. */
export const notificationOf = ({ title, body, url, tag, stop }: Notice) => ({
	title,
	options: {
		body,
		tag,
		icon: '/icon-192.png',
		data: { url, stop },
		actions: [{ action: STOP, title: STOP_LABEL }]
	}
});

/** A subscription as the server stores it. */
export interface Subscribed {
	endpoint: string;
	p256dh: string;
	auth: string;
}

/** Why this device can't receive reminders; null if it can. */
export function whyNot(): 'unsupported' | 'blocked' | null {
	if (!('serviceWorker' in navigator) || !('PushManager' in window) || !('Notification' in window))
		return 'unsupported';
	return Notification.permission === 'denied' ? 'blocked' : null;
}

async function pushManager(): Promise<PushManager | undefined> {
	// In a service worker its own registration, in a page the one of the page.
	const scope = globalThis as unknown as { registration?: ServiceWorkerRegistration };
	if (scope.registration) return scope.registration.pushManager;
	if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return undefined;
	return (await navigator.serviceWorker.getRegistration())?.pushManager;
}

/**
 * Subscribes this device, after asking for permission.
 * @param publicKey of the installation, base64url
 * @returns null where the person does not allow notifications
 * @throws DOMException where the browser cannot reach its push service
 */
export async function subscribeDevice(publicKey: string): Promise<Subscribed | null> {
	if ((await Notification.requestPermission()) !== 'granted') return null;
	const { pushManager: manager } = await navigator.serviceWorker.ready;
	// One that was made with other keys is of no use here.
	await (await manager.getSubscription())?.unsubscribe();
	const subscription = await manager.subscribe({ userVisibleOnly: true, applicationServerKey: publicKey });
	const { endpoint, keys } = subscription.toJSON();
	return { endpoint: endpoint ?? '', p256dh: keys?.p256dh ?? '', auth: keys?.auth ?? '' };
}

/** Whether this device has a subscription. */
export const isSubscribed = async (): Promise<boolean> =>
	Boolean(await (await pushManager())?.getSubscription());

/** Ends the subscription of this device, if it has one. */
export async function unsubscribeDevice(): Promise<void> {
	await (await (await pushManager())?.getSubscription())?.unsubscribe();
}

/** Stops the reminders of the device that shows a notification, by the id in it: at the server and in this browser. */
export async function stopReminders(id: string): Promise<void> {
	await Promise.allSettled([
		fetch('/api/push/stop', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ id })
		}),
		unsubscribeDevice()
	]);
}
