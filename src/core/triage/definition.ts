import type { Units } from '../kit/units';
import type { HouseRules } from '../practice';
import type { TriageFacts } from './facts';

/** Groups of reasons, the more urgent first. */
export const REASON_GROUPS = ['safety', 'unanswered', 'retention', 'adaptation', 'praise'] as const;
export type ReasonGroup = (typeof REASON_GROUPS)[number];

/** What a coach can do about a reason; `post` is a message to several people, recorded by the program. */
export type ReachWay =
	'wrote' | 'called' | 'talked' | 'praised' | 'adjusted' | 'asked' | 'settled' | 'later' | 'post';

/** How figures are written in the sentence for the coach. */
export interface SentenceFormat {
	/** Day and time of an instant in the zone of the coach. */
	when: (at: number) => string;
	units: Units;
}

/** Sentences of a draft to the participant, in the order of the fields. */
export interface DraftWords {
	says: string;
	/** For their safety; part of every style. */
	advice?: string;
	/** Left out of brief drafts. */
	offers?: string;
	asks?: string;
	/** Part of warm drafts alone. */
	kindly?: string;
}

export const NO_HURRY = 'No hurry with the answer.';
export const WITH_US = 'It’s good to have you with us.';
export const PROUD = 'I’m glad to see it.';

/**
 * A reason to contact a participant, with everything that belongs to it. One file each in `reasons/`, registered in its index.
 * `Figures` are what the sentence and the draft are made of; `since` is when it last happened, in epoch milliseconds.
 */
export interface ReasonDefinition<Kind extends string, Figures extends object> {
	kind: Kind;
	group: ReasonGroup;
	title: string;
	/** Proposed first of what a coach can do. */
	firstAction: ReachWay;
	/** Whether an answer settles it until it happens again; otherwise it returns after the days of the house rules. */
	isSettledByAnswer: boolean;
	/** Reasons that say the same or more: beside one of them this one is left out. */
	coveredBy?: readonly string[];
	/** The figures if the reason applies, else null. */
	find(facts: TriageFacts, house: HouseRules, now: number): (Figures & { since: number }) | null;
	/** The reason with its figures, as a sentence for the coach. */
	sentence(reason: Figures & { since: number }, format: SentenceFormat): string;
	draft(reason: Figures & { since: number }): DraftWords;
}
