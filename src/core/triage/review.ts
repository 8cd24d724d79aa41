import { median } from 'simple-statistics';
import { DROPPED_AFTER } from '../attendance';
import { differenceOf, type Counted } from '../stats';
import { REASON_KINDS, type ReasonKind } from './reason';

const HOUR = 3_600_000;

/** What was open about somebody on the morning of a day. */
export interface Morning {
	day: number;
	/** Epoch milliseconds. */
	at: number;
	reasons: readonly ReasonKind[];
}

/** Somebody in a challenge, looked back on. */
export interface Reviewed {
	id: string;
	mornings: readonly Morning[];
	/** Instants at which they checked in, in any order. */
	checkins: readonly number[];
	/** The last day of which they did something; null: none. */
	lastDay: number | null;
	/** Instants at which a coach turned to them, in any order. */
	reached: readonly number[];
}

export interface RuleReview {
	/** Who dropped out and was named before, and who was not. */
	hits: string[];
	misses: string[];
	/** Who was named and went on to the end. */
	alarms: string[];
	/** Who was not, and did. */
	quiet: string[];
	/** Days between the first time that they were named and their last day, of those who dropped out; the median, null of nobody. */
	warning: number | null;
}

const isNamed = ({ reasons }: Morning): boolean => reasons.some((kind) => REASON_KINDS[kind] === 'retention');

/**
 * Whom the rules would have named as about to drop out, against who did: over a challenge that is over. Who never began is
 * in none of the lists: everybody sees that.
 *
 * @param days of the challenge
 */
export function reviewRules(people: readonly Reviewed[], days: number): RuleReview {
	const review: RuleReview = { hits: [], misses: [], alarms: [], quiet: [], warning: null };
	const warnings: number[] = [];
	for (const { id, mornings, lastDay } of people) {
		if (lastDay === null) continue;
		const dropped = lastDay <= days - DROPPED_AFTER;
		// Named once they are gone is too late.
		const named = mornings.find((morning) => isNamed(morning) && (!dropped || morning.day <= lastDay + 1));
		if (dropped) {
			(named ? review.hits : review.misses).push(id);
			if (named) warnings.push(Math.max(0, lastDay - named.day));
		} else (named ? review.alarms : review.quiet).push(id);
	}
	review.warning = warnings.length > 0 ? median(warnings) : null;
	return review;
}

/** For one kind of reason: of those a coach turned to within a day, and of the others, how many checked in within two. */
export interface Worked {
	kind: ReasonKind;
	reached: Counted;
	others: Counted;
	difference: ReturnType<typeof differenceOf>;
}

/** Mornings and people on each side below which nothing is said. Common practice, no source. */
const FEWEST = { mornings: 5, people: 3 } as const;

interface Side extends Counted {
	people: Set<string>;
}
const newSide = (): Side => ({ n: 0, x: 0, people: new Set() });
const bare = ({ n, x }: Side): Counted => ({ n, x });

const REACHED_WITHIN = 24 * HOUR;
const CAME_WITHIN = 48 * HOUR;

/**
 * What came of turning to people, by the reason that there was. Each morning on which somebody had it counts once; those on
 * which somebody had been turned to for up to two days before count for neither side. No experiment: a coach chooses whom
 * to write to.
 *
 * @param fewest mornings and people that each side must have; five mornings of three people unless it is said
 * @param until mornings later than two days before it are left out: what came of them is not known yet
 */
export function whatWorked(
	people: readonly Reviewed[],
	until: number,
	fewest: { mornings: number; people: number } = FEWEST
): Worked[] {
	const found = new Map<ReasonKind, { reached: Side; others: Side }>();
	for (const { id, mornings, checkins, reached } of people)
		for (const { at, reasons } of mornings) {
			if (at > until - CAME_WITHIN) continue;
			if (reached.some((then) => then < at && then > at - CAME_WITHIN)) continue;
			const turnedTo = reached.some((then) => then >= at && then < at + REACHED_WITHIN);
			const came = checkins.some((then) => then > at && then <= at + CAME_WITHIN);
			for (const kind of reasons) {
				if (REASON_KINDS[kind] === 'praise') continue;
				const counts = found.get(kind) ?? { reached: newSide(), others: newSide() };
				const side = turnedTo ? counts.reached : counts.others;
				side.n++;
				side.people.add(id);
				if (came) side.x++;
				found.set(kind, counts);
			}
		}
	return (Object.keys(REASON_KINDS) as ReasonKind[]).flatMap((kind) => {
		const counts = found.get(kind);
		const isEnough = [counts?.reached, counts?.others].every(
			(side) => side && side.n >= fewest.mornings && side.people.size >= fewest.people
		);
		return counts && isEnough
			? [
					{
						kind,
						reached: bare(counts.reached),
						others: bare(counts.others),
						difference: differenceOf(counts.reached, counts.others)
					}
				]
			: [];
	});
}

/** A coach's own week. */
export interface OwnWeek {
	/** Who had a reason in it, and who of them was turned to after it came up. */
	needed: number;
	reached: number;
	/** From the first morning with a reason to being turned to, the median; null of nobody. */
	hours: number | null;
	/** Who has a reason on the last morning. */
	open: number;
}

/** @param until epoch milliseconds; the seven days before it */
export function ownWeekOf(people: readonly Reviewed[], until: number): OwnWeek {
	const from = until - 7 * 24 * HOUR;
	const hours: number[] = [];
	let needed = 0;
	let open = 0;
	for (const { mornings, reached } of people) {
		const week = mornings.filter(({ at }) => at > from && at <= until);
		if ((week.at(-1)?.reasons.length ?? 0) > 0) open++;
		const first = week.find(({ reasons }) => reasons.length > 0);
		if (!first) continue;
		needed++;
		const then = reached.filter((one) => one >= first.at && one <= until);
		if (then.length > 0) hours.push((Math.min(...then) - first.at) / HOUR);
	}
	return { needed, reached: hours.length, hours: hours.length > 0 ? median(hours) : null, open };
}
