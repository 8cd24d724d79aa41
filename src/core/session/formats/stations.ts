import type { Practice } from '../../practice';
import { clockText } from '../clock-text';
import { counted } from '../../text/words';
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
	/** Half of the group is elsewhere with what the last group says, as long as the others need; then the halves change over. */
	halves?: true;
}

/** Three minutes a station (common practice, no source). */
const DEFAULTS = { seconds: 180, change: 20 };

export interface TeamCount {
	twos: number;
	threes: number;
	/** Teams that share a station at the most. */
	perStation: number;
}

/** The groups of a block that are stations, and what the other half does meanwhile, if there is one. */
function placesOf({ groups, halves }: Stations): { stations: number[][]; away: number[] | null } {
	return halves
		? { stations: groups.slice(0, -1), away: groups.at(-1) ?? [] }
		: { stations: groups, away: null };
}

/** Seconds that a half of the group takes through all stations, rounds and changes included. */
function secondsThrough(block: Stations): number {
	const visits = block.rounds * placesOf(block).stations.length;
	return visits * block.seconds + Math.max(0, visits - 1) * block.change;
}

/** People at the stations at once: of two halves the larger. */
const peopleAtOnce = ({ people, halves }: Stations): number | null =>
	people !== null && halves ? Math.ceil(people / 2) : people;

/** Teams of two at the stations, of three only where the number asks for it; null when it cannot be said. */
export function teamsOf(block: Stations): TeamCount | null {
	const people = peopleAtOnce(block);
	if (people === null || people < 2) return null;
	const { stations } = placesOf(block);
	const size = Math.max(2, ...stations.map((group) => group.length));
	const threes = size >= 3 ? Math.floor(people / 3) : people % 2;
	const left = people - 3 * threes;
	// Three at every station leave one over: then two teams of two take the place of one of three.
	const [t, w] = left === 1 ? [threes - 1, 2] : [threes, Math.floor(left / 2)];
	return { threes: t, twos: w, perStation: Math.ceil((t + w) / Math.max(1, stations.length)) };
}

/** Seconds of one turn at a station: the work of the exercise that sets the pace. */
export function turnSeconds(block: Stations, station: number, practice: Practice): number {
	const [pacer] = partsOfGroup(block, block.groups[station] ?? []);
	return pacer ? secondsOfPart(pacer, practice, 1) : 0;
}

/** How often what is done elsewhere is begun, one exercise after the other, until the halves change over. */
function goesAway(block: Stations, place: number, practice: Practice): number {
	const lengths = partsOfGroup(block, placesOf(block).away ?? []).map((part) =>
		secondsOfPart(part, practice, 1)
	);
	const lap = lengths.reduce((sum, seconds) => sum + seconds, 0);
	if (place < 0 || lap <= 0) return 0;
	const before = lengths.slice(0, place).reduce((sum, seconds) => sum + seconds, 0);
	return Math.max(0, Math.ceil((secondsThrough(block) - before) / lap));
}

/** Turns that one person gets at a part in one visit to its station. */
function turnsAt(block: Stations, part: number, practice: Practice): number {
	const station = block.groups.findIndex((group) => group.includes(part));
	const place = block.groups[station]?.indexOf(part) ?? -1;
	if (block.halves && station === block.groups.length - 1) return goesAway(block, place, practice);
	const turn = turnSeconds(block, station, practice);
	if (place < 0 || turn <= 0) return 0;
	const turns = Math.ceil(block.seconds / turn);
	return Math.floor((turns - place - 1) / (block.groups[station]?.length ?? 1)) + 1;
}

const isAway = ({ groups, halves }: Stations, part: number): boolean =>
	halves === true && (groups.at(-1)?.includes(part) ?? false);

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
	extras: [
		{ key: 'groups', kind: 'groups' },
		{
			key: 'halves',
			kind: 'flag',
			label: 'half of the group is elsewhere, with the last group',
			without: 'omitted'
		}
	],
	picked: 'apart',
	takes: [2, LIMITS.parts],

	check(block, faults) {
		checkGroups(block, faults, 'a round of stations');
		if (block.halves && block.groups.length < 2)
			faults.add('.groups', 'half of the group elsewhere needs a station, and what the others do meanwhile');
		placesOf(block).stations.forEach((group, i) => {
			if (group.length > 3)
				faults.add(
					`.groups[${i}]`,
					`a station has up to three exercises for a team of three, this one ${group.length}`
				);
		});
	},

	write(block, out) {
		const { stations, away } = placesOf(block);
		for (let round = 1; round <= block.rounds; round++) {
			stations.forEach((group, station) => {
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
				const last = !away && round === block.rounds && station === stations.length - 1;
				if (!last) out.put('station-change', block.change, { round });
			});
		}
		const end = out.now + secondsThrough(block);
		for (let begun = -1; away && out.now < end && begun < out.now;) {
			begun = out.now;
			for (const index of away) {
				const part = block.parts[index];
				if (part && out.now < end) out.workUntil(end, part, index, 1);
			}
		}
	},

	timesDone: (block, part, practice) =>
		(isAway(block, part) ? 1 : block.rounds) * turnsAt(block, part, practice),
	timesOwed: (block, part) => (isAway(block, part) ? 1 : block.rounds),

	summary(block) {
		const teams = teamsOf(block);
		const words = [
			teams && teams.twos > 0 ? `${teams.twos} × 2` : '',
			teams && teams.threes > 0 ? `${teams.threes} × 3` : ''
		].filter(Boolean);
		return (
			`${counted(placesOf(block).stations.length, 'station')} · ${roundsWords(block.rounds)} · ${clockText(block.seconds)} each, ${block.change} s to change` +
			(block.halves ? ` · halves change over after ${clockText(secondsThrough(block))}` : '') +
			(teams ? ` · ${block.people} people: ${words.join(' and ')}, up to ${teams.perStation} a station` : '')
		);
	},

	remark: (block, part) => (isAway(block, part) ? 'the other half, meanwhile' : null),

	ownTime: true,
	read(said, _parts, groups) {
		const seconds = said.seconds('s');
		const halves = said.take('halves') !== null;
		// 180 s each.
		if (seconds !== null) said.take('side');
		return {
			format: 'stations',
			rounds: said.times() ?? 1,
			seconds: seconds ?? DEFAULTS.seconds,
			change: said.take('change')?.seconds ?? DEFAULTS.change,
			people: said.take('people')?.count ?? null,
			groups: groupIndexes(groups),
			parts: groups.flat(),
			...(halves && { halves: true as const })
		};
	},

	line: (block, part) =>
		`stations ${roundsWords(block.rounds)}, ${block.seconds} s each, ${block.change} change` +
		(block.people === null ? '' : `, ${block.people} people`) +
		(block.halves ? ', half elsewhere' : '') +
		`: ${groupsLine(block, part)}`
};
