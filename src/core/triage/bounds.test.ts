/** Reasons that come from beside the days, and where each begins and ends. */
import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import { HOUR, opens, somebody, type Told } from '../../../tests/support/triage-people';
import { attendanceOf } from '../attendance';
import { DEFAULT_HOUSE } from '../practice';
import {
	compareNeed,
	isAnswered,
	REASON_KINDS,
	triage,
	type Reason,
	type ReasonKind,
	type TriageFacts
} from './index';

/** Reasons at noon of the day after some days that are past. */
function reasonsOf(
	letters: string,
	facts: Partial<TriageFacts> = {},
	told: Record<number, Told> = {}
): Reason[] {
	const now = opens(letters.length + 1) + 8 * HOUR;
	const them = somebody(letters.padEnd(Math.ceil((letters.length + 1) / 7) * 7, 'a'), told);
	const attendance = attendanceOf(them.days, { strip: them.strip, extras: [] }, now);
	const known = {
		stopped: null,
		followUp: null,
		losing: null,
		undecided: null,
		review: null,
		effortMost: null,
		...them,
		attendance,
		...facts
	};
	return triage(known, DEFAULT_HOUSE, now);
}
const kindsOf = (...of: Parameters<typeof reasonsOf>): ReasonKind[] =>
	reasonsOf(...of).map(({ kind }) => kind);
const hold = (reason: 'stopped' | 'clearance') => [{ from: opens(2), until: null, reason }];

describe('safety from beside the days', () => {
	it('is whoever stopped at a warning sign, in their words, and not for being held as well', () => {
		expect(reasonsOf('ddd', { holds: hold('stopped'), stopped: 'chest pain' })).toMatchObject([
			{ kind: 'stopped', since: opens(2), said: 'chest pain' }
		]);
		expect(reasonsOf('ddd', { holds: hold('stopped') })).toMatchObject([{ kind: 'stopped', said: '' }]);
		expect(kindsOf('ddd', { holds: hold('clearance'), stopped: 'chest pain' })).toEqual(['held']);
	});

	it('is what was to be asked after, and weight that is lost too fast', () => {
		expect(reasonsOf('ddd', { followUp: { at: opens(1), said: 'left knee' } })).toEqual([
			{ kind: 'follow up', since: opens(1), about: 'left knee' }
		]);
		const losing = { kgPerWeek: -1, share: 0.012, days: 21, since: opens(3) };
		expect(reasonsOf('ddd', { losing: losing })).toEqual([{ kind: 'losing', ...losing }]);
	});

	it('is pain told beside the days, where it is newer than what a check-in told', () => {
		const beside = (at: number) => ({
			undecided: { at, said: 'wrist', day: null, beside: true, isSharp: false }
		});
		const knee = { 2: { hurts: 'knee' } };
		expect(reasonsOf('ddd', beside(opens(3)))).toMatchObject([
			{ kind: 'pain', hurts: 'wrist', day: null, times: 1 }
		]);
		expect(reasonsOf('ddd', beside(opens(3)), knee)).toMatchObject([{ hurts: 'wrist', times: 2 }]);
		expect(reasonsOf('ddd', beside(opens(2)), knee)).toMatchObject([{ hurts: 'knee', times: 1 }]);
		expect(
			kindsOf('ddd', { undecided: { ...beside(opens(3)).undecided, beside: false, isSharp: false } }),
			'a check-in tells of it, or has been corrected'
		).toEqual([]);
	});

	it('comes before all else, in this order', () => {
		const all = kindsOf(
			'dddmmm',
			{
				holds: hold('stopped'),
				stopped: 'x',
				followUp: { at: 0, said: 'x' },
				losing: { kgPerWeek: -1, share: 0.02, days: 21, since: 0 }
			},
			{ 1: { hurts: 'knee' } }
		);
		expect(all.slice(0, 4)).toEqual(['stopped', 'pain', 'losing', 'follow up']);
	});
});

