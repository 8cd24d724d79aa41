import { checkSession, type CheckOptions } from '$core/analysis/check-session';
import type { Practice } from '$core/practice';
import { parseSessionText } from '$core/session';
import { lineOf, PRACTICE } from './practice';

/** The findings of one rule in a session: title, figure, place, label of the remedy, and the lines after it. */
export function found(text: string, rule: string, options: CheckOptions = {}, practice: Practice = PRACTICE) {
	const { session, faults } = parseSessionText(text, practice, 'keep');
	if (faults[0]) throw new Error(faults[0].message);
	return checkSession(session, practice, options)
		.filter((finding) => finding.rule === rule)
		.map(({ title, figure, place, remedy }) => ({
			title,
			figure,
			place,
			label: remedy?.label ?? null,
			lines: remedy && 'apply' in remedy ? remedy.apply().blocks.map(lineOf) : null
		}));
}

/** The session after the remedy of the first, line by line. */
export const linesAfter = (
	text: string,
	rule: string,
	options: CheckOptions = {},
	practice: Practice = PRACTICE
) => found(text, rule, options, practice)[0]?.lines;
