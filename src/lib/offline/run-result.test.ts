import { describe, expect, it } from 'vitest';
import type { Act } from '$core/run';
import { courseFrom } from '../../../tests/support/course';
import { readCheckinForm } from './check-in-form';
import { doneRun, hurtsText, runKg, withRun, type DoneRun } from './run-result';
import type { KeptRun } from './store';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const at = (seconds: number, act: object) => ({ at: T + seconds * 1000, ...act }) as Act;
const kept = (acts: Act[], more: Partial<KeptRun> = {}): KeptRun => ({
	key: 'k',
	id: 'run',
	day: 3,
	versionId: 'v',
	course: courseFrom('3 x 8 goblet squat @ 12 kg, rest 60'),
	acts,
	seen: Math.max(T, ...acts.map(({ at: done }) => done)),
	first: 'left',
	...more
});
/** Two of three sets: the second one lighter and one short; then it was ended. */
const TWO = [
	at(0, { do: 'start' }),
	at(20, { do: 'done' }),
	at(90, { do: 'done' }),
	at(95, { do: 'log', exercise: 0, set: 2, amount: 7, kg: 10, effort: 9 }),
	at(100, { do: 'finish' })
];
const done = (acts = TWO): DoneRun => doneRun(kept(acts), T + 9_000_000)!;
const form = (fields: Record<string, string>) => {
	const made = new FormData();
	for (const [name, value] of Object.entries(fields)) made.set(name, value);
	return readCheckinForm(made, 3);
};
const sets = (run: DoneRun, fields: Record<string, string>) =>
	(withRun(form(fields), run, false).sets as { amount: number; kg: number }[] | null)?.map(
		({ amount, kg }) => [amount, kg]
	);

describe('the result of a session that was led', () => {
	it('is none where it was never begun', () => {
		expect(doneRun(undefined, T)).toBeNull();
		expect(doneRun(kept([]), T)).toBeNull();
	});
	it('has what a strap told of it', () => {
		const heart = {
			...{ average: 120, highest: 160, seconds: 90 },
			bands: { 'very light': 0, light: 30, moderate: 60, vigorous: 0, 'near the limit': 0 }
		};
		const run = doneRun(kept(TWO), T + 9_000_000, heart)!;
		expect(withRun(form({ done: 'part' }), run, false)).toMatchObject({ run: { heart } });
		expect(withRun(form({ done: 'part' }), done(), false)).toMatchObject({ run: { heart: null } });
	});
	it('is sent in whole milliseconds, whatever the clock of the page', () => {
		const odd = TWO.map((act) => ({ ...act, at: act.at + 0.37 }));
		expect(withRun(form({ done: 'part' }), done(odd), false)).toMatchObject({
			startedAt: T,
			doneAt: T + 100_000
		});
	});
	it('is sent under its own id, by when it was begun and ended, however late that is', () => {
		expect(withRun(form({ done: 'part', id: 'form', replaces: 'other' }), done(), true)).toMatchObject({
			id: 'run',
			day: 3,
			versionId: 'v',
			adds: true,
			replaces: null,
			startedAt: T,
			doneAt: T + 100_000,
			done: 'part',
			run: { seconds: 100 }
		});
	});
	it('has each set as it was noted, and what was changed in the form', () => {
		const run = done();
		expect(runKg(run.log, 0, 0)).toBe(12);
		const shown = { done: 'part', 'set.0.0.1': '8', 'set.0.0.2': '7', 'set.0.0.3': '0', 'kg.0.0': '12' };
		expect(sets(run, shown)).toEqual([
			[8, 12],
			[7, 10],
			[0, 12]
		]);
		expect(sets(run, { ...shown, 'set.0.0.2': '6' })).toEqual([
			[8, 12],
			[6, 10],
			[0, 12]
		]);
		// One load for all of them: whoever changes it means all.
		expect(sets(run, { ...shown, 'kg.0.0': '14' })).toEqual([
			[8, 14],
			[7, 14],
			[0, 14]
		]);
	});
	it('takes whoever says as planned, or not at all, at their word', () => {
		expect(withRun(form({ done: 'all' }), done(), false)).toMatchObject({ done: 'all', sets: null });
		expect(withRun(form({ done: 'none' }), done(), true)).toMatchObject({
			done: 'none',
			sets: null,
			adds: true
		});
		const all = done([at(0, { do: 'start' }), ...[20, 90, 170].map((s) => at(s, { do: 'done' }))]);
		expect(all.log.done).toBe('all');
		expect(sets(all, { done: 'all' })).toHaveLength(3);
	});
	it('tells what hurt, as far as the field goes', () => {
		const hurt = (area: string) => at(5, { do: 'hurts', exercise: 0, area });
		expect(hurtsText(done([...TWO.slice(0, 1), hurt('knee'), hurt('elsewhere')]).log)).toBe(
			'knee, in Goblet squat; pain, in Goblet squat'
		);
		expect(
			hurtsText(done([...TWO.slice(0, 1), ...Array.from({ length: 60 }, () => hurt('knee'))]).log)
		).toHaveLength(300);
	});
});
