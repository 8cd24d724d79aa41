import { object, string } from 'yup';
import { STOP_SIGN_KEYS } from '$core/health';
import { date, words } from './values';

export const INCIDENT_DECISIONS = ['give back', 'replace', 'keep off', 'cleared'] as const;
export type IncidentDecision = (typeof INCIDENT_DECISIONS)[number];

/** What a coach decides about pain or a sign to stop at. */
export const decisionSchema = object({
	decision: string()
		.oneOf([...INCIDENT_DECISIONS], 'say what happens now')
		.required('say what happens now'),
	exercise: words(80),
	note: words(1000),
	/** Empty: it needs no looking after. */
	followUpOn: string().when({
		is: (value: string | undefined) => Boolean(value),
		then: () => date('choose a day of the calendar', 'choose a day')
	})
});

/** Somebody had to stop. */
export const stopSchema = object({
	id: string().uuid('the id of a report is a UUID').required('a report carries its own id'),
	sign: string().oneOf(STOP_SIGN_KEYS, 'say which sign it was').required('say which sign it was'),
	note: words(1000)
});

/** Pain, or a sign at which somebody stopped, with what was decided. Instants are epoch milliseconds. */
export interface Incident {
	id: string;
	kind: 'pain' | 'stop sign';
	day: number | null;
	said: string;
	area: string | null;
	feels: string | null;
	exercises: string[];
	at: number;
	decidedAt: number | null;
	decidedBy: string | null;
	decision: IncidentDecision | null;
	note: string | null;
	followUpOn: string | null;
	followedUpAt: number | null;
}
