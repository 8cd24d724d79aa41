/** Teams and buddies: people divided by what they have in common, or so that no team is stronger than another. */
import { seededRandom } from '../stats';
import { LEVELS, type Level } from './levels';

/** How a group is divided. Buddies are alike in both level and hour. */
export const TEAM_WAYS = ['balanced', 'by level', 'by time zone'] as const;
export type TeamWay = (typeof TEAM_WAYS)[number];

/** Somebody who is put into a team. */
export interface Mate {
	id: string;
	level: Level;
	/** Adherence so far, 0…1; null where nothing was due yet. */
	done: number | null;
	/** Minutes after midnight UTC at which a day begins for them: what their zone is. */
	dawn: number;
	/** Minutes after midnight UTC at which they train. */
	trains: number;
}

/** People who are to be in one team, or in two. */
export interface TeamWish {
	kind: 'together' | 'apart';
	/** Two ids. */
	pair: readonly [string, string];
}

export interface Divided {
	/** Ids, in teams of sizes that differ by at most one, as far as those who stay together allow. */
	teams: string[][];
	/** Wishes that could not be kept. */
	broken: TeamWish[];
}

const DAY = 24 * 60;
/** Tries to better a division; each is a swap or a move. Bounded, so that two thousand people take no longer than fifty. */
const TRIES = 30_000;
/** Units up to which a division is begun several times with a share of the tries each, and how often. */
const SMALL = 60;
const STARTS = 10;

const rankOf = (level: Level): number => LEVELS.indexOf(level);
const around = (minutes: number): [number, number] => {
	const angle = (2 * Math.PI * minutes) / DAY;
	return [Math.cos(angle), Math.sin(angle)];
};

/** Those who are never parted, as one. */
interface Unit {
	mates: Mate[];
	/** Units that are not to be in the same team. */
	apart: Set<number>;
}

/** Joins whoever is to stay together. Two who are to be both together and apart stay together. */
function unitsOf(mates: readonly Mate[], wishes: readonly TeamWish[]): Unit[] {
	const at = new Map(mates.map(({ id }, i) => [id, i]));
	const root = mates.map((_, i) => i);
	const find = (i: number): number => {
		let top = i;
		while (root[top] !== undefined && root[top] !== top) top = root[top]!;
		return top;
	};
	const pairs = wishes.flatMap(({ kind, pair }) => {
		const [a, b] = pair.map((id) => at.get(id));
		return a === undefined || b === undefined || a === b ? [] : [{ kind, a, b }];
	});
	for (const { kind, a, b } of pairs) if (kind === 'together') root[find(a)] = find(b);
	const number = new Map<number, number>();
	const units: Unit[] = [];
	mates.forEach((mate, i) => {
		const top = find(i);
		const known = number.get(top);
		if (known === undefined) {
			number.set(top, units.length);
			units.push({ mates: [mate], apart: new Set() });
		} else units[known]!.mates.push(mate);
	});
	for (const { kind, a, b } of pairs) {
		const [x, y] = [number.get(find(a))!, number.get(find(b))!];
		if (kind !== 'apart' || x === y) continue;
		units[x]!.apart.add(y);
		units[y]!.apart.add(x);
	}
	return units;
}

/** What a team adds up to. */
class Sum {
	people = 0;
	private level = 0;
	private level2 = 0;
	private done = 0;
	private known = 0;
	private x = 0;
	private y = 0;

	constructor(private readonly circle: (mate: Mate) => number) {}

	add(mates: readonly Mate[], sign: 1 | -1): void {
		for (const mate of mates) {
			const rank = rankOf(mate.level);
			const [x, y] = around(this.circle(mate));
			this.people += sign;
			this.level += sign * rank;
			this.level2 += sign * rank * rank;
			this.x += sign * x;
			this.y += sign * y;
			if (mate.done !== null) {
				this.known += sign;
				this.done += sign * mate.done;
			}
		}
	}

	/** How unlike each other they are in level: the sum of squares about their mean. */
	levels(): number {
		return this.people === 0 ? 0 : this.level2 - (this.level * this.level) / this.people;
	}

	/** How far they are scattered around the clock: people less the length of their resultant (Mardia & Jupp 2000, 2.3). */
	scatter(): number {
		return this.people - Math.hypot(this.x, this.y);
	}

	/** How far their mean level and adherence are from those of all, for each of them. */
	offMean(level: number, done: number | null): number {
		if (this.people === 0) return 0;
		const far = this.level / this.people - level;
		const less = done === null || this.known === 0 ? 0 : this.done / this.known - done;
		// A level is worth as much as half of the days.
		return this.people * (far * far + 4 * less * less);
	}
}

