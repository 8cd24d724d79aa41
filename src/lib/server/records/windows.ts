import { LRUCache } from 'lru-cache';
import {
	dueWindow,
	windowOfMoved,
	windowToCatchUp,
	type CatchUp,
	type DueWindow,
	type EarlierZone
} from '$core/calendar';
import { releasePolicyOf, type Challenge } from './challenge';

/** Windows by policy and zone: the same for everybody who shares a zone, and a matter of arithmetic only. */
const cache = new LRUCache<string, DueWindow[]>({ max: 2000 });

/** What of a person decides when their days are. */
export interface WhereAndWhen {
	zone: string;
	earlierZones: readonly EarlierZone[];
	shiftDays: number;
	/** Days before they joined that they may still do; null: none. */
	catchUp: CatchUp | null;
}

/** The windows of all days of a challenge for somebody, day 1 first. */
export function windowsOf(challenge: Challenge, person: WhereAndWhen): DueWindow[] {
	const windows = windowsWhere(challenge, person);
	const { catchUp } = person;
	return catchUp === null ? windows : windows.map((window, i) => windowToCatchUp(window, i + 1, catchUp));
}

function windowsWhere(challenge: Challenge, person: WhereAndWhen): DueWindow[] {
	const { zone, earlierZones } = person;
	const now = windowsIn(challenge, zone, person.shiftDays);
	if (earlierZones.length === 0 || challenge.releaseZone !== null) return now;
	const before = earlierZones.map((earlier) => windowsIn(challenge, earlier.zone, person.shiftDays));
	const until = earlierZones.map((earlier) => earlier.until);
	return now.map((window, i) => windowOfMoved([...before.map((windows) => windows[i]!), window], until));
}

function windowsIn(challenge: Challenge, zone: string, shiftDays: number): DueWindow[] {
	const policy = releasePolicyOf(challenge);
	const key = `${policy.zone ?? zone} ${shiftDays} ${policy.startsOn} ${policy.opensAt} ${policy.lateHours} ${challenge.days}`;
	const known = cache.get(key);
	if (known) return known;
	const windows = Array.from({ length: challenge.days }, (_, i) =>
		dueWindow(i + 1, { zone, shiftDays }, policy)
	);
	cache.set(key, windows);
	return windows;
}
