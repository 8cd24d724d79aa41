/** What keeps a session from being saved: each bound from both sides, each rule with its words. */
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { withNumber } from './edit';
import { sessionFaults } from './faults';
import { formatNamed, formatNames, type Block } from './formats';
import type { Session } from './model';
import { LIMITS, type Part } from './parts';

/** A sound block of each format. */
const LINES: Record<string, string> = {
	'straight-sets': '3 x 10 squat @ 12 kg, drop 2 x 20% on last, rest 60',
	superset: 'superset 3 rounds, rest 30 inside, 90 after: 10 squat + 10 curl',
	'interval-circuit': 'circuit 3 rounds 30/15, 45 between: squat + push-up',
	emom: 'emom 8 min: 10 squat / 8 push-up',
	amrap: 'amrap 10 min: 10 squat',
	'for-time': 'for time 3 rounds, limit 12 min: 10 squat',
	stations: 'stations 1 round, 60 s each, 15 change, 8 people: 10 squat / 8 push-up',
	'steady-cardio': 'steady 30 min at 145-155 bpm: brisk walk',
	'hard-intervals': 'hiit 8 x 30/60: fast feet',
	'rep-rounds': '3 rounds, rest 0 inside, 60 after: 10 squat + 8 push-up',
	holds: 'holds 2 rounds, rest 5: 30 s child rest'
};
const blockOf = (name: string): Block => {
	const [block] = sessionOf(LINES[name] ?? '').blocks;
	if (block?.format !== name) throw new Error(`${name} has no line here`);
	return block;
};
const faults = (block: Block) => sessionFaults({ blocks: [block] }, PRACTICE);
const told = (block: Block) => faults(block).map(({ path, message }) => `${path}: ${message}`);
const part = (change: Partial<Part>): Block => {
	const block = blockOf('straight-sets');
	const [first] = block.parts;
	if (!first) throw new Error('a part');
	return { ...block, sets: 1, drop: undefined, parts: [{ ...first, ...change }] } as Block;
};

describe('the numbers of a block', () => {
	const fields = formatNames().flatMap((name) =>
		formatNamed(name).fields.map((field) => ({ name, key: field.key, field }))
	);

	it.each(fields)('$name $key: within its bounds and no further', ({ name, key, field }) => {
		const [least, most] = field.bounds;
		const at = (value: number) =>
			faults(withNumber(blockOf(name), key, value)).filter(({ path }) => path === `blocks[0].${key}`);
		const says = field.says ?? field.label;
		expect(at(least)).toEqual([]);
		expect(at(most)).toEqual([]);
		expect(at(least - 1)[0]?.message).toBe(
			`${(least - 1).toLocaleString('en')} ${says}: a whole number from ${least} to ${most.toLocaleString('en')} is possible`
		);
		expect(at(most + 1)[0]?.message).toContain(`${(most + 1).toLocaleString('en')} ${says}`);
		expect(at(least + 0.5)[0]?.message).toBe(
			`${says} must be a whole number from ${least} to ${most.toLocaleString('en')}`
		);
		expect(at(NaN)).toHaveLength(1);
	});

	it.each(formatNames())('%s takes so many exercises', (name) => {
		const { takes, label } = formatNamed(name);
		const [min, max] = takes;
		const block = blockOf(name);
		const [first] = block.parts;
		const of = (count: number) => {
			const parts = Array.from({ length: count }, () => first).filter((one) => one !== undefined);
			const grouped = 'groups' in block ? { groups: parts.map((_, i) => [i]) } : {};
			return told({ ...block, ...grouped, parts }).filter((text) => text.startsWith('blocks[0].parts:'));
		};
		expect(of(0)).toEqual(['blocks[0].parts: a block needs at least one exercise']);
		expect(of(min)).toEqual([]);
		expect(of(max)).toEqual([]);
		expect(of(max + 1)[0]).toContain(`${label} takes`);
		expect(of(max + 1)[0]).toContain(`here are ${max + 1}`);
		if (min > 1) expect(of(min - 1)).toHaveLength(1);
	});

	it('says how many in words', () => {
		const squat = sessionOf('1 x 10 squat').blocks[0]!.parts[0]!;
		expect(told({ ...blockOf('straight-sets'), parts: [squat, squat] })).toContain(
			'blocks[0].parts: Straight sets takes one exercise, here are 2; use a superset for two or three'
		);
		expect(told({ ...blockOf('superset'), parts: [squat] })).toContain(
			'blocks[0].parts: Superset takes two to three exercises, here are 1'
		);
	});

	it('of a drop set and of a heart rate are bounded too', () => {
		const drop = (change: object) =>
			told({ ...blockOf('straight-sets'), drop: { times: 2, percent: 20, on: 'last', ...change } } as Block);
		expect(drop({ times: 1, percent: 5 })).toEqual([]);
		expect(drop({ times: 5, percent: 60 })).toEqual([]);
		expect(drop({ times: 0 })).toEqual([
			'blocks[0].drop.times: 0 drops: a whole number from 1 to 5 is possible'
		]);
		expect(drop({ times: 6 })).toHaveLength(1);
		expect(drop({ percent: 4 })).toEqual([
			'blocks[0].drop.percent: 4 percent less at each drop: a whole number from 5 to 60 is possible'
		]);
		expect(drop({ percent: 61 })).toHaveLength(1);
		const bpm = (low: number, high: number) =>
			told({ ...blockOf('steady-cardio'), bpm: { low, high } } as Block);
		expect(bpm(60, 220)).toEqual([]);
		expect(bpm(59, 220)).toHaveLength(1);
		expect(bpm(60, 221)).toHaveLength(1);
		expect(bpm(150, 149)).toHaveLength(1);
	});
});

