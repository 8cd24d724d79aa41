/** What the checks of the work itself say, word by word, and the session that each remedy makes. */
import { describe, expect, it } from 'vitest';
import { found, linesAfter } from '../../../tests/support/findings';
import { practiceWith } from '../../../tests/support/practice';
import { DEFAULT_AUDIENCE } from '../people';
import type { CheckOptions } from './check-session';

describe('pull missing for push', () => {
	const RULE = 'pull missing for push';

	it('counts the sets of both and adds what is missing after the last push', () => {
		expect(
			found('4 x 10 push-up\n1 x 10 bent-over row\n3 x 10 squat\nwarm-up: 2 x 10 push-up', RULE)
		).toEqual([
			{
				title: '4 sets of push, 1 of pull',
				figure: 'About as much pull as push is usual.',
				place: { block: 0 },
				label: 'Add 3 × 10 towel row',
				lines: [
					'4 x 10 reps Push-up, rest 60',
					'3 x 10 reps Towel row, rest 60',
					'1 x 10 reps Bent-over row, rest 60',
					'3 x 10 reps Squat, rest 60',
					'warm-up: 2 x 10 reps Push-up, rest 60'
				]
			}
		]);
		expect(found('3 x 10 squat\n2 x 10 overhead press @ 8 kg, rest 60', RULE)).toMatchObject([
			{
				title: '2 sets of push and no pull',
				place: { block: 1 },
				label: 'Add 2 × 10 bent-over row',
				lines: [
					'3 x 10 reps Squat, rest 60',
					'2 x 10 reps Overhead press @ 8 kg, rest 60',
					'2 x 10 reps Bent-over row @ 8 kg, rest 60'
				]
			}
		]);
	});

	it('is silent from half as much on, and of a single set', () => {
		expect(found('4 x 10 push-up\n2 x 10 bent-over row', RULE)).toEqual([]);
		expect(found('1 x 10 push-up', RULE)).toEqual([]);
	});

	it('takes what the push is done with', () => {
		const row = (push: string) => linesAfter(`6 x 10 ${push}`, RULE)?.[1];
		expect(row('band chest press')).toBe('4 x 10 reps Band row, rest 60');
		expect(row('backpack push-up')).toBe('4 x 10 reps Backpack row, rest 60');
		expect(row('push-up')).toBe('4 x 10 reps Towel row, rest 60');
		// The load goes with the dumbbell alone.
		expect(row('backpack push-up @ 8 kg')).toBe('4 x 10 reps Backpack row, rest 60');
	});
});

describe('same muscle without recovery', () => {
	const RULE = 'same muscle without recovery';

	it('names both, the muscles and the rest, and changes the order where that helps', () => {
		expect(
			found(
				'circuit 3 rounds 30/15, 60 between: squat + reverse lunge per side + push-up + bent-over row',
				RULE
			)
		).toEqual([
			{
				title: 'Squat, then Reverse lunge: quads and glutes again',
				figure: '15 s between; under 30 s the second one suffers.',
				place: { block: 0, part: 1 },
				label: 'Change the order',
				lines: [
					'circuit 3 rounds 30/15, 60 between: per side Reverse lunge + Push-up + Squat + Bent-over row'
				]
			}
		]);
		expect(found('emom 4 min: 8 squat / 8 goblet squat', RULE)).toMatchObject([
			{ title: 'Quads and glutes all the way through', place: { block: 0 }, label: null }
		]);
		expect(
			found('superset 3 rounds, rest 29 inside, 90 after: 10 squat + 10 goblet squat', RULE)
		).toMatchObject([
			{
				figure: 'Squat and Goblet squat follow each other with less than 30 s of rest.',
				label: 'Rest 30 s inside'
			}
		]);
	});

	it.each([
		['a rest of half a minute', 'superset 3 rounds, rest 30 inside, 90 after: 10 squat + 10 goblet squat'],
		['the same exercise again', '3 x 10 squat, rest 10'],
		[
			'a stretch between',
			'superset 2 rounds, rest 5 inside, 90 after: 10 squat + 30 s thigh stretch + 10 goblet squat'
		],
		[
			'a warm-up',
			'warm-up: superset 2 rounds, rest 5 inside, 90 after: 10 squat + 10 goblet squat\n1 x 10 curl'
		],
		['steps', 'superset 2 rounds, rest 5 inside, 90 after: 30 s fast feet + 10 calf raise'],
		['other muscles', 'superset 2 rounds, rest 5 inside, 90 after: 10 squat + 10 curl'],
		['an unknown exercise', 'superset 2 rounds, rest 5 inside, 90 after: 10 squat + 10 anvil lift']
	])('says nothing of %s', (_, text) => {
		expect(found(text, RULE)).toEqual([]);
	});
});

