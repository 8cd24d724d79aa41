import type { DayKind } from '../calendar';
import { formatOf, type Session } from '../session';
import type { PlannedDay } from './model';

/**
 * Effort of a whole session, 0…10, where the coach says nothing: steady cardio can be talked through, hard
 * intervals and tests cannot. Common practice, no source.
 */
const USUAL: Record<DayKind, number> = { train: 6, cardio: 5, test: 8, 'active-rest': 2, rest: 0 };
/** A lighter week feels lighter by this much. */
const LIGHTER = 2;

/** What kind of cardio a session is made of; null where it has none of either. */
export function cardioOf(session: Session): 'steady' | 'hard' | null {
	const kinds = mainFormats(session).map(({ cardio }) => cardio);
	if (kinds.includes('hard')) return 'hard';
	return kinds.includes('steady') ? 'steady' : null;
}

const mainFormats = (session: Session) =>
	session.blocks.filter((block) => block.role === 'main').map((block) => formatOf(block));

/** Effort expected of a day, 0…10. */
export function expectedEffort(day: PlannedDay, session: Session | null, light: boolean): number {
	if (!session) return 0;
	if (day.effort !== null) return day.effort;
	const efforts = mainFormats(session).map(({ effort }) => effort);
	// Where every main block is of a format with an effort of its own, the hardest of them is the session's.
	const own = efforts.length > 0 && day.kind !== 'test' ? efforts : [null];
	const usual = own.every((effort) => effort !== null) ? Math.max(...own) : USUAL[day.kind];
	return Math.max(0, usual - (light && day.kind !== 'test' ? LIGHTER : 0));
}

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
		const { aerobic, met } = formatOf(block);
		if (aerobic === 'never' || (aerobic === 'on cardio days' && !cardioDay)) continue;
		sum[met.met >= VIGOROUS_MET ? 'vigorous' : 'moderate'] += seconds / 60;
	}
	return sum;
}

const VIGOROUS_MET = 6;