type Cost = (sum: Sum) => number;

/** A division that is bettered step by step. */
class Division {
	readonly teamOf: number[];
	private readonly sums: Sum[];
	private readonly size: number;

	constructor(
		private readonly units: readonly Unit[],
		private readonly teams: number,
		private readonly cost: Cost,
		circle: (mate: Mate) => number,
		order: readonly number[],
		dealt: boolean
	) {
		const people = units.reduce((sum, { mates }) => sum + mates.length, 0);
		this.size = people / teams;
		this.sums = Array.from({ length: teams }, () => new Sum(circle));
		this.teamOf = new Array<number>(units.length).fill(0);
		let filled = 0;
		order.forEach((unit, i) => {
			// Dealt out there and back, or one team after the other.
			const turn = i % (2 * teams);
			const next = dealt
				? turn < teams
					? turn
					: 2 * teams - 1 - turn
				: Math.min(teams - 1, Math.floor(filled / this.size + 1e-9));
			filled += units[unit]!.mates.length;
			this.teamOf[unit] = next;
			this.sums[next]!.add(units[unit]!.mates, 1);
		});
	}

	private clashes(unit: number, team: number): number {
		let count = 0;
		for (const other of this.units[unit]!.apart) if (this.teamOf[other] === team) count++;
		return count;
	}

	/** First of all nobody is with whom they are not to be, then teams are of one size, then the way of dividing. */
	private costOf(a: number, b: number): number {
		return [a, b].reduce((sum, team) => sum + this.teamCost(this.sums[team]!), 0);
	}

	private teamCost(one: Sum): number {
		return 1e3 * (one.people - this.size) ** 2 + this.cost(one);
	}

	private put(unit: number, team: number): void {
		this.sums[this.teamOf[unit]!]!.add(this.units[unit]!.mates, -1);
		this.sums[team]!.add(this.units[unit]!.mates, 1);
		this.teamOf[unit] = team;
	}

	private clashesOf(units: readonly number[]): number {
		return units.reduce((sum, unit) => sum + this.clashes(unit, this.teamOf[unit]!), 0);
	}

	/** Swaps two units, or moves one when there is no second; puts them back where nothing is gained. */
	private attempt(one: number, other: number | null, to: number): void {
		const from = this.teamOf[one]!;
		if (from === to) return;
		const touched = other === null ? [one] : [one, other];
		const before = 1e6 * this.clashesOf(touched) + this.costOf(from, to);
		this.put(one, to);
		if (other !== null) this.put(other, from);
		const after = 1e6 * this.clashesOf(touched) + this.costOf(from, to);
		if (after < before - 1e-9) return;
		this.put(one, from);
		if (other !== null) this.put(other, to);
	}

	/** What it costs in all: the less, the better. */
	total(): number {
		const clashes = this.clashesOf(this.units.map((_, unit) => unit));
		return this.sums.reduce((sum, one) => sum + this.teamCost(one), 1e6 * clashes);
	}

	better(random: () => number, tries: number): void {
		const count = this.units.length;
		const pick = (most: number): number => Math.min(most - 1, Math.floor(random() * most));
		for (let i = 0; i < tries; i++) {
			const one = pick(count);
			if (random() < 0.25) this.attempt(one, null, pick(this.teams));
			else {
				const other = pick(count);
				this.attempt(one, other, this.teamOf[other]!);
			}
		}
	}
}

/** In any order (Fisher and Yates). */
function shuffled(all: readonly number[], random: () => number): number[] {
	const next = [...all];
	for (let i = next.length - 1; i > 0; i--) {
		const other = Math.min(i, Math.floor(random() * (i + 1)));
		[next[i], next[other]] = [next[other]!, next[i]!];
	}
	return next;
}

const byKey =
	(units: readonly Unit[], key: (mate: Mate) => number) =>
	(a: number, b: number): number => {
		const mean = ({ mates }: Unit): number => mates.reduce((sum, mate) => sum + key(mate), 0) / mates.length;
		return mean(units[a]!) - mean(units[b]!);
	};

/** Minutes after the largest gap around the clock, so that nobody’s neighbours are at the two ends. */
function fromGap(mates: readonly Mate[], circle: (mate: Mate) => number): (mate: Mate) => number {
	const sorted = [...new Set(mates.map(circle))].sort((a, b) => a - b);
	let start = sorted[0] ?? 0;
	let widest = -1;
	sorted.forEach((minutes, i) => {
		const before = sorted[i - 1] ?? sorted.at(-1)! - DAY;
		if (minutes - before > widest) [widest, start] = [minutes - before, minutes];
	});
	return (mate) => (circle(mate) - start + DAY) % DAY;
}

