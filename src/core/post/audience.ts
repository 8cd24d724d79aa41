import type { Level } from '../people';
import { REASON_KINDS, type ReasonGroup, type ReasonKind } from '../triage';

/** Whom a message to several is for. */
export type Audience =
	| { kind: 'all' }
	/** By id. */
	| { kind: 'team'; team: string }
	| { kind: 'level'; level: Level }
	/** Those with an open reason of a group. */
	| { kind: 'need'; group: ReasonGroup }
	/** Those whose day of today is open and without a check-in. */
	| { kind: 'to do' }
	/** Chosen one by one, by id. */
	| { kind: 'people'; ids: readonly string[] };

/** What of somebody decides whether they are meant. */
export interface Addressee {
	id: string;
	team: string | null;
	level: Level;
	reasons: readonly ReasonKind[];
	/** Whether today's work is open and not done. */
	toDo: boolean;
}

/** Whether somebody is meant. */
export function isMeant(one: Addressee, audience: Audience): boolean {
	switch (audience.kind) {
		case 'all':
			return true;
		case 'team':
			return one.team === audience.team;
		case 'level':
			return one.level === audience.level;
		case 'need':
			return one.reasons.some((kind) => REASON_KINDS[kind] === audience.group);
		case 'to do':
			return one.toDo;
		case 'people':
			return audience.ids.includes(one.id);
	}
}