describe('the front of the shoulder in a row', () => {
	const RULE = 'front of the shoulder in a row';

	it('puts something else between, where there is something', () => {
		expect(found('circuit 2 rounds 30/10: squat + push-up + overhead press + front raise', RULE)).toEqual([
			{
				title: 'The front of the shoulder three times in a row',
				figure: 'Push-up, Overhead press, Front raise',
				place: { block: 0, part: 3 },
				label: 'Put Squat between',
				lines: ['circuit 2 rounds 30/10: Push-up + Overhead press + Squat + Front raise']
			}
		]);
		expect(found('circuit 2 rounds 30/10: push-up + overhead press + front raise', RULE)).toMatchObject([
			{ place: { block: 0, part: 2 }, label: null }
		]);
		expect(
			linesAfter(
				'1 x 10 push-up\n1 x 10 overhead press\nsuperset 2 rounds: 10 front raise + 10 squat',
				RULE
			)?.[2]
		).toBe('superset 2 rounds, rest 30 inside, 90 after: 10 reps Squat + 10 reps Front raise');
	});

	it.each([
		['two that go on and on', 'superset 3 rounds: 10 push-up + 10 overhead press'],
		['something between', 'circuit 2 rounds 30/10: push-up + overhead press + squat + front raise + curl'],
		[
			'a warm-up of them',
			'warm-up: circuit 2 rounds 30/10: push-up + overhead press + front raise\n1 x 10 squat'
		],
		['work that does not use it', 'circuit 2 rounds 30/10: curl + squat + plank + calf raise']
	])('says nothing of %s', (_, text) => {
		expect(found(text, RULE)).toEqual([]);
	});
});

describe('jumps when tired', () => {
	const RULE = 'jumps when tired';
	/** Twenty sets of ten squats of 3 s: ten minutes of work. */
	const TIRED = '20 x 10 squat, rest 10\n';

	it('are found from ten minutes of work on, once each, with a form that lands softly', () => {
		expect(found(`${TIRED}2 x 10 jump squat`, RULE)).toEqual([
			{
				title: 'Jump squat after 10:00 of work',
				figure: 'After 10 min of work a beginner’s landings get careless.',
				place: { block: 1, part: 0 },
				label: 'Use pulse squat',
				lines: ['20 x 10 reps Squat, rest 10', '2 x 20 s Pulse squat, rest 60']
			}
		]);
		expect(found('19 x 10 squat, rest 10\n2 x 10 jump squat', RULE)).toEqual([]);
		expect(found(`${TIRED}2 x 30 s skater jump`, RULE)[0]?.label).toBe('Use skater step');
		// Two steps down: a jump lunge’s next easier form is a jump as well.
		expect(found(`${TIRED}2 x 30 s jump lunge`, RULE)[0]?.label).toBe('Use pulse squat');
	});

	it('are spoken of where there are beginners', () => {
		const of = (beginners: number) =>
			found(`${TIRED}2 x 10 jump squat`, RULE, { group: { people: 5, beginners, limits: [] } });
		expect(of(2)[0]?.figure).toBe('2 of 5 are beginners; after 10 min of work their landings get careless.');
		expect(of(0)).toEqual([]);
	});
});

