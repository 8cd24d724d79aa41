/** All steps, in the order of the menu: a new one is its file and a line here. */
import type { StepDefinition } from './definition';
import { double } from './double';
import { load } from './load';
import { reps } from './reps';
import { rest } from './rest';
import { restore } from './restore';
import { rounds } from './rounds';
import { seconds } from './seconds';
import { tempo } from './tempo';
import { variation } from './variation';

const DEFINITIONS = [double, load, reps, seconds, rounds, rest, tempo, variation, restore] as const;

/** What a step of a progression rule does. All amounts are above 0; rest is taken away. */
export type Step = (typeof DEFINITIONS)[number]['initial'];
export type StepKind = Step['kind'];

const definitions = [...DEFINITIONS] as unknown as StepDefinition<Step>[];

export const stepDefinitions = (): readonly StepDefinition<Step>[] => definitions;

/** @throws RangeError for a kind that is not registered */
export function stepDefinition(kind: StepKind): StepDefinition<Step> {
	const found = definitions.find((one) => one.kind === kind);
	if (!found) throw new RangeError(`there is no step “${kind}”`);
	return found;
}

/**
 * Adds a definition at the end of the menu.
 * @returns a function that removes it
 * @throws RangeError if the kind exists
 */
export function registerStep<S extends { kind: string }>(definition: StepDefinition<S>): () => void {
	if (definitions.some(({ kind }) => kind === definition.kind))
		throw new RangeError(`there is a step “${definition.kind}” already`);
	const added = definition as unknown as StepDefinition<Step>;
	definitions.push(added);
	return () => void definitions.splice(definitions.indexOf(added), 1);
}
