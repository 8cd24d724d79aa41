import { takesWeight, type Exercise, type Library } from '../../exercise';
import {
	clockText,
	compileSession,
	moveBlock,
	movePart,
	putBlock,
	type Block,
	type Part,
	type Session
} from '../../session';
import { goesOverhead, isJump, limitsOf } from '../../kit';
import type { Level } from '../../people';
import { floorChanges } from '../balance';
import { COMMON } from '../../findings';
import { substitute, substituteAt } from '../../substitution';
import type { Check, SessionFinding, Subject } from '../finding';
import { workOf, type Go } from '../work';

/** Minutes of main work after which a beginner's landing gets careless. */
const TIRED_AFTER = 10;

/** The nearest exercise without a jump that those can do whom the session is for. */
const softer = (exercise: Exercise, { fitting, practice }: Subject): Exercise | null =>
	substitute(exercise, { ...fitting, limits: [...fitting.limits, 'no jumps'] }, practice)?.exercise ?? null;

/** A finding with “Use something softer” as its remedy, at one part. */
function landing(
	subject: Subject,
	go: Pick<Go, 'block' | 'partIndex' | 'part'> & { exercise: Exercise },
	said: Pick<SessionFinding, 'rule' | 'title' | 'figure' | 'source'>
): SessionFinding {
	const { session, practice } = subject;
	const to = softer(go.exercise, subject);
	return {
		...said,
		severity: 'safety',
		place: { block: go.block, part: go.partIndex },
		remedy: to && {
			label: `Use ${to.name.toLowerCase()}`,
			apply: () => substituteAt(session, go.block, go.partIndex, to, practice)
		}
	};
}

/** Whether anybody is a beginner, as far as it is known. */
const hasBeginners = ({ group, audience }: Subject): boolean =>
	audience?.level === 'beginner' || (group ? group.beginners > 0 : audience === null);

const jumpsWhenTired: Check = (subject) => {
	const { goes, group } = subject;
	if (!hasBeginners(subject)) return [];
	const seen = new Set<Part>();
	return goes.flatMap((go): SessionFinding[] => {
		const { exercise } = go;
		if (!exercise || !isJump(exercise) || exercise.demands.impact !== 'high') return [];
		if (go.worked < TIRED_AFTER * 60 || seen.has(go.part)) return [];
		seen.add(go.part);
		return [
			landing(
				subject,
				{ ...go, exercise },
				{
					rule: 'jumps when tired',
					title: `${exercise.name} after ${clockText(go.worked)} of work`,
					figure: group
						? `${group.beginners} of ${group.people} are beginners; after ${TIRED_AFTER} min of work their landings get careless.`
						: `After ${TIRED_AFTER} min of work a beginner’s landings get careless.`,
					source: COMMON
				}
			)
		];
	});
};

/**
 * Landings in a session of jumps, by level (Potach and Chu in NSCA, Essentials of Strength Training and Conditioning: 80 to
 * 100 contacts for beginners, 100 to 120 with some experience, 120 to 140 trained; from memory).
 */
const LANDINGS: Readonly<Record<Level, number>> = { beginner: 100, 'some experience': 120, trained: 140 };
const NSCA_LANDINGS =
	'NSCA, Essentials of Strength Training and Conditioning: foot contacts a session, from memory';

const tooManyLandings: Check = (subject) => {
	const { session, timeline, practice, audience, group } = subject;
	const level: Level = audience?.level ?? (group && group.beginners > 0 ? 'beginner' : 'some experience');
	const jumps = workOf(session, timeline, practice.library).filter(
		({ exercise, part }) =>
			exercise && isJump(exercise) && exercise.demands.impact === 'high' && part.target.kind === 'reps'
	);
	const landings = jumps.reduce((sum, { segment }) => sum + segment.reps, 0);
	const [first] = jumps;
	if (!first?.exercise || landings <= LANDINGS[level]) return [];
	return [
		landing(
			subject,
			{ ...first, block: first.segment.block, exercise: first.exercise },
			{
				rule: 'too many landings',
				title: `${landings} landings in one session`,
				figure: `Up to ${LANDINGS[level]} are usual at this level (${level}).`,
				source: NSCA_LANDINGS
			}
		)
	];
};

