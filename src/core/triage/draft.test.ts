import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import type { FieldValues } from '../text/template';
import { DEFAULT_TONE, DRAFT_STYLES, draftAfter, draftFor, type Said, type Tone } from './draft';
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
		effort: kind === 'over effort' ? 8 : [9, 10],
		most: 7,
		after: 5,
		count: 20,
		side: 'left',
		exercise: 'Split squat',
		kgPerWeek: -1.24,
		isSharp: false,
		recent: { credit: 1.5, due: 4 },
		before: { credit: 4, due: 4 },
		result: {
			before: 1,
			gain: {
				kind: 'most',
				exercise: 'Push-up',
				unit: 'reps',
				perSide: false,
				means: null,
				now: { amount: 24, kg: null },
				before: { amount: 20, kg: null }
			}
		}
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

it('says of sharp pain that it is a reason to stop, and not what to do if it were', () => {
	const pain = (isSharp: boolean) =>
		draftFor({ kind: 'pain', since: 0, day: 3, hurts: 'knee', times: 1, isSharp }, DEFAULT_TONE, VALUES);
	expect(pain(true)).toContain('Sharp pain is a reason to stop');
	expect(pain(true)).not.toContain('If it');
	expect(pain(false)).toContain('If it turns sharp');
});

it('promises nothing that no button beside it does', () => {
	for (const kind of Object.keys(REASON_KINDS) as ReasonKind[])
		for (const style of DRAFT_STYLES)
			expect(draft(kind, { style })).not.toMatch(/\b(?:I’ll|I will|I can|let’s)\b/i);
});

it('says the figures of the reason', () => {
	expect(draft('pain')).toContain('“left knee”');
	expect(draft('pain')).toContain('a doctor or physiotherapist');
	expect(draft('first miss')).toContain('day 12');
	expect(draft('silent')).toContain('9 days');
	expect(draft('came back')).toContain('day 12');
	expect(draft('full week')).toContain('All 4 training days');
	expect(draft('sessions')).toContain('session number 20');
	expect(draft('best')).toContain('push-up test so far: 24 reps, up from 20 reps');
	expect(draft('losing')).toContain('1.2 kg a week');
	expect(draft('fading')).toContain(
		'In the last seven days you did 1½ of 4 days, and in the seven before 4 of 4 days.'
	);
	expect(draft('easy')).toContain('9 and 10 of 10');
	expect(draft('uneven')).toContain('left side does less than the other: split squat');
	expect(draft('hard')).toContain('The last 2 sessions');
	expect(draftFor({ kind: 'questions', since: 0 }, DEFAULT_TONE, VALUES)).toContain('answered the questions');
	expect(draft('held')).toContain('a doctor or whoever treats you');
});

