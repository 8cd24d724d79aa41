import { DAY_MS } from '../../calendar';
import { gainWords, type BestResult } from '../../progress';
import { PROUD, type ReasonDefinition } from '../definition';
import { NEWS_DAYS } from '../history';

interface BestFigures {
	day: number;
	result: BestResult;
}

export const best: ReasonDefinition<'best', BestFigures> = {
	kind: 'best',
	group: 'praise',
	title: 'Best test so far',
	firstAction: 'praised',
	isSettledByAnswer: true,
	find({ checkins }, _, now) {
		const newest = checkins.find((one) => one.best !== null && one.at > now - NEWS_DAYS * DAY_MS);
		return newest?.best ? { since: newest.at, day: newest.day, result: newest.best } : null;
	},
	sentence({ result, day }, { units }) {
		const { now, before } = gainWords(result.gain, units);
		return `${result.gain.exercise}: ${now} on day ${day}, ${before} at the test on day ${result.before}.`;
	},
	draft({ result: { gain } }) {
		const { now, before } = gainWords(gain, 'kg');
		return {
			says: `Your best ${gain.exercise.toLowerCase()} test so far: ${now}, up from ${before}.`,
			kindly: PROUD
		};
	}
};
