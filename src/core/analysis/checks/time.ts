import { clockText, formatOf, newSteady, putBlock } from '../../session';
import { COMMON } from '../../findings';
import type { Check, SessionFinding } from '../finding';

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

const intervalsAfterLifting: Check = ({ session, timeline }) => {
	let lifted = 0;
	return session.blocks.flatMap((block, b): SessionFinding[] => {
		const { cardio, lifting } = formatOf(block);
		if (block.role === 'main' && lifting) lifted += timeline.blocks[b]?.seconds ?? 0;
		if (cardio !== 'hard' || lifted < LONG_LIFTING * 60) return [];
		const hard = timeline.segments
			.filter((segment) => segment.block === b && segment.hard)
			.reduce((sum, segment) => sum + segment.seconds, 0);
		return [
			{
				rule: 'hard intervals after lifting',
				severity: 'watch',
				title: `${clockText(hard)} of hard intervals after ${Math.round(lifted / 60)} min of lifting`,
				figure: `From ${LONG_LIFTING} min of lifting on, hard intervals go to a day of their own.`,
				place: { block: b },
				source: COMMON,
				remedy: {
					label: 'Make them ten steady minutes',
					apply: () => putBlock(session, b, newSteady(STEADY, block.role))
				}
			}
		];
	});
};

export const TIME_CHECKS: readonly Check[] = [overBudget, intervalsAfterLifting];
