import { LRUCache } from 'lru-cache';
import { dueWindow, type DueWindow } from '$core/calendar';
import { releasePolicyOf, type Challenge } from '../challenge/challenge';

/** Windows by policy and zone: the same for everybody who shares a zone, and a matter of arithmetic only. */
const cache = new LRUCache<string, DueWindow[]>({ max: 2000 });

/** The windows of all days of a challenge for somebody in a zone, day 1 first. */
export function windowsOf(challenge: Challenge, person: { zone: string; shiftDays: number }): DueWindow[] {
	const policy = releasePolicyOf(challenge);
	const zone = policy.zone ?? person.zone;
	const key = `${zone} ${person.shiftDays} ${policy.startsOn} ${policy.opensAt} ${policy.lateHours} ${challenge.days}`;
	const known = cache.get(key);
	if (known) return known;
	const windows = Array.from({ length: challenge.days }, (_, i) => dueWindow(i + 1, person, policy));
	cache.set(key, windows);
	return windows;
}
