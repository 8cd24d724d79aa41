import { DAY_MS } from '../calendar';
import { mean } from 'simple-statistics';
import { studentT } from '../stats';

/** A value at an instant, epoch milliseconds. */
export interface Measured {
	at: number;
	value: number;
}

export interface Trend {
	/** By least squares, in the unit of the values. */
	perWeek: number;
	/** The 95 % interval of it; null with two values, through which a line always goes. */
	interval: { low: number; high: number } | null;
	n: number;
	/** From the first value to the last. */
	days: number;
}

const WEEK = 7 * DAY_MS;

/**
 * How a measure changes: the slope of least squares over time with its t interval (Draper and Smith, Applied Regression
 * Analysis, 3rd ed., 1.4).
 *
 * @param values in any order
 * @returns null without two values at different instants
 */
export function trendOf(values: readonly Measured[]): Trend | null {
	const n = values.length;
	if (n < 2) return null;
	const first = Math.min(...values.map(({ at }) => at));
	const x = values.map(({ at }) => (at - first) / WEEK);
	const y = values.map(({ value }) => value);
	const [mx, my] = [mean(x), mean(y)];
	const sxx = x.reduce((sum, one) => sum + (one - mx) ** 2, 0);
	if (sxx === 0) return null;
	const perWeek = x.reduce((sum, one, i) => sum + (one - mx) * (y[i]! - my), 0) / sxx;
	const days = Math.max(...x) * 7;
	if (n === 2) return { perWeek, interval: null, n, days };
	const residual = x.reduce((sum, one, i) => sum + (y[i]! - my - perWeek * (one - mx)) ** 2, 0);
	const error = Math.sqrt(residual / (n - 2) / sxx) * studentT(n - 2);
	return { perWeek, interval: { low: perWeek - error, high: perWeek + error }, n, days };
}

/** Days after which a value counts about a third of what it did when it was new. Common practice, no source. */
const FADES_AFTER = 7 * DAY_MS;

/**
 * The values without their day-to-day swing: exponentially smoothed by the time between them, so that two on one morning
 * count hardly more than one (Brown's simple exponential smoothing, for uneven steps).
 *
 * @param values the oldest first @returns as many, at the same instants
 */
export function smoothed(values: readonly Measured[]): Measured[] {
	let last: Measured | null = null;
	return values.map(({ at, value }) => {
		const share = last === null ? 1 : 1 - Math.exp(-Math.max(at - last.at, DAY_MS / 24) / FADES_AFTER);
		const next: Measured = { at, value: last === null ? value : last.value + share * (value - last.value) };
		last = next;
		return next;
	});
}

/** Share of the weight that may be lost in a week. Helms, Aragon and Fitschen 2014, J Int Soc Sports Nutr 11:20 (0.5-1 %), from memory. */
const MOST_LOST = 0.01;
/** Before that a change is mostly water. Common practice, no source. */
const LEAST_DAYS = 10;
const LEAST_VALUES = 4;
/** Days that are looked back. */
const LOOKS_BACK = 28;

export interface Losing {
	/** In kg, below 0. */
	kgPerWeek: number;
	/** Share of the weight, 0…1. */
	share: number;
	days: number;
}

/**
 * Whether somebody loses weight faster than 1 % of it a week, over the last four weeks; null: no, or too little is known.
 *
 * @param weights in kg, the oldest first
 */
export function losingTooFast(weights: readonly Measured[], now: number): Losing | null {
	const recent = weights.filter(({ at }) => at > now - LOOKS_BACK * DAY_MS && at <= now);
	const trend = trendOf(recent);
	if (!trend || recent.length < LEAST_VALUES || trend.days < LEAST_DAYS) return null;
	const share = -trend.perWeek / mean(recent.map(({ value }) => value));
	// The line may as well be flat where its interval says so.
	return share > MOST_LOST && (trend.interval?.high ?? 0) < 0
		? { kgPerWeek: trend.perWeek, share, days: trend.days }
		: null;
}
