import { array, object } from 'yup';
import { PLAN_LIMITS } from '$core/plan';
import { daySpan } from './day-span';
import { name, whole } from './values';

/** A day of a challenge, from 1. */
export const oneDay = () => whole('day', 1, PLAN_LIMITS.days);

export const dayList = () => array(oneDay()).min(1, 'choose a day').max(PLAN_LIMITS.days).required();

export const excuseSchema = object({
	days: dayList(),
	reason: name(300, 'an excuse needs a reason; the coach alone sees it')
});

/** An excuse that is taken back. */
export const takenBackSchema = object({ day: oneDay() });

/** Days between which somebody does not take part; without an end until one is given. */
export const pauseSchema = object({
	...daySpan,
	reason: name(300, 'a pause needs a reason')
});
