import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../../tests/support/practice';
import { sessionOf } from '../../../../tests/support/sessions';
import { formsOf, withRepeats, type Knob } from './forms';

/** What is changed to what, with its length and distance; the shortest first. */
const forms = (text: string, ...knobs: Knob[]) =>
	formsOf(sessionOf(text), 0, knobs, PRACTICE)
		.map(({ seconds, distance, changes }) => ({
			to: changes.map(({ label, to }) => `${label} ${to}`).join(', '),
			seconds,
			distance: Math.round(distance * 1000) / 1000
		}))
		.sort((a, b) => a.seconds - b.seconds);
const values = (text: string, ...knobs: Knob[]) => forms(text, ...knobs).map(({ to }) => to);

describe('formsOf', () => {
	it('takes sets one by one, four either way, and never the last', () => {
		// n sets of 30 s with 60 s between: 90 n − 60. A set of three is a third: 3 × 1/3, and 0.1 for touching it.
		expect(forms('3 x 10 squat, rest 60', 'often')).toEqual([
			{ to: 'sets 1', seconds: 30, distance: 2.1 },
			{ to: 'sets 2', seconds: 120, distance: 1.1 },
			{ to: '', seconds: 210, distance: 0 },
			{ to: 'sets 4', seconds: 300, distance: 1.1 },
			{ to: 'sets 5', seconds: 390, distance: 2.1 },
			{ to: 'sets 6', seconds: 480, distance: 3.1 },
			{ to: 'sets 7', seconds: 570, distance: 4.1 }
		]);
	});

	it('takes rests by fives, eight tenths either way and no less than 5 s', () => {
		const rests = (rest: number) =>
			forms(`3 x 10 squat, rest ${rest}`, 'rest').map(({ to }) => Number(to.replace('rest ', '') || rest));
		expect(rests(60)).toEqual(Array.from({ length: 21 }, (_, i) => 10 + 5 * i).filter((rest) => rest <= 110));
		expect(rests(20)).toEqual([5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60]);
		// What is less already may stay, and goes no lower.
		expect(rests(3)[0]).toBe(3);
		expect(forms('3 x 10 squat, rest 60', 'rest').find(({ to }) => to === 'rest 45')?.distance).toBe(0.35);
		// A rest of nothing is told against the step of 5 s.
		expect(forms('3 x 10 squat, rest 0', 'rest').find(({ to }) => to === 'rest 10')?.distance).toBe(2.1);
		// No more than twenty values either way, however long it is.
		expect(rests(600)).toHaveLength(41);
	});

	it('takes working times by fives, no less than 10 s, and minutes by minutes', () => {
		expect(values('circuit 1 round 30/10: squat + push-up', 'work')).toEqual([
			'work 10',
			'work 15',
			'work 20',
			'work 25',
			'',
			'work 35',
			'work 40',
			'work 45',
			'work 50'
		]);
		expect(
			formsOf(sessionOf('amrap 10 min: 10 squat'), 0, ['often'], PRACTICE)
				.map(({ seconds }) => seconds / 60)
				.sort((a, b) => a - b)
		).toEqual([4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16]);
		const [change] = formsOf(sessionOf('amrap 2 min: 10 squat'), 0, ['often'], PRACTICE).flatMap(
			(one) => one.changes
		);
		expect(change).toEqual({ block: 0, label: expect.any(String) as string, from: 120, to: 60, unit: 's' });
		expect(
			formsOf(sessionOf('amrap 2 min: 10 squat'), 0, ['often'], PRACTICE)
				.map(({ seconds }) => seconds / 60)
				.sort((a, b) => a - b)
		).toEqual([1, 2, 3, 4, 5, 6]);
		// Minutes of steady work go by fives down to one.
		expect(values('steady 12 min: brisk walk', 'work')).toEqual([
			'minutes 2',
			'minutes 7',
			'',
			'minutes 17',
			'minutes 22',
			'minutes 27',
			'minutes 32'
		]);
	});

	it('goes less far with each where all are turned, and takes the smallest change for each length', () => {
		const all = forms('3 x 10 squat, rest 60', 'often', 'work', 'rest');
		expect(Math.min(...all.map(({ seconds }) => seconds))).toBe(30);
		expect(Math.max(...all.map(({ seconds }) => seconds))).toBe(5 * 30 + 4 * 90);
		expect(new Set(all.map(({ seconds }) => seconds)).size).toBe(all.length);
		// One set has no rest: of all the rests beside it none is touched.
		expect(all[0]).toEqual({ to: 'sets 1', seconds: 30, distance: 2.1 });
		// 300 s: four sets with 60 s, or three with 105, which is too far.
		expect(all.find(({ seconds }) => seconds === 300)).toEqual({ to: 'sets 4', seconds: 300, distance: 1.1 });
		// 220 s: three sets with 65 s of rest.
		expect(all.find(({ seconds }) => seconds === 220)?.to).toBe('rest 65');
	});

	it('keeps three quarters of a warm-up and of a cool-down, and the work free', () => {
		// Four rounds of 40 s: 150 s without the last rest; three take 110 s, less than 112.5. Five holds take 170 s, four 135.
		expect(values('warm-up: circuit 4 rounds 30/10: march on the spot', 'often')).toEqual([
			'',
			'rounds 5',
			'rounds 6',
			'rounds 7',
			'rounds 8'
		]);
		expect(values('cool-down: holds 5 rounds, rest 5: 30 s child rest', 'often')[0]).toBe('rounds 4');
		expect(values('circuit 4 rounds 30/10: march on the spot', 'often')[0]).toBe('rounds 1');
	});

	it('thins the values of the longest rows where there would be too many forms', () => {
		const many = formsOf(
			sessionOf('circuit 20 rounds 60/60, 120 between: squat + push-up'),
			0,
			['often', 'work', 'rest'],
			PRACTICE
		);
		expect(many.length).toBeGreaterThan(100);
		expect(many.length).toBeLessThanOrEqual(800);
		expect(many.some(({ changes }) => changes.length === 0)).toBe(true);
		const fewer = many.flatMap(({ changes }) => changes).filter(({ from, to }) => to < from);
		const more = many.flatMap(({ changes }) => changes).filter(({ from, to }) => to > from);
		for (const label of ['rounds', 'work']) {
			expect(fewer.some((change) => change.label === label)).toBe(true);
			expect(more.some((change) => change.label === label)).toBe(true);
		}
	});

	it('has one form of a block whose numbers are not turned, and none of a block that is not there', () => {
		expect(values('steady 30 min: brisk walk', 'rest')).toEqual(['']);
		expect(formsOf(sessionOf('3 x 10 squat'), 1, ['often'], PRACTICE)).toEqual([]);
		expect(values('circuit 1 round 30/10: squat', 'often')).toContain('rounds 2');
	});
});

