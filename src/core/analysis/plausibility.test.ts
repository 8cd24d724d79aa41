/** Numbers that a slip of the finger makes: asked about, at the bound and not before it. */
import { describe, expect, it } from 'vitest';
import { found } from '../../../tests/support/findings';
import type { Condition } from '../kit';
import { DEFAULT_AUDIENCE } from '../people';
import type { CheckOptions } from './check-session';

const forThem = (...conditions: Condition[]): CheckOptions => ({
	audience: { ...DEFAULT_AUDIENCE, conditions }
});

describe('load beyond reason', () => {
	const RULE = 'load beyond reason';

	it('is asked about, and offered as pounds where that makes sense', () => {
		expect(found('3 x 10 raise to shoulder height @ 20 kg', RULE)).toEqual([
			{
				title: 'Lateral raise with 20 kg: is that meant?',
				figure: 'Up to 15 kg in one weight is what strong people use in it.',
				place: { block: 0, part: 0 },
				label: 'It was pounds: use 9 kg',
				lines: ['3 x 10 reps Lateral raise @ 9 kg, rest 60']
			}
		]);
		expect(found('3 x 10 curl @ 150 kg', RULE)[0]?.label).toBeNull();
	});

	it.each([
		['goblet squat', 120],
		['curl', 35],
		['suitcase carry', 100],
		['floor press', 60]
	])('%s bears %d kg', (name, kg) => {
		expect(found(`3 x 10 ${name} @ ${kg} kg`, RULE)).toEqual([]);
		expect(found(`3 x 10 ${name} @ ${kg + 1} kg`, RULE)).toHaveLength(1);
	});

	it('says nothing of what it does not know', () => {
		expect(found('3 x 10 "anvil lift" @ 300 kg', RULE)).toEqual([]);
	});
});

describe('count beyond reason', () => {
	const RULE = 'count beyond reason';

	it('of repetitions in one set, and of seconds of one hold', () => {
		expect(found('1 x 100 squat', RULE)).toEqual([]);
		expect(found('1 x 101 squat', RULE)).toMatchObject([
			{ title: '101 reps of squat in one go: is that meant?', label: null }
		]);
		expect(found('1 x 300 s plank', RULE)).toEqual([]);
		expect(found('1 x 301 s plank', RULE)).toMatchObject([
			{ title: 'Plank for 5:01 in one go: is that meant?' }
		]);
	});

	it('not of walks and of steps', () => {
		expect(found('steady 40 min, talk test: brisk walk', RULE)).toEqual([]);
		expect(found('1 x 600 s march on the spot', RULE)).toEqual([]);
		expect(found('1 x 150 march on the spot', RULE)).toEqual([]);
		expect(found('steady 40 min, talk test: plank', RULE)).toEqual([]);
	});

	it('nor of repetitions that are timed', () => {
		expect(found('1 x 400 s squat', RULE)).toEqual([]);
	});
});

describe('rest too short for the load', () => {
	const RULE = 'rest too short for the load';

	it('asks after heavy sets, with two minutes as the remedy', () => {
		expect(found('5 x 5 front squat @ 60 kg, rest 59', RULE)).toMatchObject([
			{
				title: '59 s of rest between heavy sets of front squat',
				label: 'Rest 120 s',
				lines: ['5 x 5 reps Front squat @ 60 kg, rest 120']
			}
		]);
		expect(found('5 x 5 front squat @ 60 kg, rest 60', RULE)).toEqual([]);
	});

	it('heavy is from two fifths of what the exercise bears on, in six repetitions or fewer', () => {
		expect(found('5 x 6 front squat @ 48 kg, rest 30', RULE)).toHaveLength(1);
		expect(found('5 x 7 front squat @ 48 kg, rest 30', RULE)).toEqual([]);
		expect(found('5 x 4-7 front squat @ 48 kg, rest 30', RULE)).toEqual([]);
		expect(found('5 x 6 front squat @ 47 kg, rest 30', RULE)).toEqual([]);
	});

	it('asks without a remedy where the format has no rest of its own', () => {
		// Five squats of 4 s in each minute leave 40 s.
		expect(found('emom 5 min: 5 front squat @ 60 kg', RULE)).toMatchObject([
			{ title: '40 s of rest between heavy sets of front squat', label: null }
		]);
	});

	it('not between different exercises', () => {
		expect(
			found(
				'superset 3 rounds, rest 10 inside, 90 after: 5 front squat @ 60 kg + 5 bent-over row @ 40 kg',
				RULE
			)
		).toEqual([]);
	});

	it('and whatever is done at an effort of nine and more', () => {
		expect(found('3 x 12 curl @ 8 kg RPE 9, rest 30', RULE)).toHaveLength(1);
		expect(found('3 x 12 curl @ 8 kg RPE 8, rest 30', RULE)).toEqual([]);
	});
});

describe('heart rate', () => {
	const RULE = 'heart rate';

	it('that no adult reaches, and that cannot be talked through', () => {
		// 220 − 20 = 200; 85 % of it 170.
		expect(found('steady 30 min, 150-170 bpm: run', RULE)).toEqual([]);
		expect(found('steady 30 min, 150-171 bpm: run', RULE)).toMatchObject([
			{
				title: '171 bpm can’t be talked through',
				label: 'Go by the talk test',
				lines: ['steady 30 min, talk test: Run']
			}
		]);
		expect(found('steady 30 min, 150-201 bpm: run', RULE)[0]?.title).toBe('201 bpm is more than 200');
	});

	it('over 65: 155, and 131 to be able to talk', () => {
		expect(found('steady 30 min, 110-131 bpm: brisk walk', RULE, forThem('over 65'))).toEqual([]);
		expect(found('steady 30 min, 110-132 bpm: brisk walk', RULE, forThem('over 65'))).toHaveLength(1);
		expect(found('steady 30 min, 110-156 bpm: brisk walk', RULE, forThem('over 65'))[0]?.title).toBe(
			'156 bpm is more than 155'
		);
	});

	it('is no guide in pregnancy', () => {
		expect(
			found('steady 30 min, 110-130 bpm: brisk walk', RULE, forThem('pregnant, first trimester'))
		).toMatchObject([{ title: '110 to 130 bpm for pregnant, first trimester' }]);
		expect(found('steady 30 min: brisk walk', RULE, forThem('pregnant, first trimester'))).toEqual([]);
		expect(found('3 x 10 squat', RULE, forThem('pregnant, first trimester'))).toEqual([]);
	});
});
