import { describe, expect, it } from 'vitest';
import { STANDARD, type Concern } from '../exercise';
import {
	adviceFor,
	CONDITIONS,
	limitsOf,
	sourceOf,
	talksRatherThanCounts,
	type Condition
} from './conditions';
import { brokenLimits } from './limits';

const stops = (condition: Condition, name: string): boolean =>
	brokenLimits(STANDARD.find(name)!, limitsOf(condition)).length > 0;

/** What a coach leaves out and what she gives, by condition; common practice, no source. */
describe('what a condition keeps people from', () => {
	it.each<[Condition, string[], string[]]>([
		['seated', ['Squat', 'Russian twist', 'Plank'], ['Seated march', 'Seated knee extension', 'Seated curl']],
		[
			'standing with a support',
			['Glute bridge', 'Bird dog', 'Walking lunge', 'Jump squat', 'Skater step'],
			['Sit to chair', 'Squat', 'March on the spot', 'Supported split squat']
		],
		['unsure balance', ['Fast feet', 'Single-leg deadlift', 'Plank'], ['Calf raise', 'Step touch']],
		[
			'no getting down to the floor',
			['Plank', 'Hip flexor stretch', 'Hip thrust', 'Table row'],
			['Wall plank', 'Squat']
		],
		[
			'pregnant, first trimester',
			['Skater step', 'Fast feet', 'Dumbbell reverse lunge'],
			['Glute bridge', 'Squat']
		],
		[
			'pregnant, second trimester',
			['Glute bridge', 'Push-up', 'Half crunch', 'Run'],
			['Squat', 'Clamshell', 'Split squat']
		],
		[
			'pregnant, third trimester',
			['Dead bug', 'Plank', 'Jumping jack', 'Floor press'],
			['Table push-up', 'Band row']
		],
		[
			'first weeks after birth',
			['Half crunch', 'Plank', 'Goblet squat', 'Run'],
			['Heel slide', 'Glute bridge', 'Squat']
		],
		[
			'after birth',
			['Half crunch', 'Hollow hold', 'Jump squat', 'Plank', 'Mountain climber'],
			['Heel slide', 'Glute bridge', 'Squat']
		],
		['later after birth', ['Plank', 'Jump squat'], ['Dead bug', 'Goblet squat', 'Push-up']],
		['sore neck', ['Bicycle crunch', 'Swimmer'], ['Curl', 'Squat', 'One-arm row']],
		[
			'sore shoulder',
			[
				'Overhead press',
				'Squat and press',
				'Chair dip',
				'Wall slide',
				'Front raise',
				'Lateral raise',
				'Jumping jack'
			],
			['Band row', 'Wall push-up', 'Curl']
		],
		['sore elbow', ['Overhead triceps press', 'Curl', 'Push-up'], ['Squat', 'Wall push-up', 'Bottle curl']],
		[
			'sore wrist',
			['Push-up', 'Chair plank', 'Mountain climber', 'Bear crawl'],
			['Plank', 'Wall push-up', 'Floor press']
		],
		[
			'sore back',
			['Romanian deadlift', 'Bent-over row', 'Half crunch', 'Swing'],
			['Hip hinge', 'One-arm row', 'Dead bug']
		],
		['sore hip', ['Squat', 'Run', 'Curtsy lunge'], ['Half squat', 'Hip hinge', 'Glute bridge']],
		[
			'sore knee',
			['Squat', 'Stair climb', 'Single-leg sit to chair', 'Shin stretch', 'Knee push-up', 'Jump squat'],
			['Half squat', 'Hip hinge', 'Seated knee extension', 'Glute bridge']
		],
		['sore ankle', ['Calf raise', 'Fast feet', 'Run'], ['Squat', 'Seated calf raise', 'Band row']],
		[
			'over 65',
			['Plank', 'Jump squat', 'Walking lunge', 'Fast feet', 'Skater step'],
			['Sit to chair', 'Squat', 'Step touch']
		],
		[
			'after an operation',
			['Plank', 'Romanian deadlift', 'Goblet squat', 'Run'],
			['Half squat', 'Seated march']
		],
		[
			'no squats or lunges',
			['Squat', 'Reverse lunge', 'Squat and press', 'Half squat'],
			['Hip hinge', 'Seated knee extension', 'Seated band leg press']
		]
	])('%s', (condition, not, yes) => {
		expect(not.filter((name) => !stops(condition, name))).toEqual([]);
		expect(yes.filter((name) => stops(condition, name))).toEqual([]);
	});

	it('in pregnancy the talk test', () => {
		expect(CONDITIONS.filter(talksRatherThanCounts)).toHaveLength(3);
	});

	it('each has sentences to keep in mind, and says where its rule is from', () => {
		for (const condition of CONDITIONS) {
			expect(adviceFor(condition).length).toBeGreaterThan(0);
			for (const sentence of adviceFor(condition)) expect(sentence).toMatch(/^[A-Z][^.]*\.$/);
			expect(sourceOf(condition).length).toBeGreaterThan(10);
		}
	});

	it('leaves a form of every movement that it does not rule out as a whole', () => {
		const RULED_OUT: Partial<Record<Condition, string[]>> = {
			'no squats or lunges': ['lunge'],
			seated: ['lunge'],
			'sore shoulder': ['push up', 'pull down'],
			'after an operation': ['lunge', 'push up']
		};
		for (const condition of CONDITIONS) {
			const left = new Set(
				STANDARD.all.filter(({ name }) => !stops(condition, name)).map(({ pattern }) => pattern)
			);
			const gone = [...new Set(STANDARD.all.map(({ pattern }) => pattern))].filter(
				(pattern) => pattern !== 'jump' && !left.has(pattern)
			);
			expect(gone, condition).toEqual(
				(RULED_OUT[condition] ?? []).filter((pattern) => gone.includes(pattern as never))
			);
		}
	});
});

/** Cautions of the library and limits must not part ways: who is cautioned is kept from it, or does it smaller. */
it.each<[Concern, Condition]>([
	['back', 'sore back'],
	['shoulder', 'sore shoulder'],
	['wrist', 'sore wrist'],
	['knee', 'sore knee'],
	['later pregnancy', 'pregnant, third trimester'],
	['after birth', 'after birth']
])('whoever the library cautions about %s is kept from it: %s', (concern, condition) => {
	const cautioned = STANDARD.all.filter(({ cautions }) =>
		cautions.some(({ concerns }) => concerns.includes(concern))
	);
	expect(cautioned.length).toBeGreaterThan(0);
	expect(cautioned.filter(({ name }) => !stops(condition, name)).map(({ name }) => name)).toEqual([]);
});
