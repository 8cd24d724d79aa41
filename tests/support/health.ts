import type { HealthAnswers } from '$core/health';

/** Somebody with nothing to say. */
export const WELL: HealthAnswers = {
	age: '18 to 39',
	hurts: [],
	hurtsElsewhere: null,
	pregnantWeek: null,
	birthWeeks: null,
	stance: 'freely',
	balance: 'steady',
	floor: 'easy',
	active: true,
	yes: [],
	on: '2026-05-01'
};
