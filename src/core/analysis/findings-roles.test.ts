/** What is said of warm-up, cool-down and sides, word by word, and the session that each remedy makes. */
import { describe, expect, it } from 'vitest';
import { found, linesAfter } from '../../../tests/support/findings';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';
import type { CheckOptions } from './check-session';

const SEATED: CheckOptions = { group: { people: 1, beginners: 0, limits: ['seated only'] } };

describe('a warm-up that fits the work', () => {
	const warm = (text: string, options: CheckOptions = {}, practice = PRACTICE) =>
		linesAfter(text, 'no warm-up', options, practice)?.[0];

	it('is said in the words of the house', () => {
		expect(found('3 x 10 push-up', 'no warm-up')).toMatchObject([
			{
				title: 'No warm-up',
				figure: '5 min are the house rule.',
				place: null,
				label: 'Add one that fits the work'
			}
		]);
	});

	it('has steps, what loosens the muscles used most, and an easy form of the first exercise', () => {
		expect(warm('5 x 10 goblet squat @ 12 kg\n3 x 10 bent-over row @ 8 kg')).toBe(
			'warm-up: circuit 2 rounds 40/10: March on the spot + March with arms up + Squat to reach + Slow squat'
		);
		expect(warm('3 x 10 bent-over row @ 8 kg\n5 x 10 goblet squat @ 12 kg')).not.toContain('Slow squat');
		// The press has no form without something in the hand: none is offered.
		expect(warm('5 x 10 overhead press @ 8 kg')).toBe(
			'warm-up: circuit 2 rounds 40/10: March on the spot + March with arms up + Arm circles'
		);
		expect(warm('cool-down: holds: 30 s per side calf stretch\n3 x 10 squat')).toContain('+ Squat');
	});

	it('lasts as long as the house wants: a slot is 40 s and 10 s to change', () => {
		// Five exercises of 50 s: 4:10 a round.
		expect(warm('3 x 10 push-up')).toMatch(/^warm-up: circuit 2 rounds/);
		expect(warm('3 x 10 push-up', {}, practiceWith({ house: { warmUp: 4 } }))).toMatch(
			/^warm-up: circuit 1 round/
		);
		expect(warm('3 x 10 push-up', {}, practiceWith({ house: { warmUp: 9 } }))).toMatch(
			/^warm-up: circuit 3 rounds/
		);
	});

	it('is done sitting where all of the work is', () => {
		expect(warm('3 x 10 seated knee lift\n3 x 10 seated band row')).toBe(
			'warm-up: circuit 2 rounds 40/10: Seated march + Seated shoulder rolls + Seated cat and camel + per side Seated hip turn'
		);
		expect(warm('3 x 10 seated knee lift\n3 x 10 squat')).toContain('March on the spot');
	});

	it('asks for nothing that must not be asked for', () => {
		const seated = warm('3 x 10 push-up', SEATED);
		expect(seated).toMatch(/Seated march/);
		expect(seated).not.toMatch(/March on the spot|Open book|Arm circles \+ Cat and camel/);
	});

	it('is not missed where there is no work', () => {
		expect(found('cool-down: holds: 30 s per side calf stretch', 'no warm-up')).toEqual([]);
	});
});

describe('a cool-down that fits the work', () => {
	const cool = (text: string, options: CheckOptions = {}, practice = PRACTICE) =>
		linesAfter(text, 'no cool-down', options, practice)?.at(-1);

	it('stretches what was used, the most used first, until the minutes are full', () => {
		expect(cool('5 x 10 goblet squat @ 12 kg\n3 x 10 bent-over row @ 8 kg')).toBe(
			'cool-down: holds 1 round, rest 5: 30 s per side Neck side stretch + 30 s per side Seated figure four + 30 s per side Thigh stretch + 30 s Lat stretch + 30 s Seated fold'
		);
		expect(cool('3 x 10 push-up', {}, practiceWith({ house: { coolDown: 2, stretchHold: 20 } }))).toBe(
			'cool-down: holds 1 round, rest 5: 20 s per side Chest stretch + 20 s per side Upper arm stretch + 20 s Front body stretch'
		);
		// 50 s with the change a side: the second fills a minute and a half.
		expect(cool('3 x 10 push-up', {}, practiceWith({ house: { coolDown: 1, stretchHold: 20 } }))).toBe(
			'cool-down: holds 1 round, rest 5: 20 s per side Chest stretch + 20 s per side Upper arm stretch'
		);
		expect(cool('3 x 10 push-up', {}, practiceWith({ house: { coolDown: 1, stretchHold: 25 } }))).toBe(
			'cool-down: holds 1 round, rest 5: 25 s per side Chest stretch'
		);
		expect(cool('hiit 8 x 30/60: fast feet')).toBe(
			'cool-down: holds 1 round, rest 5: 30 s per side Calf stretch + 30 s per side Hamstring stretch + 30 s Seated fold'
		);
		expect(cool('3 x 10 seated knee lift\n3 x 10 seated band row')).toBe(
			'cool-down: holds 1 round, rest 5: 30 s per side Neck side stretch + 30 s per side Seated side bend + 30 s per side Seated thigh stretch'
		);
		expect(cool('3 x 10 squat', SEATED)).not.toContain('Child rest');
	});
});

