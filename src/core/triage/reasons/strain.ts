import { mean } from 'simple-statistics';
import { percent } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { answersOf, latelyAndBefore, trainingOf } from '../history';

/** Changes that are more than those of one day to the next. Common practice, no source. */
const EFFORT_UP = 1.5;
const CREDIT_DOWN = 0.15;

interface StrainFigures {
	/** Mean effort, 0…10, and mean share done, 0…1. */
	effort: number;
	effortBefore: number;
	credit: number;
	creditBefore: number;
}

export const strain: ReasonDefinition<'strain', StrainFigures> = {
	kind: 'strain',
	group: 'retention',
	title: 'Works harder, does less',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find(facts) {
		const both = latelyAndBefore(trainingOf(facts).filter(({ effort }) => effort !== null));
		if (!both) return null;
		const [effort, effortBefore] = [
			mean(answersOf(both.lately, 'effort')),
			mean(answersOf(both.before, 'effort'))
		];
		const [credit, creditBefore] = [both.lately, both.before].map((some) =>
			mean(some.map((one) => one.credit))
		) as [number, number];
		return effort - effortBefore >= EFFORT_UP && creditBefore - credit >= CREDIT_DOWN
			? { since: both.lately[0]!.at, effort, effortBefore, credit, creditBefore }
			: null;
	},
	sentence: ({ effort, effortBefore, credit, creditBefore }) =>
		`Effort ${effort.toFixed(1)} of 10 in the last three sessions, ${effortBefore.toFixed(1)} before. ${percent(credit)} of the work done, ${percent(creditBefore)} before.`,
	draft: () => ({
		says: 'The last sessions were harder for you and you got less of them done.',
		offers: 'Would a bit less this week help?',
		asks: 'What took the most out of you?',
		kindly: NO_HURRY
	})
};
