import type { Hold } from '../health';
import { expect, it } from 'vitest';
import { standingAt, type DayEntry } from './day-state';
import { personDay, type PlannedFacts } from './person-day';
import { packEntry } from './strip';

const window = { opens: 1000, due: 2000, closes: 3000 };
const policy = { partial: 'share', lateWorth: 0.5 } as const;
const day = (
	now: number,
	entry: DayEntry | null,
	more: Partial<PlannedFacts> & { fromDay?: number; holds?: Hold[] } = {}
) => {
	const { fromDay = 1, holds = [], ...planned } = more;
	return personDay(
		{ day: 4, kind: 'train', cancelled: null, ...planned },
		window,
		{ fromDay, strip: entry ? { 4: packEntry(entry) } : {}, holds },
		policy,
		now
	);
};
const entry = (kind: DayEntry['kind'], at = 1500): DayEntry => ({
	kind,
	credit: 1,
	at,
	pain: false,
	standing: kind === 'check-in' ? standingAt(window, at) : null
});

it('opens for those whose day it is, at the instant of its opening', () => {
	expect(day(999, null)).toMatchObject({ theirs: true, open: false, state: 'ahead', why: null });
	expect(day(1000, null)).toMatchObject({ theirs: true, open: true, state: 'open', why: null, window });
	expect(day(9000, null)).toMatchObject({ open: true, state: 'missed' });
	expect(day(1500, null, { fromDay: 4 })).toMatchObject({ theirs: true, open: true });
	expect(day(1500, null, { fromDay: 5 })).toMatchObject({
		theirs: false,
		open: false,
		state: 'excused',
		why: 'before they joined'
	});
});

it('says why it is not asked for, as soon as that is known', () => {
	expect(day(9000, entry('check-in'))).toMatchObject({ state: 'done', credit: 1, why: null });
	expect(day(9000, entry('excuse')).why).toBe('excused');
	expect(day(9000, entry('pause')).why).toBe('paused');
	expect(day(9000, entry('cancelled'), { cancelled: 'Storm' })).toMatchObject({
		why: 'cancelled for everyone',
		cancelled: 'Storm'
	});
	expect(day(1500, entry('excuse')).why).toBe('excused');
	expect(day(1499, entry('excuse'))).toMatchObject({ state: 'open', why: null });
});
