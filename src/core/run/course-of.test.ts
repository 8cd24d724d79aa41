import { describe, expect, it } from 'vitest';
import { courseFrom } from '../../../tests/support/course';
import { PRACTICE } from '../../../tests/support/practice';
import { limitsOf, readKit } from '../kit';
import { BODY_AREAS } from './course';
import { canDo } from '../substitution';
import { limitsWhen } from '../session';

const only = (text: string, who?: Parameters<typeof courseFrom>[1]) => courseFrom(text, who).exercises[0]!;

describe('an exercise beside the clock', () => {
	it('has all that is said of it', () => {
		expect(only('3 x 12/10/8 goblet squat 3-1-1 @ 12 kg, rest 60')).toMatchObject({
			name: 'Goblet squat',
			load: '12 kg',
			kg: 12,
			unit: 'reps',
			sets: 3,
			amounts: [12, 10, 8],
			perSide: false,
			tempo: [3, 1, 1, 0],
			repSeconds: 5
		});
		expect(only('circuit 2 rounds 30/15: plank')).toMatchObject({ much: '', unit: 's', amounts: [30, 30] });
	});
	it('has an easier and a harder form, as far as the person can do them', () => {
		const { easier, harder } = only('3 x 8 push-up');
		expect(easier).not.toBeNull();
		expect(harder).not.toBeNull();
		const wrists = only('3 x 8 wall push-up', { kit: readKit('none').kit, limits: limitsOf('sore wrist') });
		for (const one of [wrists.easier, wrists.harder]) {
			const exercise = one && PRACTICE.library.find(one.name);
			if (exercise) expect(canDo(exercise, { kit: null, limits: limitsOf('sore wrist') })).toBe(true);
		}
	});
	it('has, for each place that may hurt, something that spares it and that the person can do', () => {
		const who = { kit: readKit('mat; pair of dumbbells 8 kg').kit, limits: limitsOf('over 65') };
		for (const { name } of PRACTICE.library.all) {
			const { ifHurts } = only(`3 x 30 s "${name}"`, who);
			for (const area of BODY_AREAS) {
				const other = ifHurts[area];
				if (!other) continue;
				expect(other.name).not.toBe(name);
				const exercise = PRACTICE.library.find(other.name)!;
				const limits = [...who.limits, ...(area === 'elsewhere' ? [] : limitsWhen(area))];
				expect([name, area, other.name, canDo(exercise, { ...who, limits })]).toEqual([
					name,
					area,
					other.name,
					true
				]);
			}
		}
	});
	it('takes what the coach named for it', () => {
		const { ifHurts } = only('3 x 8 squat, if the knee hurts: glute bridge');
		expect(ifHurts.knee?.name).toBe('Glute bridge');
	});
	it('is never offered itself where it hurts, though it spares the place', () => {
		expect(only('3 x 8 curl @ 8 kg').ifHurts.knee?.name).not.toBe('Curl');
	});
});
