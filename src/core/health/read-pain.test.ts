import { describe, expect, it } from 'vitest';
import type { Joint } from '../exercise';
import { readPain } from './read-pain';

/** Invented texts as people write them. The second dozen was kept back: nothing was changed after it was first tried. */
const FIRST: [string, Joint[], number | null][] = [
	['left knee, 6 of 10, in the lunges', ['knee'], 6],
	['6/10 in lunges, my left knee', ['knee'], 6],
	['Lunges made the KNEE hurt. About seven out of ten', ['knee'], 7],
	['lower back', ['back'], null],
	['Shoulder and neck', ['neck', 'shoulder'], null],
	['pain 4 right wrist when I put weight on my hands', ['wrist'], 4],
	['ow', [], null],
	['', [], null],
	['back home late, all good', [], null],
	['came back to training, knees are fine', [], null],
	['my knee is fine but my hip hurts', ['hip'], null],
	['12 reps of curls hurt my elbow', ['elbow'], null]
];
const SECOND: [string, Joint[], number | null][] = [
	['plantar thing again', ['ankle'], null],
	['heel, sharp, since the run', ['ankle'], null],
	['my rotator cuff, maybe 5/10', ['shoulder'], 5],
	['sciatica down to the calf', ['back', 'ankle'], null],
	['the thumb side of my right hand', ['wrist'], null],
	['groin pulled a bit', ['hip'], null],
	['no pain in the shoulder any more. knee 3/10', ['knee'], 3],
	['on the other hand I slept well', [], null],
	['went back on Monday', [], null],
	['it hurts', [], null],
	['both kneecaps ache on stairs', ['knee'], null],
	['stiff nape of the neck', ['neck'], null]
];

describe.each([
	['known', FIRST],
	['kept back', SECOND]
])('texts that were %s', (_, texts) => {
	it.each(texts)('%s', (text, areas, intensity) => {
		expect(readPain(text)).toMatchObject({ areas, intensity });
	});
});

it('hears what is sharp, and what gets worse', () => {
	expect(readPain('sharp pain in the knee')).toMatchObject({ isSharp: true, isRising: false });
	expect(readPain('shooting into the leg and getting worse')).toMatchObject({
		isSharp: true,
		isRising: true
	});
	expect(readPain('dull ache in the hip')).toMatchObject({ isSharp: false, isRising: false });
});

it('takes no number for an intensity that is of something else', () => {
	for (const text of ['hurt after 8 reps', 'knee, day 9', 'pain for 3 weeks', '11/10 would train again'])
		expect(readPain(text).intensity, text).toBeNull();
});
