import { describe, expect, it } from 'vitest';
import { STANDARD, type Exercise } from '../exercise';
import { countWords, cuesFor, DEFAULT_HOUSE } from './house';

const squat = STANDARD.find('Squat') as Exercise;
const saying = (pattern: Exercise['pattern'], ...cues: string[]): Exercise => ({ ...squat, pattern, cues });

describe('cuesFor', () => {
	const house = { ...DEFAULT_HOUSE, depth: '90° at the knee', knee: 'behind the toes' } as const;

	it('adds what the house says of squats and lunges after their own', () => {
		for (const pattern of ['squat', 'lunge'] as const)
			expect(cuesFor(saying(pattern, 'Chest up'), house)).toEqual([
				'Chest up',
				'Down to 90° at the knee',
				'Knees stay behind the toes'
			]);
		expect(
			cuesFor(saying('squat'), { ...house, depth: 'as deep as control allows', knee: 'may pass the toes' })
		).toEqual(['As deep as you control', 'Heels stay down']);
	});

	it('says nothing twice, whatever its case', () => {
		expect(
			cuesFor(saying('squat', 'Slowly, HEELS stay down, chest up'), { ...house, knee: 'may pass the toes' })
		).toEqual(['Slowly, HEELS stay down, chest up', 'Down to 90° at the knee']);
	});

	it('adds nothing to other movements', () => {
		expect(cuesFor(saying('hinge', 'Hips back'), house)).toEqual(['Hips back']);
	});
});

it('says which count stands', () => {
	expect(countWords({ ...DEFAULT_HOUSE, count: 'the lower of two' })).toMatch(/Count the lower number/);
	expect(countWords({ ...DEFAULT_HOUSE, count: 'clean ones only' })).toMatch(/Only clean/);
});
