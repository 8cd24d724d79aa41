/** Heart rates over a session. */
import { BANDS, bandOf, type Band, type HeartOf } from './bands';

/** One value as it came: when, and beats a minute. */
export interface Beat {
	/** Epoch milliseconds. */
	at: number;
	bpm: number;
}

/** Seconds for which a value stands at most: straps send one a second; what is longer without one is a gap. */
const STANDS = 5;

export interface HeartSummary {
	/** Beats a minute, weighted by time. */
	average: number;
	highest: number;
	/** Seconds with a value. */
	seconds: number;
	/** Seconds in each band. */
	bands: Record<Band, number>;
}

/**
 * What a session was for the heart; null without a value. Each value stands until the next one, and no longer than five seconds:
 * where contact was lost nothing is reckoned.
 *
 * @param beats in any order
 */
export function summaryOf(beats: readonly Beat[], who: HeartOf): HeartSummary | null {
	const inOrder = [...beats].sort((a, b) => a.at - b.at);
	const bands = Object.fromEntries(BANDS.map((band) => [band, 0])) as Record<Band, number>;
	let [seconds, sum, highest] = [0, 0, 0];
	inOrder.forEach(({ at, bpm }, i) => {
		const next = inOrder[i + 1];
		const stands = next ? Math.min(STANDS, (next.at - at) / 1000) : 1;
		seconds += stands;
		sum += stands * bpm;
		highest = Math.max(highest, bpm);
		bands[bandOf(bpm, who)] += stands;
	});
	return seconds > 0 ? { average: sum / seconds, highest, seconds, bands } : null;
}

/** Seconds for which a rate has to be outside before anything is said: it follows what is done by half a minute. */
const SETTLED = 30;

/**
 * Whether the heart has been above or below what is asked for long enough to say so.
 *
 * @param since when what is asked began, epoch milliseconds
 */
export function beside(
	beats: readonly Beat[],
	asked: { low: number; high: number },
	since: number,
	now: number
): 'above' | 'below' | null {
	if (now - since < SETTLED * 1000) return null;
	const recent = beats.filter(({ at }) => at > now - SETTLED * 1000 && at <= now);
	// Half of the time without a value says nothing.
	if (recent.length < SETTLED / 2) return null;
	if (recent.every(({ bpm }) => bpm > asked.high)) return 'above';
	return recent.every(({ bpm }) => bpm < asked.low) ? 'below' : null;
}
