import { expect, it } from 'vitest';
import { entryOf, packEntry } from './strip';

it.each(['check-in', 'excuse', 'pause', 'cancelled'] as const)(
	'packs and unpacks an entry of %s as it was',
	(kind) => {
		const entry = { kind, credit: 0.25, at: 123, pain: true };
		expect(entryOf({ 3: packEntry(entry) }, 3)).toEqual(entry);
		expect(entryOf({ 3: packEntry({ ...entry, pain: false }) }, 3)?.pain).toBe(false);
		expect(entryOf({}, 3)).toBeNull();
	}
);
