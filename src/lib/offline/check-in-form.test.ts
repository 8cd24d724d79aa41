import { describe, expect, it } from 'vitest';
import { readCheckinForm } from './check-in-form';

const read = (fields: Record<string, string>) => {
	const form = new FormData();
	for (const [name, value] of Object.entries({ done: 'part', ...fields })) form.set(name, value);
	return readCheckinForm(form, 3).sets;
};
const set = { block: 0, part: 1, set: 1, amount: 8 };

describe('the sets of a check-in', () => {
	it('have their load in kilograms, whichever units it was typed in', () => {
		expect(read({ 'set.0.1.1': '8', 'kg.0.1': '12,5' })).toEqual([{ ...set, kg: 12.5 }]);
		expect(read({ 'set.0.1.1': '8', 'lb.0.1': '26.5' })).toEqual([{ ...set, kg: 12.02 }]);
		expect(read({ 'set.0.1.1': '8', 'lb.0.1': '26.5', 'read.0.1': '12' })).toEqual([{ ...set, kg: 12 }]);
		expect(read({ 'set.0.1.1': '8', 'lb.0.1': '30', 'read.0.1': '12' })).toEqual([{ ...set, kg: 13.61 }]);
		expect(read({ 'set.0.1.1': '8', 'lb.0.1': '' })).toEqual([{ ...set, kg: null }]);
	});
	it('are nothing where nothing was typed, and only there in part', () => {
		expect(read({ 'set.0.1.1': ' ' })).toEqual([{ ...set, amount: 0, kg: null }]);
		expect(read({ done: 'all', 'set.0.1.1': '8' })).toBeNull();
	});
});
