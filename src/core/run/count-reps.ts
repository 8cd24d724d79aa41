/** What counts of a set. */

/** A set as it was counted. */
export interface Counted {
	/** Of the side that went first and of the other one; null: sides are no matter. */
	amount: number;
	other?: number | null;
	/** Repetitions of bad form among them: they do not count. */
	bad?: number;
	/** Not sure of the last one: of two counts the lower stands. */
	unsure?: boolean;
}

/**
 * The amount that counts, per side where there are two: without what was done badly, the lower where the count is not sure, and
 * that of the weaker side, which sets the count for the stronger one (common practice, no source). Where one side was not done
 * at all, half of the other counts: half a set is half, and not nothing.
 *
 * @throws RangeError for amounts below 0
 */
export function countReps({ amount, other, bad = 0, unsure = false }: Counted): number {
	if (!(amount >= 0) || !(bad >= 0) || (other !== null && other !== undefined && !(other >= 0)))
		throw new RangeError(`amount: ${amount}, ${other} and ${bad} bad are expected to be 0 or more`);
	const sided = other === null || other === undefined ? amount : bothSides(amount, other);
	return Math.max(0, sided - bad - (unsure && sided > 0 ? 1 : 0));
}

const bothSides = (one: number, other: number): number =>
	one > 0 && other > 0 ? Math.min(one, other) : Math.floor((one + other) / 2);
