import { number } from 'yup';
import { PLAN_LIMITS } from '$core/plan';
import { whole } from './values';

/** A run of days of a challenge, both ends with it; without an end until one is given. */
export const daySpan = {
	fromDay: whole('the first day', 1, PLAN_LIMITS.days),
	toDay: number()
		.typeError('the last day is a number')
		.integer()
		.min(1)
		.max(PLAN_LIMITS.days)
		.nullable()
		.default(null)
		.when('fromDay', ([from], schema) =>
			schema.test(
				'order',
				'the last day is not before the first',
				(to) => typeof to !== 'number' || to >= Number(from)
			)
		)
};
