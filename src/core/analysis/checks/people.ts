import type { Exercise, Library } from '../../exercise';
import {
	clockText,
	compileSession,
	moveBlock,
	movePart,
	putBlock,
	putPart,
	type Block,
	type Part,
	type Session
} from '../../session';
import { goesOverhead, onFloor } from '../../kit';
import { floorChanges } from '../balance';
import { COMMON } from '../../findings';
import { type Check, type SessionFinding } from '../finding';
import { substitutePart } from '../../substitution';

/** Minutes of main work after which a beginner's landing gets careless. */
const TIRED_AFTER = 10;

/** The nearest easier form that does not land hard. */
function softer(exercise: Exercise, library: Library): Exercise | null {
	for (let next = library.easier(exercise.name); next; next = library.easier(next.name))
		if (next.impact !== 'high') return next;
	return null;
}

const jumpsWhenTired: Check = ({ session, goes, practice, group }) => {
	if (group !== null && group.beginners === 0) return [];
	const seen = new Set<Part>();
	return goes.flatMap((go): SessionFinding[] => {
		if (go.exercise?.impact !== 'high' || go.worked < TIRED_AFTER * 60 || seen.has(go.part)) return [];
		seen.add(go.part);
		const to = softer(go.exercise, practice.library);
		const block = session.blocks[go.block];
		return [
			{
				rule: 'jumps when tired',
				severity: 'safety',
				title: `${go.exercise.name} after ${clockText(go.worked)} of work`,
				figure: group
					? `${group.beginners} of ${group.people} are beginners; after ${TIRED_AFTER} min of work their landings get careless.`
					: `After ${TIRED_AFTER} min of work a beginner’s landings get careless.`,
				place: { block: go.block, part: go.partIndex },
				source: COMMON,
				remedy:
					to && block
						? {
								label: `Use ${to.name.toLowerCase()}`,
								apply: () =>
									putBlock(
										session,
										go.block,
										putPart(block, go.partIndex, substitutePart(go.part, to, practice))
									)
							}
						: null
			}
		];
	});
};

const GRIP_REST = 60;
const tiresGrip = (e: Exercise | null): boolean =>
	e !== null &&
	(e.primary.includes('forearms') ||
		(e.assisting.includes('forearms') && ['hinge', 'pull down', 'carry', 'lunge'].includes(e.pattern)));
const holdsOverhead = (e: Exercise | null): boolean =>
	e !== null &&
	goesOverhead(e) &&
	e.primary.includes('front shoulder') &&
	e.equipment.some((need) => /dumbbell|backpack/.test(need.item));

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
	return found !== null && onFloor(found);
};

/** The exercises of a block with those on the floor together. */
function floorTogether(block: Block, library: Library): Block {
	const order = block.parts.map((part, i) => ({ i, down: isDown(part, library) }));
	const sorted = [...order.filter(({ down }) => !down), ...order.filter(({ down }) => down)];
	const parts = sorted.map(({ i }) => block.parts[i]).filter((part) => part !== undefined);
	return { ...block, parts };
}

const floor: Check = ({ session, balance, practice }) => {
	const { library, house } = practice;
	const changes = balance.floorChanges;
	if (changes <= house.floorChanges) return [];
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

export const PEOPLE_CHECKS: readonly Check[] = [jumpsWhenTired, overheadAfterGrip, floor];
