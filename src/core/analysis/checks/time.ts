import { clockText, formatOf, newSteady, putBlock, putPart, type Block, type Role } from '../../session';
import { COMMON } from '../../findings';
import { substitute } from '../../substitution';
import type { Check, SessionFinding, Subject } from '../finding';

const overBudget: Check = ({ timeline, budgetMinutes }) => {
	const over = timeline.totals.duration - (budgetMinutes ?? Infinity) * 60;
	if (!(over > 0)) return [];
	return [
		{
			rule: 'over budget',
			severity: 'watch',
			title: `${clockText(over)} over the budget of ${budgetMinutes} min`,
			figure: `${clockText(timeline.totals.duration)} as planned.`,
			place: null,
			source: 'the challenge’s own time budget',
			remedy: { label: 'Show ways to fit', opens: 'fit' }
		}
	];
};

/** Minutes of lifting after which hard intervals come too late. */
const LONG_LIFTING = 20;
/** A steady stretch that takes the place of intervals, minutes. */
const STEADY = 10;

/** A steady stretch in place of intervals, done by those whom the session is for; null where none is. */
function steadyFor({ fitting, practice }: Subject, role: Role): Block | null {
	const block = newSteady(STEADY, role);
	const [part] = block.parts;
	const usual = part && practice.library.find(part.exercise);
	const found = usual && substitute(usual, fitting, practice)?.exercise;
	return part && found ? putPart(block, 0, { ...part, exercise: found.name }) : null;
}

const intervalsAfterLifting: Check = (subject) => {
	const { session, timeline } = subject;
	let lifted = 0;
	return session.blocks.flatMap((block, b): SessionFinding[] => {
		const { cardio, lifting } = formatOf(block);
		if (block.role === 'main' && lifting) lifted += timeline.blocks[b]?.seconds ?? 0;
		if (cardio !== 'hard' || lifted < LONG_LIFTING * 60) return [];
		const hard = timeline.segments
			.filter((segment) => segment.block === b && segment.hard)
			.reduce((sum, segment) => sum + segment.seconds, 0);
		const steady = steadyFor(subject, block.role);
		return [
			{
				rule: 'hard intervals after lifting',
				severity: 'watch',
				title: `${clockText(hard)} of hard intervals after ${Math.round(lifted / 60)} min of lifting`,
				figure: `From ${LONG_LIFTING} min of lifting on, hard intervals go to a day of their own.`,
				place: { block: b },
				source: COMMON,
				remedy: steady && {
					label: 'Make them ten steady minutes',
					apply: () => putBlock(session, b, steady)
				}
			}
		];
	});
};

export const TIME_CHECKS: readonly Check[] = [overBudget, intervalsAfterLifting];
