export { absenceIn, type Absence } from './absence';
export { DEFAULT_TONE, DRAFT_STYLES, draftAfter, draftFor, type Said, type Tone } from './draft';
export { heardAgo, isOwedPraise } from './contact';
export { effectOf, isAnswered, type Effect } from './answered';
export {
	compareNeed,
	REASON_GROUPS,
	REASON_KINDS,
	REASON_TITLE,
	type Reason,
	type ReasonGroup,
	type ReasonKind
} from './reason';
export { CHECKINS_SEEN, triage, type CheckinSeen, type TriageFacts } from './triage';
export { ownWeekOf, reviewRules, whatWorked, type Morning, type Reviewed, type Worked } from './review';
export { lastUnanswered, type Dealt, type Written } from './waiting';
