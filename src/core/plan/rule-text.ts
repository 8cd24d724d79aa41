import type { Rule, Step } from './model';
import { isEverywhere } from './progression';

/** One step in words: `+2 kg`, `next variation`. */
export function stepText(step: Step): string {
	switch (step.kind) {
		case 'load':
			return `+${step.kg} kg`;
		case 'reps':
			return `+${step.reps} ${step.reps === 1 ? 'rep' : 'reps'}`;
		case 'seconds':
			return `+${step.seconds} s`;
		case 'rounds':
			return `+${step.rounds} ${step.rounds === 1 ? 'round' : 'rounds'}`;
		case 'rest':
			return `−${step.seconds} s rest`;
		case 'tempo':
			return `${step.seconds} s slower down`;
		case 'variation':
			return 'next variation';
		case 'double':
			return `+1 rep up to ${step.top}, then +${step.kg} kg`;
		case 'restore':
			return 'put back';
	}
}

/** A rule in words: `Goblet squat: +2 kg every week from week 2`. */
export function ruleText(rule: Rule, session?: string): string {
	const about = isEverywhere(rule.on)
		? rule.on.exercise
		: [session, rule.on.block === undefined ? null : `block ${rule.on.block + 1}`].filter(Boolean).join(', ');
	const steps = rule.steps.map(stepText).join(' and ');
	const restores = rule.steps.some(({ kind }) => kind === 'restore');
	const every = restores ? '' : rule.every === 1 ? ' every week' : ` every ${rule.every} weeks`;
	const end = rule.until === null ? '' : ` to week ${rule.until}`;
	return `${about}${about ? ': ' : ''}${steps}${every} ${restores ? 'in' : 'from'} week ${rule.from}${end}`;
}
