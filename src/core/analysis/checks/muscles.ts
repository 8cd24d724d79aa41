import type { Exercise, Muscle } from '../../exercise';
import { canDoWith, kitOfItems } from '../../kit';
import {
	formatOf,
	insertBlock,
	movePart,
	newSets,
	putBlock,
	type Block,
	type Part,
	type Session
} from '../../session';
import { canDo } from '../../substitution';
import { leanings } from '../balance';
import { COMMON } from '../../findings';
import { type Check, type SessionFinding, type Subject } from '../finding';
import { capital, listed } from '../../text/words';
import type { Go } from '../work';

/** Seconds after which the same muscle counts as rested enough for light work of another exercise. */
const SHORT_REST = 30;

const shared = (a: Exercise | null, b: Exercise | null): Muscle[] =>
	a && b ? a.primary.filter((muscle) => b.primary.includes(muscle)) : [];
const strength = (go: Go): boolean =>
	go.exercise !== null && !['stretch', 'mobility', 'step'].includes(go.exercise.pattern);

const isTrunk = ({ exercise }: Go): boolean => exercise?.pattern === 'trunk';

interface Clash {
	block: number;
	part: number;
	before: Go;
	go: Go;
	muscles: Muscle[];
}

/** Pairs of different exercises on the same muscle with hardly a rest between, each pair once. */
function clashesOf({ session, goes }: Subject): Clash[] {
	const seen = new Set<string>();
	return goes.flatMap((go, i): Clash[] => {
		const before = goes[i - 1];
		if (!before || session.blocks[go.block]?.role !== 'main' || !strength(go) || !strength(before)) return [];
		if (go.part === before.part || (go.rested ?? Infinity) >= SHORT_REST) return [];
		// The other arm is not the same muscle again, and a block for the trunk is meant to be one.
		if (go.exercise === before.exercise || (isTrunk(go) && isTrunk(before))) return [];
		const muscles = shared(before.exercise, go.exercise);
		const key = `${before.block}.${before.partIndex}-${go.block}.${go.partIndex}`;
		if (muscles.length === 0 || seen.has(key)) return [];
		seen.add(key);
		return [{ block: go.block, part: go.partIndex, before, go, muscles }];
	});
}

/** Shared muscles between neighbours of a round, round and round. */
const clashCount = (block: Block, subject: Subject): number =>
	block.parts.reduce((sum, part, i) => {
		const next = block.parts[(i + 1) % block.parts.length];
		if (!next || next === part) return sum;
		return (
			sum +
			shared(subject.practice.library.find(part.exercise), subject.practice.library.find(next.exercise))
				.length
		);
	}, 0);

/** The block with one exercise moved so that fewer neighbours share a muscle; null when no move helps. */
function betterOrder(block: Block, subject: Subject): Block | null {
	let best: { block: Block; count: number } = { block, count: clashCount(block, subject) };
	for (let from = 0; from < block.parts.length; from++)
		for (let to = 0; to < block.parts.length; to++) {
			const moved = movePart(block, from, to);
			const count = clashCount(moved, subject);
			if (count < best.count) best = { block: moved, count };
		}
	return best.block === block ? null : best.block;
}

/** What no order of its block mends is meant as it is, as in a circuit for the legs. */
const isMeant = ({ before, block }: Clash, order: Block | null): boolean => before.block === block && !order;

/** One hint a block for all that is meant. */
const oneAfterTheOther = (meant: readonly Clash[], session: Session): SessionFinding[] =>
	session.blocks.flatMap((block, b): SessionFinding[] => {
		const here = meant.filter((clash) => clash.block === b);
		if (here.length === 0) return [];
		const muscles = [...new Set(here.flatMap((clash) => clash.muscles))];
		const longer = formatOf(block).withRestInside?.(block, SHORT_REST);
		return [
			{
				rule: 'same muscle without recovery',
				severity: 'hint',
				title: `${capital(listed(muscles))} all the way through`,
				figure: `${listed([...new Set(here.flatMap(({ before, go }) => [before.part.exercise, go.part.exercise]))])} follow each other with less than ${SHORT_REST} s of rest.`,
				place: { block: b },
				source: COMMON,
				remedy: longer
					? { label: `Rest ${SHORT_REST} s inside`, apply: () => putBlock(session, b, longer) }
					: null
			}
		];
	});

/** Those for which something holds, and the others. */
const partition = <T>(all: readonly T[], holds: (one: T) => boolean): [T[], T[]] => [
	all.filter(holds),
	all.filter((one) => !holds(one))
];

