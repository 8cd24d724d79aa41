import { boolean, mixed, object } from 'yup';
import { dayList, oneDay } from './excuse';
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
	day: oneDay(),
	reason: reason()
});
