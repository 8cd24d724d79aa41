/** What holds for every exercise, whatever somebody must not do and whatever they own. */
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import type { Exercise } from '../exercise';
import { LIMITATIONS, missingIn, readKit, withinLimits, type Kit, type Limitation } from '../kit';
import { substitute } from './substitute';

/** What people own, from nothing to a garage full. */
const KITS: readonly Kit[] = [
	'none',
	'mat',
	'chair; mat',
	'light band',
	'medium band; mat; chair',
	'loop band',
	'dumbbell 4 kg',
	'pair of dumbbells 4 kg; mat',
	'pair of dumbbells 8 kg; mat; chair',
	'pair of dumbbells 12 kg; dumbbell 16 kg; mat; step; chair',
	'2 x adjustable dumbbell 2-24 kg, steps of 2 kg; bench',
	'kettlebell 12 kg',
	'backpack 10 kg; water bottle',
	'pull-up bar',
	'pull-up bar; light band; mat',
	'step; rope; mat',
	'bench; pair of dumbbells 6 kg',
	'roller; mat; cushion',
	'kettlebell 8 kg; heavy band; step',
	'4 x dumbbell 5 kg; pull-up bar; bench; rope; roller; mat; loop band; heavy band'
].map((text) => readKit(text).kit);

/** Every combination of three limits. */
const THREES: Limitation[][] = LIMITATIONS.flatMap((a, i) =>
	LIMITATIONS.slice(i + 1).flatMap((b, j) => LIMITATIONS.slice(i + j + 2).map((c) => [a, b, c]))
);

const { library } = PRACTICE;
/** All of them, or a few where mutants are tried. */
const FEW = process.env.FEW_RUNS === '1';
const some = <T>(all: readonly T[], one: number): readonly T[] =>
	FEW ? all.filter((_, i) => i % one === 0) : all;

/** Whether one lands hard, hangs, or is a harder step of the same ladder, where the other does not. */
function isHarder(exercise: Exercise, than: Exercise): boolean {
	if (exercise.impact === 'high' && than.impact !== 'high') return true;
	if (exercise.position === 'hanging' && than.position !== 'hanging') return true;
	const [from, to] = [library.progressionOf(than.name), library.progressionOf(exercise.name)];
	const isWork = than.pattern !== 'stretch' && than.pattern !== 'mobility';
	return isWork && from !== null && from.progression === to?.progression && to.at > from.at;
}

const instead = (exercise: Exercise, kit: Kit, limits: readonly Limitation[]) =>
	substitute(exercise, { kit, limits }, PRACTICE)?.exercise ?? null;

describe('a substitute', () => {
	it('needs nothing that somebody does not own and breaks no limit of theirs', () => {
		expect([KITS.length, THREES.length]).toEqual([20, 455]);
		const wrong: string[] = [];
		let found = 0;
		for (const limits of some(THREES, 23))
			for (const kit of some(KITS, 3))
				for (const exercise of library.all) {
					const to = instead(exercise, kit, limits);
					if (!to) continue;
					found++;
					if (!withinLimits(to, limits) || missingIn(kit, to.equipment).length > 0)
						wrong.push(`${exercise.name} → ${to.name} with ${limits.join(', ')}`);
				}
		expect(wrong).toEqual([]);
		expect(found).toBeGreaterThan(FEW ? 5_000 : 500_000);
	}, 60_000);

	it('is never harder after a limit more, and never there where there was none before', () => {
		const wrong: string[] = [];
		for (const kit of some(KITS, 5))
			for (const limits of [[], ...LIMITATIONS.map((limit) => [limit])])
				for (const more of LIMITATIONS.filter((limit) => !limits.includes(limit)))
					for (const exercise of some(library.all, 3)) {
						const before = instead(exercise, kit, limits);
						const after = instead(exercise, kit, [...limits, more]);
						if (after && (!before || isHarder(after, before)))
							wrong.push(`${exercise.name}: ${before?.name ?? 'nothing'} → ${after.name}, ${more}`);
					}
		expect(wrong).toEqual([]);
	}, 60_000);

	it('is the same for the same person, in whatever order their limits are told', () => {
		for (const kit of KITS.slice(0, 6))
			for (const limits of THREES.filter((_, i) => i % 45 === 0))
				for (const exercise of library.all)
					expect(instead(exercise, kit, [...limits].reverse())).toBe(instead(exercise, kit, limits));
	});
});