describe('where a reason begins', () => {
	const each = (what: Told, ...days: number[]) => Object.fromEntries(days.map((day) => [day, what]));

	it('low mood: two of five or less, three times running', () => {
		expect(reasonsOf('ddd', {}, each({ mood: 2 }, 1, 2, 3))).toMatchObject([
			{ kind: 'low', mood: [2, 2, 2], since: opens(3) + 2 * HOUR }
		]);
		expect(kindsOf('ddd', {}, { ...each({ mood: 2 }, 1, 2), 3: { mood: 3 } })).toEqual([]);
		expect(kindsOf('dd', {}, each({ mood: 1 }, 1, 2)), 'twice').toEqual([]);
		expect(kindsOf('d', {}, each({ effort: 10 }, 1)), 'one hard session').toEqual([]);
	});

	it('silent: seven days after somebody was last seen', () => {
		// Seen two hours after day 1 opened; the next noon is six hours later than that in the day.
		const silentAt = (seen: number) => kindsOf('dmmmmmm', {}, { 1: { hours: seen } });
		expect(silentAt(8)).toEqual(['silent']);
		expect(silentAt(8.01)).toEqual(['missing']);
	});

	it('fading: 25 points, as the house has it, dated by the last day that was due', () => {
		const thin = { recent: { credit: 3, due: 4 }, before: { credit: 4, due: 4 } };
		const faded = (trend: number) => {
			const them = somebody('ddddddd'.padEnd(14, 'a'));
			const attendance = attendanceOf(them.days, { strip: them.strip, extras: [] }, opens(8));
			return reasonsOf('ddddddd', { attendance: { ...attendance, trend, weeks: thin as never } }).filter(
				({ kind }) => kind === 'fading'
			);
		};
		expect(faded(-25)).toMatchObject([{ kind: 'fading', since: opens(8), ...thin }]);
		expect(faded(-24.9)).toEqual([]);
	});

	it('strain: without a word about effort no session counts for it', () => {
		const quiet = each({ effort: null }, 4, 5, 6);
		expect(kindsOf('dddppp', {}, quiet)).not.toContain('strain');
		// Three of effort 9 and half done, one without a word between them.
		const told = { ...each({ effort: 9 }, 4, 6, 7), 5: { effort: null } };
		expect(kindsOf('dddpppp', {}, told)).toContain('strain');
	});

	it('a full week: three training days at least, and news for three days', () => {
		expect(kindsOf('ddrrrrr')).not.toContain('full week');
		expect(kindsOf('dddrrrr'), 'the last of them four days ago').not.toContain('full week');
		expect(kindsOf('rrrrddd')).toContain('full week');
		expect(kindsOf('rrrrddp')).not.toContain('full week');
	});

	it('a round number: the tenth session, and not the ninth', () => {
		expect(kindsOf('rrrrrdddddddddd').filter((kind) => kind === 'sessions')).toHaveLength(1);
		expect(kindsOf('rrrrrddddddddd')).not.toContain('sessions');
		expect(kindsOf('rrrrr')).not.toContain('sessions');
		expect(kindsOf('ddddddddddrrrr'), 'four days ago').not.toContain('sessions');
	});
});

describe('what has been answered', () => {
	const now = opens(20);
	const answered = (reason: object, at: number, kind: ReasonKind, until: number | null = null) =>
		isAnswered(reason as Reason, [{ at, reasons: [kind], until }], DEFAULT_HOUSE, now);

	it('is never whoever stopped at a warning sign', () => {
		expect(answered({ kind: 'stopped', since: now - DAY_MS, said: '' }, now, 'stopped')).toBe(false);
		expect(answered({ kind: 'stopped', since: now - DAY_MS, said: '' }, now, 'stopped', now + DAY_MS)).toBe(
			false
		);
	});

	it('is what was asked after for good, however long ago', () => {
		const due = { kind: 'follow up', since: now - 20 * DAY_MS, about: 'knee' };
		expect(answered(due, now - 15 * DAY_MS, 'follow up')).toBe(true);
		expect(answered(due, now - 21 * DAY_MS, 'follow up')).toBe(false);
	});

	it('needs one answer of several', () => {
		const missing = { kind: 'missing', since: now - DAY_MS, due: 3, lastSeen: 0 } as Reason;
		const answers = [
			{ at: now - 9 * DAY_MS, reasons: ['missing' as const], until: null },
			{ at: now, reasons: ['missing' as const], until: null }
		];
		expect(isAnswered(missing, answers, DEFAULT_HOUSE, now)).toBe(true);
	});
});

describe('safety first', () => {
	const order = (...of: Parameters<typeof reasonsOf>) => reasonsOf(...of).map(({ kind }) => kind);

	it('puts a stop sign before a clearance, sharp pain before pain, and those before losing weight', () => {
		const losing = { kgPerWeek: -1.2, share: -0.015, days: 21, since: opens(3) };
		const pain = { 3: { hurts: 'knee' } };
		expect(order('ddd', { losing, holds: hold('clearance') }, pain).slice(0, 3)).toEqual([
			'held',
			'pain',
			'losing'
		]);
		expect(order('ddd', { losing, holds: hold('stopped') }, pain).slice(0, 3)).toEqual([
			'stopped',
			'pain',
			'losing'
		]);
		const [sharp] = reasonsOf('ddd', {}, { 3: { hurts: 'sharp in the knee' } });
		const [dull] = reasonsOf('ddd', {}, pain);
		expect(compareNeed([sharp!], [dull!])).toBeLessThan(0);
	});

	it('lists those who have not answered apart, below all of safety', () => {
		const questions = [{ from: opens(2), until: null, reason: 'questions' as const }];
		const [first] = reasonsOf('ddd', { holds: questions });
		expect(first).toMatchObject({ kind: 'questions' });
		expect(REASON_KINDS[first!.kind]).toBe('unanswered');
		expect(
			order('ddd', { holds: questions, review: { at: opens(1), said: 'a bad toe' } }).slice(0, 2)
		).toEqual(['review', 'questions']);
	});

	it('knows the most effort that suits somebody, and leaves tests out', () => {
		const hard = { 3: { effort: 8 } };
		expect(order('ddd', { effortMost: 7 }, hard)).toContain('over effort');
		expect(order('ddd', { effortMost: 8 }, hard)).not.toContain('over effort');
		expect(order('ddd', {}, hard)).not.toContain('over effort');
		const tests = somebody('ddda', hard).days.map((day) =>
			day.day === 3 ? { ...day, kind: 'test' as const } : day
		);
		expect(order('ddd', { effortMost: 7, days: tests }, hard)).not.toContain('over effort');
	});
});
