export { absenceIn, type Absence } from './absence';
export { DEFAULT_TONE, DRAFT_STYLES, draftAfter, draftFor, type Said, type Tone } from './draft';
export { heardAgo, isOwedPraise } from './contact';
export { effectOf, isAnswered, type Effect } from './answered';
export { REASON_GROUPS, type ReachWay, type ReasonGroup } from './definition';
export { CHECKINS_SEEN, type CheckinSeen, type TriageFacts } from './facts';
export {
	compareNeed,
	definitionOf,
	REASON_KINDS,
	REASON_TITLE,
	reasonSentence,
	registerReason,
	type Reason,
	type ReasonKind
} from './reason';
export { triage } from './triage';
export { ownWeekOf, reviewRules, whatWorked, type Morning, type Reviewed, type Worked } from './review';
export { lastUnanswered, type Dealt, type Written } from './waiting';
