/** A format is one file: nothing outside its folder names one, and a new one is known everywhere once registered. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { balanceOf, checkSession, fitToMinutes, outlineOf, partMark } from '$core/analysis';
import { creditOf, fullLog } from '$core/day';
import { resolvePlan, sessionInWeek, EMPTY_PLAN, newRule, REST_DAY } from '$core/plan';
import {
	compileSession,
	formatLine,
	formatNames,
	parseLine,
	prescriptionOf,
	registerFormat,
	sessionFaults,
	type Session
} from '$core/session';
import { readSession } from '$contracts/session';
import { fieldsOf, freshBlock } from '$lib/features/build/block-fields';
import { PRACTICE } from '../support/practice';
import { ladder } from './ladder-format';
import { sourcesBelow } from './sources';

const NAMES = formatNames();

describe('outside src/core/session/formats', () => {
	it('no source names a format', () => {
		const named = new RegExp(`['"\`](${NAMES.join('|')})['"\`]`);
		const found = sourcesBelow('src')
			.filter(({ path }) => !path.startsWith('src/core/session/formats/'))
			.flatMap(({ path, text }) =>
				text.split('\n').flatMap((line, i) => (named.test(line) ? [`${path}:${i + 1} ${line.trim()}`] : []))
			);
		expect(found).toEqual([]);
	});
});

describe('a format of a single file, once registered', () => {
	let unregister: () => void;
	beforeAll(() => (unregister = registerFormat(ladder)));
	afterAll(() => unregister());

	const LINE = 'rungs 4 up, rest 20: 2 reps Squat';
	const session = (): Session => {
		const read = parseLine(LINE, PRACTICE);
		if ('faults' in read) throw new Error(read.faults[0]?.message);
		return { blocks: [read.block] };
	};

	it('is typed, and written as it is read', () => {
		const [block] = session().blocks;
		expect(block).toMatchObject({ format: 'rungs', rungs: 4, rest: 20 });
		expect(block && formatLine(block, PRACTICE)).toBe(LINE);
	});

	it('has its faults named', () => {
		expect(parseLine('rungs 0 up, rest 20: 2 reps squat', PRACTICE)).toMatchObject({
			faults: [{ message: expect.stringContaining('rungs') as string }]
		});
		expect(sessionFaults(session(), PRACTICE)).toEqual([]);
	});

	it('is timed: 2, 4, 6 and 8 repetitions of 3 s with 20 s between', () => {
		const { totals } = compileSession(session(), PRACTICE);
		expect(totals.repetitions).toBe(20);
		expect(totals.duration).toBe(20 * 3 + 3 * 20);
	});

	it('is counted, logged and credited', () => {
		const asked = prescriptionOf(session(), PRACTICE);
		expect(asked[0]).toMatchObject({ exercise: 'Squat', sets: 4 });
		expect(creditOf(asked, fullLog(asked))).toBe(1);
		expect(balanceOf(session(), PRACTICE).sets.quads).toBe(4);
	});

	it('is checked, outlined, marked and fitted', () => {
		expect(checkSession(session(), PRACTICE).map(({ rule }) => rule)).toContain('few rungs');
		expect(outlineOf(session(), PRACTICE).blocks[0]).toMatchObject({
			title: 'Rungs',
			summary: '4 up · rest 20'
		});
		const [block] = session().blocks;
		expect(block && partMark(block, 0)).toBe('1');
		expect(fitToMinutes(session(), 3, PRACTICE).proposals.length).toBeGreaterThan(0);
	});

	it('is made harder by rules, and planned', () => {
		const rule = newRule('r', { session: 'a' }, [{ kind: 'rounds', rounds: 1 }]);
		const { session: later } = sessionInWeek(session(), 'a', 3, { rules: [rule], deload: null }, PRACTICE);
		expect(later.blocks[0]).toMatchObject({ rungs: 6 });
		const plan = { ...EMPTY_PLAN, days: [{ ...REST_DAY, kind: 'train' as const, session: 'a' }] };
		const resolved = resolvePlan(plan, [{ key: 'a', name: 'A', body: session() }], PRACTICE);
		expect(resolved.days[0]?.minutes).toBe(2);
	});

	it('passes the contract, and only as it should be', () => {
		expect(readSession(session(), PRACTICE).faults).toEqual([]);
		const [block] = session().blocks;
		expect(readSession({ blocks: [{ ...block, steps: 3 }] }, PRACTICE).faults).not.toEqual([]);
	});

	it('can be picked and has its fields', () => {
		const name = session().blocks[0]?.format;
		if (!name) throw new Error('no block');
		const fresh = freshBlock(name, 'main', ['Squat'], PRACTICE.library);
		expect(fresh).toMatchObject({ rungs: 5, rest: 30 });
		expect('format' in fresh && fieldsOf(fresh).map(({ key }) => key)).toEqual(['rungs', 'rest']);
	});
});

it('a name that is taken is not given twice', () => {
	const [taken] = NAMES;
	expect(() => registerFormat({ ...ladder, name: taken as 'rungs' })).toThrow(RangeError);
});
