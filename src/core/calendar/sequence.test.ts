import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numbered, type Ledger } from './sequence';

const NONE: Ledger = {};
const marks = (all: Record<string, string>) => new Map(Object.entries(all));

describe('numbered', () => {
	it('begins at 0 and raises what changes, alone', () => {
		const first = numbered(NONE, marks({ a: 'x', b: 'y' }), 10);
		expect(first).toEqual({ a: { sequence: 0, at: 10, mark: 'x' }, b: { sequence: 0, at: 10, mark: 'y' } });
		const second = numbered(first, marks({ a: 'x', b: 'z' }), 20);
		expect(second.a).toBe(first.a);
		expect(second.b).toEqual({ sequence: 1, at: 20, mark: 'z' });
	});

	it('withdraws and brings back with the next number each time', () => {
		const there = numbered(NONE, marks({ a: 'x' }), 10);
		const gone = numbered(there, marks({}), 20);
		expect(gone.a).toEqual({ sequence: 1, at: 20, mark: null });
		expect(numbered(gone, marks({}), 25)).toBe(gone);
		expect(numbered(gone, marks({ a: 'x' }), 30).a).toEqual({ sequence: 2, at: 30, mark: 'x' });
	});

	it('gives back the same ledger where nothing changed, and never lowers a sequence', () => {
		const some = fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.constantFrom('x', 'y'));
		fc.assert(
			fc.property(fc.array(some, { maxLength: 8 }), (turns) => {
				let ledger = NONE;
				turns.forEach((turn, i) => {
					const next = numbered(ledger, marks(turn), i);
					expect(numbered(next, marks(turn), i + 1)).toBe(next);
					for (const key of Object.keys(ledger))
						expect(next[key]?.sequence).toBeGreaterThanOrEqual(ledger[key]?.sequence ?? 0);
					ledger = next;
				});
			})
		);
	});
});