describe('overhead after grip work', () => {
	const RULE = 'overhead after grip work';
	const pair = (first: string, rest = 15, second = '10 overhead press @ 8 kg') =>
		found(`superset 2 rounds, rest ${rest} inside, 90 after: ${first} + ${second}`, RULE);

	it('is found once, and the overhead work put first', () => {
		expect(pair('40 m suitcase carry @ 16 kg')).toEqual([
			{
				title: 'Overhead press overhead right after Suitcase carry',
				figure: '15 s between; a tired grip over the head wants 60 s.',
				place: { block: 0, part: 1 },
				label: 'Do the overhead work first',
				lines: [
					'superset 2 rounds, rest 15 inside, 90 after: 10 reps Overhead press @ 8 kg + 40 m Suitcase carry @ 16 kg'
				]
			}
		]);
		expect(found('1 x 40 m suitcase carry @ 16 kg\n2 x 10 overhead press @ 8 kg', RULE)).toMatchObject([
			{
				figure: '30 s between; a tired grip over the head wants 60 s.',
				place: { block: 1, part: 0 },
				lines: ['2 x 10 reps Overhead press @ 8 kg, rest 60', '1 x 40 m Suitcase carry @ 16 kg, rest 60']
			}
		]);
	});

	it('knows what tires the grip, and what is held over the head', () => {
		expect(pair('10 swing @ 8 kg')).toHaveLength(1);
		expect(pair('10 curl @ 8 kg')).toEqual([]);
		expect(pair('10 bent-over row @ 8 kg')).toEqual([]);
		expect(pair('10 anvil lift')).toEqual([]);
		expect(pair('40 m suitcase carry @ 16 kg', 15, '10 band overhead press')).toEqual([]);
		expect(pair('40 m suitcase carry @ 16 kg', 15, '10 anvil press')).toEqual([]);
	});

	it('is fine after a minute', () => {
		expect(pair('40 m suitcase carry @ 16 kg', 60)).toEqual([]);
		expect(pair('40 m suitcase carry @ 16 kg', 59)).toHaveLength(1);
	});
});

describe('down to the floor and up', () => {
	const RULE = 'down to the floor and up';

	const STIFF: CheckOptions = { audience: { ...DEFAULT_AUDIENCE, conditions: ['sore hip'] } };
	const CIRCUIT = 'squat + push-up + calf raise + plank';

	it('counts the ways down and puts floor work together, for those who mind them', () => {
		expect(found(`circuit 3 rounds 30/15: ${CIRCUIT}`, RULE, STIFF)).toEqual([
			{
				title: 'Down to the floor and up 6 times',
				figure:
					'4 are the house rule; whoever has poor balance or is over 65 does them all with a chair in reach.',
				place: null,
				label: 'Put floor work together: 3 times',
				lines: ['circuit 3 rounds 30/15: Squat + Calf raise + Push-up + Plank']
			}
		]);
		// As often as the house allows.
		expect(found(`circuit 2 rounds 30/15: ${CIRCUIT}`, RULE, STIFF)).toEqual([]);
		const strict = practiceWith({ house: { floorChanges: 3 } });
		expect(found(`circuit 2 rounds 30/15: ${CIRCUIT}`, RULE, STIFF, strict)).toHaveLength(1);
	});

	it('minds the order alone, and not the rounds, for everyone else', () => {
		expect(found(`circuit 3 rounds 30/15: ${CIRCUIT}`, RULE)).toEqual([]);
		expect(
			found(`circuit 3 rounds 30/15: ${CIRCUIT} + calf raise + plank + squat + push-up + squat + plank`, RULE)
		).toMatchObject([{ title: 'Down to the floor and up 15 times' }]);
		const limits = ['no balance without support'] as const;
		const group = { people: 9, beginners: 0, limits };
		expect(found(`circuit 3 rounds 30/15: ${CIRCUIT}`, RULE, { group })).toHaveLength(1);
	});

	it('leaves the order of minutes, stations and a cool-down alone', () => {
		expect(found('emom 10 min: 8 squat / 8 push-up', RULE, STIFF)).toMatchObject([
			{ title: 'Down to the floor and up 5 times', label: null }
		]);
		expect(found(`cool-down: circuit 3 rounds 30/15: ${CIRCUIT}`, RULE, STIFF)).toMatchObject([
			{ label: null }
		]);
	});
});

