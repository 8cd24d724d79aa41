import { describe, expect, it } from 'vitest';
import type { FieldValues } from '../post/template';
import { DEFAULT_TONE, DRAFT_STYLES, draftFor, type Tone } from './draft';
import { REASON_KINDS, type Reason, type ReasonKind } from './reason';

/** One of each, with all the figures that any of them has. */
const reasonOf = (kind: ReasonKind) =>
	({
		kind,
		since: 0,
		day: 12,
		hurts: 'left knee',
		said: 'chest pain',
		about: 'left knee',
		mood: [2, 1, 2],
		why: 'clearance',
		due: 4,
		days: 9,
		effort: [9, 10],
		after: 5,
		count: 20,
		side: 'left',
		exercise: 'Split squat',
		result: { before: 1, gain: { exercise: 'Push-up' } }
	}) as unknown as Reason;
const VALUES = { name: 'Noor', coach: 'Runa', day: '23', team: null } as unknown as FieldValues;
const draft = (kind: ReasonKind, tone: Partial<Tone> = {}) =>
	draftFor(reasonOf(kind), { ...DEFAULT_TONE, ...tone }, VALUES);

describe.each(Object.keys(REASON_KINDS) as ReasonKind[])('a draft for “%s”', (kind) => {
	const styles = DRAFT_STYLES.map((style) => draft(kind, { style }));
	it('greets, says one thing and is signed', () => {
		for (const text of styles) expect(text).toMatch(/^Hi Noor,\n\n\S[^\n]{25,}[.?]\n\nRuna$/);
	});
	it('has no gap, no scolding and no exclamation mark', () => {
		for (const text of styles)
			expect(text).not.toMatch(/undefined|null|NaN|\[object|[{}!]| {2}|lazy|fail|should have|disappoint/i);
	});
	it('says no less the warmer it is, and keeps what is for their safety', () => {
		const [brief, plain, warm] = styles.map((text) => text.length) as [number, number, number];
		expect(brief).toBeLessThanOrEqual(plain);
		if (kind !== 'stopped') expect(plain).toBeLessThan(warm);
		if (REASON_KINDS[kind] === 'safety') expect(styles[0]).toBe(styles[1]);
	});
});

it('greets and signs as the coach does', () => {
	const tone = { greeting: 'Hei {name}, day {day}', signOff: 'Carry well\n{coach}' };
	const text = draft('first miss', tone);
	expect(text).toMatch(/^Hei Noor, day 23\n\nYou missed/);
	expect(text).toMatch(/\n\nCarry well\nRuna$/);
	expect(draft('first miss', { signOff: ' ' }), 'not signed').toMatch(/day\?$/);
});

it('says the figures of the reason', () => {
	expect(draft('pain')).toContain('“left knee”');
	expect(draft('pain')).toContain('a doctor or physiotherapist');
	expect(draft('first miss')).toContain('day 12');
	expect(draft('silent')).toContain('9 days');
	expect(draft('came back')).toContain('day 12');
	expect(draft('full week')).toContain('All 4 training days');
	expect(draft('sessions')).toContain('session number 20');
	expect(draft('best')).toContain('push-up');
	expect(draft('uneven')).toContain('left side does less than the other: split squat');
	expect(draft('hard')).toContain('The last 2 sessions');
	expect(draftFor({ kind: 'held', since: 0, why: 'questions' }, DEFAULT_TONE, VALUES)).toContain(
		'answered the questions'
	);
	expect(draft('held')).toContain('a doctor or midwife');
});
