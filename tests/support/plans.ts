import { EMPTY_PLAN, REST_DAY, type Plan, type PlannedDay, type PlanSession } from '$core/plan';
import { parseSessionText } from '$core/session';
import { PRACTICE } from './practice';

/** Sessions that plans in tests are made of, by letter: legs, upper body, all of it, cardio, a test. */
const SESSIONS: Record<string, [PlannedDay['kind'], string]> = {
	L: ['train', '4 x 10 goblet squat @ 12 kg, rest 60\n4 x 10 Romanian deadlift @ 12 kg, rest 60'],
	U: ['train', '4 x 10 push-up, rest 60\n4 x 10 band row, rest 60'],
	B: [
		'train',
		'3 x 10 push-up, rest 60\n3 x 10 band row, rest 60\n3 x 10 squat, rest 60\n3 x 30 s plank, rest 30\n3 x 10 glute bridge, rest 30\n3 x 10 curl @ 5 kg, rest 30'
	],
	S: ['cardio', 'steady 40 min, talk test: brisk walk'],
	H: ['cardio', 'hiit 8 x 30/90: hill run + easy walk'],
	E: ['train', 'emom 8 min: 10 squat / 8 push-up'],
	J: ['train', '3 x 10 jump squat, rest 60'],
	T: ['test', '1 x 60 s plank, rest 60'],
	W: ['train', '6 x 10 goblet squat 4-1-2-1 @ 12 kg, rest 120\n6 x 10 Romanian deadlift @ 12 kg, rest 120']
};

/** The sessions as a plan knows them: key `L`, name `Session L`. */
export const LETTERED: readonly PlanSession[] = Object.entries(SESSIONS).map(([key, [, text]]) => {
	const { session, faults } = parseSessionText(text, PRACTICE, 'keep');
	if (faults[0]) throw new Error(faults[0].message);
	return { key, name: `Session ${key}`, body: session };
});

/** A plan, a letter a day and a blank between weeks; `-` rests, `?` trains without a session. */
export const letteredPlan = (letters: string, more: Partial<Plan> = {}): Plan => ({
	...EMPTY_PLAN,
	days: [...letters.replace(/\s/g, '')].map((letter): PlannedDay => {
		if (letter === '-') return REST_DAY;
		const kind = SESSIONS[letter]?.[0] ?? 'train';
		return { kind, session: letter === '?' ? null : letter, effort: null, tests: [] };
	}),
	...more
});
