import type { HouseRules } from '../practice';
import type { TriageFacts } from './facts';
import { compareNeed, reasonDefinitions, type Reason } from './reason';

/**
 * Reasons why a person needs their coach, the most urgent first: safety, then people who may drop out, then loads that are
 * off, then praise. Several may apply at once.
 *
 * @param now epoch milliseconds
 */
export function triage(facts: TriageFacts, house: HouseRules, now: number): Reason[] {
	const found = reasonDefinitions().flatMap((definition) => {
		const figures = definition.find(facts, house, now);
		return figures === null ? [] : [{ definition, reason: { ...figures, kind: definition.kind } as Reason }];
	});
	const kinds = new Set<string>(found.map(({ reason }) => reason.kind));
	return found
		.filter(({ definition }) => !definition.coveredBy?.some((kind) => kinds.has(kind)))
		.map(({ reason }) => reason)
		.sort((a, b) => compareNeed([a], [b]));
}
