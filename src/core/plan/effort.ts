import type { DayKind } from '../release';
import { formatOf, type Session } from '../session';
import type { PlannedDay } from './model';

/**
 * Effort of a whole session, 0…10, where the coach says nothing: steady cardio can be talked through, hard
 * intervals and tests cannot. Common practice, no source.
 */
const USUAL: Record<DayKind, number> = { train: 6, cardio: 5, test: 8, 'active-rest': 2, rest: 0 };
const STEADY = 4;
const HARD = 8;
/** A lighter week feels lighter by this much. */
const LIGHTER = 2;

/** What kind of cardio a session is made of; null where it has none of either. */
export function cardioOf(session: Session): 'steady' | 'hard' | null {
	const main = session.blocks.filter((block) => block.role === 'main');
	if (main.some((block) => block.format === 'hard-intervals')) return 'hard';
	return main.some((block) => block.format === 'steady-cardio') ? 'steady' : null;
}

/** Effort expected of a day, 0…10. */
export function expectedEffort(day: PlannedDay, session: Session | null, light: boolean): number {
	if (!session) return 0;
	if (day.effort !== null) return day.effort;
	const cardio = cardioOf(session);
	const only =
		cardio !== null && session.blocks.every(({ role, format }) => role !== 'main' || isCardio(format));
	const usual = only && day.kind !== 'test' ? (cardio === 'hard' ? HARD : STEADY) : USUAL[day.kind];
	return Math.max(0, usual - (light && day.kind !== 'test' ? LIGHTER : 0));
}

const isCardio = (format: Session['blocks'][number]['format']): boolean =>
	format === 'steady-cardio' || format === 'hard-intervals';

/**
 * Minutes that raise the breath, by intensity: moderate 3 to under 6 MET, vigorous from 6 (WHO 2020). Strength
 * work is not counted; circuits, AMRAP and work for time are where the day is meant as cardio.
 */
export function aerobicMinutes(
	session: Session,
	spans: readonly { block: number; seconds: number }[],
	cardioDay: boolean
): { moderate: number; vigorous: number } {
	const sum = { moderate: 0, vigorous: 0 };
	for (const { block: b, seconds } of spans) {
		const block = session.blocks[b];
		if (!block || block.role !== 'main') continue;
		const counts = isCardio(block.format) || (cardioDay && ON_CARDIO_DAYS.has(block.format));
		if (!counts) continue;
		sum[formatOf(block).met.met >= 6 ? 'vigorous' : 'moderate'] += seconds / 60;
	}
	return sum;
}

const ON_CARDIO_DAYS = new Set<string>(['interval-circuit', 'amrap', 'for-time', 'emom']);