describe('a part that is too short', () => {
	const WARM = 'warm-up: circuit 1 round 40/10: march on the spot + arm circles + squat to reach\n';

	it('is gone through again until it is long enough', () => {
		// 3 × 40 + 2 × 10 = 140 s; two rounds 290 s, three 440 s.
		expect(found(`${WARM}3 x 10 squat`, 'warm-up too short')).toEqual([
			{
				title: 'A warm-up of 2:20',
				figure: '5 min are the house rule.',
				place: { block: 0 },
				label: 'Go through it 3 times',
				lines: [
					'warm-up: circuit 3 rounds 40/10: March on the spot + Arm circles + Squat to reach',
					'3 x 10 reps Squat, rest 60'
				]
			}
		]);
		const twice = found(
			`${WARM}3 x 10 squat`,
			'warm-up too short',
			{},
			practiceWith({ house: { warmUp: 4 } })
		);
		expect(twice[0]?.label).toBe('Go through it twice');
		const hold = '3 x 10 squat\ncool-down: holds 1 round, rest 5: 30 s per side calf stretch';
		// 65 s a round and 5 s between: five make 345 s.
		expect(found(hold, 'cool-down too short')).toMatchObject([
			{ title: 'A cool-down of 1:05', place: { block: 1 }, label: 'Go through it 5 times' }
		]);
	});

	it('may be half a minute short', () => {
		const short = (minutes: number) =>
			found(`${WARM}3 x 10 squat`, 'warm-up too short', {}, practiceWith({ house: { warmUp: minutes } }))
				.length;
		expect(short(2)).toBe(0);
		expect(short(3)).toBe(1);
		const exactly =
			'warm-up: circuit 1 round 50/10: march on the spot + arm circles + squat to reach\n3 x 10 squat';
		// 170 s: ten seconds short of three minutes; 150 s would be thirty.
		expect(found(exactly, 'warm-up too short', {}, practiceWith({ house: { warmUp: 3 } }))).toEqual([]);
		const thirty =
			'warm-up: circuit 1 round 45/5: march on the spot + arm circles + squat to reach\n3 x 10 squat';
		expect(found(thirty, 'warm-up too short', {}, practiceWith({ house: { warmUp: 3 } }))).toHaveLength(1);
		const just =
			'warm-up: circuit 1 round 45/8: march on the spot + arm circles + squat to reach\n3 x 10 squat';
		expect(found(just, 'warm-up too short', {}, practiceWith({ house: { warmUp: 3 } }))).toHaveLength(0);
	});

	it('without rounds is only spoken of', () => {
		expect(found('warm-up: 1 x 10 squat\n3 x 10 squat', 'warm-up too short')).toMatchObject([
			{ title: 'A warm-up of 0:30', label: null }
		]);
		// Seven times would not be enough.
		expect(
			found('warm-up: circuit 1 round 20/10: march on the spot\n3 x 10 squat', 'warm-up too short')[0]?.label
		).toBeNull();
	});
});

describe('one side only', () => {
	it('names the exercise and does both', () => {
		expect(
			found('3 x 10 squat\nsuperset 2 rounds: 10 squat + 10 one-arm row @ 8 kg', 'one side only')
		).toEqual([
			{
				title: 'One-arm row on one side only',
				figure: 'It is done per side; the other side is not asked for.',
				place: { block: 1, part: 1 },
				label: 'Do both sides',
				lines: [
					'3 x 10 reps Squat, rest 60',
					'superset 2 rounds, rest 30 inside, 90 after: 10 reps Squat + 10 reps per side One-arm row @ 8 kg'
				]
			}
		]);
	});

	it('is fine twice, and not three times', () => {
		const times = (n: number) =>
			found(`2 rounds: ${Array(n).fill('7 one-arm row').join(', ')}, 7 squat`, 'one side only').length;
		expect([1, 2, 3, 4].map(times)).toEqual([1, 0, 3, 0]);
	});
});
