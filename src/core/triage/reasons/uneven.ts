import { mean } from 'simple-statistics';
import { weakerOf } from '../../progress';
import { percent } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { LATELY } from '../history';

interface UnevenFigures {
	exercise: string;
	side: 'left' | 'right';
	/** Share of the other side, 0…1. */
	behind: number;
	/** Times in a row. */
	times: number;
}

/** The same side behind the last times that an exercise was done; of several exercises the one furthest behind. */
export const uneven: ReasonDefinition<'uneven', UnevenFigures> = {
	kind: 'uneven',
	group: 'adaptation',
	title: 'One side behind',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find({ checkins }) {
		const done = checkins.flatMap(({ at, sides }) => sides.map((one) => ({ at, ...one })));
		const behind = [...new Set(done.map(({ exercise }) => exercise))].flatMap((exercise) => {
			const newest = done.filter((one) => one.exercise === exercise).slice(0, LATELY);
			const weaker = newest.flatMap((one) => weakerOf(one) ?? []);
			const [first] = weaker;
			return first && weaker.length === LATELY && weaker.every(({ side }) => side === first.side)
				? [
						{
							since: newest[0]!.at,
							exercise,
							side: first.side,
							behind: mean(weaker.map((one) => one.behind))
						}
					]
				: [];
		});
		const [furthest] = behind.sort((a, b) => b.behind - a.behind || a.exercise.localeCompare(b.exercise));
		return furthest ? { times: LATELY, ...furthest } : null;
	},
	sentence: ({ exercise, side, behind, times }) =>
		`${exercise}: the ${side} side did ${percent(behind)} less than the other, ${times} times running.`,
	draft: ({ exercise, side }) => ({
		says: `Your ${side} side does less than the other: ${exercise.toLowerCase()}.`,
		offers: 'Begin with it, and let the other side do no more than it did.',
		asks: 'Does anything hurt there, or is it just not as strong?',
		kindly: NO_HURRY
	})
};
