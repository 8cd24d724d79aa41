import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { PRACTICE } from '../../../tests/support/practice';
import { formatLine, parseSessionText, prescriptionOf, sessionFaults, type Session } from '../session';
import { creditOf, fullLog } from './credit';
import { personalSession, type Override } from './overrides';

const session = (text: string): Session => {
	const { session: read, faults } = parseSessionText(text, PRACTICE);
	expect(faults).toEqual([]);
	return read;
};
const RIDGE = session(
	'warm-up: circuit 1 round 30/10: march on the spot + arm circles\nsuperset 3 rounds: 10 push-up + 8 per side one-arm row @ 12 kg\n3 x 30 s plank, rest 30\nemom 8 min: 10 squat / 8 push-up'
);
const override = (
	target: Override['target'],
	change: Override['change'],
	days = [1, null] as [number, number | null]
): Override => ({
	target,
	change,
	fromDay: days[0],
	toDay: days[1],
	why: 'wrist'
});
const on = (exercise: string): Override['target'] => ({ kind: 'exercise', exercise });
const linesOf = (...overrides: Override[]) => {
	const own = personalSession(RIDGE, 3, overrides, PRACTICE);
	return own?.session.blocks.map(formatLine) ?? [];
};

describe('personalSession', () => {
	it('is the session itself without overrides, and on days that they are not about', () => {
		expect(personalSession(RIDGE, 3, [], PRACTICE)?.session).toBe(RIDGE);
		const later = override(on('push-up'), { kind: 'leave out' }, [4, 6]);
		for (const day of [3, 7]) expect(personalSession(RIDGE, day, [later], PRACTICE)?.session).toBe(RIDGE);
		for (const day of [4, 5, 6])
			expect(personalSession(RIDGE, day, [later], PRACTICE)?.changes).toHaveLength(1);
	});

	it('puts another exercise in its place wherever it comes, and says so once', () => {
		const own = personalSession(
			RIDGE,
			3,
			[override(on('Push-ups'), { kind: 'replace', exercise: 'Wall push-up' })],
			PRACTICE
		);
		expect(own?.session.blocks.map(formatLine).filter((line) => line.includes('Wall push-up'))).toHaveLength(
			2
		);
		expect(own?.changes).toEqual([{ from: 'Push-up', to: 'Wall push-up', why: 'wrist' }]);
		expect(own?.idle).toEqual([]);
	});

	it('leaves an exercise out; what is left of a superset goes on as sets', () => {
		const lines = linesOf(override(on('push-up'), { kind: 'leave out' }));
		expect(lines[1]).toBe('3 x 8 reps per side One-arm row @ 12 kg, rest 60');
		expect(lines[3]).toBe('emom 8 min: 10 reps Squat');
	});

	it('keeps places as planned, so that logs of all people speak of the same', () => {
		const own = personalSession(RIDGE, 3, [override(on('push-up'), { kind: 'leave out' })], PRACTICE);
		expect(own?.asked.map(({ block, part, exercise }) => [block, part, exercise])).toEqual([
			[0, 0, 'March on the spot'],
			[0, 1, 'Arm circles'],
			[1, 1, 'One-arm row'],
			[2, 0, 'Plank'],
			[3, 0, 'Squat']
		]);
	});

	it('leaves a block out, and nothing where nothing is left', () => {
		expect(linesOf(override({ kind: 'block', block: 2 }, { kind: 'leave out' }))).toHaveLength(3);
		const all = RIDGE.blocks.map((_, block) => override({ kind: 'block', block }, { kind: 'leave out' }));
		expect(personalSession(RIDGE, 3, all, PRACTICE)).toBeNull();
	});

	it('asks for less or more: repetitions, seconds, and the other load', () => {
		expect(linesOf(override(on('plank'), { kind: 'scale', share: 0.5 }))[2]).toBe('3 x 15 s Plank, rest 30');
		expect(linesOf(override(on('one-arm row'), { kind: 'load', kg: 8 }))[1]).toContain('One-arm row @ 8 kg');
		expect(linesOf(override(on('one-arm row'), { kind: 'load', kg: null }))[1]).not.toContain('kg');
		const half = linesOf(override({ kind: 'day' }, { kind: 'scale', share: 0.5 }));
		expect(half[0]).toContain('circuit 1 rounds 30/10');
		expect(half[1]).toContain('5 reps Push-up + 4 reps per side One-arm row');
		expect(half[3]).toBe('emom 8 min: 5 reps Squat / 4 reps Push-up');
	});

	it('takes rounds where the block gives the time', () => {
		const circuit = session('circuit 4 rounds 30/15: squat + push-up');
		const own = personalSession(
			circuit,
			1,
			[override({ kind: 'day' }, { kind: 'scale', share: 0.5 })],
			PRACTICE
		);
		expect(own?.session.blocks[0]).toMatchObject({ rounds: 2 });
		const part = override(on('squat'), { kind: 'scale', share: 0.5 });
		expect(personalSession(circuit, 1, [part], PRACTICE)?.idle).toEqual([part]);
	});

	it('names those that found nothing to change', () => {
		const idle = override(on('curl'), { kind: 'leave out' });
		const own = personalSession(RIDGE, 3, [idle], PRACTICE);
		expect(own).toMatchObject({ changes: [], idle: [idle] });
	});

	it('keeps a repeat around what is left', () => {
		const repeated = session(
			'repeat 2 times, rest 30:\n2 x 10 squat\n2 x 10 push-up\nend repeat\n2 x 30 s plank'
		);
		const own = personalSession(repeated, 1, [override(on('squat'), { kind: 'leave out' })], PRACTICE);
		expect(own?.session.repeats).toEqual([{ from: 0, to: 0, times: 2, rest: 30 }]);
		expect(own?.asked.map(({ block, sets }) => [block, sets])).toEqual([
			[1, 4],
			[2, 2]
		]);
	});

	it('is sound, is fully credited by its own full log, and keeps its places unique, whatever the session', () => {
		const change = fc.constantFrom<Override['change']>(
			{ kind: 'leave out' },
			{ kind: 'replace', exercise: 'Wall push-up' },
			{ kind: 'scale', share: 0.5 },
			{ kind: 'load', kg: 4 }
		);
		const exercise = fc.constantFrom('Goblet squat', 'Push-up', 'One-arm row', 'Plank', 'Suitcase carry');
		const any = fc.array(fc.record({ exercise, change }), { maxLength: 4 });
		fc.assert(
			fc.property(anySession, any, (planned, wanted) => {
				fc.pre(sessionFaults(planned, PRACTICE).length === 0);
				const own = personalSession(
					planned,
					1,
					wanted.map((one) => override(on(one.exercise), one.change)),
					PRACTICE
				);
				if (!own) return;
				const places = own.asked.map(({ block, part }) => `${block}.${part}`);
				expect(new Set(places).size).toBe(places.length);
				const all = new Set(prescriptionOf(planned, PRACTICE).map(({ block, part }) => `${block}.${part}`));
				for (const place of places) expect(all.has(place)).toBe(true);
				expect(creditOf(own.asked, fullLog(own.asked))).toBeCloseTo(
					own.asked.some(({ sets }) => sets > 0) ? 1 : 0
				);
			}),
			{ numRuns: 200 }
		);
	});
});
