import type { Rule } from './model';
import { isEverywhere } from './progression';
import { stepDefinition, type Step } from './steps';

/** A step in words: `+2 kg`, `next variation`. */
export const stepText = (step: Step): string => stepDefinition(step.kind).text(step);

/** A rule in words: `Goblet squat: +2 kg every week from week 2`. */
export function ruleText(rule: Rule, session?: string): string {
	const about = isEverywhere(rule.on)
		? rule.on.exercise
		: [session, rule.on.block === undefined ? null : `block ${rule.on.block + 1}`].filter(Boolean).join(', ');
	const steps = rule.steps.map(stepText).join(' and ');
	const restores = rule.steps.some(({ kind }) => stepDefinition(kind).isPlacement);
	const every = restores ? '' : rule.every === 1 ? ' every week' : ` every ${rule.every} weeks`;
	const end = rule.until === null ? '' : ` to week ${rule.until}`;
	return `${about}${about ? ': ' : ''}${steps}${every} ${restores ? 'in' : 'from'} week ${rule.from}${end}`;
}
