export {
	againstFor,
	againstText,
	DEFAULT_AUDIENCE,
	kitOf,
	limitsFor,
	type Against,
	type Audience
} from './audience';
export { byName } from './by-name';
export { calledBy } from './called-by';
export {
	bodyContradictions,
	CONSENT,
	EXPECTING,
	INTAKE_SECTIONS,
	kitContradictions,
	trainingContradictions,
	WEIGHTS_USED,
	type Contradiction,
	type Expecting,
	type IntakeSection,
	type WeightsUsed
} from './intake';
export { cohortOf, suggestedAudience, type Cohort, type Member } from './cohort';
export { LEVELS, type Level } from './levels';
export { CELL_SHOWN, ROSTER_FIELDS } from './roster-fields';
export type { ColumnMatch, RosterLine, RosterRow } from './roster';
export { zoneNamed } from './zone-named';
export { INVITED_ROLES, isAtLeast, ROLE_SAYS, tooLittle, type InvitedRole, type Role } from './role';
export {
	brokenIn,
	divideInto,
	outside,
	pairBuddies,
	TEAM_WAYS,
	type Mate,
	type TeamWay,
	type TeamWish
} from './teams';
