import { object, string } from 'yup';
import { STOP_SIGN_KEYS } from '$core/health';
import { date, instant, name, words } from './values';

/**
 * What can be decided: about a stop sign `cleared` alone. About pain: back to normal, something else in place of an
 * exercise, the exercise stays off, the place is spared until the coach has asked again, or nothing is released until then.
 */
export const INCIDENT_DECISIONS = ['give back', 'replace', 'keep off', 'spare', 'hold', 'cleared'] as const;
/** `withdrawn`: the person took the report back. */
export type IncidentDecision = (typeof INCIDENT_DECISIONS)[number] | 'withdrawn';

/** What a coach decides about pain or a sign to stop at. */
export const decisionSchema = object({
	decision: string()
		.oneOf([...INCIDENT_DECISIONS], 'say what happens now')
		.required('say what happens now'),
	exercise: words(80),
	note: words(1000),
	/** A message that goes to the person with the decision, with an id of its own; empty: none. */
	reply: words(4000),
	replyId: string().uuid('the id of a message is a UUID').nullable().default(null),
	/** Empty: it needs no looking after. */
	followUpOn: string().when({
		is: (value: string | undefined) => Boolean(value),
		then: () => date('choose a day of the calendar', 'choose a day')
	})
});

/** What came of asking after it. */
export const followUpSchema = object({
	outcome: string().oneOf(['over', 'goes on'], 'say how it is now').required('say how it is now')
});

/** Somebody had to stop. */
export const stopSchema = object({
	id: string().uuid('the id of a report is a UUID').required('a report carries its own id'),
	sign: string().oneOf(STOP_SIGN_KEYS, 'say which sign it was').required('say which sign it was'),
	note: words(1000),
	/** The enrolment it is about; left out: the one that is signed in. */
	enrolment: string().nullable().default(null),
	/** When it was and when it is sent, by the device. Epoch milliseconds. */
	stoppedAt: instant('the time of stopping'),
	sentAt: instant('the time of sending')
});

/** A person says that somebody qualified has said yes. */
export const okSchema = object({
	/** Of the message that tells the coach. */
	id: string().uuid('the id of a message is a UUID').required('a message carries its own id'),
	who: name(120, 'say who gave the OK'),
	on: date('choose a day of the calendar', 'say when it was'),
	note: words(1000)
});

/** Pain, or a sign at which somebody stopped, with what was decided. Instants are epoch milliseconds. */
export interface Incident {
	id: string;
	kind: 'pain' | 'stop sign';
	day: number | null;
	said: string;
	area: string | null;
	/** Places of the body that it names. */
	areas: string[];
	/** 0…10; null if it was not said. */
	intensity: number | null;
	feels: string | null;
	exercises: string[];
	at: number;
	decidedAt: number | null;
	decidedBy: string | null;
	decision: IncidentDecision | null;
	note: string | null;
	followUpOn: string | null;
	followedUpAt: number | null;
	/** When sparing or a hold ended; null: it goes on, or there is none. */
	overAt: number | null;
}

/** The newest pain of a person and what was decided about it, as their own page shows it. */
export interface OwnPain {
	areas: string[];
	said: string;
	at: number;
	decidedAt: number | null;
	decision: IncidentDecision | null;
	note: string | null;
	followUpOn: string | null;
	overAt: number | null;
	by: string | null;
}