describe('an exercise in a block', () => {
	it.each<[string, Partial<Part>, string | null]>([
		['no name', { exercise: ' ' }, '.exercise: an exercise needs a name'],
		['a name of 80 letters', { exercise: 'x'.repeat(80) }, null],
		['a name of 81', { exercise: 'x'.repeat(81) }, '.exercise: a name has at most 80 letters'],
		['a sign in its name', { exercise: 'a+b' }, '.exercise: a name has none of the signs + / : , @ " in it'],
		['a thousand reps', { target: { kind: 'reps', reps: LIMITS.reps } }, null],
		[
			'more',
			{ target: { kind: 'reps', reps: 1001 } },
			'.target.reps: 1,001 reps: a whole number from 1 to 1,000 is possible'
		],
		[
			'none',
			{ target: { kind: 'reps', reps: 0 } },
			'.target.reps: 0 reps: a whole number from 1 to 1,000 is possible'
		],
		['two hours', { target: { kind: 'seconds', seconds: LIMITS.seconds } }, null],
		[
			'more seconds',
			{ target: { kind: 'seconds', seconds: 7201 } },
			'.target.seconds: 7,201 seconds: a whole number from 1 to 7,200 is possible'
		],
		[
			'no seconds',
			{ target: { kind: 'seconds', seconds: 0 } },
			'.target.seconds: 0 seconds: a whole number from 1 to 7,200 is possible'
		],
		['50 km', { target: { kind: 'metres', metres: 50_000 } }, null],
		[
			'more metres',
			{ target: { kind: 'metres', metres: 50_001 } },
			'.target.metres: 50,001 metres: a whole number from 1 to 50,000 is possible'
		],
		[
			'no metres',
			{ target: { kind: 'metres', metres: 0 } },
			'.target.metres: 0 metres: a whole number from 1 to 50,000 is possible'
		],
		['a choice', { or: { kind: 'seconds', seconds: 30 } }, null],
		[
			'a choice of the same',
			{ or: { kind: 'reps', reps: 8 } },
			'.or: the choice is between two ways to count, here both are reps'
		],
		[
			'a choice of nothing',
			{ or: { kind: 'seconds', seconds: 0 } },
			'.or.seconds: 0 seconds: a whole number from 1 to 7,200 is possible'
		],
		['no load', { kg: null }, null],
		['half a ton', { kg: LIMITS.kg }, null],
		[
			'more than that',
			{ kg: 500.5 },
			'.kg: a load is above 0 and at most 500 kg; leave it out for bodyweight'
		],
		[
			'a load of nothing',
			{ kg: 0 },
			'.kg: a load is above 0 and at most 500 kg; leave it out for bodyweight'
		],
		['the slowest tempo', { tempo: [20, 20, 20, 20] }, null],
		['slower', { tempo: [20, 20, 20.5, 0] }, '.tempo: each tempo phase lasts 0 to 20 s'],
		['backwards', { tempo: [-1, 0, 1, 0] }, '.tempo: each tempo phase lasts 0 to 20 s'],
		['a tempo of one phase', { tempo: [0, 0, 1, 0] }, null],
		['a tempo of none', { tempo: [0, 0, 0, 0] }, '.tempo: a tempo takes some time: 2-0-1-0, say'],
		['halves', { partial: '1½' }, null],
		[
			'thirds',
			{ partial: '1⅓' as Part['partial'] },
			'.partial: there are the partial rules 1¼, 1½, lower half, upper half'
		]
	])('%s', (_, change, fault) => {
		expect(told(part(change))).toEqual(fault === null ? [] : [`blocks[0].parts[0]${fault}`]);
	});

	it('is named by its place', () => {
		const block = blockOf('superset');
		const parts = block.parts.map((one, i) => (i === 1 ? { ...one, kg: -1 } : one));
		expect(
			sessionFaults({ blocks: [blockOf('holds'), { ...block, parts }] }, PRACTICE).map(({ path }) => path)
		).toEqual(['blocks[1].parts[1].kg']);
	});
});

