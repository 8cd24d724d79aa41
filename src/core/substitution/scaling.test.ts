import { describe, expect, it } from 'vitest';
import { STANDARD } from '../exercise';
import { compileSession, parseSessionText, type Session } from '../session';
import { callSheetOf } from '../analysis/call-sheet';
import { compareSessions } from '../analysis/compare';
import { cuesFor, DEFAULT_HOUSE } from '../practice/house';
import { canDoWith } from '../kit';
import { PRESET_KITS, scaleSession } from './scaling';
import { likeness } from './candidates';
import { lineOf, PRACTICE } from '../../../tests/support/practice';

const session = (text: string): Session => parseSessionText(text, PRACTICE).session;
const lines = (s: Session) => s.blocks.map(lineOf);

describe('scaleSession', () => {
	const RIDGE = session(
		'superset 3 rounds: 10 goblet squat @ 12 kg + 8 per side one-arm row @ 12 kg\n3 x 10 push-up\ncool-down: holds: 30 s per side hip flexor stretch'
	);

	it('easier: a step down each, loads only where there is something to load, stretches as they are', () => {
		const { session: easier, changes } = scaleSession(RIDGE, 'easier', null, PRACTICE);
		expect(changes.map(({ from, to }) => [from, to])).toEqual([
			['Goblet squat', 'Slow squat'],
			['One-arm row', 'Band row'],
			['Push-up', 'Knee push-up']
		]);
		expect(lines(easier)[0]).toContain('10 reps Slow squat +');
		expect(lines(easier)[2]).toContain('Hip flexor stretch');
	});

	it('with loads by level the load is what differs, not the exercise', () => {
		const byLevel = session('3 x 10 goblet squat @ 8/12/16 kg');
		const line = (level: 'easier' | 'base' | 'harder') =>
			lines(scaleSession(byLevel, level, null, PRACTICE).session)[0];
		expect(line('easier')).toBe('3 x 10 reps Goblet squat @ 8 kg, rest 60');
		expect(line('base')).toBe('3 x 10 reps Goblet squat @ 8/12/16 kg, rest 60');
		expect(line('harder')).toBe('3 x 10 reps Goblet squat @ 16 kg, rest 60');
	});

	it('harder, and says what has no harder variation', () => {
		const { changes, stuck } = scaleSession(
			session('3 x 10 pull-up\n3 x 10 push-up'),
			'harder',
			null,
			PRACTICE
		);
		expect(changes).toEqual([
			{ block: 1, part: 0, from: 'Push-up', to: 'Slow push-up', why: 'one step harder' }
		]);
		expect(stuck[0]).toMatchObject({ exercise: 'Pull-up', why: 'no harder variation' });
	});

	it.each([
		['band only', ['Band squat', 'Band row', 'Push-up']],
		['one dumbbell', ['Goblet squat', 'One-arm row', 'Push-up']],
		['nothing', ['Squat', 'Towel row', 'Push-up']]
	] as const)('with %s', (kit, names) => {
		const { session: seen } = scaleSession(RIDGE, 'base', PRESET_KITS[kit], PRACTICE);
		expect(seen.blocks.slice(0, 2).flatMap((block) => block.parts.map((part) => part.exercise))).toEqual(
			names
		);
		for (const part of seen.blocks.flatMap((block) => block.parts))
			expect(canDoWith(PRESET_KITS[kit], STANDARD.find(part.exercise)!)).toBe(true);
	});

	it('counts in seconds what is held', () => {
		const { session: seen } = scaleSession(
			session('3 x 10 per side single-leg sit to chair'),
			'easier',
			null,
			PRACTICE
		);
		expect(lines(seen)[0]).toMatch(/\d+ s per side Single-leg wall sit/);
	});

	it('likeness is 1 with itself, 0 without a muscle in common, and the same both ways', () => {
		const [a, b, c] = ['Goblet squat', 'Squat', 'Curl'].map((name) => STANDARD.find(name)!);
		expect(likeness(a!, a!)).toBe(1);
		expect(likeness(b!, c!)).toBe(0);
		expect(likeness(a!, b!)).toBe(likeness(b!, a!));
		// quads 2, glutes 2 in common; abs, upper back, hamstrings, lower back 1 each apart: 4 / 8
		expect(likeness(a!, b!)).toBe(0.5);
	});
});

