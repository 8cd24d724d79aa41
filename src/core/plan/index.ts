export { dayOfTwo } from './day-of-two';
export { testText } from './benchmark-text';
export { testSession } from './benchmark-session';
export { changedFindings, checkPlan } from './check-plan';
export { copyDay, insertDays, pasteWeek, putDays, removeDays, swapDays } from './edit';
export { PLAN_LIMITS } from './limits';
export type { PlanFinding } from './finding';
export { AEROBIC_MINUTES, STRENGTH_DAYS } from './groups';
export {
	EMPTY_PLAN,
	MEASURES,
	newBenchmark,
	newRule,
	REST_DAY,
	weekOf,
	type Benchmark,
	type Measure,
	type Plan,
	type PlannedDay,
	type Rule,
	type RuleTarget
} from './model';
export { followsRules, isEverywhere, sessionInWeek, unchanged } from './progression';
export {
	emptyForms,
	resolvePlan,
	type PlanSession,
	type ResolvedDay,
	type ResolvedPlan,
	type ResolvedWeek
} from './resolved-plan';
export { ruleText } from './rule-text';
export { planSheet, type PlanSheet, type SheetDay } from './sheet';
export {
	ASSUMPTION_BOUNDS,
	DEFAULT_ASSUMPTIONS,
	GOOD,
	simulate,
	simulationInput,
	type Assumptions,
	type Outcome,
	type SimulationInput
} from './simulate';
export { STARTERS, type StarterName } from './templates/starter-sessions';
export { minutesOf } from './templates/minutes';
export { planOfTemplate, startersOf, TEMPLATES, type Template } from './templates/templates';
export { wantedOf } from './wanted';
export { weekFacts } from './week-facts';
export type { StepDefinition, StepField } from './steps/definition';
export { registerStep, stepDefinition, stepDefinitions, type Step, type StepKind } from './steps';
export { weekSteps } from './week-steps';
