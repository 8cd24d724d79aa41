/** What each format finds amiss in itself, and the block that its remedy makes: a squat takes 3 s, a curl 4 s. */
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { blockOf } from '../../../tests/support/sessions';
import { formatOf } from './formats';

describe('what a format finds in itself', () => {
	const found = (text: string) => {
		const block = blockOf(text);
		return (formatOf(block).findings?.(block, PRACTICE) ?? []).map(({ title, figure, part, remedy }) => ({
			title,
			figure,
			part,
			remedy: remedy && [remedy.label, { ...block, ...remedy.block }]
		}));
	};
	const with_ = (text: string, parts: Record<number, object>, more: object = {}) => {
		const block = blockOf(text);
		return { ...block, ...more, parts: block.parts.map((part, i) => ({ ...part, ...parts[i] })) };
	};
	const reps = (n: number) => ({ target: { kind: 'reps', reps: n } });

	it('a minute that leaves too little, made lighter at what has most', () => {
		// 16 squats 48 s, a push-up a side 3 + 5 + 3: 59. With 11 squats 44 s, the first that leaves 15.
		const full = 'emom 8 min: 5 squat / 16 squat + 1 push-up per side';
		expect(found(full)).toEqual([
			{
				title: 'Minute 2 leaves 1 s',
				figure: '59 of 60 s are work; 15 s of rest are the house rule.',
				part: 1,
				remedy: ['Use 11 Squat', with_(full, { 1: reps(11) })]
			}
		]);
		const both = 'emom 8 min: 9 squat + 8 curl';
		// 27 + 32 = 59 s. One is taken off the higher, of equals off the first: 8 and 8 (56), 7 and 8, 7 and 7, 6 and 7 (46), 6 and 6 (42).
		expect(found(both)).toEqual([
			{
				title: 'Minute 1 leaves 1 s',
				figure: '59 of 60 s are work; 15 s of rest are the house rule.',
				part: 0,
				remedy: ['Use 6 Squat and 6 Curl', with_(both, { 0: reps(6), 1: reps(6) })]
			}
		]);
		expect(found('emom 8 min: 15 squat')).toEqual([]);
		expect(found('emom 8 min: 50 s plank')).toMatchObject([{ remedy: ['Use 45 Plank', expect.anything()] }]);
	});

	it('nothing lighter where each is done once', () => {
		const block = with_('emom 8 min: 1 squat', { 0: { tempo: [20, 0, 30, 0] } });
		expect(formatOf(block).findings?.(block, PRACTICE)).toMatchObject([
			{ title: 'Minute 1 leaves 10 s', remedy: null }
		]);
	});

	it('a limit too short: fewer rounds, or longer where not one fits', () => {
		const three = 'for time 3 rounds, limit 60 s: 10 squat';
		expect(found(three)).toEqual([
			{
				title: 'Expected at 1:30, the limit is 1:00',
				figure: 'Most would not finish 3 rounds at the tempo given.',
				part: null,
				remedy: ['Use 2 rounds', with_(three, {}, { rounds: 2 })]
			}
		]);
		const one = 'for time 1 round, limit 20 s: 10 squat';
		expect(found(one)[0]?.remedy).toEqual(['Set the limit to 1:00', with_(one, {}, { limit: 60 })]);
		expect(found('for time 2 rounds, limit 60 s: 10 squat')).toEqual([]);
	});

	it('an AMRAP of less than a round', () => {
		const short = 'amrap 20 s: 10 squat';
		expect(found(short)).toEqual([
			{
				title: 'One round takes longer than the 0:20 there are',
				figure: '0.7 of a round at the tempo given.',
				part: null,
				remedy: ['Give it 1:00', with_(short, {}, { length: 60 })]
			}
		]);
		expect(found('amrap 30 s: 10 squat')).toEqual([]);
	});

	it('stretches held for less than the house’s thirty seconds', () => {
		const short = 'holds: 10 s calf stretch per side + 30 s child rest + 15 s hip flexor stretch';
		const held = { target: { kind: 'seconds', seconds: 30 } };
		expect(found(short)).toEqual([
			{
				title: '2 stretches are held under 30 s',
				figure: '30 s are the house rule.',
				part: 0,
				remedy: ['Hold 30 s', with_(short, { 0: held, 2: held })]
			}
		]);
		expect(found('holds: 30 s child rest + 15 s hip flexor stretch')).toMatchObject([
			{ title: 'Hip flexor stretch is held 15 s', part: 1 }
		]);
		expect(found('holds: 30 s calf stretch')).toEqual([]);
	});
});
