import type { HoldReason } from '$core/health';

/** Why nothing is released to a person, in the words of a coach's lists. */
export const HOLD_TEXT: Record<HoldReason, string> = {
	questions: 'questions not answered',
	clearance: 'needs an OK from a professional',
	'clearance over': 'clearance has run out',
	pain: 'on hold because of pain',
	stopped: 'stopped at a warning sign'
};
