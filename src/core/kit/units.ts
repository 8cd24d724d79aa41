/** The pound in kilograms, exactly: international yard and pound agreement of 1959 (NIST SP 811, appendix B). */
export const KG_PER_LB = 0.45359237;

export const UNITS = ['kg', 'lb'] as const;
export type Units = (typeof UNITS)[number];

/** Kilograms of a weight as somebody gives it, to 10 g. */
export const kgFrom = (value: number, unit: Units): number =>
	Math.round(value * (unit === 'lb' ? KG_PER_LB : 1) * 100) / 100;

/** A weight as somebody reads it: kilograms as they are, pounds to the half. */
export const weightIn = (kg: number, units: Units): number =>
	units === 'kg' ? kg : Math.round((kg / KG_PER_LB) * 2) / 2;

/**
 * Kilograms of a weight as somebody typed it. What they read and left as it was is what it was before it was rounded for them:
 * 12 kg, read and sent back as 26.5 lb, stay 12 kg.
 */
export const kgTyped = (value: number, units: Units, read: number | null): number =>
	read !== null && value === weightIn(read, units) ? read : kgFrom(value, units);

/** Loads as every text of a session writes them: `12 kg`, `8/12/16 kg`, `10 to 12 kg`. */
const LOADS = /\d+(?:\.\d+)?(?:(?:\/|-| to )\d+(?:\.\d+)?)* kg\b/g;

/** Fields that hold what a coach wrote in words of their own, or a name: they stay as they are. */
const OWN_WORDS = new Set(['note', 'links', 'name']);

/**
 * Something that is read, with the loads in all its texts in the units of who reads it. Texts of a session write loads in
 * kilograms and in one way, so that one place can say them otherwise.
 */
export function readIn<T>(value: T, units: Units): T {
	return units === 'kg' ? value : (inPounds(value) as T);
}

function inPounds(value: unknown): unknown {
	if (typeof value === 'string')
		return value.replace(LOADS, (loads) =>
			loads.replace(/\d+(?:\.\d+)?/g, (kg) => String(weightIn(Number(kg), 'lb'))).replace(/kg$/, 'lb')
		);
	if (Array.isArray(value)) return value.map(inPounds);
	if (value instanceof Map)
		return new Map([...value].map(([key, of]: [unknown, unknown]) => [key, inPounds(of)]));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value).map(([key, of]) => [key, OWN_WORDS.has(key) ? of : inPounds(of)])
	);
}
