import { expect, it } from 'vitest';
import { unitOfMeasure } from './kinds';
import { readScale, writeScale } from './scale';

const view = (...bytes: number[]) => new DataView(new Uint8Array(bytes).buffer);

it('reads kilograms and pounds', () => {
	// 15000 × 0.005 kg = 75 kg; 16535 × 0.01 lb = 165.35 lb.
	expect(readScale(view(0, 0x98, 0x3a))).toEqual({ kg: 75, at: null });
	expect(readScale(view(1, 0x97, 0x40))!.kg).toBeCloseTo(165.35 * 0.45359237, 9);
});

it('reads its clock where it has one, and what comes after it', () => {
	expect(readScale(view(0b1110, 0x98, 0x3a, 0xea, 0x07, 5, 13, 7, 4, 9, 1, 0, 0, 0, 0))).toEqual({
		kg: 75,
		at: '2026-05-13T07:04:09'
	});
	expect(readScale(view(0b10, 0x98, 0x3a, 0, 0, 5, 13, 7, 4, 9))).toEqual({ kg: 75, at: null });
});

it('says nothing where it could not weigh, and refuses what is cut short', () => {
	expect(readScale(view(0, 0xff, 0xff))).toBeNull();
	expect(() => readScale(view(0, 1))).toThrow(RangeError);
	expect(() => readScale(view(0b10, 0x98, 0x3a, 0xea, 0x07))).toThrow(/at least 10/);
	expect(() => readScale(view(0b100, 0x98, 0x3a))).toThrow(/at least 4/);
});

it('writes what it reads', () => {
	expect(readScale(writeScale(81.35))!.kg).toBeCloseTo(81.35, 9);
	expect(() => writeScale(400)).toThrow(RangeError);
	expect(() => writeScale(NaN)).toThrow(RangeError);
});

it('is read in the units of whoever reads it', () => {
	expect(unitOfMeasure('weight', 'kg')).toEqual({ unit: 'kg', perSi: 1 });
	expect(165.3466966 / unitOfMeasure('weight', 'lb').perSi).toBeCloseTo(75, 6);
	expect(0.8 * unitOfMeasure('waist', 'kg').perSi).toBe(80);
	expect(0.762 * unitOfMeasure('waist', 'lb').perSi).toBeCloseTo(30, 10);
});