describe('cuesFor', () => {
	it('adds the rules of the house to squats and lunges alone', () => {
		const squat = STANDARD.find('Goblet squat')!;
		expect(cuesFor(squat, DEFAULT_HOUSE)).toContain('Down to 90° at the knee');
		expect(
			cuesFor(squat, { ...DEFAULT_HOUSE, depth: 'as deep as control allows', knee: 'behind the toes' })
		).toEqual([...squat.cues, 'As deep as you control', 'Knees stay behind the toes']);
		expect(cuesFor(STANDARD.find('Curl')!, DEFAULT_HOUSE)).toEqual(STANDARD.find('Curl')!.cues);
	});
});

describe('callSheetOf', () => {
	const sheet = (text: string, countdowns = true) => {
		const s = session(text);
		return callSheetOf(s, compileSession(s, PRACTICE), PRACTICE, { countdowns });
	};

	it('says what comes when, with the cue of the exercise', () => {
		const [block] = sheet('circuit 2 rounds 40/20, 60 between: plank + suitcase hold per side @ 12 kg');
		expect(block?.title).toBe('Interval circuit');
		const said = block?.calls.map((call) => `${call.time} ${call.say}`) ?? [];
		expect(said.slice(0, 5)).toEqual([
			'0 Go: Plank',
			'20 Half',
			'30 Ten left',
			'37 Three, two, one',
			'40 Next: Suitcase hold, left side'
		]);
		expect(said).toContain(
			'80 Change side. Go: Suitcase hold, right side'.replace('. Go: Suitcase hold, right side', '')
		);
		expect(said).toContain('100 Next: Plank. Water');
		expect(said).toContain('160 Last round. Go: Plank');
		expect(block?.calls[0]?.detail).toBe('40 s. Elbows under the shoulders, breathe. Hips level');
	});

	it('leaves the countdowns to the clock when asked to', () => {
		const [block] = sheet('circuit 1 round 40/20: plank + wall sit', false);
		expect(block?.calls.map((call) => call.say)).toEqual(['Go: Plank', 'Next: Wall sit', 'Go: Wall sit']);
	});

	it('announces set-up and times through', () => {
		const sheetOf = sheet(
			'repeat 2 times, rest 60:\nsetup 20 s: swap to the heavy pair\n1 x 10 squat\n1 x 10 curl\nend repeat'
		);
		expect(sheetOf.map((block) => block.title)).toEqual([
			'Straight sets, 1 of 2',
			'Straight sets, 1 of 2',
			'Straight sets, 2 of 2',
			'Straight sets, 2 of 2'
		]);
		const said = sheetOf.flatMap((block) => block.calls.map((call) => call.say));
		expect(said[0]).toBe('swap to the heavy pair. Next: Squat');
		expect(said.some((say) => say.startsWith('Last time through'))).toBe(true);
	});
});

describe('compareSessions', () => {
	it('lays versions side by side, block by block', () => {
		const before = session(
			'warm-up: circuit 2 rounds 30/10: squat\n3 x 10 goblet squat @ 12 kg, rest 60\n3 x 40 m suitcase carry @ 16 kg'
		);
		const after = session(
			'note: slower\nwarm-up: circuit 2 rounds 30/10: squat\n3 x 12 goblet squat @ 12 kg, rest 60\n2 x 30 s plank\n4 x 40 m suitcase carry @ 16 kg'
		);
		const { blocks, notes, duration } = compareSessions(before, after, PRACTICE);
		expect(blocks.map((block) => block.kind)).toEqual(['same', 'changed', 'new', 'changed']);
		expect(notes).toEqual(['note: none → slower']);
		expect(duration.after).toBeGreaterThan(duration.before);
	});

	it('finds nothing between a session and itself, and everything between strangers', () => {
		const a = session('3 x 10 squat\n3 x 10 curl');
		expect(compareSessions(a, a, PRACTICE).blocks.every((block) => block.kind === 'same')).toBe(true);
		const b = session('steady 30 min: brisk walk');
		expect(
			compareSessions(a, b, PRACTICE)
				.blocks.map((block) => block.kind)
				.sort()
		).toEqual(['gone', 'gone', 'new']);
	});
});