describe('exercises', () => {
	it('that nobody knows are asked about, with the nearest', () => {
		expect(found('2 x 10 goblet sqat\n1 x 10 anvil of my granny', 'not in the library')).toEqual([
			{
				title: 'goblet sqat is not in the library',
				figure: 'Its muscles, equipment and pace are not known, so it is left out of the balance.',
				place: { block: 0, part: 0 },
				label: 'Use Goblet squat',
				lines: ['2 x 10 reps Goblet squat, rest 60', '1 x 10 reps "anvil of my granny", rest 60']
			},
			{
				title: 'anvil of my granny is not in the library',
				figure: 'Its muscles, equipment and pace are not known, so it is left out of the balance.',
				place: { block: 1, part: 0 },
				label: null,
				lines: null
			}
		]);
	});

	it('without an easier form are named once, of the work alone', () => {
		expect(
			found(
				'2 x 10 curl\n3 x 10 donkey kick per side\n3 x 10 donkey kick per side\nwarm-up: 2 x 10 donkey kick per side',
				'no easier form'
			)
		).toMatchObject([{ title: 'No easier form of Donkey kick', place: { block: 1, part: 0 }, label: null }]);
		for (const text of [
			'warm-up: 2 x 10 donkey kick per side\n1 x 10 squat',
			'2 x 20 s child rest',
			'2 x 8 cat and camel'
		])
			expect(found(text, 'no easier form'), text).toEqual([]);
	});

	it('that are loaded come down no faster than the house has it', () => {
		const RULE = 'faster than the house tempo';
		expect(
			found('2 x 10 squat\nsuperset 2 rounds: 10 plank shoulder tap + 10 curl 1-0-1 @ 8 kg', RULE)
		).toMatchObject([
			{
				title: 'Curl comes down in 1 s',
				figure: '2 s are the house rule for loaded work.',
				place: { block: 1, part: 1 },
				label: 'Use 3-0-1-0'
			}
		]);
		// Its own tempo where it has none faster; unloaded, swung, or as slow as the house: nothing to say.
		expect(found('3 x 10 squat 1-0-1 @ 8 kg', RULE)[0]?.label).toBe('Use 2-0-1-0');
		for (const line of [
			'3 x 10 curl 3-0-1 @ 8 kg',
			'3 x 10 curl 2-0-1 @ 8 kg',
			'3 x 10 curl 1-0-1',
			'3 x 10 swing 1-0-1 @ 8 kg',
			'3 x 10 curl @ 8 kg'
		])
			expect(found(line, RULE), line).toEqual([]);
	});
});

describe('time', () => {
	it('as long as the budget is within it', () => {
		// 30 × 50 + 29 × 60 = 3240 s = 54 min
		expect(found('30 x 10 squat 3-1-1, rest 60', 'over budget', { budgetMinutes: 54 })).toEqual([]);
		expect(found('30 x 10 squat 3-1-1, rest 60', 'over budget', { budgetMinutes: 53 })).toMatchObject([
			{ title: '1:00 over the budget of 53 min', figure: '54:00 as planned.', place: null, lines: null }
		]);
		expect(found('30 x 10 squat 3-1-1, rest 60', 'over budget')).toEqual([]);
	});

	it('hard intervals go to another day from twenty minutes of lifting on', () => {
		const RULE = 'hard intervals after lifting';
		const lifting = (sets: number, rest: number) =>
			`${sets} x 10 goblet squat 3-1-1 @ 12 kg, rest ${rest}\nhiit 8 x 30/60: fast feet`;
		expect(found(`${lifting(12, 60)}\nhiit 2 x 30/60: fast feet`, RULE)).toEqual([
			{
				title: '4:00 of hard intervals after 21 min of lifting',
				figure: 'From 20 min of lifting on, hard intervals go to a day of their own.',
				place: { block: 1 },
				label: 'Make them ten steady minutes',
				lines: [
					'12 x 10 reps Goblet squat 3-1-1-0 @ 12 kg, rest 60',
					'steady 10 min, talk test: Brisk walk',
					'hiit 2 x 30/60: Fast feet'
				]
			},
			expect.objectContaining({
				title: '1:00 of hard intervals after 21 min of lifting',
				place: { block: 2 }
			})
		]);
		// 12 × 50 s and 11 rests: 1260 s with 60, 1205 s with 55, 1194 s with 54.
		expect(found(lifting(12, 55), RULE)).toHaveLength(1);
		expect(found(lifting(12, 54), RULE)).toEqual([]);
		// 24 × 50 s is twenty minutes to the second.
		expect(found(lifting(24, 0), RULE)).toHaveLength(1);
		expect(found(`warm-up: ${lifting(14, 60)}`, RULE)).toEqual([]);
	});

	it('what a format finds stands at its exercise or at the block', () => {
		expect(
			found('1 x 10 squat\nemom 8 min: 6 per side step-up 2-0-2 @ 8 kg', 'minute too full')
		).toMatchObject([{ place: { block: 1, part: 0 } }]);
		expect(
			found('1 x 10 squat\namrap 1 min: 30 squat 2-0-1', 'less than a round').map(({ place }) => place)
		).toEqual([{ block: 1 }]);
	});
});
