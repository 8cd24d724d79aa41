/** A group as a whole: what they have in common, and whom a plan for them should be made for. */
import { AT_HOME, ITEMS, type Item } from '../exercise';
import {
	CONDITIONS,
	heaviestIn,
	limitsOf,
	missingIn,
	tellingLimits,
	type Condition,
	type Kit,
	type Limitation
} from '../kit';
import type { Audience } from './audience';
import { LEVELS, type Level } from './levels';

export interface Member {
	level: Level;
	/** Null: not known. */
	kit: Kit | null;
	limits: readonly Limitation[];
}

export interface Cohort {
	people: number;
	levels: Record<Level, number>;
	/** Of how many it is known what they have. */
	withKit: number;
	/** Beyond the household, the most common first; none that nobody has. */
	items: { item: Item; people: number }[];
	/** The most common first; none that nobody has. */
	limits: { limit: Limitation; people: number }[];
	/** The heaviest single weight that nine of ten who have any can lift; null: nobody has one. */
	heaviestKg: number | null;
}

const byCount = (a: { people: number }, b: { people: number }): number => b.people - a.people;

/** What some people have in common. */
export function cohortOf(members: readonly Member[]): Cohort {
	const kits = members.flatMap(({ kit }) => (kit ? [kit] : []));
	const count = (has: (kit: Kit) => boolean): number => kits.filter(has).length;
	const limits = [...new Set(members.flatMap((one) => one.limits))];
	const heaviest = kits.flatMap((kit) => heaviestIn(kit) ?? []).sort((a, b) => a - b);
	return {
		people: members.length,
		levels: Object.fromEntries(
			LEVELS.map((level) => [level, members.filter((one) => one.level === level).length])
		) as Record<Level, number>,
		withKit: kits.length,
		items: ITEMS.filter((item) => !AT_HOME.has(item))
			.map((item) => ({ item, people: count((kit) => missingIn(kit, [{ item, count: 1 }]).length === 0) }))
			.filter(({ people }) => people > 0)
			.sort(byCount),
		limits: limits
			.map((limit) => ({ limit, people: members.filter((one) => one.limits.includes(limit)).length }))
			.sort((a, b) => byCount(a, b) || a.limit.localeCompare(b.limit, 'en')),
		heaviestKg: heaviest[Math.floor(heaviest.length / 10)] ?? null
	};
}

/** Shares from which something is taken for true of the group. Common practice, no source. */
const SHARED = { item: 0.8, condition: 0.25, level: 0.5 } as const;

/** A condition counts for somebody who has all of its limits, one that tells of it among them. */
const has = ({ limits }: Member, condition: Condition): boolean =>
	limitsOf(condition).length > 0 &&
	limitsOf(condition).every((limit) => limits.includes(limit)) &&
	(tellingLimits(condition).length === 0 || tellingLimits(condition).some((limit) => limits.includes(limit)));

/**
 * Whom a plan for some people is best made for: the level that at least half of them reach, what four of five have, weights
 * that nine of ten have, and what holds for a quarter of them. The rest is fitted to each by itself.
 *
 * @returns null without anybody
 */
export function suggestedAudience(members: readonly Member[]): Audience | null {
	if (members.length === 0) return null;
	const { items, withKit, heaviestKg } = cohortOf(members);
	const atLeast = (level: Level) =>
		members.filter((one) => LEVELS.indexOf(one.level) >= LEVELS.indexOf(level)).length / members.length;
	const telling = CONDITIONS.filter((condition) => tellingLimits(condition).length > 0);
	return {
		level: LEVELS.findLast((level) => atLeast(level) >= SHARED.level) ?? 'beginner',
		items: items
			.filter(({ people }) => people >= SHARED.item * withKit && withKit > 0)
			.map(({ item }) => item),
		heaviestKg,
		conditions: telling.filter(
			(condition) => members.filter((one) => has(one, condition)).length >= SHARED.condition * members.length
		)
	};
}
