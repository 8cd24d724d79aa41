/** What a person says who pauses or leaves by themselves. */
import { boolean, object, string } from 'yup';
import { PLAN_LIMITS } from '$core/plan';
import { whole, words } from './values';

/** Of the message that tells the coach. */
const id = () => string().uuid('the id of a message is a UUID').required('a message carries its own id');

export const ownPauseSchema = object({
	id: id(),
	fromDay: whole('the first day', 1, PLAN_LIMITS.days),
	toDay: whole('the last day', 1, PLAN_LIMITS.days).when('fromDay', ([from], schema) =>
		schema.test('order', 'the last day is not before the first', (to) => Number(to) >= Number(from))
	),
	reason: words(300)
});

export const ownLeaveSchema = object({
	id: id(),
	sure: boolean().isTrue('tick that you want to leave for good').required(),
	reason: words(300)
});
