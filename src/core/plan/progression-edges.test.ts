/** Rules where they end: what a step says it changed, what it cannot change, what it does not touch. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { type Session } from '../session';
import { newRule, type Deload, type Rule, type RuleTarget } from './model';
import type { Step } from './steps';
import { followsRules, sessionInWeek } from './progression';
import { ruleText, stepText } from './rule-text';

/** Changes and dead ends of a session in a week, and the session. */
function told(session: Session, week: number, rules: Rule[], deload: Deload | null = null) {
	const {
		session: next,
		changes,
		stuck,
		met
	} = sessionInWeek(session, 's', week, { rules, deload }, PRACTICE);
	const place = ({ block, part }: { block: number; part: number | null }) =>
		`${block}${part === null ? '' : `.${part}`}`;
	return {
		lines: next.blocks.map((block) => lineOf(block)),
		changes: changes.map((c) => `${c.rule ?? 'lighter'} ${place(c)} ${c.what}: ${c.from} → ${c.to}`),
		stuck: stuck.map((s) => `${s.rule} ${place(s)}: ${s.why}`),
		met: [...met]
	};
}
const on = (target: RuleTarget, ...steps: Step[]) => newRule('r', target, steps);
const all = (...steps: Step[]) => on({ session: 's' }, ...steps);

describe('a step', () => {
	it.each<[string, Step, string]>([
		['3 x 10 goblet squat @ 12 kg, rest 60', { kind: 'load', kg: 2.25 }, '0.0 load: 12 kg → 16.5 kg'],
		['3 x 10 squat, rest 60', { kind: 'reps', reps: 1 }, '0.0 reps: 10 reps → 12 reps'],
		['3 x 30 s plank, rest 60', { kind: 'seconds', seconds: 5 }, '0.0 seconds: 30 s → 40 s'],
		['3 x 10 squat, rest 60', { kind: 'rounds', rounds: 1 }, '0 sets: 3 → 5'],
		['3 x 10 squat, rest 60', { kind: 'rest', seconds: 10 }, '0 rest: 60 s → 40 s'],
		['3 x 10 squat 2-0-1-0, rest 60', { kind: 'tempo', seconds: 1 }, '0.0 tempo: 2-0-1-0 → 4-0-1-0'],
		[
			'3 x 10 floor press, rest 60',
			{ kind: 'double', top: 12, kg: 2 },
			'0.0 reps, then load: 10 reps at bodyweight → 12 reps at bodyweight'
		],
		['amrap 10 min: 10 squat', { kind: 'rounds', rounds: 1 }, '0 length: 600 s → 720 s'],
		['emom 8 min: 5 squat / 5 push-up', { kind: 'rounds', rounds: 1 }, '0 starts: 8 → 12'],
		['steady 20 min: brisk walk', { kind: 'seconds', seconds: 60 }, '0 minutes: 20 → 22'],
		['circuit 3 rounds 30/15: squat', { kind: 'seconds', seconds: 5 }, '0 work: 30 s → 40 s']
	])('%s, %o', (line, step, change) => {
		const result = told(sessionOf(line), 3, [all(step)]);
		expect(result.changes).toEqual([`r ${change}`]);
		expect([result.stuck, result.met]).toEqual([[], ['r']]);
	});

	it.each<[string, Step]>([
		['3 x 10 squat, rest 60', { kind: 'load', kg: 2 }],
		['3 x 30 s plank, rest 60', { kind: 'reps', reps: 1 }],
		['3 x 30 s plank, rest 60', { kind: 'tempo', seconds: 1 }],
		['3 x 30 s plank, rest 60', { kind: 'double', top: 12, kg: 2 }],
		['3 x 10 squat, rest 60', { kind: 'seconds', seconds: 5 }],
		['3 x 10 squat, rest 0', { kind: 'rest', seconds: 5 }],
		['3 x 10 of my own thing, rest 60', { kind: 'variation' }],
		['3 x 10 squat, rest 60', { kind: 'restore' }]
	])('has nothing to change: %s, %o', (line, step) => {
		const session = sessionOf(line);
		expect(told(session, 3, [all(step)])).toMatchObject({ changes: [], stuck: [], met: [] });
		expect(sessionInWeek(session, 's', 3, { rules: [all(step)], deload: null }, PRACTICE).session).toBe(
			session
		);
	});

	it('of rest leaves five seconds, and says what it could not take', () => {
		const session = sessionOf('3 x 10 squat, rest 25');
		const shorter = all({ kind: 'rest', seconds: 10 });
		expect(told(session, 1, [shorter])).toMatchObject({ changes: [], stuck: [] });
		expect(told(session, 3, [shorter])).toMatchObject({ changes: ['r 0 rest: 25 s → 5 s'], stuck: [] });
		expect(told(session, 4, [shorter])).toMatchObject({
			changes: ['r 0 rest: 25 s → 5 s'],
			stuck: ['r 0: no more than 20 s of rest to take away']
		});
		expect(told(sessionOf('3 x 10 squat, rest 4'), 2, [shorter])).toMatchObject({
			changes: [],
			stuck: ['r 0: no more than 0 s of rest to take away']
		});
	});

	it('of both kinds ends at the top where there is no load', () => {
		const session = sessionOf('3 x 10 squat, rest 60');
		const double = all({ kind: 'double', top: 12, kg: 2 });
		expect(told(session, 3, [double])).toMatchObject({ lines: ['3 x 12 reps Squat, rest 60'], stuck: [] });
		expect(told(session, 4, [double])).toMatchObject({
			lines: ['3 x 12 reps Squat, rest 60'],
			stuck: ['r 0.0: 12 reps are reached, with no load to add']
		});
		const heavy = sessionOf('3 x 10 squat @ 8 kg, rest 60');
		expect(told(heavy, 9, [double])).toMatchObject({
			lines: ['3 x 12 reps Squat @ 12 kg, rest 60'],
			stuck: []
		});
	});

	it('to the next variation waits for its first week', () => {
		const harder = all({ kind: 'variation' });
		const session = sessionOf('3 x 10 goblet squat @ 12 kg, rest 60');
		expect(told(session, 1, [harder])).toMatchObject({ changes: [], stuck: [], met: ['r'] });
		expect(told(session, 2, [harder]).changes).toHaveLength(1);
	});

	it('that would make the session unsound is undone by itself; the one before it stays', () => {
		const session = sessionOf('emom 8 min: 10 squat');
		const both = all({ kind: 'tempo', seconds: 1 }, { kind: 'reps', reps: 10 });
		// 10 squats of 3 + 1 s take 40 s; 20 take 80.
		expect(told(session, 2, [both])).toEqual({
			lines: ['emom 8 min: 10 reps Squat 3-0-1-0'],
			changes: ['r 0.0 tempo: 2-0-1-0 → 3-0-1-0'],
			stuck: [expect.stringMatching(/^r 0: the work of minute 1 takes 80 s and leaves no rest/)],
			met: ['r']
		});
	});
});

