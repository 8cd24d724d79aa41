import { describe, expect, it } from 'vitest';
import { seededRandom } from '../stats';
import { LEVELS } from './levels';
import { brokenIn, divideInto, outside, pairBuddies, TEAM_WAYS, type Mate, type TeamWish } from './teams';

/** People of every kind, the same for the same seed. */
function people(count: number, seed = 'a'): Mate[] {
	const random = seededRandom(seed);
	return Array.from({ length: count }, (_, i) => ({
		id: `p${i}`,
		level: LEVELS[Math.floor(random() * 3)]!,
		done: random() < 0.2 ? null : random(),
		dawn: Math.floor(random() * 96) * 15,
		trains: Math.floor(random() * 96) * 15
	}));
}
const mate = (id: string, more: Partial<Mate> = {}): Mate => ({
	id,
	level: 'beginner',
	done: null,
	dawn: 0,
	trains: 0,
	...more
});
const together = (a: string, b: string): TeamWish => ({ kind: 'together', pair: [a, b] });
const apart = (a: string, b: string): TeamWish => ({ kind: 'apart', pair: [a, b] });
const sizes = (teams: string[][]): number[] => teams.map((team) => team.length).sort((a, b) => a - b);
const teamOf = (teams: string[][], id: string): number => teams.findIndex((team) => team.includes(id));
const rank = (level: Mate['level']): number => LEVELS.indexOf(level);
const mean = (values: number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

describe.each(TEAM_WAYS)('teams %s', (way) => {
	it('have everybody once, in sizes that differ by one at most', () => {
		for (const [count, teams] of [
			[26, 4],
			[7, 3],
			[5, 5],
			[1, 1],
			[300, 11]
		] as const) {
			const all = people(count);
			const made = divideInto(all, way, { teams, seed: '1', wishes: [] });
			expect(made.teams.flat().sort()).toEqual(all.map(({ id }) => id).sort());
			const [least = 0, ...rest] = sizes(made.teams);
			expect((rest.at(-1) ?? least) - least).toBeLessThanOrEqual(1);
			expect(made.teams).toHaveLength(teams);
		}
	});

	it('are the same for the same seed', () => {
		const all = people(26);
		const make = (seed: string) => divideInto(all, way, { teams: 4, seed, wishes: [] }).teams;
		expect(make('1')).toEqual(make('1'));
	});

	it('keep together and apart whom they are to, for many people and wishes', () => {
		for (const seed of ['1', '2', '3', '4', '5']) {
			const all = people(24, seed);
			const wishes = [
				together('p0', 'p1'),
				together('p1', 'p2'),
				apart('p0', 'p3'),
				apart('p2', 'p4'),
				apart('p5', 'p6'),
				apart('p6', 'p7'),
				apart('p5', 'p7')
			];
			const { teams, broken } = divideInto(all, way, { teams: 3, seed, wishes });
			expect(broken).toEqual([]);
			expect(teamOf(teams, 'p0')).toBe(teamOf(teams, 'p2'));
			expect(new Set(['p5', 'p6', 'p7'].map((id) => teamOf(teams, id))).size).toBe(3);
			expect(sizes(teams)).toEqual([8, 8, 8]);
		}
	});

	it('say which wishes cannot be kept', () => {
		const all = people(6);
		const three = [apart('p0', 'p1'), apart('p1', 'p2'), apart('p0', 'p2')];
		expect(divideInto(all, way, { teams: 2, seed: '1', wishes: three }).broken).toHaveLength(1);
		const both = [together('p0', 'p1'), apart('p0', 'p1')];
		expect(divideInto(all, way, { teams: 2, seed: '1', wishes: both }).broken).toEqual([both[1]]);
		// Somebody who is not there is no wish.
		expect(divideInto(all, way, { teams: 2, seed: '1', wishes: [apart('p0', 'gone')] }).broken).toEqual([]);
	});
});

describe('teams', () => {
	it('balanced are alike in level and adherence, and another seed gives others', () => {
		const all = people(40);
		const level = mean(all.map((one) => rank(one.level)));
		const done = mean(all.flatMap((one) => one.done ?? []));
		const made = ['1', '2'].map((seed) => divideInto(all, 'balanced', { teams: 4, seed, wishes: [] }).teams);
		expect(made[0]).not.toEqual(made[1]);
		for (const team of made.flat()) {
			const of = all.filter(({ id }) => team.includes(id));
			// The mean of ten moves in tenths: nearer than one of them.
			expect(Math.abs(mean(of.map((one) => rank(one.level))) - level)).toBeLessThan(0.1);
			expect(Math.abs(mean(of.flatMap((one) => one.done ?? [])) - done)).toBeLessThan(0.03);
		}
	});

	it('balanced by hand: two strong, two weak, one of each in a team', () => {
		const all = [
			mate('strong', { level: 'trained' }),
			mate('strong too', { level: 'trained' }),
			mate('weak'),
			mate('weak too')
		];
		const { teams } = divideInto(all, 'balanced', { teams: 2, seed: '1', wishes: [] });
		for (const team of teams) expect(team.filter((id) => id.startsWith('weak'))).toHaveLength(1);
		// With one level, those who did most are dealt out.
		const same = ['1', '2', '3', '4'].map((id) => mate(id, { done: Number(id) > 2 ? 1 : 0 }));
		for (const team of divideInto(same, 'balanced', { teams: 2, seed: '1', wishes: [] }).teams)
			expect(team.filter((id) => Number(id) > 2)).toHaveLength(1);
	});

	it('by level are of one level each where that is possible', () => {
		const all = [0, 1, 2].flatMap((i) =>
			Array.from({ length: 4 }, (_, n) => mate(`${i}${n}`, { level: LEVELS[(i + n) % 3]! }))
		);
		const { teams } = divideInto(all, 'by level', { teams: 3, seed: '1', wishes: [] });
		for (const team of teams)
			expect(new Set(team.map((id) => all.find((one) => one.id === id)?.level)).size).toBe(1);
	});

	it('by time zone are neighbours around the clock, also over midnight', () => {
		const at = (...hours: number[]) => hours.map((hour) => mate(String(hour), { dawn: hour * 60 }));
		const { teams } = divideInto(at(23, 0, 1, 10, 11, 12), 'by time zone', {
			teams: 2,
			seed: '1',
			wishes: []
		});
		expect(teams.map((team) => team.map(Number).sort((a, b) => a - b))).toEqual(
			expect.arrayContaining([
				[0, 1, 23],
				[10, 11, 12]
			])
		);
	});

	it('take a moment for two thousand people', () => {
		const all = people(2000);
		const began = performance.now();
		divideInto(all, 'balanced', { teams: 80, seed: '1', wishes: [] });
		expect(performance.now() - began).toBeLessThan(3000);
	});
});

describe('buddies', () => {
	it('train at about the same hour and are of about the same level', () => {
		const all = [
			mate('early', { trains: 5 * 60 }),
			mate('late', { trains: 19 * 60 }),
			mate('early too', { trains: 6 * 60 }),
			mate('late too', { trains: 18 * 60 })
		];
		const pairs = pairBuddies(all, { seed: '1', wishes: [] }).teams;
		expect(pairs).toEqual(
			expect.arrayContaining([
				['early', 'early too'],
				['late', 'late too']
			])
		);
		const levels = LEVELS.flatMap((level) => [1, 2].map((n) => mate(`${level} ${n}`, { level })));
		for (const pair of pairBuddies(levels, { seed: '1', wishes: [] }).teams)
			expect(new Set(pair.map((id) => id.slice(0, -2))).size).toBe(1);
	});

	it('are pairs, with one of three where they are odd, and none of one', () => {
		expect(sizes(pairBuddies(people(9), { seed: '1', wishes: [] }).teams)).toEqual([2, 2, 2, 3]);
		expect(sizes(pairBuddies(people(40), { seed: '1', wishes: [] }).teams)).toEqual(
			new Array<number>(20).fill(2)
		);
		expect(pairBuddies(people(1), { seed: '1', wishes: [] }).teams).toEqual([]);
	});

	it('are whom they are to be, and nobody whom they are not', () => {
		for (const seed of ['1', '2', '3']) {
			const all = people(12, seed);
			const wishes = [together('p0', 'p7'), apart('p1', 'p2'), apart('p3', 'p4')];
			const { teams, broken } = pairBuddies(all, { seed, wishes });
			expect(broken).toEqual([]);
			expect(teamOf(teams, 'p0')).toBe(teamOf(teams, 'p7'));
		}
	});
});

it('who is in no group is outside, in order', () => {
	expect(outside(['c', 'a', 'b', 'd'], [['a'], ['d']])).toEqual(['c', 'b']);
});

it('a wish is broken by the teams that there are, however they came about', () => {
	const teams = [['a', 'b'], ['c']];
	const wishes = [
		together('a', 'b'),
		apart('a', 'b'),
		together('a', 'c'),
		apart('a', 'c'),
		apart('a', 'nobody')
	];
	expect(brokenIn(teams, wishes)).toEqual([apart('a', 'b'), together('a', 'c')]);
});

/** Every way to divide eight people into two teams of four, and what each costs, worked out by itself. */
describe('small groups are divided as well as they can be', () => {
	const DAY = 24 * 60;
	const halves = (ids: string[]): string[][][] =>
		Array.from({ length: 2 ** ids.length }, (_, bits) => [
			ids.filter((_id, i) => bits & (1 << i)),
			ids.filter((_id, i) => !(bits & (1 << i)))
		]).filter(([one]) => one?.length === ids.length / 2);
	const spread = (values: number[]): number =>
		values.reduce((sum, value) => sum + (value - mean(values)) ** 2, 0);
	const scatter = (minutes: number[]): number => {
		const angle = (value: number) => (2 * Math.PI * value) / DAY;
		const x = minutes.reduce((sum, value) => sum + Math.cos(angle(value)), 0);
		const y = minutes.reduce((sum, value) => sum + Math.sin(angle(value)), 0);
		return minutes.length - Math.hypot(x, y);
	};
	const known = (team: Mate[]): number[] => team.flatMap(({ done }) => (done === null ? [] : [done]));
	const costs = {
		'by level': (team: Mate[]) => spread(team.map(({ level }) => rank(level))),
		'by time zone': (team: Mate[]) => scatter(team.map(({ dawn }) => dawn)),
		balanced: (team: Mate[], all: Mate[]) => {
			const off = mean(team.map(({ level }) => rank(level))) - mean(all.map(({ level }) => rank(level)));
			const less =
				known(team).length === 0 || known(all).length === 0 ? 0 : mean(known(team)) - mean(known(all));
			return team.length * (off * off + 4 * less * less);
		}
	};

	it.each(TEAM_WAYS)('%s', (way) => {
		for (const seed of ['1', '2', '3', '4', '5', '6', '7', '8']) {
			const all = people(8, seed);
			const byId = new Map(all.map((one) => [one.id, one]));
			const costOf = (teams: string[][]) =>
				teams.reduce(
					(sum, team) =>
						sum +
						costs[way](
							team.map((id) => byId.get(id)!),
							all
						),
					0
				);
			const best = Math.min(...halves(all.map(({ id }) => id)).map(costOf));
			const { teams } = divideInto(all, way, { teams: 2, seed, wishes: [] });
			expect([seed, costOf(teams)]).toEqual([seed, expect.closeTo(best, 6)]);
		}
	});
});
