/** What a good coach hands out as it is: nothing is said of it, or hardly anything. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { STARTERS } from '../plan';
import { DEFAULT_AUDIENCE } from '../people';
import { checkSession, type CheckOptions } from './check-session';

const rules = (text: string, options: CheckOptions = {}) =>
	checkSession(sessionOf(text), PRACTICE, options).map(({ rule }) => rule);
const BEGINNERS: CheckOptions = { audience: { ...DEFAULT_AUDIENCE, level: 'beginner' } };

describe('is no jump', () => {
	it('a run, however long, and whoever runs', () => {
		expect(rules('steady 30 min, talk test: run', BEGINNERS)).toEqual([]);
		expect(rules('steady 30 min, 140-150 bpm: hill run')).toEqual([]);
		expect(rules('steady 15 min: brisk walk\nhiit 6 x 30/90: run', BEGINNERS)).not.toContain(
			'jumps when tired'
		);
	});

	it('nobody’s where the group is trained and nobody else is enrolled', () => {
		const late = 'circuit 10 rounds 50/10: squat + step touch\n3 x 8 jump squat';
		expect(rules(late)).toContain('jumps when tired');
		const trained = { ...DEFAULT_AUDIENCE, level: 'trained' } as const;
		expect(rules(late, { audience: trained })).not.toContain('jumps when tired');
		const group = { people: 9, beginners: 1, limits: [] };
		expect(rules(late, { audience: trained, group })).toContain('jumps when tired');
		expect(rules(late, { group: { ...group, beginners: 0 } })).not.toContain('jumps when tired');
	});

	it('but a jump is one, after ten minutes of work and for beginners at any time', () => {
		const late = 'circuit 10 rounds 50/10: squat + step touch\n3 x 8 jump squat';
		expect(rules(late, BEGINNERS)).toContain('jumps when tired');
		expect(rules('3 x 8 jump squat', BEGINNERS)).toContain('not for this group');
		expect(rules('3 x 8 jump squat')).not.toContain('not for this group');
	});
});

describe('is not the same muscle again', () => {
	const RULE = 'same muscle without recovery';

	it('the other arm', () => {
		expect(
			rules('superset 3 rounds, rest 0 inside: 8 one-arm row @ 12 kg + 8 one-arm row @ 12 kg')
		).not.toContain(RULE);
	});

	it('the trunk in a circuit for the trunk', () => {
		expect(rules('circuit 3 rounds 40/10: plank + side plank + dead bug')).not.toContain(RULE);
	});

	it('but squats after lunges are', () => {
		expect(rules('circuit 3 rounds 40/10: squat + split squat')).toContain(RULE);
		expect(rules('circuit 3 rounds 40/10: plank + push-up + narrow push-up')).toContain(RULE);
	});
});

describe('is not one side only', () => {
	const RULE = 'one side only';

	it.each([
		'circuit 3 rounds 40/20: reverse lunge + side plank',
		'tabata: split squat / standing bird dog',
		'hiit 8 x 30/60: step-up',
		'amrap 10 min: 12 reverse lunge + 10 squat',
		'for time, cap 10 min: 20 reverse lunge + 20 squat',
		'emom 10 min: 10 step-up',
		'3 rounds, rest 30: 10 reverse lunge, 10 squat'
	])('%s', (text) => {
		expect(rules(text)).not.toContain(RULE);
	});

	it.each([
		'3 x 10 reverse lunge',
		'3 x 30 s side plank',
		'superset 3 rounds: 8 one-arm row + 10 squat',
		'amrap 10 min: 11 reverse lunge + 10 squat',
		'cool-down: holds: 30 s calf stretch'
	])('but %s is', (text) => {
		expect(rules(text)).toContain(RULE);
	});
});

describe('wants a warm-up all the same', () => {
	it.each([
		'in pieces over the day\n12 x 10 squat, rest 60\n2 x 10 push-up',
		'when: Morning\n3 x 10 squat\n3 x 10 push-up'
	])('%s', (text) => {
		expect(rules(text)).toContain('no warm-up');
	});
});

describe('wants no warm-up and no cool-down', () => {
	it.each([
		'steady 30 min, talk test: run',
		'steady 40 min, 120-155 bpm: brisk walk',
		'holds: 30 s per side calf stretch + 30 s child rest',
		'2 rounds: 8 cat and camel, 6 per side open book',
		'in pieces over the day\n2 x 10 squat\n2 x 10 push-up',
		'when: Morning\n3 x 10 squat\nwhen: Evening\n3 x 10 push-up'
	])('%s', (text) => {
		expect(rules(text)).not.toEqual(expect.arrayContaining([expect.stringMatching(/no (?:warm|cool)/)]));
	});

	it.each(['steady 30 min, 150-165 bpm: run', '3 x 10 squat', 'steady 20 min: run\n3 x 10 squat'])(
		'but %s does',
		(text) => {
			expect(rules(text)).toEqual(expect.arrayContaining(['no warm-up', 'no cool-down']));
		}
	);
});

const CORPUS = readFileSync('tests/corpus/good-sessions.txt', 'utf8')
	.split(/^== /m)
	.slice(1)
	.map((text): [string, string] => {
		const end = text.indexOf('\n');
		return [text.slice(0, end), text.slice(end + 1).trim()];
	});

describe('twenty sessions as they are handed out', () => {
	it('are twenty', () => {
		expect(CORPUS).toHaveLength(20);
	});

	it.each(CORPUS)('%s: nothing to act on, at most two hints', (_, text) => {
		const found = checkSession(sessionOf(text), PRACTICE);
		expect(found.filter(({ severity }) => severity !== 'hint').map(({ title }) => title)).toEqual([]);
		expect(found.length > 2 ? found.map(({ title }) => title) : []).toEqual([]);
	});
});

it.each(Object.entries(STARTERS))('our own session %s raises nothing to act on', (_, { lines }) => {
	const short = lines.join().includes('1 round 40/10: march with arms up');
	const found = checkSession(sessionOf(...lines), PRACTICE, { budgetMinutes: short ? 15 : 45 });
	expect(found.filter(({ severity }) => severity !== 'hint').map(({ title }) => title)).toEqual([]);
	expect(found.length > 2 ? found.map(({ title }) => title) : []).toEqual([]);
});

it('a house that wants longer warm-ups still says so', () => {
	const text = CORPUS[0]?.[1] ?? '';
	const strict = practiceWith({ house: { warmUp: 10 } });
	expect(checkSession(sessionOf(text), strict).map(({ rule }) => rule)).toContain('warm-up too short');
});
