/** Pounds and kilograms against NIST SP 811 (2008), appendix B.8: 1 lb (avoirdupois) = 4.535924 E-01 kg. */
import { describe, expect, it } from 'vitest';
import { kgFrom, kgTyped, readIn, weightIn } from './units';

describe('a weight', () => {
	it('comes from pounds as NIST SP 811 has it, to 10 g', () => {
		expect(kgFrom(1, 'lb')).toBe(0.45);
		expect(kgFrom(100, 'lb')).toBe(45.36);
		expect(kgFrom(12.5, 'kg')).toBe(12.5);
	});
	it('is read in pounds to the half, and comes back as the pounds it was', () => {
		expect(weightIn(12, 'lb')).toBe(26.5);
		expect(weightIn(12, 'kg')).toBe(12);
		for (let lb = 1; lb <= 120; lb += 0.5) expect(weightIn(kgFrom(lb, 'lb'), 'lb')).toBe(lb);
	});
	it('that is sent back as it was read is what it was', () => {
		for (let kg = 0.5; kg <= 60; kg += 0.5) expect(kgTyped(weightIn(kg, 'lb'), 'lb', kg)).toBe(kg);
		expect(kgTyped(27, 'lb', 12)).toBe(12.25);
		expect(kgTyped(26.5, 'lb', null)).toBe(12.02);
		expect(kgTyped(26.5, 'kg', 12)).toBe(26.5);
	});
});

describe('what somebody reads', () => {
	it('has its loads in their units, in every text', () => {
		const read = {
			ready: ['2 dumbbells of 8 kg', 'mat'],
			blocks: [{ parts: [{ load: '2 × 12 kg, effort 7-9', much: '8-12' }] }],
			changes: [{ to: '8/12/16 kg', why: '10 to 12 kg is at hand' }]
		};
		expect(readIn(read, 'lb')).toEqual({
			ready: ['2 dumbbells of 17.5 lb', 'mat'],
			blocks: [{ parts: [{ load: '2 × 26.5 lb, effort 7-9', much: '8-12' }] }],
			changes: [{ to: '17.5/26.5/35.5 lb', why: '22 to 26.5 lb is at hand' }]
		});
		expect(readIn(read, 'kg')).toBe(read);
	});
	it('is found in maps as well', () => {
		expect(readIn(new Map([['a', ['8 kg']]]), 'lb')).toEqual(new Map([['a', ['17.5 lb']]]));
	});
	it('keeps the words of the coach, names, and what is no load', () => {
		const read = {
			note: 'Carry 20 kg home',
			name: '12 kg day',
			links: [{ title: '5 kg' }],
			rest: '90 s',
			n: 3,
			none: null
		};
		expect(readIn(read, 'lb')).toEqual(read);
		expect(readIn('12 kgm', 'lb')).toBe('12 kgm');
	});
});
