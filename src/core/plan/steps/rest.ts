import { PLAN_LIMITS } from '../limits';
import type { StepDefinition } from './definition';

/** Rest that is always left between two sets, in seconds. */
const LEAST_REST = 5;

export const rest: StepDefinition<{ kind: 'rest'; seconds: number }> = {
	kind: 'rest',
	label: 'less rest',
	fields: [
		{ key: 'seconds', unit: 's less', says: 'seconds of rest a step', most: PLAN_LIMITS.seconds, step: 5 }
	],
	initial: { kind: 'rest', seconds: 5 },
	text: ({ seconds }) => `−${seconds} s rest`,
	changeBlock: ({ seconds }, times, block) =>
		block.turn('rest', (_, now) => {
			const least = Math.min(now, LEAST_REST);
			if (times > 0 && now - times * seconds < least)
				block.stuck(`no more than ${now - least} s of rest to take away`);
			return Math.max(least, now - times * seconds);
		})
};
