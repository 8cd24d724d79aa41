import { LIMITS, type BlockBase, type Part, type Role } from '../parts';
import type { Format } from './format';

/** The set goes on with less weight: `times` over, each with `percent` less than the one before. */
export interface Drop {
	times: number;
	percent: number;
	on: 'last' | 'every';
}

/** n sets of one exercise with a rest between them. */
export interface StraightSets extends BlockBase {
	format: 'straight-sets';
	sets: number;
	/** Seconds between sets. */
	rest: number;
	drop?: Drop;
}

const DEFAULT_REST = 60;

/** Sets of one exercise as they are usual. */
export const newSets = (part: Part, sets: number, role: Role = 'main'): StraightSets => ({
	format: 'straight-sets',
	role,
	sets,
	rest: DEFAULT_REST,
	parts: [part]
});

/** Loads of a drop set in kg, the first one included, to the hundredth. */
export function dropLoads(kg: number, drop: Drop): number[] {
	return Array.from(
		{ length: drop.times + 1 },
		(_, i) => Math.round(kg * (1 - drop.percent / 100) ** i * 100) / 100
	);
}

const dropsOn = (block: StraightSets, set: number): number =>
	block.drop && (block.drop.on === 'every' || set === block.sets) ? block.drop.times : 0;

export const straightSets: Format<StraightSets> = {
	name: 'straight-sets',
	label: 'Straight sets',
	keywords: ['sets', 'straight sets'],
	starter: '3 x, rest 60',
	fields: [
		{ key: 'sets', label: 'sets', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'rest',
			label: 'rest',
			unit: 's',
			says: 'seconds of rest',
			bounds: [0, LIMITS.seconds],
			knob: 'rest'
		}
	],
	met: { met: 3.5, code: '02054' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'never',
	lifting: true,
	extras: [
		{
			key: 'drop',
			kind: 'record',
			label: 'drops',
			without: 'omitted',
			none: 'none',
			some: 'drop set',
			initial: { times: 1, percent: 20, on: 'last' },
			fields: [
				{ key: 'times', label: 'times', kind: 'number', says: 'drops', bounds: [1, 5] },
				{
					key: 'percent',
					label: 'less each, %',
					kind: 'number',
					says: 'percent less at each drop',
					bounds: [5, 60]
				},
				{
					key: 'on',
					label: 'on',
					kind: 'choice',
					options: [
						{ value: 'last', label: 'the last set' },
						{ value: 'every', label: 'every set' }
					]
				}
			]
		}
	],
	takes: [1, 1],
	tooMany: 'use a superset for two or three',

	check(block, faults) {
		if (!block.drop) return;
		if (block.parts[0]?.kg === null)
			faults.add('.parts[0].kg', 'a drop set takes weight off: give it a load, as in @ 12 kg');
	},

	write(block, out) {
		const [part] = block.parts;
		if (!part) return;
		for (let set = 1; set <= block.sets; set++) {
			out.work(part, 0, set);
			for (let drop = 0; drop < dropsOn(block, set); drop++) {
				out.put('setup', out.practice.timing.loadChange, { part: 0, round: set });
				out.work(part, 0, set);
			}
			if (set < block.sets || out.keepsLastRest) out.put('rest', block.rest, { round: set });
		}
	},

	timesDone: (block) =>
		block.sets +
		Array.from({ length: block.sets }, (_, i) => dropsOn(block, i + 1)).reduce((a, b) => a + b, 0),
	timesOwed: (block) => block.sets,
	asPair: (block) => (block.drop ? null : { rounds: block.sets, restInside: 30, restAfter: block.rest }),
	summary({ sets, rest, drop, parts: [part] }) {
		const plain = `${sets} × · rest ${rest}`;
		if (!drop) return plain;
		const loads = part?.kg ? `: ${dropLoads(part.kg, drop).join(', ')} kg` : '';
		const times = drop.times === 1 ? 'one drop' : `${drop.times} drops`;
		const on = drop.on === 'last' ? 'the last set' : 'every set';
		return `${plain} · ${times} of ${drop.percent} % on ${on}${loads}`;
	},

	read(said, parts) {
		const drop = said.take('drop');
		return {
			format: 'straight-sets',
			sets: said.times() ?? 1,
			rest: said.rest(null, 'between', 'after') ?? DEFAULT_REST,
			parts,
			...(drop && { drop: { times: drop.times, percent: drop.percent, on: drop.on } })
		};
	},

	line: (block, part) =>
		`${block.sets} x ${block.parts.map(part).join(' + ')}` +
		(block.drop ? `, drop ${block.drop.times} x ${block.drop.percent}% on ${block.drop.on}` : '') +
		`, rest ${block.rest}`
};
