import { expect, it } from 'vitest';
import { sortRoll } from './roll-sort';

const row = (name: string, rate: number | null, trend: number | null, silent: number, zone = 'UTC') => ({
	name,
	zone,
	adherence: { rate },
	trend,
	silent
});
const ROWS = [
	row('Bao', 0.5, -30, 2, 'Asia/Seoul'),
	row('Åse', null, null, 0),
	row('Oren', 0.9, 5, 0, 'America/Bogota'),
	row('Noor', 0.5, -40, 1)
];
const names = (by: Parameters<typeof sortRoll>[1]) =>
	sortRoll(ROWS, by, Date.parse('2026-11-25T12:00:00Z')).map(({ name }) => name);

it('sorts by each order, people without a figure last, ties by name', () => {
	expect(names('name')).toEqual(['Åse', 'Bao', 'Noor', 'Oren']);
	expect(names('fading')).toEqual(['Noor', 'Bao', 'Oren', 'Åse']);
	expect(names('low')).toEqual(['Bao', 'Noor', 'Oren', 'Åse']);
	expect(names('high')).toEqual(['Oren', 'Bao', 'Noor', 'Åse']);
	expect(names('silent')).toEqual(['Bao', 'Noor', 'Åse', 'Oren']);
	// Bogotá 07:00, UTC 12:00, Seoul 21:00.
	expect(names('hour')).toEqual(['Oren', 'Åse', 'Noor', 'Bao']);
	expect(ROWS.map(({ name }) => name)).toEqual(['Bao', 'Åse', 'Oren', 'Noor']);
});