describe('what goes with the blocks', () => {
	const ONE = blockOf('holds');
	const session = (more: Partial<Session>, count = 3) =>
		sessionFaults({ blocks: Array.from({ length: count }, () => ONE), ...more }, PRACTICE).map(
			({ path, message }) => `${path}: ${message}`
		);
	const repeat = (change: object = {}) => ({ from: 0, to: 1, times: 2, rest: 30, ...change });

	it.each<[string, object, string | null]>([
		['a repeat of all', { from: 0, to: 2 }, null],
		['of one', { from: 2, to: 2 }, null],
		['once', { times: 1 }, 'repeats[0].times: 1 times: a whole number from 2 to 20 is possible'],
		['twenty times', { times: 20 }, null],
		['more often', { times: 21 }, 'repeats[0].times: 21 times: a whole number from 2 to 20 is possible'],
		['without a rest', { rest: 0 }, null],
		['with two hours of it', { rest: 7200 }, null],
		[
			'with more',
			{ rest: 7201 },
			'repeats[0].rest: 7,201 seconds between: a whole number from 0 to 7,200 is possible'
		],
		[
			'backwards',
			{ from: 2, to: 1 },
			'repeats[0]: it would run from block 3 back to block 2, round and round'
		],
		[
			'beyond the end',
			{ to: 3 },
			'repeats[0].to: 3 as the last block: a whole number from 0 to 2 is possible'
		],
		[
			'before the start',
			{ from: -1 },
			'repeats[0].from: -1 as the first block: a whole number from 0 to 2 is possible'
		]
	])('%s', (_, change, fault) => {
		expect(session({ repeats: [repeat(change)] })).toEqual(fault === null ? [] : [fault]);
	});

	it('repeats that share a block, and too many', () => {
		const shared = 'stands in this repeat and in repeat 1; a block is repeated by one only';
		expect(session({ repeats: [repeat(), repeat({ from: 1, to: 2 })] })).toEqual([
			`repeats[1]: block 2 ${shared}`
		]);
		expect(session({ repeats: [repeat({ from: 1, to: 2 }), repeat()] })).toEqual([
			`repeats[1]: block 2 ${shared}`
		]);
		expect(session({ repeats: [repeat(), repeat({ from: 2, to: 2 })] })).toEqual([]);
		const many = (n: number) => Array.from({ length: n }, (_, i) => repeat({ from: i, to: i }));
		expect(session({ repeats: many(20) }, 21)).toEqual([]);
		expect(session({ repeats: many(21) }, 21)).toEqual(['repeats: a session has at most 20 repeats']);
	});

	it.each<[string, Partial<Session>, string | null]>([
		['a note', { note: 'x'.repeat(2000) }, null],
		['too long a note', { note: 'x'.repeat(2001) }, 'note: the note has 2001 letters, 2000 are possible'],
		['an empty note', { note: ' ' }, 'note: the note is empty; leave it out or write something'],
		['a link', { links: [{ title: 'Song', url: 'https://example.org/a?b' }] }, null],
		['a link in capitals', { links: [{ title: 'Song', url: 'HTTP://example.org' }] }, null],
		[
			'no title',
			{ links: [{ title: '', url: 'https://example.org' }] },
			'links[0].title: the title is empty; leave it out or write something'
		],
		[
			'two lines of title',
			{ links: [{ title: 'a\nb', url: 'https://example.org' }] },
			'links[0].title: a title is one line without the sign |'
		],
		[
			'a stroke in it',
			{ links: [{ title: 'a|b', url: 'https://example.org' }] },
			'links[0].title: a title is one line without the sign |'
		],
		[
			'an address without a place',
			{ links: [{ title: 'a', url: 'https://example' }] },
			'links[0].url: an address begins with https:// and has no spaces'
		],
		[
			'an address with a space',
			{ links: [{ title: 'a', url: 'https://example.org/a b' }] },
			'links[0].url: an address begins with https:// and has no spaces'
		],
		[
			'a script',
			{ links: [{ title: 'a', url: 'javascript:https://example.org' }] },
			'links[0].url: an address begins with https:// and has no spaces'
		],
		[
			'an address of 500 letters',
			{ links: [{ title: 'a', url: `https://example.org/${'a'.repeat(480)}` }] },
			null
		],
		[
			'a longer one',
			{ links: [{ title: 'a', url: `https://example.org/${'a'.repeat(481)}` }] },
			'links[0].url: an address begins with https:// and has no spaces'
		],
		['what follows', { recovery: ['walk', 'x'.repeat(160)] }, null],
		[
			'too much of it',
			{ recovery: ['x'.repeat(161)] },
			'recovery[0]: what follows has 161 letters, 160 are possible'
		],
		['two lines of it', { recovery: ['a', 'b\nc'] }, 'recovery[1]: what follows is one line each'],
		['ten things', { recovery: Array<string>(10).fill('walk') }, null],
		['eleven', { recovery: Array<string>(11).fill('walk') }, 'recovery: at most 10 things follow a session'],
		['ten links', { links: Array(10).fill({ title: 'a', url: 'https://a.org' }) as Session['links'] }, null],
		[
			'eleven links',
			{ links: Array(11).fill({ title: 'a', url: 'https://a.org' }) as Session['links'] },
			'links: a session has at most 10 links'
		]
	])('%s', (_, more, fault) => {
		expect(session(more)).toEqual(fault === null ? [] : [fault]);
	});

	it('a set-up is one line of some seconds', () => {
		const setup = (text: string, seconds: number) => told({ ...ONE, setup: { text, seconds } });
		expect(setup('x'.repeat(120), 0)).toEqual([]);
		expect(setup('Swap', 7200)).toEqual([]);
		expect(setup('x'.repeat(121), 0)).toEqual([
			'blocks[0].setup.text: the set-up has 121 letters, 120 are possible'
		]);
		expect(setup('a\nb', 20)).toEqual(['blocks[0].setup.text: the set-up is one line']);
		expect(setup(' ', 20)).toEqual([
			'blocks[0].setup.text: the set-up is empty; leave it out or write something'
		]);
		expect(setup('Swap', -1)).toEqual([
			'blocks[0].setup.seconds: -1 seconds of set-up: a whole number from 0 to 7,200 is possible'
		]);
		expect(setup('Swap', 7201)).toHaveLength(1);
	});

	it('blocks: one to sixty, no more steps than can be led, and no longer than a day', () => {
		expect(session({}, 0)).toEqual(['blocks: a session needs at least one block']);
		expect(session({}, 60)).toEqual([]);
		expect(session({}, 61)).toEqual(['blocks: a session has at most 60 blocks']);
		const ofThirty = (blocks: number, more = 0) =>
			sessionOf(
				Array.from({ length: blocks }, (_, i) => {
					const count = i === 0 ? 30 + more : 30;
					return `circuit 1 rounds 5/5: ${Array(count).fill('squat').join(' + ')}`;
				}).join('\n')
			);
		expect(sessionFaults(ofThirty(10), PRACTICE)).toEqual([]);
		expect(sessionFaults(ofThirty(11), PRACTICE)).toEqual([
			{ path: 'blocks', message: 'a session has at most 300 exercises in all its blocks, this one 330' }
		]);
		const hours = (n: number) =>
			sessionOf(Array.from({ length: n }, () => '1 x 7200 s plank, rest 0').join('\n'));
		// Eleven of two hours and the ways between are within a day; twelve are just beyond.
		expect(sessionFaults(hours(11), PRACTICE)).toEqual([]);
		expect(sessionFaults(hours(12), PRACTICE)).toEqual([
			{ path: 'blocks', message: 'a session ends on the day it began, this one would take 24 hours' }
		]);
		const steps = sessionOf(
			`repeat 20 times, rest 0:\n${Array.from({ length: 6 }, () => `circuit 50 rounds 1/0: ${Array(5).fill('squat').join(' + ')}`).join('\n')}\nend repeat`
		);
		expect(sessionFaults(steps, PRACTICE)).toEqual([
			{
				path: 'blocks',
				message: 'a session has at most 20,000 steps; this one has more'
			}
		]);
	});
});
