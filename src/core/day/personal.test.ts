import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { runs } from '../../../tests/support/runs';
import { prescriptionOf, sessionFaults, type Session } from '../session';
import type { FitProfile } from '../fit';
import type { Level } from '../people';
import { creditOf, fullLog } from './credit';
import type { Override } from './overrides';
import { personalSession } from './personal';

/** Somebody of whom no more is known. */
const ofLevel = (level: Level): FitProfile => ({ level, planFor: null, kit: null, limits: [] });

/** As somebody of no level in particular gets it. */
const withOverrides = (session: Session, day: number, overrides: Override[], practice = PRACTICE) =>
	personalSession(session, day, { profile: null, overrides }, practice);

const RIDGE = sessionOf(
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
	const own = withOverrides(RIDGE, 3, overrides, PRACTICE);
	return own?.session.blocks.map(lineOf) ?? [];
};

describe('personalSession', () => {
	it('has the loads of one level, and of all for nobody in particular', () => {
		const byLevel = sessionOf('3 x 10 goblet squat @ 8/12/16 kg\n3 x 10 push-up');
		const kg = (level: Level | null, overrides: Override[] = []) =>
			personalSession(
				byLevel,
				1,
				{ profile: level && ofLevel(level), overrides },
				PRACTICE
			)?.session.blocks.map(lineOf)[0];
		expect(kg('beginner')).toBe('3 x 10 reps Goblet squat @ 8 kg, rest 60');
		expect(kg('some experience')).toBe('3 x 10 reps Goblet squat @ 12 kg, rest 60');
		expect(kg('trained')).toBe('3 x 10 reps Goblet squat @ 16 kg, rest 60');
		expect(kg(null)).toBe('3 x 10 reps Goblet squat @ 8/12/16 kg, rest 60');
		const lighter = override(on('goblet squat'), { kind: 'load', kg: 5 });
		expect(kg('trained', [lighter])).toBe('3 x 10 reps Goblet squat @ 5 kg, rest 60');
		const asked = personalSession(
			byLevel,
			1,
			{ profile: ofLevel('trained'), overrides: [] },
			PRACTICE
		)?.asked;
		expect(asked?.map((one) => one.kg)).toEqual([16, null]);
	});

	it('of somebody without an own load is the session as planned', () => {
		expect(
			personalSession(RIDGE, 1, { profile: ofLevel('beginner'), overrides: [] }, PRACTICE)?.session
		).toBe(RIDGE);
	});

	it('is the session itself without overrides, and on days that they are not about', () => {
		expect(withOverrides(RIDGE, 3, [], PRACTICE)?.session).toBe(RIDGE);
		const later = override(on('push-up'), { kind: 'leave out' }, [4, 6]);
		for (const day of [3, 7]) expect(withOverrides(RIDGE, day, [later], PRACTICE)?.session).toBe(RIDGE);
		for (const day of [4, 5, 6])
			expect(withOverrides(RIDGE, day, [later], PRACTICE)?.changes).toHaveLength(1);
	});

	it('sets an amount, a tempo and a rest', () => {
		const session = sessionOf(
			'3 x 10 push-up, rest 60\nsuperset 3 rounds: 10 push-up + 10 squat\nemom 8 min: 10 push-up'
		);
		const lines = (...overrides: Override[]) =>
			withOverrides(session, 1, overrides)?.session.blocks.map(lineOf);
		const planned = session.blocks.map(lineOf);
		expect(lines(override(on('push-up'), { kind: 'amount', amount: 6 }))).toEqual([
			planned[0]!.replace('10 reps Push-up', '6 reps Push-up'),
			planned[1]!.replace('10 reps Push-up', '6 reps Push-up'),
			planned[2]!.replace('10 reps Push-up', '6 reps Push-up')
		]);
		expect(lines(override(on('push-up'), { kind: 'tempo', tempo: [4, 1, 1, 0] }))?.[0]).toBe(
			'3 x 10 reps Push-up 4-1-1-0, rest 60'
		);
		// The rest of a superset is not that of one of its exercises.
		expect(lines(override(on('push-up'), { kind: 'rest', seconds: 90 }))).toEqual([
			planned[0]!.replace('rest 60', 'rest 90'),
			planned[1],
			planned[2]
		]);
		const after = override({ kind: 'block', block: 1 }, { kind: 'rest', seconds: 120 });
		expect(withOverrides(session, 1, [after])?.session.blocks[1]).toMatchObject({ restAfter: 120 });
		expect(withOverrides(session, 1, [after])?.changes).toMatchObject([{ to: '120 s rest' }]);
	});

	it('puts another exercise in its place wherever it comes, and says so once', () => {
		const own = withOverrides(
			RIDGE,
			3,
			[override(on('Push-ups'), { kind: 'replace', exercise: 'Wall push-up' })],
			PRACTICE
		);
		expect(own?.session.blocks.map(lineOf).filter((line) => line.includes('Wall push-up'))).toHaveLength(2);
		expect(own?.changes).toEqual([{ from: 'Push-up', to: 'Wall push-up', why: 'wrist' }]);
		expect(own?.idle).toEqual([]);
	});

	it('leaves an exercise out; what is left of a superset goes on as sets', () => {
		const lines = linesOf(override(on('push-up'), { kind: 'leave out' }));
		expect(lines[1]).toBe('3 x 8 reps per side One-arm row @ 12 kg, rest 60');
		expect(lines[3]).toBe('emom 8 min: 10 reps Squat');
	});

	it('keeps places as planned, so that logs of all people speak of the same', () => {
		const own = withOverrides(RIDGE, 3, [override(on('push-up'), { kind: 'leave out' })], PRACTICE);
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
		expect(withOverrides(RIDGE, 3, all, PRACTICE)).toBeNull();
	});

	it('asks for less or more: repetitions, seconds, and the other load', () => {
		expect(linesOf(override(on('plank'), { kind: 'scale', share: 0.5 }))[2]).toBe('3 x 15 s Plank, rest 30');
		expect(linesOf(override(on('one-arm row'), { kind: 'load', kg: 8 }))[1]).toContain('One-arm row @ 8 kg');
		expect(linesOf(override(on('one-arm row'), { kind: 'load', kg: null }))[1]).not.toContain('kg');
		const half = linesOf(override({ kind: 'day' }, { kind: 'scale', share: 0.5 }));
		expect(half[0]).toContain('circuit 1 round 30/10');
		expect(half[1]).toContain('5 reps Push-up + 4 reps per side One-arm row');
		expect(half[3]).toBe('emom 8 min: 5 reps Squat / 4 reps Push-up');
	});

	it('takes rounds where the block gives the time', () => {
		const circuit = sessionOf('circuit 4 rounds 30/15: squat + push-up');
		const own = withOverrides(
			circuit,
			1,
			[override({ kind: 'day' }, { kind: 'scale', share: 0.5 })],
			PRACTICE
		);
		expect(own?.session.blocks[0]).toMatchObject({ rounds: 2 });
		const part = override(on('squat'), { kind: 'scale', share: 0.5 });
		expect(withOverrides(circuit, 1, [part], PRACTICE)?.idle).toEqual([part]);
	});

	it('tells seconds in fives and metres in tens from 15 on, repetitions and less to the one', () => {
		const shared = (text: string, share: number) => {
			const own = withOverrides(
				sessionOf(text),
				1,
				[override({ kind: 'day' }, { kind: 'scale', share })],
				PRACTICE
			);
			return own?.session.blocks[0]?.parts[0];
		};
		const target = (text: string, share: number) => shared(text, share)?.target;
		expect(target('3 x 33 squat', 0.5)).toEqual({ kind: 'reps', reps: 17 });
		expect(target('3 x 1 squat', 0.1)).toEqual({ kind: 'reps', reps: 1 });
		expect(target('3 x 34 s plank', 0.5)).toEqual({ kind: 'seconds', seconds: 15 });
		expect(target('3 x 36 s plank', 0.5)).toEqual({ kind: 'seconds', seconds: 20 });
		expect(target('3 x 26 s plank', 0.5)).toEqual({ kind: 'seconds', seconds: 13 });
		expect(target('3 x 30 s plank', 0.5)).toEqual({ kind: 'seconds', seconds: 15 });
		expect(target('3 x 30 m suitcase carry', 0.5)).toEqual({ kind: 'metres', metres: 20 });
		expect(target('3 x 24 m suitcase carry', 0.5)).toEqual({ kind: 'metres', metres: 12 });
		expect(target('3 x 40 m suitcase carry', 0.6)).toEqual({ kind: 'metres', metres: 20 });
		expect(shared('3 x 10 or 40 s squat', 0.5)).toMatchObject({
			target: { kind: 'reps', reps: 5 },
			or: { kind: 'seconds', seconds: 20 }
		});
		expect(shared('3 x 10 squat', 0.5)).not.toHaveProperty('or');
	});

	it('scales the work and leaves warm-up and cool-down as they are', () => {
		const own = withOverrides(RIDGE, 1, [override({ kind: 'day' }, { kind: 'scale', share: 0.5 })], PRACTICE);
		expect(own?.session.blocks[0]).toEqual(RIDGE.blocks[0]);
		expect(own?.changes).toEqual([
			{ from: 'Superset: Push-up + One-arm row', to: '50 % of it', why: 'wrist' },
			{ from: 'Straight sets: Plank', to: '50 % of it', why: 'wrist' },
			{ from: 'EMOM: Squat + Push-up', to: '50 % of it', why: 'wrist' }
		]);
	});

	it('says each change in words, once', () => {
		const changes = (...overrides: Override[]) => withOverrides(RIDGE, 3, overrides, PRACTICE)?.changes;
		expect(changes(override(on('plank'), { kind: 'scale', share: 0.5 }))).toEqual([
			{ from: 'Plank', to: '50 % of it', why: 'wrist' }
		]);
		expect(changes(override(on('one-arm row'), { kind: 'load', kg: 8 }))).toEqual([
			{ from: 'One-arm row', to: '8 kg', why: 'wrist' }
		]);
		expect(changes(override(on('one-arm row'), { kind: 'load', kg: null }))).toEqual([
			{ from: 'One-arm row', to: 'without a load', why: 'wrist' }
		]);
		expect(
			changes(override(on('push-up'), { kind: 'leave out' }), override(on('plank'), { kind: 'leave out' }))
		).toEqual([
			{ from: 'Push-up', to: 'left out', why: 'wrist' },
			{ from: 'Plank', to: 'left out', why: 'wrist' }
		]);
		expect(changes(override({ kind: 'block', block: 2 }, { kind: 'leave out' }))).toEqual([
			{ from: 'Straight sets: Plank', to: 'left out', why: 'wrist' }
		]);
	});

	it('does nothing to a block that is gone already', () => {
		const gone = override({ kind: 'block', block: 2 }, { kind: 'leave out' });
		const less = override({ kind: 'block', block: 2 }, { kind: 'scale', share: 0.5 });
		const own = withOverrides(RIDGE, 3, [gone, less], PRACTICE);
		expect(own?.changes).toHaveLength(1);
		expect(own?.idle).toEqual([less]);
	});

	it('finds an exercise that the library does not have by its exact name', () => {
		const strange: Session = {
			blocks: [
				{
					...sessionOf('3 x 10 squat').blocks[0]!,
					parts: [{ ...sessionOf('3 x 10 squat').blocks[0]!.parts[0]!, exercise: 'Anvil lift' }]
				}
			]
		};
		const less = (name: string) =>
			withOverrides(strange, 1, [override(on(name), { kind: 'scale', share: 0.5 })], PRACTICE)?.changes;
		expect(less('Anvil lift')).toHaveLength(1);
		expect(less('Anvil')).toEqual([]);
		expect(less('Squat')).toEqual([]);
	});

	it('lets go of a repeat whose block became several', () => {
		const repeated = sessionOf(
			'repeat 2 times, rest 30:\nsuperset 3 rounds: 10 squat + 10 curl + 10 push-up\nend repeat\n2 x 30 s plank'
		);
		const one = withOverrides(repeated, 1, [override(on('curl'), { kind: 'leave out' })], PRACTICE);
		expect(one?.session.repeats).toEqual(repeated.repeats);
		const two = [override(on('curl'), { kind: 'leave out' }), override(on('squat'), { kind: 'leave out' })];
		const own = withOverrides(repeated, 1, two, PRACTICE);
		expect(own?.session.blocks.map(lineOf)).toEqual([
			'3 x 10 reps Push-up, rest 60',
			'2 x 30 s Plank, rest 60'
		]);
		expect(own?.asked.map(({ block, part, sets }) => [block, part, sets])).toEqual([
			[0, 2, 6],
			[1, 0, 2]
		]);
		expect(own?.session).not.toHaveProperty('other');
		expect(
			'repeats' in
				(withOverrides(
					sessionOf('2 x 10 squat'),
					1,
					[override(on('squat'), { kind: 'load', kg: 4 })],
					PRACTICE
				)?.session ?? {})
		).toBe(false);
	});

	it('without a difference changes nothing and has nothing idle', () => {
		expect(withOverrides(RIDGE, 3, [], PRACTICE)).toMatchObject({ changes: [], idle: [] });
	});

	it('names those that found nothing to change', () => {
		const idle = override(on('curl'), { kind: 'leave out' });
		const own = withOverrides(RIDGE, 3, [idle], PRACTICE);
		expect(own).toMatchObject({ changes: [], idle: [idle] });
	});

	it('keeps a repeat around what is left', () => {
		const repeated = sessionOf(
			'repeat 2 times, rest 30:\n2 x 10 squat\n2 x 10 push-up\nend repeat\n2 x 30 s plank'
		);
		const own = withOverrides(repeated, 1, [override(on('squat'), { kind: 'leave out' })], PRACTICE);
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
				const own = withOverrides(
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
			{ numRuns: runs(200) }
		);
	});
});