function divide(
	mates: readonly Mate[],
	teams: number,
	seed: string,
	wishes: readonly TeamWish[],
	how: { cost: Cost; circle: (mate: Mate) => number; key: (mate: Mate) => number; dealt: boolean }
): Divided {
	const units = unitsOf(mates, wishes);
	const random = seededRandom(seed);
	const luck = units.map(random);
	const byLuck = (a: number, b: number): number => luck[a]! - luck[b]!;
	const sorted = byKey(units, how.key);
	const order = units.map((_, i) => i).sort((a, b) => sorted(a, b) || byLuck(a, b));
	// What no swap betters may still not be the best: a small group is begun anew a few times, in any order.
	const starts = units.length <= SMALL ? STARTS : 1;
	const [division] = Array.from({ length: starts }, (_, start) => {
		const begun = start === 0 ? order : shuffled(order, random);
		const made = new Division(units, teams, how.cost, how.circle, begun, how.dealt);
		made.better(random, TRIES / starts);
		return made;
	}).sort((a, b) => a.total() - b.total());
	if (!division) throw new RangeError('starts: there is at least one');
	const team = new Map(
		units.flatMap(({ mates: of }, unit) => of.map(({ id }): [string, number] => [id, division.teamOf[unit]!]))
	);
	const made = Array.from({ length: teams }, (_, i) =>
		mates.filter(({ id }) => team.get(id) === i).map(({ id }) => id)
	);
	return { teams: made, broken: brokenIn(made, wishes) };
}

/** Wishes that teams do not keep; those about somebody who is in none are no wishes. */
export function brokenIn(teams: readonly (readonly string[])[], wishes: readonly TeamWish[]): TeamWish[] {
	const team = new Map(teams.flatMap((people, i) => people.map((id): [string, number] => [id, i])));
	return wishes.filter(({ kind, pair: [a, b] }) => {
		if (!team.has(a) || !team.has(b) || a === b) return false;
		return (team.get(a) === team.get(b)) !== (kind === 'together');
	});
}

/** Those who are in none of some groups, in their order. */
export function outside(people: readonly string[], groups: readonly (readonly string[])[]): string[] {
	const inside = new Set(groups.flat());
	return people.filter((id) => !inside.has(id));
}

const means = (mates: readonly Mate[]): { level: number; done: number | null } => {
	const known = mates.flatMap(({ done }) => (done === null ? [] : [done]));
	return {
		level: mates.reduce((sum, { level }) => sum + rankOf(level), 0) / Math.max(1, mates.length),
		done: known.length === 0 ? null : known.reduce((sum, one) => sum + one, 0) / known.length
	};
};

/**
 * Divides people into teams.
 * @param teams how many, from 1 to as many as there are people
 * @param seed the same people, way and wishes with the same seed come to the same teams
 */
export function divideInto(
	mates: readonly Mate[],
	way: TeamWay,
	{ teams, seed, wishes }: { teams: number; seed: string; wishes: readonly TeamWish[] }
): Divided {
	const dawn = (mate: Mate): number => mate.dawn;
	const { level, done } = means(mates);
	const strength = (mate: Mate): number => rankOf(mate.level) + 2 * (mate.done ?? done ?? 0);
	const ways = {
		balanced: { cost: (sum: Sum) => sum.offMean(level, done), key: strength, dealt: true },
		'by level': {
			cost: (sum: Sum) => sum.levels(),
			key: (mate: Mate) => rankOf(mate.level),
			dealt: false
		},
		'by time zone': { cost: (sum: Sum) => sum.scatter(), key: fromGap(mates, dawn), dealt: false }
	};
	return divide(mates, teams, seed, wishes, { circle: dawn, ...ways[way] });
}

/** Pairs people who train at about the same hour and are of about the same level; one group has three where they are odd. */
export function pairBuddies(
	mates: readonly Mate[],
	{ seed, wishes }: { seed: string; wishes: readonly TeamWish[] }
): Divided {
	if (mates.length < 2) return { teams: [], broken: [] };
	const trains = (mate: Mate): number => mate.trains;
	return divide(mates, Math.floor(mates.length / 2), seed, wishes, {
		// Two levels apart are as bad as half a day.
		cost: (sum) => sum.scatter() + 0.5 * sum.levels(),
		circle: trains,
		key: fromGap(mates, trains),
		dealt: false
	});
}
