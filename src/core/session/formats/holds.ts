import { ACSM_STRETCH } from '../../findings';
import { LIMITS, type BlockBase, type Part, type Role } from '../parts';
import type { Format } from './format';
import { roundsWords } from './grammar';

/** Holds and stretches: seconds each, per side where the part says so, `rest` to get from one to the next. */
export interface Holds extends BlockBase {
	format: 'holds';
	rounds: number;
	rest: number;
}

/** Seconds to get from one hold into the next (common practice, no source). */
const DEFAULT_REST = 5;

/** Stretches one after the other. */
export const newHolds = (parts: Part[], role: Role): Holds => ({
	format: 'holds',
	role,
	rounds: 1,
	rest: DEFAULT_REST,
	parts
});

export const holds: Format<Holds> = {
	name: 'holds',
	label: 'Holds',
	keywords: ['holds', 'hold', 'stretches', 'stretch'],
	starter: 'rest 5',
	fields: [
		{ key: 'rounds', label: 'rounds', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'rest',
			label: 'rest',
			unit: 's',
			says: 'seconds of rest',
			bounds: [0, LIMITS.seconds],
			knob: 'rest'
		}
	],
	met: { met: 2.3, code: '02101' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'never',
	lifting: false,
	timed: true,
	takes: [1, LIMITS.parts],

	check(block, faults) {
		block.parts.forEach((part, i) => {
			if (part.target.kind !== 'seconds')
				faults.add(`.parts[${i}].target`, `${part.exercise} is held: give it seconds, as in 30 s`);
		});
	},

	write(block, out) {
		for (let round = 1; round <= block.rounds; round++) {
			block.parts.forEach((part, i) => {
				out.work(part, i, round);
				const last = round === block.rounds && i === block.parts.length - 1;
				if (!last || out.keepsLastRest) out.put('rest', block.rest, { round });
			});
		}
	},

	timesDone: (block) => block.rounds,
	findings(block, { library, house }) {
		const hold = house.stretchHold;
		const heldFor = ({ target }: Part): number => (target.kind === 'seconds' ? target.seconds : Infinity);
		const isShort = (part: Part): boolean =>
			library.find(part.exercise)?.pattern === 'stretch' && heldFor(part) < hold;
		const short = block.parts.filter(isShort);
		const [first] = short;
		if (!first) return [];
		const longer = block.parts.map((part): Part =>
			isShort(part) ? { ...part, target: { kind: 'seconds', seconds: hold } } : part
		);
		return [
			{
				rule: 'stretch held briefly',
				severity: 'hint',
				title:
					short.length === 1
						? `${first.exercise} is held ${heldFor(first)} s`
						: `${short.length} stretches are held under ${hold} s`,
				figure: `${hold} s are the house rule.`,
				part: block.parts.indexOf(first),
				source: ACSM_STRETCH,
				remedy: { label: `Hold ${hold} s`, block: { ...block, parts: longer } }
			}
		];
	},
	summary: (block) =>
		(block.rounds > 1 ? `${roundsWords(block.rounds)} · ` : '') + `${block.rest} s from one to the next`,

	claims: ({ items }) =>
		items.length > 1 &&
		items.every(({ exercise, seconds }) => exercise?.pattern === 'stretch' && seconds !== null),
	read(said, parts) {
		const rounds = said.times() ?? 1;
		const rest = said.rest(null, 'between', 'inside');
		// One exercise held several times may be sets with a long rest, or holds with hardly any.
		const [only] = parts;
		if (said.keyword === 'hold' && only && parts.length === 1 && rounds > 1 && rest === null)
			return {
				fault: `how long is the rest between the ${rounds} holds of ${only.exercise}? Add it, as in rest 60`
			};
		return { format: 'holds', rounds, rest: rest ?? DEFAULT_REST, parts };
	},

	line: (block, part) =>
		`holds ${roundsWords(block.rounds)}, rest ${block.rest}: ${block.parts.map(part).join(' + ')}`
};
