import type { Role } from '$core/people';

/** The coach's places in the order of their keys. */
const PLACES = [
	{ path: 'desk', name: 'Desk' },
	{ path: 'reach', name: 'Reach out' },
	{ path: 'roll', name: 'Roll' },
	{ path: 'plan', name: 'Plan' },
	{ path: 'build', name: 'Build' },
	{ path: 'people', name: 'People' },
	{ path: 'post', name: 'Post' },
	{ path: 'settings', name: 'Settings' }
] as const;

/** Where a viewer looks on. */
const VIEWERS_PLACES = [
	{ path: 'roll', name: 'Roll' },
	{ path: 'plan/sheet', name: 'Plan' },
	{ path: 'people/group', name: 'Group' }
] as const;

/** The places that somebody has in a challenge, in the order of their keys. */
export const placesFor = (role: Role): readonly { path: string; name: string }[] =>
	role === 'viewer' ? VIEWERS_PLACES : PLACES;

/** Where somebody comes to first in a challenge. */
export const firstPlace = (role: Role): string => placesFor(role)[0]?.path ?? 'roll';

export interface KeyActions {
	place(path: string): unknown;
	move(by: number): unknown;
	today(): unknown;
	help(): unknown;
}

/** Whether somebody is typing: then no key is a shortcut. */
export function isTyping(event: KeyboardEvent): boolean {
	const target = event.target;
	if (event.ctrlKey || event.metaKey || event.altKey) return true;
	return (
		target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null
	);
}

/** Handles the keys that hold on every page of a challenge. */
export function coachKeys(role: () => Role, actions: KeyActions): (event: KeyboardEvent) => void {
	return (event) => {
		if (isTyping(event)) return;
		const place = placesFor(role())[Number(event.key) - 1];
		if (place) void actions.place(place.path);
		else if (event.key === '[') void actions.move(-1);
		else if (event.key === ']') void actions.move(1);
		else if (event.key === 't') void actions.today();
		else if (event.key === '?') void actions.help();
		else if (event.key === '/') {
			const find = document.querySelector<HTMLInputElement>('[data-find]');
			if (!find) return;
			event.preventDefault();
			find.focus();
		}
	};
}

export const KEY_LIST = [
	{ keys: '1 … 8', does: 'places' },
	{ keys: '[  ]', does: 'a day back, a day on' },
	{ keys: 't', does: 'today' },
	{ keys: 'n  p', does: 'next and previous person, on the roll and under Reach out' },
	{ keys: 'w', does: 'write to the person shown' },
	{ keys: 'x', does: 'excuse the person shown' },
	{ keys: 'r, 1 … 6', does: 'the next result on the desk, and one of your lines about it' },
	{ keys: '/', does: 'find' },
	{ keys: '?', does: 'this list' }
];