describe('what a rule is about', () => {
	const session = sessionOf(
		'warm-up: 2 x 10 squat, rest 10',
		'superset 2 rounds, rest 10 inside, 30 after: 8 squat + 8 push-up',
		'2 x 10 of my own thing, rest 10'
	);
	const more: Step = { kind: 'reps', reps: 1 };
	const changed = (target: RuleTarget) =>
		told(session, 2, [on(target, more)]).changes.map((text) => text.split(' ')[1]);

	it('an exercise, in every block and under every name', () => {
		expect(changed({ exercise: 'squats' })).toEqual(['0.0', '1.0']);
		expect(changed({ exercise: 'Of my own thing' })).toEqual([]);
		expect(changed({ exercise: session.blocks[2]?.parts[0]?.exercise ?? '' })).toEqual(['2.0']);
		expect(changed({ exercise: 'Plank' })).toEqual([]);
	});

	it('the main work of a session, a block whatever its part, or one exercise', () => {
		expect(changed({ session: 's' })).toEqual(['1.0', '1.1', '2.0']);
		expect(changed({ session: 's', block: 0 })).toEqual(['0.0']);
		expect(changed({ session: 's', block: 1, part: 1 })).toEqual(['1.1']);
		expect(changed({ session: 's', block: 1, part: 0 })).toEqual(['1.0']);
		expect(changed({ session: 's', block: 1, part: 2 })).toEqual([]);
		expect(changed({ session: 't', block: 1 })).toEqual([]);
	});

	it('no test', () => {
		expect(['train', 'active-rest', 'cardio'].map((kind) => followsRules({ kind: kind as 'train' }))).toEqual(
			[true, true, true]
		);
		expect(followsRules({ kind: 'test' })).toBe(false);
	});
});

