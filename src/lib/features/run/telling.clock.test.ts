import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { momentOf, runLogOf, type Act } from '$core/run';
import { courseFrom } from '../../../../tests/support/course';
import { Telling, toldOf, type Told } from './telling';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const COURSE = courseFrom('2 x 8 goblet squat @ 12 kg, rest 60');
const at = (seconds: number, act: object) => ({ at: T + seconds * 1000, ...act }) as Act;
const told = (acts: Act[], seconds: number) => {
	const now = T + seconds * 1000;
	return toldOf(COURSE, momentOf(COURSE, acts, now), runLogOf(COURSE, acts, now));
};

beforeEach(() => vi.useFakeTimers({ now: T }));
afterEach(() => vi.useRealTimers());

describe('what is told of a session', () => {
	it('is what is done right now, how far, and what hurts', () => {
		const going = [at(0, { do: 'start' })];
		expect(told(going, 5)).toMatchObject({ phase: 'going', what: 'Goblet squat, 8 reps, 12 kg', hurts: [] });
		const resting = [...going, at(20, { do: 'done' })];
		expect(told(resting, 30)).toMatchObject({ phase: 'going', what: 'resting' });
		expect(told(resting, 30).share).toBeGreaterThan(told(going, 5).share);
		const hurt = [...resting, at(31, { do: 'hurts', exercise: 0, area: 'knee' })];
		expect(told(hurt, 32).hurts).toEqual([{ exercise: 'Goblet squat', area: 'knee' }]);
		expect(told([...resting, at(40, { do: 'finish' })], 41)).toMatchObject({ phase: 'over', what: null });
	});
});

describe('telling', () => {
	const word = (more: Partial<Told> = {}): Told => ({
		phase: 'going',
		what: 'Squat',
		share: 0,
		hurts: [],
		...more
	});
	function telling() {
		const sent: [Told, boolean][] = [];
		return { sent, telling: new Telling((one, leaving) => sent.push([one, leaving])) };
	}
	it('is done at once, then every few seconds at most, with the last there was', () => {
		const { sent, telling: one } = telling();
		one.tell(word());
		one.tell(word({ what: 'resting' }));
		one.tell(word({ what: 'Plank' }));
		expect(sent.map(([{ what }]) => what)).toEqual(['Squat']);
		vi.advanceTimersByTime(4000);
		expect(sent.map(([{ what }]) => what)).toEqual(['Squat', 'Plank']);
	});
	it('says nothing again that has not changed, but now and then that it is still so', () => {
		const { sent, telling: one } = telling();
		for (let second = 0; second < 300; second++) {
			one.tell(word({ share: second / 300 }));
			vi.advanceTimersByTime(1000);
		}
		expect(sent).toHaveLength(3);
	});
	it('tells of pain at once', () => {
		const { sent, telling: one } = telling();
		one.tell(word());
		one.tell(word({ hurts: [{ exercise: 'Squat', area: 'knee' }] }));
		expect(sent).toHaveLength(2);
	});
	it('says that somebody stopped who leaves in the middle, and keeps that they are through', () => {
		const { sent, telling: one } = telling();
		one.tell(word());
		one.leave();
		expect(sent.at(-1)).toEqual([word({ phase: 'left' }), true]);
		const other = telling();
		other.telling.tell(word({ phase: 'over' }));
		other.telling.leave();
		expect(other.sent.map(([{ phase }]) => phase)).toEqual(['over']);
		// Whoever never began has nothing to say.
		const none = telling();
		none.telling.leave();
		expect(none.sent).toEqual([]);
	});
});
