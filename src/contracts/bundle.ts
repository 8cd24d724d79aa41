import { array, boolean, number, object, string, type InferType } from 'yup';
import { QUESTION_KEYS } from '$core/wellbeing';
import { PLAN_LIMITS } from '$core/plan';
import { ANNOUNCEMENT_LENGTH } from './announcement';
import { exerciseSchema } from './exercise';
import { planSchema } from './plan';
import { sessionReference } from './session';
import { MOST_ON_SHELF } from './shelf';
import { date, name, optional, orNull, timeOfDay, whole, within, zone } from './values';

export const BUNDLE_KIND = 'cadrex challenge';
export const BUNDLE_VERSION = 1;

export const MOST_SESSIONS = 200;
export const MOST_VERSIONS = 20;
const KEY = /^s[1-9]\d{0,3}$/;

/** The shape of a bundle; sessions are looked at by their own rules, references after that. */
export const bundleSchema = object({
	kind: string().oneOf([BUNDLE_KIND]).required(),
	version: number<typeof BUNDLE_VERSION>().oneOf([BUNDLE_VERSION]).required(),
	name: name(80, 'a challenge needs a name'),
	goal: name(300, 'a challenge needs a goal'),
	frame: object({
		startsOn: date(
			'this is no day of the calendar; YYYY-MM-DD is expected',
			'the day on which it starts is missing'
		),
		trainingDays: array(whole('weekdays', 1, 7))
			.min(1, 'at least one weekday to train on')
			.max(7)
			.required(),
		budgetMinutes: whole('minutes', 5, 180),
		releaseZone: orNull(zone('a zone, or null for each person’s own')),
		opensAt: timeOfDay(),
		lateHours: whole('hours', 0, 168),
		lateWorth: within('a share in percent', 0, 100),
		partial: string()
			.oneOf(['share', 'strict'] as const)
			.required(),
		afterClose: string()
			.oneOf(['refuse', 'store'] as const)
			.required(),
		lateJoiners: string()
			.oneOf(['group', 'own'] as const)
			.required(),
		catchUpDays: optional(whole('days to catch up', 0, 14)),
		waitsForAnswers: boolean().required('say whether health questions come first'),
		asksWeekly: optional(boolean()),
		questions: optional(array(string().oneOf(QUESTION_KEYS).required()).max(QUESTION_KEYS.length))
	})
		.noUnknown()
		.required('the frame is missing'),
	exercises: array(exerciseSchema.noUnknown()).max(500).required('exercises are missing'),
	sessions: array(
		object({
			key: string().matches(KEY, 'a key is s1, s2 and so on').required('a session needs a key, s1 and so on'),
			name: name(80, 'a session needs a name'),
			tags: array(name(30, 'a tag is empty')).max(12).required(),
			versions: array(sessionReference)
				.min(1, 'a session has at least one version')
				.max(MOST_VERSIONS, `at most ${MOST_VERSIONS} versions`)
				.required('the session itself is missing')
		}).noUnknown()
	)
		.max(MOST_SESSIONS, `at most ${MOST_SESSIONS} sessions`)
		.required('sessions are missing'),
	plan: planSchema.noUnknown().required('the plan is missing'),
	shelf: optional(
		array(
			object({
				session: string().matches(KEY, 'a key is s1, s2 and so on').required('which session lies there?'),
				counts: boolean().required('say whether it counts')
			}).noUnknown()
		)
			.max(MOST_ON_SHELF, `at most ${MOST_ON_SHELF} sessions lie on a shelf`)
			.required()
	),
	messages: array(
		object({
			day: whole('the day', 1, PLAN_LIMITS.days),
			text: name(ANNOUNCEMENT_LENGTH, 'a message needs some words')
		}).noUnknown()
	)
		.max(200)
		.required('messages are missing')
}).noUnknown();

/** How a challenge releases its days and what results are worth, as a bundle says it. */
export type BundleFrame = InferType<typeof bundleSchema>['frame'];
