/**
 * Values that the checks lean on, against what is published. ACSM's Guidelines for Exercise Testing and
 * Prescription (10th ed.) and WHO 2020 guidelines on physical activity, both from memory.
 */
import { describe, expect, it } from 'vitest';
import { MUSCLES, STANDARD } from '$core/exercise';
import { balanceOf, checkSession, coolDownFor, warmUpFor } from '$core/analysis';
import { kitOfItems } from '$core/kit';
import { DEFAULT_HOUSE } from '$core/practice';
import { compileSession, parseSessionText, type Session } from '$core/session';
import { PRACTICE } from '../support/practice';

/** With a mat, and no limits. */
const ANYONE = { kit: kitOfItems(['mat']), limits: [] };
const read = (text: string): Session => parseSessionText(text, PRACTICE).session;

/** ACSM: warm-up and cool-down of 5 to 10 min; static stretches 10 to 30 s, 30 to 60 s for older adults. */
const ACSM = { phase: [5, 10], stretch: [10, 30], olderStretch: [30, 60] } as const;

/** WHO 2020: muscle strengthening that involves all major muscle groups. */
const MAJOR = [
	'chest',
	'upper back',
	'lats',
	'front shoulder',
	'biceps',
	'triceps',
	'abs',
	'lower back',
	'glutes',
	'quads',
	'hamstrings',
	'calves'
];

describe('ACSM', () => {
	it('the house rules begin within the published bounds', () => {
		for (const minutes of [DEFAULT_HOUSE.warmUp, DEFAULT_HOUSE.coolDown]) {
			expect(minutes).toBeGreaterThanOrEqual(ACSM.phase[0]);
			expect(minutes).toBeLessThanOrEqual(ACSM.phase[1]);
		}
		expect(DEFAULT_HOUSE.stretchHold).toBeGreaterThanOrEqual(ACSM.olderStretch[0]);
		expect(DEFAULT_HOUSE.stretchHold).toBeLessThanOrEqual(ACSM.stretch[1]);
	});

	it.each([
		'5 x 10 goblet squat @ 12 kg',
		'4 x 10 push-up\n4 x 10 bent-over row @ 8 kg',
		'hiit 8 x 30/60: fast feet'
	])('the warm-up put before %j takes 5 to 10 minutes', (text) => {
		const block = warmUpFor(read(text), PRACTICE, DEFAULT_HOUSE.warmUp, ANYONE)!;
		const minutes = compileSession({ blocks: [block] }, PRACTICE).totals.duration / 60;
		expect(minutes).toBeGreaterThanOrEqual(ACSM.phase[0] - 0.5);
		expect(minutes).toBeLessThanOrEqual(ACSM.phase[1]);
	});

	it('the stretches put after the work are held as published, on both sides, where the work was', () => {
		const session = read('4 x 10 goblet squat @ 12 kg\n4 x 10 Romanian deadlift @ 10 kg');
		const block = coolDownFor(session, PRACTICE, DEFAULT_HOUSE.coolDown, ANYONE)!;
		for (const part of block.parts) {
			expect(part.target).toEqual({ kind: 'seconds', seconds: 30 });
			expect(part.perSide).toBe(STANDARD.find(part.exercise)?.perSide);
		}
		const { stretched } = balanceOf({ blocks: [block] }, PRACTICE);
		for (const muscle of ['quads', 'hamstrings', 'glutes'] as const)
			expect(stretched[muscle]).toBeGreaterThanOrEqual(30);
	});

	it('a cool-down under the published five minutes is remarked on, one of five is not', () => {
		const rules = (text: string) =>
			checkSession(read(`3 x 10 squat\n${text}`), PRACTICE).map((finding) => finding.rule);
		expect(rules('cool-down: holds, rest 5: 30 s per side calf stretch')).toContain('cool-down too short');
		expect(rules('cool-down: holds 4 rounds, rest 10: 30 s per side calf stretch')).not.toContain(
			'cool-down too short'
		);
	});
});

describe('WHO', () => {
	it('the library has work and a stretch for every major muscle group', () => {
		const worked = new Set(
			STANDARD.all.filter((e) => e.pattern !== 'stretch').flatMap((e) => e.primary as readonly string[])
		);
		const stretched = new Set(
			STANDARD.all.filter((e) => e.pattern === 'stretch').flatMap((e) => e.primary as readonly string[])
		);
		expect(MAJOR.filter((muscle) => !worked.has(muscle))).toEqual([]);
		expect(MAJOR.filter((muscle) => !stretched.has(muscle) && muscle !== 'biceps')).toEqual([]);
		expect(MAJOR.filter((muscle) => !(MUSCLES as readonly string[]).includes(muscle))).toEqual([]);
	});

	it('and work for every one of them without any equipment but floor, wall and chair', () => {
		const home = new Set(['mat', 'wall', 'chair', 'table', 'towel']);
		const bare = STANDARD.all.filter(
			(e) => e.pattern !== 'stretch' && e.equipment.every((need) => home.has(need.item))
		);
		const worked = new Set(bare.flatMap((e) => [...e.primary, ...e.assisting] as string[]));
		expect(MAJOR.filter((muscle) => !worked.has(muscle))).toEqual([]);
	});
});
