import { parse } from 'bowser';

/** What a device is called in a list: its browser and system, as far as it says; never the whole of what it sends. */
export function deviceName(userAgent: string | null): string {
	if (!userAgent) return 'Unknown device';
	const { browser, os, platform } = parse(userAgent.slice(0, 400));
	const on = [
		platform.model ?? os.name,
		platform.type === 'mobile' ? 'phone' : platform.type === 'tablet' ? 'tablet' : null
	];
	const words = [browser.name, on.filter(Boolean).length > 0 ? `on ${on.filter(Boolean).join(' ')}` : null];
	const name = words
		.filter(Boolean)
		.join(' ')
		.replace(/[^\p{L}\p{N} ._-]/gu, '')
		.slice(0, 60)
		.trim();
	return name || 'Unknown device';
}
