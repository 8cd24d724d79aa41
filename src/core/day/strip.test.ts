import { expect, it } from 'vitest';
import { STANDINGS } from './day-state';
import { entryOf, packEntry } from './strip';

it.each(['excuse', 'pause', 'cancelled'] as const)('packs and unpacks an entry of %s as it was', (kind) => {
	const entry = { kind, credit: 0.25, at: 123, pain: true, standing: null };
	expect(entryOf({ 3: packEntry(entry) }, 3)).toEqual(entry);
	expect(entryOf({ 3: packEntry({ ...entry, pain: false }) }, 3)?.pain).toBe(false);
	expect(entryOf({}, 3)).toBeNull();
});

it.each(STANDINGS)('packs and unpacks a result of standing %s as it was', (standing) => {
	const entry = { kind: 'check-in' as const, credit: 0.25, at: 123, pain: true, standing };
	expect(entryOf({ 3: packEntry(entry) }, 3)).toEqual(entry);
	expect(packEntry({ ...entry, standing: 'on time' })).toEqual(['c', 0.25, 123, 1]);
});