describe('withRepeats', () => {
	const REPEATED = sessionOf(
		'repeat 3 times, rest 30:\n1 x 10 squat\nend repeat\nrepeat 4 times, rest 20:\n1 x 10 curl\nend repeat'
	);

	it('goes through each as much more or less, and says so', () => {
		expect(withRepeats(REPEATED, -1)).toEqual({
			session: {
				...REPEATED,
				repeats: [
					{ from: 0, to: 0, times: 2, rest: 30 },
					{ from: 1, to: 1, times: 3, rest: 20 }
				]
			},
			changes: [
				{ block: 0, label: 'times', from: 3, to: 2, unit: '' },
				{ block: 1, label: 'times', from: 4, to: 3, unit: '' }
			]
		});
		expect(withRepeats(REPEATED, 1)?.session.repeats?.map(({ times }) => times)).toEqual([4, 5]);
	});

	it('leaves none out, and leaves alone what has none', () => {
		expect(withRepeats(REPEATED, -2)).toBeNull();
		expect(withRepeats(REPEATED, 0)).toEqual({ session: REPEATED, changes: [] });
		const plain = sessionOf('3 x 10 squat');
		expect(withRepeats(plain, 0)).toEqual({ session: plain, changes: [] });
		expect(withRepeats(plain, 1)).toBeNull();
	});
});
