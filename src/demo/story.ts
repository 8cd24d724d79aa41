import type { DueWindow } from '$core/calendar';
import { seededRandom } from '$core/stats';
import { SORE_KEYS, type Soreness } from '$core/wellbeing';
import type { DemoPerson } from './people.data';

const HOUR = 3_600_000;

/** What somebody does on one day, and at which instant they say so. */
export interface DemoCheckin {
	at: number;
	done: 'all' | 'part';
	effort: number;
	energy: number;
	sleepHours: number;
	well: { mood: number; soreness: Soreness; win: string | null };
	hurts: string | null;
	note: string | null;
	/** The share of the session after which they stop; null: they do not. */
	share: number | null;
}

function doesOn(person: DemoPerson, day: number): number {
	const change = person.from?.filter((from) => from.day <= day).at(-1);
	return change?.does ?? person.does;
}

/**
 * What a person does on a day, drawn from their habits; the same for the same day whenever it is asked.
 * @returns null when they let it pass
 */
export function checkinOn(person: DemoPerson, day: number, window: DueWindow): DemoCheckin | null {
	const draw = seededRandom(`${person.name} ${day}`);
	const does =
		draw() < doesOn(person, day) || person.notes?.[day] !== undefined || person.hurts?.[day] !== undefined;
	const isPart = draw() < person.part;
	const isLate = draw() < person.late;
	const share = 0.35 + 0.5 * draw();
	const jitter = (draw() - 0.5) * 1.6;
	const late = 4 + draw() * 16;
	const effort = 5 + Math.round(draw() * 4);
	const energy = 2 + Math.round(draw() * 3);
	const sleepHours = Math.round((5.5 + draw() * 3) * 2) / 2;
	const mood = Math.max(
		1,
		Math.min(5, 2 + Math.round(draw() * 3) - (person.low && day >= person.low.from ? 2 : 0))
	);
	const sore = SORE_KEYS[Math.floor(draw() * SORE_KEYS.length)]!;
	const level = Math.floor(draw() * 4) as 0 | 1 | 2 | 3;
	if (!does || person.excused?.days.includes(day)) return null;
	const local = window.due - 24 * HOUR + (person.hour + jitter) * HOUR;
	const onTime = Math.min(Math.max(local, window.opens + HOUR / 3), window.due - HOUR / 6);
	return {
		at: Math.round(isLate ? Math.min(window.due + late * HOUR, window.closes - HOUR) : onTime),
		done: isPart ? 'part' : 'all',
		effort: isPart ? Math.min(10, effort + 1) : effort,
		energy,
		sleepHours,
		well: {
			mood,
			soreness: level === 0 ? {} : { [sore]: level },
			win: person.wins?.[day] ?? null
		},
		hurts: person.hurts?.[day] ?? null,
		note: person.notes?.[day] ?? null,
		share: isPart ? share : null
	};
}
