import type { ReasonDefinition, ReasonGroup, SentenceFormat } from './definition';
import { DEFINITIONS } from './reasons';

type Definition = (typeof DEFINITIONS)[number];
export type ReasonKind = Definition['kind'];

/** A reason that applies to a person, with the figures of its kind; `since` is when it last happened, in epoch milliseconds. */
export type Reason = {
	[Kind in ReasonKind]: { kind: Kind } & NonNullable<ReturnType<Extract<Definition, { kind: Kind }>['find']>>;
}[ReasonKind];

/** A definition without the types of its figures: what is found by it is given to it alone. */
export type AnyReason = ReasonDefinition<ReasonKind, object>;

const definitions = [...DEFINITIONS] as unknown as AnyReason[];

/** Group of each kind, the more urgent kinds first. */
export const REASON_KINDS = {} as Record<ReasonKind, ReasonGroup>;
/** Title of each kind. */
export const REASON_TITLE = {} as Record<ReasonKind, string>;
function list(): void {
	for (const kind of Object.keys(REASON_KINDS) as ReasonKind[]) {
		delete REASON_KINDS[kind];
		delete REASON_TITLE[kind];
	}
	for (const { kind, group, title } of definitions) {
		REASON_KINDS[kind] = group;
		REASON_TITLE[kind] = title;
	}
}
list();

/** All definitions, the more urgent first. */
export const reasonDefinitions = (): readonly AnyReason[] => definitions;

/** @throws RangeError for a kind that is not registered */
export function definitionOf(kind: ReasonKind): AnyReason {
	const found = definitions.find((one) => one.kind === kind);
	if (!found) throw new RangeError(`there is no reason “${kind}”`);
	return found;
}

/**
 * Adds a definition as the least urgent one.
 * @returns a function that removes it
 * @throws RangeError if the kind exists
 */
export function registerReason(definition: ReasonDefinition<string, object>): () => void {
	if (definitions.some(({ kind }) => kind === definition.kind))
		throw new RangeError(`there is a reason “${definition.kind}” already`);
	definitions.push(definition as AnyReason);
	list();
	return () => {
		definitions.splice(definitions.indexOf(definition as AnyReason), 1);
		list();
	};
}

/** The reason with its figures, as a sentence for the coach. */
export const reasonSentence = (reason: Reason, format: SentenceFormat): string =>
	definitionOf(reason.kind).sentence(reason, format);

/** Rank of a kind, 0 the most urgent; a person without a reason comes after all kinds. */
const urgency = (kind: ReasonKind | undefined): number =>
	kind === undefined ? definitions.length : definitions.findIndex((one) => one.kind === kind);

/** Epoch milliseconds since which the reason has applied. */
const sinceWhen = (reason: Reason): number => ('lastSeen' in reason ? reason.lastSeen : reason.since);

/** Sharp pain comes before pain that is not. */
const isSharp = (reason: Reason | undefined): boolean => reason?.kind === 'pain' && reason.isSharp;

/**
 * Compares two people by who needs their coach first. Reasons are ordered by urgency; with the same kind the one that has
 * lasted longer comes first. People without a reason come last.
 */
export function compareNeed([a]: readonly Reason[], [b]: readonly Reason[]): number {
	return (
		urgency(a?.kind) - urgency(b?.kind) ||
		Number(isSharp(b)) - Number(isSharp(a)) ||
		(a && b ? sinceWhen(a) - sinceWhen(b) : 0)
	);
}
