import type { Adherence } from './adherence';

export interface FinishChance {
	/** 0…1 */
	chance: number;
	/** Days of work that are still to be done in full for it, of those that are left. */
	needed: number;
	left: number;
	/** Days that were due so far. */
	due: number;
}

/**
 * The chance that somebody still reaches a share of all their work, with the days that are left: the beta-binomial
 * predictive probability after a uniform prior (Gelman et al., Bayesian Data Analysis, 3rd ed., section 2.4 and its
 * appendix A). Each day that is left is taken to be done or not, as likely as the days so far, and none of them changes
 * because of what came before it.
 *
 * @param left days with work that are still to come, at least 0
 * @param share of all work, 0…1
 */
export function projectFinish(
	{ credit, due }: Pick<Adherence, 'credit' | 'due'>,
	left: number,
	share: number
): FinishChance {
	// What sums of thirds leave behind is not another day.
	const needed = Math.max(0, Math.ceil(share * (due + left) - credit - 1e-9));
	if (needed === 0) return { chance: 1, needed, left, due };
	if (needed > left) return { chance: 0, needed, left, due };
	const done = 1 + credit;
	const missed = 1 + Math.max(0, due - credit);
	// P(none of them), and from each number of days to the next: no function of factorials is needed.
	let p = 1;
	for (let i = 0; i < left; i++) p *= (missed + i) / (done + missed + i);
	let below = 0;
	for (let k = 0; k < needed; k++) {
		below += p;
		p *= (((left - k) / (k + 1)) * (done + k)) / (missed + left - k - 1);
	}
	return { chance: Math.min(1, Math.max(0, 1 - below)), needed, left, due };
}