const noRecovery: Check = (subject) => {
	const { session } = subject;
	const orders = new Map<number, Block | null>();
	const orderOf = (b: number): Block | null => {
		const block = session.blocks[b];
		if (block && !orders.has(b)) orders.set(b, betterOrder(block, subject));
		return orders.get(b) ?? null;
	};
	const [meant, wrong] = partition(clashesOf(subject), (clash) => isMeant(clash, orderOf(clash.block)));
	const more = wrong.map((clash): SessionFinding => {
		const block = session.blocks[clash.block];
		const order = orderOf(clash.block);
		const rest = Math.round(clash.go.rested ?? 0);
		const longer =
			block && clash.before.block === clash.block
				? formatOf(block).withRestInside?.(block, SHORT_REST)
				: undefined;
		return {
			rule: 'same muscle without recovery',
			severity: 'watch',
			title: `${clash.before.part.exercise}, then ${clash.go.part.exercise}: ${clash.muscles.join(' and ')} again`,
			figure: `${rest} s between; under ${SHORT_REST} s the second one suffers.`,
			place: { block: clash.block, part: clash.part },
			source: COMMON,
			remedy: order
				? { label: 'Change the order', apply: () => putBlock(session, clash.block, order) }
				: longer
					? { label: `Rest ${SHORT_REST} s inside`, apply: () => putBlock(session, clash.block, longer) }
					: null
		};
	});
	return [...more, ...oneAfterTheOther(meant, session)];
};

/** Pulls in the order in which they are offered: loaded ones first, then what everyone can do. */
const PULLS = [
	'Bent-over row',
	'One-arm row',
	'Backpack row',
	'Band row',
	'Seated band row',
	'Band pull-apart',
	'Towel row'
];

/** A pull with what the pushes are done with, for those whom the session is for; null where there is none. */
function pullFor({ practice: { library }, fitting }: Subject, push: Part): Part | null {
	const kit = kitOfItems(library.find(push.exercise)?.equipment.map((need) => need.item) ?? []);
	const pulls = PULLS.flatMap((name) => library.find(name) ?? []).filter((pull) => canDo(pull, fitting));
	const pull = pulls.find((exercise) => canDoWith(kit, exercise)) ?? pulls.at(-1);
	if (!pull) return null;
	return {
		exercise: pull.name,
		target: { kind: 'reps', reps: 10 },
		perSide: pull.perSide,
		tempo: null,
		kg: pull.equipment.some(({ item }) => item === 'dumbbell') ? push.kg : null
	};
}

const pullMissing: Check = (subject) => {
	const { session, balance, practice } = subject;
	const { library } = practice;
	const { a: pull, b: push } = balance.pullPush;
	if (push < 2 || pull >= push / 2) return [];
	const isPush = (part: Part) => {
		const exercise = library.find(part.exercise);
		return exercise !== null && leanings(exercise).push > 0;
	};
	const pushes = session.blocks.map((block) =>
		block.role === 'main' ? block.parts.find(isPush) : undefined
	);
	const at = pushes.findLastIndex((part) => part !== undefined);
	const part = pushes[at];
	const sets = Math.min(4, Math.max(1, Math.ceil(push - pull)));
	const row = part ? pullFor(subject, part) : null;
	return [
		{
			rule: 'pull missing for push',
			severity: 'watch',
			title: pull === 0 ? `${push} sets of push and no pull` : `${push} sets of push, ${pull} of pull`,
			figure: 'About as much pull as push is usual.',
			place: at >= 0 ? { block: at } : null,
			source: COMMON,
			remedy: row && {
				label: `Add ${sets} × 10 ${row.exercise.toLowerCase()}`,
				apply: (): Session => insertBlock(session, at + 1, newSets(row, sets))
			}
		}
	];
};

const usesFrontShoulder = (exercise: Exercise | null): boolean =>
	exercise !== null &&
	['push forward', 'push up', 'raise', 'combination', 'elbow extension'].includes(exercise.pattern) &&
	[...exercise.primary, ...exercise.assisting].includes('front shoulder');

const frontShoulder: Check = ({ session, goes, practice: { library } }) => {
	let run: Go[] = [];
	for (const go of goes) {
		if (!usesFrontShoulder(go.exercise) || session.blocks[go.block]?.role !== 'main') run = [];
		else if (!run.some((before) => before.part === go.part)) run = [...run, go];
		if (run.length < 3) continue;
		const block = session.blocks[go.block];
		const other = block?.parts.findIndex((part) => !usesFrontShoulder(library.find(part.exercise))) ?? -1;
		return [
			{
				rule: 'front of the shoulder in a row',
				severity: 'watch',
				title: 'The front of the shoulder three times in a row',
				figure: run.map((r) => r.part.exercise).join(', '),
				place: { block: go.block, part: go.partIndex },
				source: COMMON,
				remedy:
					block && other >= 0
						? {
								label: `Put ${block.parts[other]?.exercise} between`,
								apply: () =>
									putBlock(
										session,
										go.block,
										movePart(block, other, other < go.partIndex ? go.partIndex - 1 : go.partIndex)
									)
							}
						: null
			}
		];
	}
	return [];
};

export const MUSCLE_CHECKS: readonly Check[] = [noRecovery, pullMissing, frontShoulder];
