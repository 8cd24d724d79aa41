import type { Library } from '../library';
import type { Session, Timeline, TimelineOptions } from '../session';
import type { Balance } from './balance';
import type { HouseRules } from './house';
import type { Go } from './work';

export interface Place {
	block: number;
	part?: number;
}

/** What can be done about a finding with one click: a changed session, or a panel that helps further. */
export type Remedy = { label: string; apply: () => Session } | { label: string; opens: 'fit' };

/** Something a coach would see in a session if she looked long enough. */
export interface Finding {
	rule: string;
	/** `safety` comes first and is shown in its own colour. */
	weight: 'safety' | 'watch' | 'hint';
	title: string;
	/** The figure that it hangs on, and what would be usual. */
	figure: string;
	place: Place | null;
	/** Published source, or “common practice, no source”. */
	source: string;
	remedy: Remedy | null;
}

export const COMMON = 'common practice, no source';

/** Whom the session is for, as far as it is known. */
export interface Group {
	people: number;
	beginners: number;
}

export interface Subject {
	session: Session;
	timeline: Timeline;
	/** Worked out once for all checks. */
	goes: Go[];
	balance: Balance;
	library: Library;
	house: HouseRules;
	options: TimelineOptions;
	budgetMinutes: number | null;
	group: Group | null;
}

export type Check = (subject: Subject) => Finding[];
