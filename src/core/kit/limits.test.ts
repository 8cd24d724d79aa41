/** Each limit by exercises made for it, so that every reason stands alone. */
import { describe, expect, it } from 'vitest';
import { STANDARD, type Exercise } from '../exercise';
import { brokenLimits, type Limitation } from './limits';

/** Standing, quiet, at chest height: goes against nothing that is asked below. */
const HARMLESS: Exercise = {
	...STANDARD.find('Curl')!,
	name: 'Something',
	pattern: 'curl',
	position: 'standing',
	impact: 'none',
	balance: 0
};

describe('a limit is broken', () => {
	it.each<[Limitation, Partial<Exercise>]>([
		['seated only', {}],
		['seated only', { position: 'supported' }],
		['no floor', { position: 'kneeling' }],
		['no floor', { position: 'all fours' }],
		['no floor', { position: 'side lying' }],
		['no lying on the back', { position: 'back lying' }],
		['no lying on the front', { position: 'front lying' }],
		['no jumps', { impact: 'high' }],
		['no jumps', { pattern: 'jump' }],
		['no overhead', { pattern: 'push up' }],
		['no overhead', { pattern: 'pull down' }],
		['no overhead', { position: 'hanging' }],
		['no overhead', { name: 'Overhead carry' }],
		['no overhead', { name: 'March with arms up' }],
		['no balance without support', { balance: 2 }],
		['no weight on the wrists', { position: 'all fours' }],
		['no weight on the wrists', { pattern: 'push forward', position: 'front lying' }],
		['no deep knee bend', { pattern: 'squat' }],
		['no deep knee bend', { pattern: 'lunge' }],
		['no deep knee bend', { pattern: 'jump' }],
		['no deep knee bend', { pattern: 'combination', name: 'Squat to press' }]
	])('%s by %o', (limit, change) => {
		expect(brokenLimits({ ...HARMLESS, ...change }, [limit])).toEqual([limit]);
	});

	it.each<[Limitation, Partial<Exercise>]>([
		['seated only', { position: 'seated' }],
		['no floor', {}],
		['no floor', { position: 'hanging' }],
		['no lying on the back', { position: 'front lying' }],
		['no lying on the front', { position: 'back lying' }],
		['no jumps', { impact: 'low' }],
		['no overhead', {}],
		['no balance without support', { balance: 1 }],
		['no balance without support', { balance: 2, position: 'seated' }],
		['no balance without support', { balance: 2, position: 'supported' }],
		['no weight on the wrists', { pattern: 'stretch', position: 'all fours' }],
		['no weight on the wrists', { pattern: 'push forward', position: 'standing' }],
		['no weight on the wrists', { pattern: 'trunk', position: 'front lying' }],
		['no deep knee bend', { pattern: 'squat', name: 'Half squat' }],
		['no deep knee bend', { pattern: 'squat', name: 'Sit to chair' }],
		['no deep knee bend', { pattern: 'combination', name: 'Curl to press' }],
		['no deep knee bend', { pattern: 'hinge', name: 'Squat' }]
	])('but %s not by %o', (limit, change) => {
		expect(brokenLimits({ ...HARMLESS, ...change }, [limit])).toEqual([]);
	});
});
