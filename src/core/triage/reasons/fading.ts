import { isDue, type Adherence } from '../../attendance';
import { counted, percent } from '../../text/words';
import { WITH_US, type ReasonDefinition } from '../definition';

type Rated = Pick<Adherence, 'credit' | 'due'>;

const rated = ({ credit, due }: Rated): string =>
	`${percent(due > 0 ? credit / due : 0)} of ${counted(due, 'due day')}`;

/** Days done of those due, to the half day: `2 of 4 days`, `about 1½ of 4 days`. */
function daysOf({ credit, due }: Rated): string {
	const halves = Math.round(2 * credit);
	const whole = Math.floor(halves / 2);
	const said = `${whole || halves % 2 === 0 ? whole : ''}${halves % 2 ? '½' : ''}`;
	return `${halves === 2 * credit ? '' : 'about '}${said} of ${due} days`;
}

interface FadingFigures {
	/** The last 7 days, and the 7 before them. */
	recent: Rated;
	before: Rated;
}

/** Less done than the week before. A person who is missing days, or has just come back, did less by that alone. */
export const fading: ReasonDefinition<'fading', FadingFigures> = {
	kind: 'fading',
	group: 'retention',
	title: 'Fading',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	coveredBy: ['never started', 'first miss', 'missing', 'silent', 'came back'],
	find({ attendance, days }, { fadingFrom }, now) {
		const { trend, weeks } = attendance;
		if (trend === null || trend > -fadingFrom) return null;
		const last = days.filter(({ state, window }) => isDue(state) && window.due <= now).at(-1);
		return { since: last?.window.due ?? now, recent: weeks.recent, before: weeks.before };
	},
	sentence: ({ recent, before }) =>
		`${rated(recent)} done in the last 7 days, ${rated(before)} in the 7 before.`,
	draft: ({ recent, before }) => ({
		says: `In the last seven days you did ${daysOf(recent)}, and in the seven before ${daysOf(before)}.`,
		asks: 'Is it the time, the sessions, or something else?',
		offers: 'If a shorter session or another hour would help, say so.',
		kindly: WITH_US
	})
};
