import { addDays, dateIn, instantOf, minutesIn } from '../calendar';

/** The part of a day in which nobody is written to, in minutes after midnight by their own clock; it may cross midnight. */
export interface QuietHours {
	from: number;
	to: number;
}

const within = (minutes: number, { from, to }: QuietHours): boolean =>
	from <= to ? minutes >= from && minutes < to : minutes >= from || minutes < to;

/**
 * When something for somebody may go: at once, or as their quiet hours end. On a night when the clocks change they end
 * at the same time of the clock as ever. Quiet hours that begin as they end are none.
 *
 * @param at epoch milliseconds @param zone theirs
 */
export function afterQuiet(at: number, zone: string, quiet: QuietHours): number {
	if (quiet.from === quiet.to) return at;
	const minutes = minutesIn(zone, at);
	if (!within(minutes, quiet)) return at;
	const today = dateIn(zone, at);
	const ends = instantOf(minutes < quiet.to ? today : addDays(today, 1), quiet.to, zone);
	// In the hour that comes twice the first of the two may be over.
	return Math.max(at, ends);
}
