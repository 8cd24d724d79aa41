/** Goes through what one person gets of a session, by the rules that fitting keeps to, and names what goes against them. */
import { SPACES, takesWeight, type Exercise } from '../exercise';
import { ceilingKg, type FitProfile } from '../fit';
import { brokenLimits, loadShareOf, missingIn } from '../kit';
import type { Practice } from '../practice';
import { amountOf, loadText, type Part, type Session } from '../session';
import { listed } from '../text/words';
import type { PersonalSession } from './personal';

export const AUDIT_RULES = [
	'breaks a limit',
	'not at hand',
	'too heavy',
	'twice in a block',
	'out of place',
	'longer'
] as const;
export type AuditRule = (typeof AUDIT_RULES)[number];

export interface AuditFinding {
	rule: AuditRule;
	/** The exercise as the person gets it; null for the session as a whole. */
	exercise: string | null;
	/** What was seen, as a sentence. */
	says: string;
	/** Whether a coach decided it for this person. */
	isDecided: boolean;
}

/** A session may take so much longer than planned: a share of it, and seconds beside. */
const LONGER = { share: 1.15, seconds: 60 } as const;

/**
 * What goes against the rules in what a person gets of a session; empty for a sound plan.
 *
 * @param own null where nothing is left of it
 * @param seconds expected lengths of what they get and of the plan
 * @param decidedFor names of exercises that a coach decided for this person
 */
export function auditSession(
	planned: Session,
	own: PersonalSession | null,
	profile: FitProfile,
	seconds: { own: number; planned: number },
	decidedFor: ReadonlySet<string>,
	practice: Practice
): AuditFinding[] {
	if (!own) return [];
	const { library } = practice;
	const found: AuditFinding[] = [];
	const note = (rule: AuditRule, exercise: string | null, says: string) =>
		found.push({ rule, exercise, says, isDecided: exercise !== null && decidedFor.has(exercise) });
	// What is asked for is in the order of the blocks and parts, each with its place in the plan.
	let at = 0;
	for (const block of own.session.blocks) {
		const names = block.parts.map(({ exercise }) => exercise);
		for (const part of block.parts) {
			const place = own.asked[at++];
			const exercise = library.find(part.exercise);
			const inPlan = place && planned.blocks[place.block]?.parts;
			const before = inPlan?.[place?.part ?? 0];
			if (!exercise || !before) continue;
			const broken = brokenLimits(exercise, profile.limits);
			if (broken.length > 0)
				note('breaks a limit', part.exercise, `${part.exercise} goes against ${listed(broken)}.`);
			if (profile.kit && missingIn(profile.kit, exercise.equipment).length > 0)
				note('not at hand', part.exercise, `${part.exercise} needs what they don’t have.`);
			if (isTooHeavy(part, before, exercise, profile))
				note(
					'too heavy',
					part.exercise,
					`${part.exercise} with ${loadText(part) ?? 'its load'} is more than planned, without fewer repetitions.`
				);
			if (part.exercise === before.exercise) continue;
			const isPlannedTwice = inPlan.filter((one) => one.exercise === before.exercise).length > 1;
			if (!isPlannedTwice && names.filter((name) => name === part.exercise).length > 1)
				note('twice in a block', part.exercise, `${part.exercise} comes twice in one block.`);
			const from = library.find(before.exercise);
			if (from && SPACES.indexOf(exercise.demands.space) > SPACES.indexOf(from.demands.space))
				note('out of place', part.exercise, `${part.exercise} needs more space than ${before.exercise}.`);
		}
	}
	if (seconds.own > seconds.planned * LONGER.share + LONGER.seconds)
		note(
			'longer',
			null,
			`It takes ${Math.round(seconds.own / 60)} min instead of ${Math.round(seconds.planned / 60)}.`
		);
	return found;
}

/** A load above the planned one without fewer repetitions, or one above the ceiling that the plan does not ask for. */
function isTooHeavy(part: Part, before: Part, exercise: Exercise, { level, limits }: FitProfile): boolean {
	if (part.kg === null || !takesWeight(exercise)) return false;
	const isLess = part.target.kind === before.target.kind && amountOf(part.target) < amountOf(before.target);
	const levels = before.kgByLevel ?? (before.kg === null ? null : [before.kg]);
	if (levels !== null) return part.kg > Math.max(...levels) && !isLess;
	return part.kg > ceilingKg(exercise, level, loadShareOf(limits)) && !isLess;
}
