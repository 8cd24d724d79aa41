import { array, boolean, number, object, string, type InferType } from 'yup';
import { date, noZone, timeOfDay, zoneFrom } from './values';
import { DEFAULT_QUESTIONS, QUESTION_KEYS } from '$core/wellbeing';
import { TEMPLATES } from '$core/plan';
import { isZone } from '$core/calendar';

const text = (max: number) => string().trim().max(max, `at most ${max} letters`);

/** What a coach fills in for a challenge. Times of day as `HH:MM`, shares in percent. */
export const challengeSchema = object({
	name: text(80).required('a challenge needs a name').default(''),
	goal: text(300).required('say what can be tested at the end, as in “carry 20 kg up 400 m”').default(''),
	startsOn: date('this is no day of the calendar', 'choose the day on which it starts').default(''),
	weeks: number()
		.typeError('weeks are a number from 1 to 12')
		.integer('whole weeks only')
		.min(1, 'at least 1 week')
		.max(12, 'at most 12 weeks')
		.required('1 to 12 weeks')
		.default(6),
	trainingDays: array(number().integer().min(1).max(7).required())
		.min(1, 'choose at least one weekday to train on')
		.required('choose at least one weekday to train on')
		.default([1, 2, 4, 5]),
	budgetMinutes: number()
		.typeError('minutes are a number from 5 to 180')
		.integer('whole minutes only')
		.min(5, 'at least 5 minutes')
		.max(180, 'at most 180 minutes')
		.required('5 to 180 minutes')
		.default(30),
	ownZones: boolean().required().default(true),
	releaseZone: string()
		.default('')
		.when('ownZones', {
			is: false,
			then: (zone) =>
				zone
					.required('choose the zone whose morning counts for all')
					.transform(zoneFrom)
					.test(
						'zone',
						({ value }) => noZone(String(value)),
						(z) => !z || isZone(z)
					)
		}),
	opensAt: timeOfDay().default('05:30'),
	lateHours: number()
		.typeError('hours are a number from 0 to 168')
		.integer('whole hours only')
		.min(0, 'at least 0 hours')
		.max(168, 'at most 168 hours, a week')
		.required('0 to 168 hours')
		.default(36),
	lateWorth: number()
		.typeError('a share from 0 to 100 %')
		.min(0, 'at least 0 %')
		.max(100, 'at most 100 %')
		.required('0 to 100 %')
		.default(75),
	partial: string().oneOf(['share', 'strict'], 'choose one of the two').required().default('share'),
	afterClose: string().oneOf(['refuse', 'store'], 'choose one of the two').required().default('store'),
	lateJoiners: string().oneOf(['group', 'own'], 'choose one of the two').required().default('group'),
	/** Days before theirs that late joiners on the group’s day may still do, within as many days; 0: none. */
	catchUpDays: number()
		.typeError('days are a number from 0 to 14')
		.integer('whole days only')
		.min(0, 'at least 0 days')
		.max(14, 'at most 14 days')
		.required('0 to 14 days')
		.default(0),
	/** Nothing is released to anybody before they have answered the health questions. */
	waitsForAnswers: boolean().required().default(true),
	/** Everybody is asked once a week whether anything has changed. */
	asksWeekly: boolean().required().default(true),
	/** What is asked at a check-in beside how much, how hard, and what hurts. */
	questions: array(string().oneOf(QUESTION_KEYS, 'choose questions from the list').required())
		.max(QUESTION_KEYS.length)
		.required()
		.default([...DEFAULT_QUESTIONS])
});

/** A new one may start from a template, which brings its plan. */
export const newChallengeSchema = challengeSchema.shape({
	template: string()
		.oneOf(['', ...TEMPLATES.map(({ key }) => key)], 'choose one of the templates, or none')
		.default('')
});

export type ChallengeInput = InferType<typeof challengeSchema>;
