import type { Practice } from '../../practice';
import { parseSessionText, sessionSeconds } from '../../session';
import { STARTERS } from './starter-sessions';
import type { Template } from './templates';

/** Minutes that the sessions of a template take, from the shortest to the longest, tests left out. */
export function minutesOf(
	{ week }: Pick<Template, 'week'>,
	practice: Practice
): { least: number; most: number } {
	const minutes = week.flatMap((day) => {
		if (!day) return [];
		const { session } = parseSessionText(STARTERS[day[0]].lines.join('\n'), practice);
		return [Math.round(sessionSeconds(session, practice) / 60)];
	});
	return { least: Math.min(...minutes), most: Math.max(...minutes) };
}
