import { LIMITS, type BlockBase, type Part, type Role } from '../parts';
import type { Format } from './format';
import { roundsWords, spokenTime } from './grammar';

/**
 * Every exercise for `work` seconds with `rest` between, `rounds` times. The round rest takes the place of
 * the last rest of a round; null means that the ordinary rest stands there too. A part done per side shares
 * its slot: half of the work seconds on each side.
 */
export interface Circuit extends BlockBase {
	format: 'interval-circuit';
	rounds: number;
	work: number;
	rest: number;
	roundRest: number | null;
	/** Keep the rest after the very last exercise: that of the round where there is one. */
	keepLastRest: boolean;
}

/** Exercises in rounds of the same seconds. */
export const newCircuit = (
	parts: Part[],
	role: Role,
	numbers: Pick<Circuit, 'rounds' | 'work' | 'rest'>
): Circuit => ({
	format: 'interval-circuit',
	role,
	...numbers,
	roundRest: null,
	keepLastRest: false,
	parts
});

/** Eight times twenty seconds with ten between (Tabata et al. 1996, Med Sci Sports Exerc 28:1327). */
const TABATA = { work: 20, rest: 10, slots: 8 };

export const intervalCircuit: Format<Circuit> = {
	name: 'interval-circuit',
	label: 'Interval circuit',
	keywords: ['circuit', 'interval circuit', 'intervals', 'tabata'],
	starter: '3 rounds 30/15, 45 between',
	fields: [
		{ key: 'rounds', label: 'rounds', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'work',
			label: 'work',
			unit: 's',
			says: 'seconds of work',
			bounds: [1, LIMITS.seconds],
			knob: 'work'
		},
		{
			key: 'rest',
			label: 'rest',
			unit: 's',
			says: 'seconds of rest',
			bounds: [0, LIMITS.seconds],
			knob: 'rest'
		},
		{
			key: 'roundRest',
			label: 'between rounds',
			unit: 's',
			says: 'seconds between rounds',
			bounds: [0, LIMITS.seconds],
			nullable: true,
			knob: 'rest'
		}
	],
	met: { met: 4.3, code: '02035' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'on cardio days',
	lifting: false,
	inTurn: 'always',
	extras: [{ key: 'keepLastRest', kind: 'flag', label: 'keep the last rest' }],
	sides: 'half each side',
	takes: [1, LIMITS.parts],

	write(block, out) {
		for (let round = 1; round <= block.rounds; round++) {
			block.parts.forEach((part, i) => {
				if (part.perSide) {
					out.put('work', block.work / 2, { part: i, round, side: 'left' });
					out.put('work', block.work / 2, { part: i, round, side: 'right' });
				} else out.put('work', block.work, { part: i, round });
				const last = i === block.parts.length - 1;
				if (!last) out.put('rest', block.rest, { round });
				else if (round < block.rounds) {
					if (block.roundRest === null) out.put('rest', block.rest, { round });
					else out.put('round-rest', block.roundRest, { round });
				} else if (block.keepLastRest || out.keepsLastRest)
					out.put(block.roundRest === null ? 'rest' : 'round-rest', block.roundRest ?? block.rest, { round });
			});
		}
	},

	follow: (block, key) =>
		key === 'work'
			? {
					...block,
					parts: block.parts.map((part) => ({ ...part, target: { kind: 'seconds', seconds: block.work } }))
				}
			: block,
	timesDone: (block) => block.rounds,
	target: (block, part) => ({ kind: 'seconds', seconds: part.perSide ? block.work / 2 : block.work }),
	summary: (block) =>
		`${roundsWords(block.rounds)} · ${block.work} s on, ${block.rest} s off` +
		(block.roundRest === null ? '' : ` · ${block.roundRest} between rounds`),

	called: ({ rounds, work, rest }) =>
		`${rounds > 1 ? `${roundsWords(rounds)}, ` : ''}${spokenTime(work)} of work, ${rest === 0 ? 'no rest' : `${spokenTime(rest)} of rest`}`,

	claims: (line) => line.has('slot'),
	read(said, parts) {
		const tabata = said.keyword === 'tabata' ? TABATA : null;
		const slot = said.slot() ?? tabata;
		if (!slot) return { fault: 'a circuit needs its seconds of work and rest, as in 30/15' };
		const times = said.times();
		if (tabata && times === null && tabata.slots % parts.length !== 0)
			return {
				fault: `Tabata has ${tabata.slots} intervals, which ${parts.length} exercises do not share evenly: how many rounds?`
			};
		const { work, rest } = slot;
		return {
			format: 'interval-circuit',
			rounds: times ?? (tabata ? tabata.slots / parts.length : 1),
			work,
			rest,
			roundRest: said.rest('between', 'after', null),
			keepLastRest: said.take('last-rest') !== null,
			parts: parts.map((part) => ({ ...part, target: { kind: 'seconds', seconds: work } }))
		};
	},

	line: (block, part) =>
		`circuit ${roundsWords(block.rounds)} ${block.work}/${block.rest}` +
		(block.roundRest === null ? '' : `, ${block.roundRest} between`) +
		(block.keepLastRest ? ', last rest' : '') +
		`: ${block.parts.map(part).join(' + ')}`
};
