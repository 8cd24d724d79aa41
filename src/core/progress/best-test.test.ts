import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import { fullLog, type LoggedSet } from '../day';
import { parseSessionText, prescriptionOf } from '../session';
import { PRACTICE } from '../../../tests/support/practice';
import { bestTestOf, sidesOf, weakerOf, type DoneDay } from '.';

function done(
	day: number,
	text: string,
	change: (set: LoggedSet) => object = () => ({}),
	test = true
): DoneDay {
	const { session } = parseSessionText(text, PRACTICE);
	const asked = prescriptionOf(session, PRACTICE);
	const sets = fullLog(asked).map((set) => ({ ...set, ...change(set) }));
	return { day, at: day * DAY_MS, test, again: false, sessionId: 's', asked, sets, scores: [], effort: null };
}
const TEST = '1 x 60 s plank, rest 90\n1 x 20 push-up';
/** A test with so many push-ups, and a plank of so many seconds. */
const tested = (day: number, reps: number, seconds: number, test = true) =>
	done(day, TEST, ({ block }) => ({ amount: block === 0 ? seconds : reps }), test);

describe('the best that a test brought', () => {
	it('is the greatest share of what was better than at every test before', () => {
		// 26 for 20 is 30 % more, 66 for 60 is 10 %.
		expect(bestTestOf([tested(1, 20, 60)], tested(22, 26, 66))).toMatchObject({
			before: 1,
			gain: { exercise: 'Push-up', kind: 'most', before: { amount: 20 }, now: { amount: 26 } }
		});
		expect(bestTestOf([tested(1, 20, 60)], tested(22, 21, 90))?.gain.exercise).toBe('Plank');
	});
	it('is measured by the best test before, whatever came after that one, and by no other day', () => {
		expect(bestTestOf([tested(8, 18, 50), tested(1, 25, 60)], tested(22, 24, 60))).toBeNull();
		expect(bestTestOf([tested(1, 25, 60), tested(8, 18, 70)], tested(22, 26, 60))).toMatchObject({
			before: 1
		});
		expect(bestTestOf([tested(1, 20, 60, false)], tested(22, 26, 66))).toBeNull();
		expect(bestTestOf([tested(30, 20, 60)], tested(22, 26, 66)), 'a later one').toBeNull();
	});
	it('is none on a day that is no test, at the first test, and where nothing was better', () => {
		expect(bestTestOf([tested(1, 20, 60)], tested(22, 26, 66, false))).toBeNull();
		expect(bestTestOf([], tested(1, 20, 60))).toBeNull();
		expect(bestTestOf([tested(1, 20, 60)], tested(22, 20, 60))).toBeNull();
	});
	it('weighs what is more in all by all of it', () => {
		// Push-ups 20 and 20 for 20 are twice as many; the plank is a tenth longer.
		const twice = done(22, '1 x 60 s plank, rest 90\n2 x 20 push-up, rest 60', ({ block }) => ({
			amount: block === 0 ? 66 : 20
		}));
		expect(bestTestOf([tested(1, 20, 60)], twice)?.gain).toMatchObject({
			kind: 'total',
			before: 20,
			now: 40
		});
		const longer = done(22, '1 x 60 s plank, rest 90\n2 x 10 push-up, rest 60', ({ block }) => ({
			amount: block === 0 ? 66 : 11
		}));
		// 22 for 20 in all is a tenth too: the first of equals.
		expect(bestTestOf([tested(1, 20, 60)], longer)?.gain.exercise).toBe('Plank');
	});
	it('weighs loads by the load, and against each other', () => {
		const two = (day: number, squat: number, press: number) =>
			done(day, '1 x 8 goblet squat @ 10 kg\n1 x 8 floor press @ 10 kg', ({ block }) => ({
				kg: block === 0 ? squat : press
			}));
		// 12 for 10 is a fifth more, 25 for 20 a quarter, though both are heavier by other kilograms.
		expect(bestTestOf([two(1, 10, 20)], two(22, 12, 25))?.gain.exercise).toBe('Floor press');
		expect(bestTestOf([two(1, 10, 20)], two(22, 13, 25))?.gain.exercise).toBe('Goblet squat');
	});
	it('weighs a load against repetitions', () => {
		const squats = (day: number, kg: number, reps: number) =>
			done(day, `${TEST}\n1 x 8 goblet squat @ 10 kg`, ({ block }) =>
				block === 2 ? { kg, amount: reps } : { amount: day === 1 ? 20 : 22 }
			);
		// 14 kg for 10 is 40 % more, 22 for 20 is 10 %.
		expect(bestTestOf([squats(1, 10, 8)], squats(22, 14, 8))?.gain).toMatchObject({
			kind: 'load',
			exercise: 'Goblet squat'
		});
	});
});

describe('sides', () => {
	const SPLIT = '3 x 8 split squat each leg, rest 60\n3 x 10 squat';
	it('are summed where each was told, and alike where not', () => {
		const day = done(1, SPLIT, ({ set }) => (set === 1 ? { left: 6, right: 8, amount: 6 } : {}));
		expect(sidesOf(day)).toEqual([{ exercise: 'Split squat', left: 22, right: 24 }]);
	});
	it('of another form are those of that form, and of nothing there are none', () => {
		const day = done(1, SPLIT, ({ set }) =>
			set === 3 ? { used: 'Reverse lunge' } : set === 2 ? { amount: 0 } : {}
		);
		expect(sidesOf(day)).toEqual([
			{ exercise: 'Split squat', left: 8, right: 8 },
			{ exercise: 'Reverse lunge', left: 8, right: 8 }
		]);
		expect(sidesOf(done(1, 'warm-up: circuit 1 round 30/10: hip circles per side\n3 x 10 squat'))).toEqual(
			[]
		);
	});
	it('are uneven from 10 % on, by the other side', () => {
		const weaker = (left: number, right: number) => weakerOf({ exercise: 'x', left, right });
		expect(weaker(18, 20)).toMatchObject({ side: 'left' });
		expect(weaker(18, 20)!.behind).toBeCloseTo(0.1, 10);
		expect(weaker(20, 18)).toMatchObject({ side: 'right' });
		expect([weaker(18.1, 20), weaker(20, 20), weaker(0, 0)]).toEqual([null, null, null]);
		expect(weaker(0, 8)).toEqual({ side: 'left', behind: 1 });
	});
});
