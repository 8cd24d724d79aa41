import type { Audience } from '$core/post';
import type { ReasonGroup } from '$core/triage';
import { counted } from '$lib/format';

const NEED: Record<ReasonGroup, string> = {
	safety: 'those with a safety reason',
	unanswered: 'those who haven’t answered the questions',
	retention: 'those who may drop out',
	adaptation: 'those whose load is off',
	praise: 'those who earned praise'
};

/** Whom a message is for, as one says it. @param teamOf the name of a team by its id */
export function audienceText(audience: Audience, teamOf: (id: string) => string): string {
	switch (audience.kind) {
		case 'all':
			return 'everyone';
		case 'team':
			return `team ${teamOf(audience.team)}`;
		case 'level':
			return `level: ${audience.level}`;
		case 'need':
			return NEED[audience.group];
		case 'to do':
			return 'those who haven’t done today';
		case 'people':
			return counted(audience.ids.length, 'person', 'people');
	}
}
