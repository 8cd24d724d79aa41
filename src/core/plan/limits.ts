export const PLAN_LIMITS = {
	days: 84,
	rules: 60,
	steps: 4,
	tests: 12,
	testsADay: 6,
	kg: 50,
	reps: 100,
	seconds: 600,
	rounds: 10,
	every: 12,
	testName: 60
} as const;
