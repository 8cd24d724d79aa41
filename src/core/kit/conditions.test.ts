import { describe, expect, it } from 'vitest';
import { STANDARD } from '../exercise';
import { adviceFor, CONDITIONS, limitsOf, talksRatherThanCounts, type Condition } from './conditions';
import { brokenLimits } from './limits';

const stops = (condition: Condition, name: string): boolean =>
	brokenLimits(STANDARD.find(name)!, limitsOf(condition)).length > 0;

describe('what a condition keeps people from', () => {
	it.each<[Condition, string[], string[]]>([
		['seated', ['Squat', 'Seated turn with weight', 'Plank'], ['Seated march', 'Seated knee extension']],
		[
			'standing with a support',
			['Glute bridge', 'Bird dog', 'Curtsy lunge', 'Jump squat'],
			['Sit to chair', 'Squat']
		],
		['no getting down to the floor', ['Plank', 'Hip flexor stretch', 'Hip thrust'], ['Wall plank', 'Squat']],
		[
			'pregnant, second trimester',
			['Glute bridge', 'Push-up', 'Half crunch', 'Run'],
			['Squat', 'Bird dog', 'Clamshell']
		],
		['pregnant, third trimester', ['Dead bug', 'Plank', 'Jumping jack'], ['Incline push-up', 'Band row']],
		['after birth', ['Half crunch', 'Hollow hold', 'Jump squat'], ['Heel slide', 'Glute bridge', 'Squat']],
		[
			'sore knee',
			['Squat', 'Stair climb', 'Single-leg sit to chair', 'Shin stretch'],
			['Sit to chair', 'Hip hinge', 'Seated knee extension']
		],
		['sore hip', ['Squat', 'Run'], ['Half squat', 'Hip hinge']],
		[
			'sore back',
			['Romanian deadlift', 'Bent-over row', 'Half crunch', 'Swing'],
			['Hip hinge', 'One-arm row', 'Standing side crunch']
		],
		[
			'sore shoulder',
			['Overhead press', 'Squat and press', 'Chair dip', 'Wall slide'],
			['Raise to shoulder height', 'Band row']
		],
		[
			'sore wrist',
			['Push-up', 'Chair plank', 'Mountain climber', 'Bear crawl'],
			['Plank', 'Wall push-up', 'Floor press']
		],
		['over 65', ['Plank', 'Jump squat', 'Walking lunge'], ['Sit to chair', 'Squat']],
		[
			'no squats or lunges',
			['Squat', 'Reverse lunge', 'Squat and press'],
			['Hip hinge', 'Seated knee extension']
		]
	])('%s', (condition, not, yes) => {
		expect(not.filter((name) => !stops(condition, name))).toEqual([]);
		expect(yes.filter((name) => stops(condition, name))).toEqual([]);
	});

	it('early in pregnancy the talk test, and nothing is left out', () => {
		expect(limitsOf('pregnant, first trimester')).toEqual([]);
		expect(CONDITIONS.filter(talksRatherThanCounts)).toHaveLength(3);
	});

	it('each has sentences to keep in mind', () => {
		for (const condition of CONDITIONS) {
			expect(adviceFor(condition).length).toBeGreaterThan(0);
			for (const sentence of adviceFor(condition)) expect(sentence).toMatch(/^[A-Z][^.]*\.$/);
		}
	});
});

/** What the library warns of in words and what the limits keep people from must not part ways. */
it.each<[RegExp, Condition]>([
	[/not after the first trimester/i, 'pregnant, second trimester'],
	[/not on the front after the first trimester/i, 'pregnant, third trimester'],
	[/early after birth/i, 'after birth'],
	[/not with sore knees|with sore knees/i, 'sore knee'],
	[/sore back/i, 'sore back'],
	[/sore shoulder/i, 'sore shoulder'],
	[/sore wrist/i, 'sore wrist']
])('whoever the library warns with %s is kept from it: %s', (words, condition) => {
	const warned = STANDARD.all.filter(({ cautions }) => cautions.some((caution) => words.test(caution)));
	expect(warned.length).toBeGreaterThan(0);
	expect(warned.filter(({ name }) => !stops(condition, name)).map(({ name }) => name)).toEqual([]);
});
