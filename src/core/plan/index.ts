export { calendarOf, type Calendar } from './calendar';
export { changedFindings, checkPlan } from './check-plan';
export { copyDay, insertDays, pasteWeek, putDays, removeDays, swapDays } from './edit';
export type { PlanFinding } from './finding';
export { AEROBIC_MINUTES, STRENGTH_DAYS } from './groups';
export { emptyForms, layOut, type LaidDay, type LaidPlan, type LaidWeek, type PlanSession } from './laid';
export {
	EMPTY_PLAN,
	MEASURES,
	newRule,
	newTest,
	PLAN_LIMITS,
	REST_DAY,
	weekOf,
	type Audience,
	type Benchmark,
	type Measure,
	type Plan,
	type PlannedDay,
	type Rule,
	type RuleTarget,
	type Step,
	type StepKind
} from './model';
export { milestonesOf, placeAmong, type Milestones } from './milestones';
export { followsRules, isEverywhere, sessionInWeek } from './progress';
export { ruleText } from './rule-text';
export { planSheet, type PlanSheet, type SheetDay } from './sheet';
export { testSession } from './test-session';
export { testText } from './test-text';
export {
	ASSUMPTION_BOUNDS,
	GOOD,
	simulate,
	trialOf,
	USUAL_ASSUMPTIONS,
	type Assumptions,
	type Outcome,
	type Trial
} from './simulate';
export { weekFacts } from './week-facts';
export { weekSteps } from './week-steps';
export { planOfShape, SHAPES, startersOf, type Shape } from './shapes/shapes';
export { STARTERS, type StarterName } from './shapes/starter-sessions';
