/** The most pressing first; each has its own mark on the screen. */
export const SEVERITIES = ['safety', 'watch', 'hint'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** What can be done about a finding with one click: the thing changed, or a panel that helps further. */
export type Remedy<Change, Panel extends string = never> =
	{ label: string; apply: Change } | ([Panel] extends [never] ? never : { label: string; opens: Panel });

/**
 * Something that a coach would see if she looked long enough: in a session, a plan, a group or a person.
 *
 * @typeParam Place where it is: a block of a session, days of a plan
 * @typeParam Change what its remedy does
 */
export interface Finding<Place, Change, Panel extends string = never> {
	rule: string;
	severity: Severity;
	title: string;
	/** The figures that it hangs on, and what would be usual. */
	figure: string;
	place: Place;
	/** Published source, or “common practice, no source”. */
	source: string;
	remedy: Remedy<Change, Panel> | null;
}

/** Safety first, then what to watch, then hints; within those as they came. */
export const bySeverity = <F extends { severity: Severity }>(findings: readonly F[]): F[] =>
	[...findings].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));

/** What two findings have in common that are the same one, before and after a change. */
export const keyOfFinding = ({ rule, title }: { rule: string; title: string }): string => `${rule} ${title}`;