describe('a draft after there has been writing', () => {
	const NOW = 100 * DAY_MS;
	const theirs = (daysAgo: number, text = 'All right here.'): Said => ({
		byCoach: false,
		by: 'Noor Bastani',
		text,
		at: NOW - daysAgo * DAY_MS,
		toSeveral: false,
		aboutDay: null
	});
	const ours = (daysAgo: number, text: string, toSeveral = false): Said => ({
		byCoach: true,
		by: 'Runa Hallgren',
		text,
		at: NOW - daysAgo * DAY_MS,
		toSeveral,
		aboutDay: null
	});
	const after = (kind: ReasonKind, thread: Said[], tone: Partial<Tone> = {}) =>
		draftAfter(reasonOf(kind), { ...DEFAULT_TONE, ...tone }, VALUES, {
			thread,
			dealt: [],
			me: 'Runa Hallgren',
			now: NOW
		});

	it('is the usual one where nothing was written, or something else', () => {
		for (const kind of Object.keys(REASON_KINDS) as ReasonKind[]) {
			expect(after(kind, [])).toBe(draft(kind));
			expect(after(kind, [ours(3, 'See you on Saturday.')])).toBe(draft(kind));
		}
	});

	it('answers whoever wrote last, and keeps to what is for their safety', () => {
		const thread = [ours(9, draft('fading')), theirs(1)];
		expect(after('fading', thread, { style: 'warm' })).toBe('Hi Noor,\n\nThank you for writing.\n\nRuna');
		expect(after('pain', thread)).toMatch(
			/^Hi Noor,\n\nThank you for writing\. Your next sessions spare what hurts\..*How is it today\?/
		);
		expect(after('full week', thread)).toContain('Thank you for writing.');
	});

	it('is sorry for an answer that comes two days late or later', () => {
		expect(after('fading', [theirs(2)])).toContain('and I’m sorry that my answer took so long.');
		expect(after('fading', [theirs(1.9)])).not.toContain('sorry');
	});

	it('answers whoever wrote without a reason to turn to them, and says nothing where there is neither', () => {
		const nothing = (thread: Said[]) =>
			draftAfter(null, DEFAULT_TONE, VALUES, { thread, dealt: [], me: 'Runa Hallgren', now: NOW });
		expect(nothing([theirs(1)])).toBe('Hi Noor,\n\nThank you for writing.\n\nRuna');
		expect([nothing([]), nothing([theirs(2), ours(1, 'Good.')])]).toEqual(['', '']);
	});

	it('is the usual one again once what they wrote has been dealt with otherwise', () => {
		const dealt = [{ at: NOW - DAY_MS / 2, way: 'called', until: null }];
		const written = { thread: [theirs(1)], dealt, me: 'Runa Hallgren', now: NOW };
		expect(draftAfter(reasonOf('fading'), DEFAULT_TONE, VALUES, written)).toBe(draft('fading'));
		expect(draftAfter(null, DEFAULT_TONE, VALUES, written)).toBe('');
	});

	it('does not take a message to several for an answer to one of them', () => {
		const thread = [theirs(2), ours(1, 'Two long sessions this week.', true)];
		expect(after('fading', thread)).toContain('Thank you for writing');
	});

	it('asks after what was asked before, instead of saying it twice', () => {
		expect(after('fading', [ours(10, draft('fading'))])).toBe(
			'Hi Noor,\n\nI wrote to you 10 days ago and would like to know how you are. ' +
				'If a shorter session or another hour would help, say so. Is it the time, the sessions, or something else?\n\nRuna'
		);
		const another = { ...ours(10, draft('fading')), by: 'Ravdna Okello' };
		expect(after('fading', [another])).toContain('We wrote to you 10 days ago and would');
		// What they quote of it was not said by a coach.
		expect(after('fading', [theirs(3, draft('fading')), ours(2, 'Good to hear.')])).toBe(draft('fading'));
		// The figure in it has changed since.
		const days = draft('silent').replace('9 days', '5 days');
		expect(after('silent', [ours(4, days)])).toContain('I wrote to you 4 days ago');
		expect(after('missing', [ours(1.5, draft('missing'))])).toContain('I wrote to you yesterday and');
		expect(after('missing', [ours(0.5, draft('missing'))])).toContain('I wrote to you earlier today and');
		expect(after('missing', [ours(2, draft('missing'))])).toContain('2 days ago');
		expect(after('missing', [ours(20, draft('missing')), ours(6, draft('missing'))])).toContain('6 days ago');
	});

	it('says it again once it was answered, or is long ago, and praises as often as there is something to praise', () => {
		expect(after('fading', [ours(10, draft('fading')), theirs(8), ours(7, 'Good to hear.')])).toBe(
			draft('fading')
		);
		expect(after('fading', [theirs(12), ours(10, draft('fading'))])).toContain('I wrote to you 10 days ago');
		expect(after('fading', [ours(28, draft('fading'))])).toContain('28 days ago');
		expect(after('fading', [ours(28.1, draft('fading'))])).toBe(draft('fading'));
		expect(after('full week', [ours(7, draft('full week'))])).toBe(draft('full week'));
		expect(after('pain', [ours(3, draft('pain'))])).toBe(draft('pain'));
		expect(after('hard', [ours(3, draft('hard'))])).toBe(draft('hard'));
	});
});
