import type { Library } from '../exercise';
import type { HouseRules } from './house';
import type { Timing } from './timing';

/**
 * How one coach works: what she builds with, her rules, how sessions are timed. Whatever depends on any of the three
 * takes it as an argument that cannot be left out, so that nobody computes with another coach's by forgetting it.
 */
export interface Practice {
	readonly library: Library;
	readonly house: HouseRules;
	readonly timing: Timing;
}
