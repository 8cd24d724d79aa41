/** Goes through what one person gets of a session, by the rules that fitting keeps to, and names what goes against them. */
import { SPACES, takesWeight } from '../exercise';
import { ceilingKg, type FitProfile } from '../fit';
import { brokenLimits, loadShareOf, missingIn } from '../kit';
import type { Practice } from '../practice';
import { amountOf, loadText, sessionSeconds, type Part, type Session } from '../session';
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

/** What the plan has in the place of a part. */
function plannedAt(planned: Session, own: PersonalSession, b: number, p: number): Part | null {
	const at = own.places[b];
	const inBlock = own.asked.filter(({ block }) => block === at);
	const place = inBlock[p]?.part;
	return at === undefined || place === undefined ? null : (planned.blocks[at]?.parts[place] ?? null);
}

/**
 * What goes against the rules in what a person gets of a session; empty for a sound plan.
 *
 * @param own null where nothing is left of it
 * @param decidedFor names of exercises that a coach decided for this person
 */
export function auditSession(
	planned: Session,
	own: PersonalSession | null,
	profile: FitProfile,
	decidedFor: ReadonlySet<string>,
	practice: Practice
): AuditFinding[] {
	if (!own) return [];
	const { library } = practice;
	const found: AuditFinding[] = [];
	const note = (rule: AuditRule, exercise: string | null, says: string) =>
		found.push({ rule, exercise, says, isDecided: exercise !== null && decidedFor.has(exercise) });
	own.session.blocks.forEach((block, b) => {
		const names = block.parts.map(({ exercise }) => exercise);
		block.parts.forEach((part, p) => {
			const exercise = library.find(part.exercise);
			const before = plannedAt(planned, own, b, p);
			if (!exercise || !before) return;
			const broken = brokenLimits(exercise, profile.limits);
			if (broken.length > 0)
				note('breaks a limit', part.exercise, `${part.exercise} goes against ${listed(broken)}.`);
			if (profile.kit && missingIn(profile.kit, exercise.equipment).length > 0)
				note('not at hand', part.exercise, `${part.exercise} needs what they don’t have.`);
			if (isTooHeavy(part, before, profile, practice))
				note(
					'too heavy',
					part.exercise,
					`${part.exercise} with ${loadText(part) ?? 'its load'} is more than planned, without fewer repetitions.`
				);
			const isChanged = part.exercise !== before.exercise;
			const twice = names.filter((name) => name === part.exercise).length > 1;
			const isPlannedTwice =
				planned.blocks[own.places[b] ?? 0]?.parts.filter((one) => one.exercise === before.exercise).length !==
				1;
			if (isChanged && twice && !isPlannedTwice)
				note('twice in a block', part.exercise, `${part.exercise} comes twice in one block.`);
			const from = library.find(before.exercise);
			if (isChanged && from && SPACES.indexOf(exercise.demands.space) > SPACES.indexOf(from.demands.space))
				note('out of place', part.exercise, `${part.exercise} needs more space than ${before.exercise}.`);
		});
	});
	const [theirs, usual] = [own.session, planned].map((session) => sessionSeconds(session, practice)) as [
		number,
		number
	];
	if (theirs > usual * LONGER.share + LONGER.seconds)
		note('longer', null, `It takes ${Math.round(theirs / 60)} min instead of ${Math.round(usual / 60)}.`);
	return found;
}

/** A load above the planned one without fewer repetitions, or one above the ceiling that the plan does not ask for. */
function isTooHeavy(part: Part, before: Part, { level, limits }: FitProfile, { library }: Practice): boolean {
	const exercise = library.find(part.exercise);
	if (part.kg === null || !exercise || !takesWeight(exercise)) return false;
	const isLess = part.target.kind === before.target.kind && amountOf(part.target) < amountOf(before.target);
	const levels = before.kgByLevel ?? (before.kg === null ? null : [before.kg]);
	if (levels !== null) return part.kg > Math.max(...levels) && !isLess;
	return part.kg > ceilingKg(exercise, level, loadShareOf(limits)) && !isLess;
}
