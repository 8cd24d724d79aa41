import type { Finding } from '../findings';
import type { Limitation } from '../kit';
import type { Audience } from '../people';
import type { Practice } from '../practice';
import type { Session, Timeline } from '../session';
import type { Fitting } from '../substitution';
import type { Balance } from './balance';
import type { Go } from './work';

/** A block of a session, or an exercise in it; null: the session as a whole. */
export type Place = { block: number; part?: number } | null;

/** Found in a session; its remedy gives a changed one, or opens a panel that helps further. */
export type SessionFinding = Finding<Place, () => Session, 'fit'>;

/** Who is enrolled. */
export interface Group {
	people: number;
	beginners: number;
	/** What somebody among them must not be asked for. */
	limits: readonly Limitation[];
}

export interface Subject {
	session: Session;
	timeline: Timeline;
	/** Worked out once for all checks. */
	goes: Go[];
	balance: Balance;
	practice: Practice;
	budgetMinutes: number | null;
	group: Group | null;
	/** Whom the challenge is made for; null: not known. */
	audience: Audience | null;
	/** What proposals keep to. */
	fitting: Fitting;
}

export type Check = (subject: Subject) => SessionFinding[];
