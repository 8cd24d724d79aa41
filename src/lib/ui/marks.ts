import type { DayKind } from '$core/calendar';
import type { DayState } from '$core/day';
import { percent } from '$lib/format';

/** What a plate says in words; the same everywhere. */
export function markText(state: DayState, credit: number, pain = false): string {
	const words: Record<DayState, string> = {
		ahead: 'ahead',
		open: 'open now',
		done: 'all done',
		partial: `part done, ${percent(credit)}`,
		late: `late, counts ${percent(credit)}`,
		missed: 'missed',
		excused: 'excused',
		held: 'held, nothing released',
		rest: 'rest',
		cancelled: 'cancelled'
	};
	return pain ? `${words[state]}; pain was reported` : words[state];
}

/** In the order in which a legend lists them. */
export const LEGEND: { state: DayState; credit: number; pain?: boolean; text: string }[] = [
	{ state: 'done', credit: 1, text: 'all done' },
	{ state: 'partial', credit: 0.5, text: 'part done' },
	{ state: 'late', credit: 0.75, text: 'late' },
	{ state: 'missed', credit: 0, text: 'missed' },
	{ state: 'excused', credit: 0, text: 'excused' },
	{ state: 'held', credit: 0, text: 'held' },
	{ state: 'open', credit: 0, text: 'open now' },
	{ state: 'rest', credit: 0, text: 'rest' },
	{ state: 'ahead', credit: 0, text: 'ahead' },
	{ state: 'done', credit: 1, pain: true, text: 'pain reported' }
];

export const KIND_TEXT: Record<DayKind, string> = {
	train: 'train',
	cardio: 'cardio',
	test: 'test',
	'active-rest': 'active rest',
	rest: 'rest'
};

/** Width and height of a plate with room for the wedge above it, in drawing units. */
export const PLATE = { width: 12, height: 25 };
