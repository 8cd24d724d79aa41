/** Times at which nothing is released to somebody: until health questions are answered, or somebody qualified has said yes. */

export const HOLD_REASONS = ['stopped', 'pain', 'questions', 'clearance', 'clearance over'] as const;
export type HoldReason = (typeof HOLD_REASONS)[number];

/** From an instant to another (without it), epoch milliseconds; null: with no end yet. */
export interface Hold {
	from: number;
	until: number | null;
	/** They stopped at a warning sign, a coach holds them because of pain, health questions are open, a clearance is asked for, or the one that there was has run out. */
	reason: HoldReason;
}

/** What was said and recorded of somebody, in any order. */
export interface ClearanceRecords {
	/** When they joined; epoch milliseconds. */
	joined: number;
	/** What came of their answers, each time they gave them: the keys of the reasons to ask somebody first. */
	screenings: readonly { at: number; reasons: readonly string[] }[];
	clearances: readonly Clearance[];
	/** When they stopped at a warning sign, and until somebody qualified had said yes; null: not yet. */
	stops: readonly { from: number; until: number | null }[];
	/** When a coach held them because of pain, and until she said that it is over; null: not yet. */
	pains: readonly { from: number; until: number | null }[];
	/** Whether nothing is released before the questions are answered. */
	waitsForAnswers: boolean;
}

/** A clearance that the coach has on record. */
export interface Clearance {
	from: number;
	/** Null: without an end. */
	until: number | null;
	/** When it was taken back; null: it was not. */
	takenBack: number | null;
	/** The reasons that it is about. */
	covers: readonly string[];
}

const endOf = ({ until, takenBack }: Clearance): number => Math.min(until ?? Infinity, takenBack ?? Infinity);

/**
 * When somebody is held: while a reason of their newest answers is covered by no clearance that is good. A clearance for
 * one reason says nothing of another: whoever was cleared for a pregnancy is held when chest pain is told of later.
 *
 * @returns holds that do not overlap, the earlier first; from the time they joined on
 */
export function holdsOf(records: ClearanceRecords): Hold[] {
	const { joined, screenings, clearances, stops, pains } = records;
	const times = [
		joined,
		...screenings.map(({ at }) => at),
		...clearances.flatMap((one) => [one.from, endOf(one)]),
		...[...stops, ...pains].flatMap(({ from, until }) => [from, until ?? Infinity])
	];
	const steps = [...new Set(times.filter((at) => at >= joined && at !== Infinity))].sort((a, b) => a - b);
	const holds: Hold[] = [];
	for (const [i, from] of steps.entries()) {
		const reason = reasonAt(from, records);
		if (reason === null) continue;
		const until = steps[i + 1] ?? null;
		const last = holds.at(-1);
		if (last?.reason === reason && last.until === from) last.until = until;
		else holds.push({ from, until, reason });
	}
	return holds;
}

function reasonAt(
	at: number,
	{ screenings, clearances, stops, pains, waitsForAnswers }: ClearanceRecords
): HoldReason | null {
	const isOn = ({ from, until }: { from: number; until: number | null }) =>
		from <= at && (until === null || at < until);
	if (stops.some(isOn)) return 'stopped';
	if (pains.some(isOn)) return 'pain';
	const newest = screenings
		.filter((one) => one.at <= at)
		.reduce<{ at: number; reasons: readonly string[] } | null>(
			(latest, one) => (latest && latest.at > one.at ? latest : one),
			null
		);
	if (!newest) return waitsForAnswers ? 'questions' : null;
	const begun = clearances.filter(({ from }) => from <= at);
	const coveredBy = (some: readonly Clearance[]) => (reason: string) =>
		some.some(({ covers }) => covers.includes(reason));
	const open = newest.reasons.filter((reason) => !coveredBy(begun.filter((one) => at < endOf(one)))(reason));
	if (open.length === 0) return null;
	return open.every(coveredBy(begun)) ? 'clearance over' : 'clearance';
}

/**
 * Holds as they go on from an instant: what was held before it stays, whatever is said or deleted since, so that no day that is
 * over is counted otherwise afterwards.
 */
export function holdsFrom(before: readonly Hold[], now: number, fresh: readonly Hold[]): Hold[] {
	const past = before
		.filter(({ from }) => from < now)
		.map((hold) => ({ ...hold, until: Math.min(hold.until ?? Infinity, now) }));
	const ahead = fresh
		.filter(({ until }) => until === null || until > now)
		.map((hold) => ({ ...hold, from: Math.max(hold.from, now) }));
	const [last, first] = [past.at(-1), ahead[0]];
	if (!last || first?.from !== now || last.until !== now || last.reason !== first.reason)
		return [...past, ...ahead];
	return [...past.slice(0, -1), { ...first, from: last.from }, ...ahead.slice(1)];
}

/** The hold that is on at an instant; null: none. */
export const holdAt = (holds: readonly Hold[], at: number): Hold | null =>
	holds.find(({ from, until }) => from <= at && (until === null || at < until)) ?? null;
