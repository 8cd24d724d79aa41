import { array, number, object } from 'yup';
import { PLAN_LIMITS } from '$core/plan';
import { daySpan } from './day-span';
import { name } from './values';

export const dayList = () =>
	array(number().integer().min(1).max(PLAN_LIMITS.days).required())
		.min(1, 'choose a day')
		.max(PLAN_LIMITS.days)
		.required();

export const excuseSchema = object({
	days: dayList(),
	reason: name(300, 'an excuse needs a reason; the coach alone sees it')
});

/** Days between which somebody does not take part; without an end until one is given. */
export const pauseSchema = object({
	...daySpan,
	reason: name(300, 'a pause needs a reason; the coach alone sees it')
});
