import { KG_PER_LB } from '../kit/units';

/** What is measured of a body, with the bounds outside of which a value is a slip. Weight in kg, the rest in m. */
export const MEASURES = {
	weight: { name: 'Weight', low: 25, high: 350 },
	waist: { name: 'Waist', low: 0.3, high: 2.5 },
	hips: { name: 'Hips', low: 0.3, high: 2.5 },
	chest: { name: 'Chest', low: 0.3, high: 2.5 },
	thigh: { name: 'Thigh', low: 0.2, high: 1.5 },
	arm: { name: 'Upper arm', low: 0.1, high: 1 }
} as const;
export type MeasureKind = keyof typeof MEASURES;
export const MEASURE_KINDS = Object.keys(MEASURES) as MeasureKind[];

/** Exactly: international yard and pound agreement 1959, NIST SP 811. */
export const M_PER_INCH = 0.0254;

/** In which unit somebody who reads weights in kilograms or pounds reads a measure, and how many of it are one kg or m. */
export function unitOfMeasure(kind: MeasureKind, units: 'kg' | 'lb'): { unit: string; perSi: number } {
	if (kind === 'weight')
		return units === 'kg' ? { unit: 'kg', perSi: 1 } : { unit: 'lb', perSi: 1 / KG_PER_LB };
	return units === 'kg' ? { unit: 'cm', perSi: 100 } : { unit: 'in', perSi: 1 / M_PER_INCH };
}
