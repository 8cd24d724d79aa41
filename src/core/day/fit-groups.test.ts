import { describe, expect, it } from 'vitest';
import type { HoldReason } from '../health';
import { fitGroups } from './fit-groups';
import type { FitCell, FitRow } from './fit-row';

const PLANNED = [
	{ exercise: 'Squat', load: null },
	{ exercise: 'Curl', load: '8 kg' }
];
const same = (exercise: string, load: string | null = null): FitCell => ({
	exercise,
	load,
	kind: 'same',
	why: null
});
const person = (
	name: string,
	cells: FitCell[],
	more: Partial<FitRow> & { over?: boolean; hold?: HoldReason } = {}
) => {
	const { over = false, hold = null, ...row } = more;
	return { name, over, hold, row: { cells, seconds: 600, unfit: [], nothing: false, ...row } };
};
const planned = (name: string, more = {}) => person(name, [same('Squat'), same('Curl', '8 kg')], more);
const lighter = (name: string, load: string) =>
	person(name, [same('Squat'), { exercise: 'Curl', load, kind: 'load', why: 'less to begin with' }]);

describe('people whom the same is different for', () => {
	it('are one line, larger groups first, and those as planned last', () => {
		const groups = fitGroups(
			[planned('A'), lighter('B', '4 kg'), planned('C'), lighter('D', '6 kg'), lighter('E', '4 kg')],
			PLANNED
		);
		expect(
			groups.map(({ people, differences }) => [people.map(({ name }) => name).join(), differences])
		).toEqual([
			['B,E', [{ from: 'Curl, 8 kg', to: 'Curl, 4 kg', why: 'less to begin with' }]],
			['D', [{ from: 'Curl, 8 kg', to: 'Curl, 6 kg', why: 'less to begin with' }]],
			['A,C', []]
		]);
	});

	it('need attention in this order: nothing fits, on hold, left out, longer', () => {
		const out: FitCell = { exercise: null, load: null, kind: 'out', why: 'no' };
		const groups = fitGroups(
			[
				planned('longer', { over: true }),
				person('out', [same('Squat'), out], { unfit: [{ exercise: 'Curl', role: 'main', why: 'no' }] }),
				planned('held', { hold: 'clearance' }),
				planned('as planned'),
				person('nothing', [out, out], { nothing: true })
			],
			PLANNED
		);
		expect(groups.map(({ attention }) => attention)).toEqual([
			'nothing',
			'held',
			'left out',
			'longer',
			'none'
		]);
		expect(groups[2]?.differences).toEqual([{ from: 'Curl, 8 kg', to: null, why: 'no' }]);
		// A stretch that is left out is no matter for the coach.
		const [stretch] = fitGroups(
			[person('s', [same('Squat'), out], { unfit: [{ exercise: 'Curl', role: 'cool-down', why: 'no' }] })],
			PLANNED
		);
		expect(stretch?.attention).toBe('none');
	});

	it('are nobody where there is nobody', () => {
		expect(fitGroups([], PLANNED)).toEqual([]);
	});
});
