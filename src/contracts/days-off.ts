import { boolean, mixed, number, object } from 'yup';
import { PLAN_LIMITS } from '$core/plan';
import { dayList } from './excuse';
import { name } from './values';

export type DaysOff = 'cancel' | 'excuse' | 'shift';
const reason = () => name(300, 'say why; people read it');

/** Days that do not go as planned, for everybody. */
export const daysOffSchema = object({
	how: mixed<DaysOff>().oneOf(['cancel', 'excuse', 'shift'], 'choose what happens with the days').required(),
	days: dayList(),
	reason: reason(),
	tell: boolean().default(false)
});

export const restoreSchema = object({ days: dayList() });

export const unexcuseSchema = object({
	day: number().integer().min(1).max(PLAN_LIMITS.days).required(),
	reason: reason()
});
