import { describe, expect, it } from 'vitest';
import { draftFor } from './draft';
import { REASON_KINDS, type Reason, type ReasonKind } from './reason';

/** One of each, with all the figures that any of them has. */
const reasonOf = (kind: ReasonKind) =>
	({
		kind,
		since: 0,
		day: 12,
		hurts: 'left knee',
		why: 'clearance',
		due: 4,
		days: 9,
		effort: [9, 10],
		after: 5,
		count: 20
	}) as unknown as Reason;
const draft = (kind: ReasonKind) => draftFor(reasonOf(kind), { person: 'Noor', coach: 'Runa' });

describe.each(Object.keys(REASON_KINDS) as ReasonKind[])('a draft for “%s”', (kind) => {
	it('greets, says one thing and is signed', () => {
		expect(draft(kind)).toMatch(/^Hi Noor,\n\n\S[^\n]{30,}[.?]\n\nRuna$/);
	});
	it('has no gap, no scolding and no exclamation mark', () => {
		expect(draft(kind)).not.toMatch(/undefined|null|NaN|\[object|!|lazy|fail|should have|disappoint/i);
	});
});

it('says the figures of the reason', () => {
	expect(draft('pain')).toContain('“left knee”');
	expect(draft('pain')).toContain('a doctor or physiotherapist');
	expect(draft('first miss')).toContain('day 12');
	expect(draft('silent')).toContain('9 days');
	expect(draft('came back')).toContain('day 12');
	expect(draft('full week')).toContain('All 4 training days');
	expect(draft('sessions')).toContain('session number 20');
	expect(draft('hard')).toContain('The last 2 sessions');
	expect(draftFor({ kind: 'held', since: 0, why: 'questions' }, { person: 'Bao', coach: 'Runa' })).toContain(
		'answered the questions'
	);
	expect(draft('held')).toContain('a doctor or midwife');
});
