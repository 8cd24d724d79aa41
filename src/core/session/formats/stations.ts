import type { Practice } from '../../practice';
import { clockText } from '../clock-text';
import { LIMITS, type BlockBase } from '../parts';
import { secondsOfPart } from '../timeline';

import { checkGroups, groupIndexes, groupsLine, partsOfGroup } from './groups';
import type { Format } from './format';
import { roundsWords } from './grammar';

/**
 * Stations on which teams of two or three rotate. The first exercise of a station sets the pace with its fixed
 * work; while one does it, the other does the second (and a third the third); then they change, until the
 * station's time is over. `groups[i]` holds the indexes of the parts of the i-th station.
 */
export interface Stations extends BlockBase {
	format: 'stations';
	rounds: number;
	/** Seconds at each station. */
	seconds: number;
	/** Seconds from one station to the next. */
	change: number;
	/** People who take part; null when it is not known. */
	people: number | null;
	groups: number[][];
}

/** Three minutes a station (common practice, no source). */
const DEFAULTS = { seconds: 180, change: 20 };

export interface TeamCount {
	twos: number;
	threes: number;
	/** Teams that share a station at the most. */
	perStation: number;
}

/** Teams of two, of three only where the number asks for it; null when it cannot be said. */
export function teamsOf(block: Stations): TeamCount | null {
	if (block.people === null || block.people < 2) return null;
	const size = Math.max(2, ...block.groups.map((group) => group.length));
	const threes = size >= 3 ? Math.floor(block.people / 3) : block.people % 2;
	const left = block.people - 3 * threes;
	// Three at every station leave one over: then two teams of two take the place of one of three.
	const [t, w] = left === 1 ? [threes - 1, 2] : [threes, Math.floor(left / 2)];
	return { threes: t, twos: w, perStation: Math.ceil((t + w) / Math.max(1, block.groups.length)) };
}

/** Seconds of one turn at a station: the work of the exercise that sets the pace. */
export function turnSeconds(block: Stations, station: number, practice: Practice): number {
	const [pacer] = partsOfGroup(block, block.groups[station] ?? []);
	return pacer ? secondsOfPart(pacer, practice, 1) : 0;
}

/** Turns that one person gets at a part in one visit to its station. */
function turnsAt(block: Stations, part: number, practice: Practice): number {
	const station = block.groups.findIndex((group) => group.includes(part));
	const place = block.groups[station]?.indexOf(part) ?? -1;
	const turn = turnSeconds(block, station, practice);
	if (place < 0 || turn <= 0) return 0;
	const turns = Math.ceil(block.seconds / turn);
	return Math.floor((turns - place - 1) / (block.groups[station]?.length ?? 1)) + 1;
}

export const stations: Format<Stations> = {
	name: 'stations',
	label: 'Stations',
	keywords: ['stations'],
	starter: '1 round, 3 min each, 20 change',
	fields: [
		{ key: 'rounds', label: 'rounds', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'seconds',
			label: 'at each station',
			unit: 's',
			says: 'seconds at a station',
			bounds: [10, LIMITS.seconds],
			knob: 'work'
		},
		{
			key: 'change',
			label: 'to change station',
			unit: 's',
			says: 'seconds to change',
			bounds: [0, LIMITS.seconds],
			knob: 'rest'
		},
		{ key: 'people', label: 'people', unit: '', bounds: [2, LIMITS.people], nullable: true }
	],
	met: { met: 4.3, code: '02035' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'never',
	lifting: false,
	inTurn: 'even',
	extras: [{ key: 'groups', kind: 'groups' }],
	picked: 'apart',
	takes: [2, LIMITS.parts],

	check(block, faults) {
		checkGroups(block, faults, 'a round of stations');
		block.groups.forEach((group, i) => {
			if (group.length > 3)
				faults.add(
					`.groups[${i}]`,
					`a station has up to three exercises for a team of three, this one ${group.length}`
				);
		});
	},

	write(block, out) {
		for (let round = 1; round <= block.rounds; round++) {
			block.groups.forEach((group, station) => {
				const end = out.now + block.seconds;
				const turn = turnSeconds(block, station, out.practice);
				for (let i = 0; turn > 0 && out.now < end; i++) {
					const index = group[i % group.length];
					const part = index === undefined ? undefined : block.parts[index];
					if (!part || index === undefined) break;
					// Who does not set the pace goes on until the one who does has finished.
					if (i % group.length === 0) out.workUntil(end, part, index, round);
					else out.put('work', Math.min(turn, end - out.now), { part: index, round });
				}
				const last = round === block.rounds && station === block.groups.length - 1;
				if (!last) out.put('station-change', block.change, { round });
			});
		}
	},

	timesDone: (block, part, practice) => block.rounds * turnsAt(block, part, practice),
	timesOwed: (block) => block.rounds,

	summary(block) {
		const teams = teamsOf(block);
		const words = [
			teams && teams.twos > 0 ? `${teams.twos} × 2` : '',
			teams && teams.threes > 0 ? `${teams.threes} × 3` : ''
		].filter(Boolean);
		return (
			`${block.groups.length} stations · ${roundsWords(block.rounds)} · ${clockText(block.seconds)} each, ${block.change} s to change` +
			(teams ? ` · ${block.people} people: ${words.join(' and ')}, up to ${teams.perStation} a station` : '')
		);
	},

	ownTime: true,
	read(said, _parts, groups) {
		const seconds = said.seconds('s');
		// 180 s each.
		if (seconds !== null) said.take('side');
		return {
			format: 'stations',
			rounds: said.times() ?? 1,
			seconds: seconds ?? DEFAULTS.seconds,
			change: said.take('change')?.seconds ?? DEFAULTS.change,
			people: said.take('people')?.count ?? null,
			groups: groupIndexes(groups),
			parts: groups.flat()
		};
	},

	line: (block, part) =>
		`stations ${roundsWords(block.rounds)}, ${block.seconds} s each, ${block.change} change` +
		(block.people === null ? '' : `, ${block.people} people`) +
		`: ${groupsLine(block, part)}`
};
