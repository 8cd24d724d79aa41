import { addDays, isDate, weekdayOf } from './dates';

/** The frame of a challenge in time. */
export interface Frame {
	/** Date of day 1. */
	startsOn: string;
	/** 1 … 12; a week is seven days from day 1, whatever weekday that is. */
	weeks: number;
	/** Length where it is not whole weeks; the last week is then shorter. */
	days?: number;
	/** Weekdays on which one trains, 1 Monday … 7 Sunday. */
	trainingDays: readonly number[];
}

export interface CalendarDay {
	/** From 1. */
	day: number;
	week: number;
	date: string;
	weekday: number;
	trains: boolean;
}

export interface Calendar {
	days: CalendarDay[];
	/** Date of the last day of each week. */
	weekEnds: string[];
	trainingDays: number;
}

const MAX_WEEKS = 12;

/**
 * Every day of a challenge with its date.
 *
 * @throws RangeError naming the argument that is out of bounds
 */
export function calendarOf({ startsOn, weeks, days: length = weeks * 7, trainingDays }: Frame): Calendar {
	if (!isDate(startsOn)) throw new RangeError(`startsOn: “${startsOn}” is no day of the calendar`);
	if (!Number.isInteger(weeks) || weeks < 1 || weeks > MAX_WEEKS)
		throw new RangeError(`weeks: ${weeks}; 1 to ${MAX_WEEKS} are possible`);
	const train = new Set(trainingDays);
	const days = Array.from({ length }, (_, i): CalendarDay => {
		const date = addDays(startsOn, i);
		const weekday = weekdayOf(date);
		return { day: i + 1, week: Math.floor(i / 7) + 1, date, weekday, trains: train.has(weekday) };
	});
	const training = days.filter((day) => day.trains);
	return {
		days,
		weekEnds: Array.from({ length: weeks }, (_, w) => addDays(startsOn, Math.min(w * 7 + 7, length) - 1)),
		trainingDays: training.length
	};
}
