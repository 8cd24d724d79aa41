/** How hard a heart rate is for somebody. */

/** What it is reckoned from. */
export interface HeartOf {
	/** Years. */
	age: number;
	/** Beats a minute at rest; null: not known. */
	resting: number | null;
}

/** Highest heart rate to be expected, beats a minute: 208 − 0.7 × age (Tanaka, Monahan and Seals 2001). */
export const highestRate = (age: number): number => 208 - 0.7 * age;

export const BANDS = ['very light', 'light', 'moderate', 'vigorous', 'near the limit'] as const;
export type Band = (typeof BANDS)[number];

/**
 * Lower ends of the bands but the first. Of the heart-rate reserve 30, 40, 60 and 90 %, of the highest rate 57, 64, 77 and 96 %
 * (ACSM’s Guidelines for Exercise Testing and Prescription; the shares of the highest rate from memory).
 */
const ENDS = { reserve: [0.3, 0.4, 0.6, 0.9], highest: [0.57, 0.64, 0.77, 0.96] } as const;

/** The share of what there is between rest and the highest rate (Karvonen, Kentala and Mustala 1957). */
export const shareOfReserve = (bpm: number, age: number, resting: number): number =>
	(bpm - resting) / (highestRate(age) - resting);

/** The rate at a share of the reserve, beats a minute. */
export const rateAt = (share: number, age: number, resting: number): number =>
	resting + share * (highestRate(age) - resting);

/** The band that a rate is in: by the reserve where the resting rate is known, by the highest rate otherwise. */
export function bandOf(bpm: number, { age, resting }: HeartOf): Band {
	const [share, ends] =
		resting === null
			? [bpm / highestRate(age), ENDS.highest]
			: [shareOfReserve(bpm, age, resting), ENDS.reserve];
	return BANDS[ends.filter((end) => share >= end).length] ?? 'near the limit';
}

/** The lowest rate of a band, beats a minute; 0 for the first. */
export function bandFrom(band: Band, { age, resting }: HeartOf): number {
	const at = BANDS.indexOf(band) - 1;
	if (at < 0) return 0;
	return resting === null
		? (ENDS.highest[at] ?? 1) * highestRate(age)
		: rateAt(ENDS.reserve[at] ?? 1, age, resting);
}
