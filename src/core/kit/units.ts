/** The pound in kilograms, exactly: international yard and pound agreement of 1959 (NIST SP 811, appendix B). */
export const KG_PER_LB = 0.45359237;

export const UNITS = ['kg', 'lb'] as const;
export type Units = (typeof UNITS)[number];

/** Kilograms of a weight as somebody gives it, to 10 g. */
export const kgFrom = (value: number, unit: Units): number =>
	Math.round(value * (unit === 'lb' ? KG_PER_LB : 1) * 100) / 100;