describe('what is put back', () => {
	const session = sessionOf(
		'2 x 10 squat, rest 10',
		'superset 2 rounds, rest 10 inside, 30 after: 8 curl + 8 push-up',
		'2 x 30 s plank, rest 10'
	);
	const back = (id: string, block: number, part?: number, from = 3) =>
		newRule(id, { session: 's', block, ...(part !== undefined && { part }) }, [{ kind: 'restore' }], {
			from
		});
	const SQUAT = '2 x 10 reps Squat, rest 10';
	const PLANK = '2 x 30 s Plank, rest 10';

	it('is left out before, by its name, from the last place to the first', () => {
		expect(told(session, 2, [back('a', 0), back('b', 1, 0), back('c', 2)])).toEqual({
			lines: [expect.stringContaining('8 reps Push-up')],
			changes: [
				'c 2 Straight sets: in it → left out',
				'b 1.0 Curl: in it → left out',
				'a 0 Straight sets: in it → left out'
			],
			stuck: [],
			met: ['c', 'b', 'a']
		});
		expect(told(session, 2, [back('a', 1, 0), back('b', 1)]).lines).toEqual([SQUAT, PLANK]);
		expect(told(session, 2, [back('a', 0), back('b', 0)]).lines).toHaveLength(2);
		expect(told(session, 2, [back('a', 1, 0), back('b', 1, 0)]).lines[1]).toContain('Push-up');
		expect(told(session, 2, [back('a', 1, 0), back('b', 1, 1)])).toMatchObject({
			lines: [SQUAT, PLANK],
			met: ['b', 'a']
		});
		expect(told(session, 2, [back('a', 2), back('b', 0)]).lines).toEqual([expect.stringContaining('Curl')]);
	});

	it('is there from its week on', () => {
		expect(told(session, 3, [back('a', 0), back('b', 1, 0)])).toMatchObject({
			changes: [],
			stuck: [],
			met: ['b', 'a']
		});
	});

	it('takes its block along when it is all of it', () => {
		expect(told(session, 2, [back('a', 2, 0)]).lines).toEqual([SQUAT, expect.stringContaining('Curl')]);
	});

	it('is not there where its place is not', () => {
		expect(told(session, 2, [back('a', 7), back('b', 1, 2), back('c', 0, 1)])).toMatchObject({
			changes: [],
			met: []
		});
		const other = newRule('d', { session: 't', block: 0 }, [{ kind: 'restore' }], { from: 3 });
		const whole = newRule('e', { session: 's' }, [{ kind: 'restore' }], { from: 3 });
		const everywhere = newRule('f', { exercise: 'Squat' }, [{ kind: 'restore' }], { from: 3 });
		expect(told(session, 2, [other, whole, everywhere])).toMatchObject({ changes: [], met: [] });
	});

	it('leaves something of the session', () => {
		expect(told(sessionOf('2 x 10 squat, rest 10'), 2, [back('a', 0)])).toEqual({
			lines: [SQUAT],
			changes: [],
			stuck: ['a 0: nothing would be left of the session'],
			met: ['a']
		});
	});

	it('may come with a step', () => {
		const both = newRule('a', { session: 's', block: 0 }, [{ kind: 'reps', reps: 1 }, { kind: 'restore' }], {
			from: 3
		});
		expect(told(session, 2, [both]).lines).toHaveLength(2);
		expect(told(session, 3, [both]).lines[0]).toBe('2 x 11 reps Squat, rest 10');
	});
});

describe('a lighter week', () => {
	const deload = { every: 4, keep: 0.5 };

	it('says what it cut, and cuts no warm-up and nothing that is done once', () => {
		const session = sessionOf(
			'warm-up: 4 x 10 squat, rest 10',
			'4 x 10 squat, rest 10',
			'1 x 10 squat, rest 10',
			'amrap 10 min: 10 squat'
		);
		expect(told(session, 4, [], deload).changes).toEqual([
			'lighter 1 sets: 4 → 2',
			'lighter 3 length: 600 s → 300 s'
		]);
		expect(told(session, 3, [], deload).changes).toEqual([]);
	});
});

describe('in words', () => {
	it.each<[Step, string]>([
		[{ kind: 'load', kg: 2 }, '+2 kg'],
		[{ kind: 'reps', reps: 1 }, '+1 rep'],
		[{ kind: 'reps', reps: 2 }, '+2 reps'],
		[{ kind: 'seconds', seconds: 5 }, '+5 s'],
		[{ kind: 'rounds', rounds: 1 }, '+1 round'],
		[{ kind: 'rounds', rounds: 2 }, '+2 rounds'],
		[{ kind: 'rest', seconds: 5 }, '−5 s rest'],
		[{ kind: 'tempo', seconds: 1 }, '1 s slower down'],
		[{ kind: 'variation' }, 'next variation'],
		[{ kind: 'double', top: 12, kg: 2 }, '+1 rep up to 12, then +2 kg'],
		[{ kind: 'restore' }, 'put back']
	])('%o', (step, text) => expect(stepText(step)).toBe(text));

	it('rules', () => {
		const kg: Step = { kind: 'load', kg: 2 };
		expect(ruleText(on({ exercise: 'Goblet squat' }, kg))).toBe('Goblet squat: +2 kg every week from week 2');
		expect(
			ruleText(
				newRule('r', { session: 's' }, [kg, { kind: 'reps', reps: 1 }], { every: 2, until: 6 }),
				'Session A'
			)
		).toBe('Session A: +2 kg and +1 rep every 2 weeks from week 2 to week 6');
		expect(ruleText(on({ session: 's', block: 1 }, kg), 'Session A')).toBe(
			'Session A, block 2: +2 kg every week from week 2'
		);
		expect(ruleText(on({ session: 's', block: 0 }, kg))).toBe('block 1: +2 kg every week from week 2');
		expect(ruleText(on({ session: 's' }, kg))).toBe('+2 kg every week from week 2');
		expect(
			ruleText(newRule('r', { session: 's', block: 2 }, [kg, { kind: 'restore' }], { from: 3 }), 'A')
		).toBe('A, block 3: +2 kg and put back in week 3');
	});
});
