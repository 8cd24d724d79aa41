import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { holdAt, holdsFrom, holdsOf, type Clearance, type ClearanceRecords } from './holds';

const records = (more: Partial<ClearanceRecords>): ClearanceRecords => ({
	joined: 100,
	screenings: [],
	clearances: [],
	stops: [],
	pains: [],
	waitsForAnswers: true,
	...more
});
const cleared = (
	from: number,
	until: number | null,
	covers = ['chest'],
	takenBack: number | null = null
): Clearance => ({
	from,
	until,
	covers,
	takenBack
});
const ASKED = { at: 150, reasons: ['chest'] };

describe('holds', () => {
	it('last from the day of joining until the questions are answered', () => {
		expect(holdsOf(records({}))).toEqual([{ from: 100, until: null, reason: 'questions' }]);
		expect(holdsOf(records({ screenings: [{ at: 150, reasons: [] }] }))).toEqual([
			{ from: 100, until: 150, reason: 'questions' }
		]);
		expect(holdsOf(records({ waitsForAnswers: false }))).toEqual([]);
	});

	it('go on where the answers ask for a clearance, until it is there', () => {
		expect(holdsOf(records({ screenings: [ASKED] }))).toEqual([
			{ from: 100, until: 150, reason: 'questions' },
			{ from: 150, until: null, reason: 'clearance' }
		]);
		expect(holdsOf(records({ screenings: [ASKED], clearances: [cleared(200, null)] })).at(-1)).toEqual({
			from: 150,
			until: 200,
			reason: 'clearance'
		});
	});

	it('begin again when a clearance runs out or is taken back, whichever comes first', () => {
		const last = (until: number | null, takenBack: number | null) =>
			holdsOf(records({ screenings: [ASKED], clearances: [cleared(200, until, ['chest'], takenBack)] })).at(
				-1
			);
		expect(last(300, null)).toEqual({ from: 300, until: null, reason: 'clearance over' });
		expect(last(300, 250)).toMatchObject({ from: 250 });
		expect(last(250, 300)).toMatchObject({ from: 250 });
		expect(last(null, 280)).toMatchObject({ from: 280 });
	});

	it('are for every reason by itself: a clearance for one says nothing of another', () => {
		const later = { at: 250, reasons: ['chest', 'faint'] };
		expect(holdsOf(records({ screenings: [ASKED, later], clearances: [cleared(200, null)] })).at(-1)).toEqual(
			{ from: 250, until: null, reason: 'clearance' }
		);
		expect(
			holdsOf(
				records({
					screenings: [ASKED, later],
					clearances: [cleared(200, null), cleared(300, null, ['faint'])]
				})
			).at(-1)
		).toEqual({ from: 250, until: 300, reason: 'clearance' });
	});

	it('end with newer answers that ask for nothing', () => {
		expect(holdsOf(records({ screenings: [ASKED, { at: 180, reasons: [] }] })).at(-1)).toEqual({
			from: 150,
			until: 180,
			reason: 'clearance'
		});
	});

	it('know answers that were given before somebody joined', () => {
		expect(holdsOf(records({ screenings: [{ at: 50, reasons: [] }] }))).toEqual([]);
		expect(holdsOf(records({ screenings: [{ at: 50, reasons: ['chest'] }] }))).toEqual([
			{ from: 100, until: null, reason: 'clearance' }
		]);
		expect(
			holdsOf(records({ screenings: [{ at: 50, reasons: ['chest'] }], clearances: [cleared(60, 120)] }))
		).toEqual([{ from: 120, until: null, reason: 'clearance over' }]);
	});

	it('begin as somebody stops at a warning sign, whatever their answers and clearances say, until it is cleared', () => {
		const stopped = (until: number | null) =>
			holdsOf(
				records({
					screenings: [{ at: 50, reasons: [] }],
					clearances: [cleared(60, null)],
					stops: [{ from: 200, until }]
				})
			);
		expect(stopped(null)).toEqual([{ from: 200, until: null, reason: 'stopped' }]);
		expect(stopped(260)).toEqual([{ from: 200, until: 260, reason: 'stopped' }]);
		expect(holdsOf(records({ stops: [{ from: 200, until: 260 }] })).map(({ reason }) => reason)).toEqual([
			'questions',
			'stopped',
			'questions'
		]);
	});

	it('are the same in whatever order things were written, and never overlap', () => {
		const time = fc.integer({ min: 0, max: 400 });
		const reason = fc.constantFrom('chest', 'faint');
		fc.assert(
			fc.property(
				fc.uniqueArray(fc.record({ at: time, reasons: fc.uniqueArray(reason) }), {
					selector: ({ at }) => at
				}),
				fc.array(
					fc.record({
						from: time,
						until: fc.option(fc.integer({ min: 401, max: 900 })),
						takenBack: fc.option(fc.integer({ min: 401, max: 900 })),
						covers: fc.uniqueArray(reason, { minLength: 1 })
					})
				),
				fc.boolean(),
				fc.array(fc.record({ from: time, until: fc.option(fc.integer({ min: 401, max: 900 })) }), {
					maxLength: 3
				}),
				(screenings, clearances, waitsForAnswers, stops) => {
					const holds = holdsOf(records({ screenings, clearances, waitsForAnswers, stops }));
					const other = records({
						screenings: [...screenings].reverse(),
						clearances: [...clearances].reverse(),
						stops: [...stops].reverse(),
						waitsForAnswers
					});
					expect(holdsOf(other)).toEqual(holds);
					holds.forEach(({ from, until }, i) => {
						expect(from).toBeGreaterThanOrEqual(100);
						expect(until ?? Infinity).toBeGreaterThan(from);
						expect(until ?? Infinity).toBeLessThanOrEqual(holds[i + 1]?.from ?? Infinity);
					});
				}
			)
		);
	});
});

it('a hold is on from its first instant to the one before its end', () => {
	const holds = [{ from: 100, until: 150, reason: 'questions' } as const];
	expect([99, 100, 149, 150].map((at) => holdAt(holds, at) !== null)).toEqual([false, true, true, false]);
	expect(holdAt([{ from: 100, until: null, reason: 'clearance' }], 1e15)).toMatchObject({
		reason: 'clearance'
	});
});

describe('holds that go on from an instant', () => {
	const asked = (from: number, until: number | null) => ({ from, until, reason: 'clearance' }) as const;

	it('keep what was held before it, whatever is worked out now', () => {
		expect(holdsFrom([asked(100, 150)], 200, [])).toEqual([asked(100, 150)]);
		// One that was on ends there, and nothing before is added.
		expect(holdsFrom([asked(100, null)], 200, [])).toEqual([asked(100, 200)]);
		expect(holdsFrom([], 200, [asked(100, null)])).toEqual([asked(200, null)]);
		expect(holdsFrom([], 200, [asked(100, 200)])).toEqual([]);
	});

	it('go on as one where the reason is the same, and as another where it is not', () => {
		expect(holdsFrom([asked(100, null)], 200, [asked(100, 300), asked(400, null)])).toEqual([
			asked(100, 300),
			asked(400, null)
		]);
		const over = { from: 150, until: null, reason: 'clearance over' } as const;
		expect(holdsFrom([asked(100, null)], 200, [over])).toEqual([asked(100, 200), { ...over, from: 200 }]);
	});

	it('worked out again at the same instant are the same', () => {
		const once = holdsFrom([asked(100, null)], 200, [asked(100, 300)]);
		expect(holdsFrom(once, 200, [asked(100, 300)])).toEqual(once);
		// What was worked out for later is worked out anew.
		expect(holdsFrom([asked(300, null)], 200, [])).toEqual([]);
	});
});
