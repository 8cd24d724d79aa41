import type { Reason } from './reason';

/** Who writes to whom, by the names that they use. */
export interface Between {
	person: string;
	coach: string;
}

/**
 * What a coach could write to somebody for a reason: a beginning to be changed, never sent by itself. It asks before it
 * tells, blames nobody, and says nothing that the figures do not.
 */
export function draftFor(reason: Reason, { person, coach }: Between): string {
	return `Hi ${person},\n\n${wordsFor(reason)}\n\n${coach}`;
}

function wordsFor(reason: Reason): string {
	switch (reason.kind) {
		case 'pain':
			return `You wrote that something hurts: “${reason.hurts}”. Leave out what hurts; I’ll give you something else in its place. How is it today? If it is sharp, or still there when you rest, please let a doctor or physiotherapist look at it before you go on.`;
		case 'held':
			return reason.why === 'questions'
				? 'Your sessions open as soon as you have answered the questions about your health. It takes about four minutes. Is anything unclear?'
				: 'Your answers ask for a yes from a doctor or midwife first. Have you been able to ask? Tell me who said yes, and your sessions open.';
		case 'never started':
			return 'We have begun, and I haven’t seen you yet. Is something in the way: the time, the equipment, the link? Half a session counts as half, so a short start is a start.';
		case 'first miss':
			return `You missed day ${reason.day}, the first one. That happens. Is everything all right, and does the next session fit into your day?`;
		case 'missing':
			return 'I haven’t heard from you for a few days. How are you? If the sessions are too long or at the wrong time, I can change them. Half of one counts as half.';
		case 'silent':
			return `It has been ${reason.days} days, and I’d like to know how you are. If you want to come back, begin with half of the next session; nobody is behind. If you’d rather stop, tell me, and that’s fine too.`;
		case 'fading':
			return 'The last week was thinner than the one before. Is it the time, the sessions, or something else? Tell me what would make the next one easier to begin.';
		case 'later':
			return 'You train later in the day than you used to. Does the hour still fit? I can have your sessions open at another one.';
		case 'strain':
			return 'The last sessions were harder for you and you got less of them done. Let’s take something off this week. What cost you the most?';
		case 'tired':
			return 'Your energy has been low in the last check-ins. How do you sleep? A lighter session, or a day off, is no step back.';
		case 'hard':
			return `The last ${reason.effort.length} sessions were close to your limit. I’ll take them down a little. Which exercise was it?`;
		case 'easy':
			return 'You finish all of it with something left. Shall we make it harder: a little more weight, slower, or one more round?';
		case 'came back':
			return `Good to see you back on day ${reason.day}. That is the hardest session of all, and you’ve done it.`;
		case 'full week':
			return `All ${reason.due} training days of the week done. Well trained.`;
		case 'sessions':
			return `That was session number ${reason.count}. Well trained; you have carried all of them yourself.`;
	}
}