const GRIP_REST = 60;
const tiresGrip = (e: Exercise | null): boolean =>
	e !== null &&
	(e.primary.includes('forearms') ||
		(e.assisting.includes('forearms') && ['hinge', 'pull down', 'carry', 'lunge'].includes(e.pattern)));
const holdsOverhead = (e: Exercise | null): boolean =>
	e !== null && goesOverhead(e) && e.primary.includes('front shoulder') && takesWeight(e);

const overheadAfterGrip: Check = ({ session, goes }) => {
	const seen = new Set<Part>();
	return goes.flatMap((go, i): SessionFinding[] => {
		const before = goes[i - 1];
		if (!before || !holdsOverhead(go.exercise) || !tiresGrip(before.exercise)) return [];
		if ((go.rested ?? Infinity) >= GRIP_REST || seen.has(go.part)) return [];
		seen.add(go.part);
		const block = session.blocks[go.block];
		const inside = before.block === go.block;
		return [
			{
				rule: 'overhead after grip work',
				severity: 'safety',
				title: `${go.part.exercise} overhead right after ${before.part.exercise}`,
				figure: `${Math.round(go.rested ?? 0)} s between; a tired grip over the head wants ${GRIP_REST} s.`,
				place: { block: go.block, part: go.partIndex },
				source: COMMON,
				remedy: {
					label: 'Do the overhead work first',
					apply: (): Session =>
						inside && block
							? putBlock(session, go.block, movePart(block, go.partIndex, before.partIndex))
							: moveBlock(session, go.block, before.block)
				}
			}
		];
	});
};

const isDown = ({ exercise }: Part, library: Library): boolean => {
	const found = library.find(exercise);
	return found !== null && found.demands.floorTransfer;
};

/** The exercises of a block with those on the floor together. */
function floorTogether(block: Block, library: Library): Block {
	const order = block.parts.map((part, i) => ({ i, down: isDown(part, library) }));
	const sorted = [...order.filter(({ down }) => !down), ...order.filter(({ down }) => down)];
	const parts = sorted.map(({ i }) => block.parts[i]).filter((part) => part !== undefined);
	return { ...block, parts };
}

/** Whether getting down and up is hard for anybody. */
const mindsTheFloor = ({ audience, group }: Subject): boolean =>
	[...(audience?.conditions ?? []).flatMap(limitsOf), ...(group?.limits ?? [])].some((limit) =>
		['no balance without support', 'no kneeling', 'easy on the hips', 'easy on the back'].includes(limit)
	);

/** Times down and up where every block is gone through once: what a circuit asks for by its order, and not by its rounds. */
function changesOfOrder({ blocks }: Session, library: Library): number {
	let down = false;
	let changes = 0;
	for (const part of blocks.flatMap(({ parts }) => parts)) {
		if (isDown(part, library) && !down) changes++;
		down = isDown(part, library);
	}
	return changes;
}

const floor: Check = (subject) => {
	const { session, balance, practice } = subject;
	const { library, house } = practice;
	const changes = balance.floorChanges;
	const counts = mindsTheFloor(subject) ? changes : changesOfOrder(session, library);
	if (counts <= house.floorChanges) return [];
	const sorted: Session = {
		...session,
		blocks: session.blocks.map((block) =>
			'groups' in block || block.role === 'cool-down' ? block : floorTogether(block, library)
		)
	};
	const after = floorChanges(sorted, compileSession(sorted, practice), library);
	return [
		{
			rule: 'down to the floor and up',
			severity: 'watch',
			title: `Down to the floor and up ${changes} times`,
			figure: `${house.floorChanges} are the house rule; whoever has poor balance or is over 65 does them all with a chair in reach.`,
			place: null,
			source: COMMON,
			remedy:
				after < changes ? { label: `Put floor work together: ${after} times`, apply: () => sorted } : null
		}
	];
};

export const PEOPLE_CHECKS: readonly Check[] = [jumpsWhenTired, tooManyLandings, overheadAfterGrip, floor];
