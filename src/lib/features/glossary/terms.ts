/** A word of the work, and what it means here. */
export interface Term {
	term: string;
	/** Its place on the page: `/glossary#roll`. */
	id: string;
	means: string;
}

const TERMS: [term: string, means: string][] = [
	['Active recovery', 'Easy movement on a day between hard ones: a walk, mobility, light cycling.'],
	[
		'Adherence',
		'Share of the due days that were done. Excused, paused, resting and future days are not due.'
	],
	['AMRAP', 'As many rounds as possible in a fixed time. The rounds are the result.'],
	['Block', 'A part of a session in one format: straight sets, a superset, a circuit, an EMOM and so on.'],
	['Buddies', 'Two who train at about the same hour and are of about the same level, for each other.'],
	['Catch-up window', 'How long after its day a result still comes in. What is late counts less.'],
	['Check-in', 'What a participant sends for a day: how much was done, how hard it was, how they are.'],
	[
		'Circuit',
		'Exercises one after the other by the clock: so many seconds on, so many off, for some rounds.'
	],
	[
		'Clearance',
		'The yes of a doctor, midwife or parent to what somebody’s answers asked about, as the coach records it: who, when, until when.'
	],
	[
		'Credit',
		'What a day counts, from 0 to 1: the share of the asked work that was done, less for a late result.'
	],
	['Deload week', 'A lighter week, every third or fourth, so that the body catches up.'],
	['Desk', 'What needs you today: what is released, who is silent, what came in.'],
	['Drop set', 'The set goes on at once with less weight.'],
	[
		'Effort',
		'How hard it was, from 0 (nothing at all) to 10 (all I had). Also called RPE, rating of perceived exertion.'
	],
	['EMOM', 'Every minute on the minute: the work starts on each full minute, what is left of it is rest.'],
	['Excused', 'A day that you took out for somebody, with a reason. It is not due.'],
	['For time', 'A fixed amount of work, as fast as it can be done well, under a time limit.'],
	[
		'Held',
		'Nothing is released to somebody: their questions are open, or somebody qualified has to say yes first. Days that close meanwhile don’t count.'
	],
	['HIIT', 'High-intensity intervals: hard and easy in turn.'],
	['Hold', 'A position kept for some seconds: a plank, a wall sit, a stretch.'],
	['Load', 'The weight of an exercise. Of a session or a week: effort times minutes (Foster et al. 2001).'],
	[
		'Monotony',
		'Mean of the daily loads of a week over their spread. High means every day alike (Foster 1998).'
	],
	['Plate', 'The mark of one day of one person: full, part, late, missed, excused, resting, ahead.'],
	['Preview as', 'The session as somebody of another level or with other equipment would get it.'],
	['Progression', 'The forms of an exercise from easy to hard; also what gets harder from week to week.'],
	['Release', 'A day opens in each person’s own morning. What was released stays as it was.'],
	['Rep', 'One repetition, at its tempo.'],
	['RIR', 'Reps in reserve: how many more would have gone. Two in reserve are an effort of 8.'],
	['Roll', 'Everybody and every day on one page, with adherence.'],
	['Round', 'Once through the exercises of a block.'],
	['Set', 'Reps or seconds of an exercise without a pause.'],
	[
		'Shelf',
		'Sessions on request, beside the plan. They make up for missed work, or don’t count, as the coach decides.'
	],
	['Silent', 'No check-in for two due days or more. From how many on is a house rule.'],
	['Stations', 'Teams go from place to place; the first exercise at each sets the pace.'],
	[
		'Steady cardio',
		'Minutes at an even effort, by heart rate or by the talk test: able to speak, not to chat.'
	],
	['Superset', 'Two or three exercises back to back, with the long rest after the last.'],
	['Tabata', 'Eight times twenty seconds on and ten off (Tabata et al. 1996).'],
	['Team', 'People of one group, divided by level, by time zone or so that no team is stronger.'],
	['Tempo', 'Seconds down, held, up, held: 3-1-1-0. X is as fast as it can be done well.'],
	['Test day', 'A day on which what can be measured is measured, rested and in the same order each time.'],
	['Viewer', 'Somebody who looks on: roll, plan and group, and nothing of anybody’s health.']
];

const idOf = (term: string): string => term.toLowerCase().replace(/[^a-z]+/g, '-');

/** Where the glossary says what a label is about: the longest term that stands in it; null where none does. */
export function glossaryLink(label: string): string | null {
	const [found] = GLOSSARY.filter(({ term }) => label.toLowerCase().includes(term.toLowerCase())).sort(
		(a, b) => b.term.length - a.term.length
	);
	return found ? `/glossary#${found.id}` : null;
}

/** Every term, in order of the alphabet. */
export const GLOSSARY: readonly Term[] = TERMS.map(([term, means]) => ({ term, id: idOf(term), means }));
