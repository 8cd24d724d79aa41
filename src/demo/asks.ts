/** What the coach of the demo asked her group, what they said, and what they asked for. */
import { addDays, dateIn, DAY_MS } from '$core/calendar';
import { seededRandom } from '$core/stats';
import type { Coach } from '$lib/server/records/coach';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { answerPoll, askPoll, pollsIn } from '$lib/server/training/challenge/polls';
import { answerRequest, request, requestsIn } from '$lib/server/contact/messages/requests';
import { asPerson, enrolmentOf, enrolmentsOf } from '$lib/server/records/enrolments';
import { fixedClock } from '$lib/server/platform/clock';
import type { Context } from '$lib/server/platform/context';

/** Questions, how many days ago they were asked and for how many days, and of ten people how many have answered. */
const POLLS = [
	{
		ago: 9,
		stands: 3,
		answers: 8,
		question: 'Two long sessions a week: which days suit you?',
		choices: ['Tuesday and Saturday', 'Wednesday and Sunday', 'Any two days']
	},
	{
		ago: 1,
		stands: 4,
		answers: 5,
		question: 'The last carry, on the final Saturday: how would you like it?',
		choices: ['Together, by video', 'Each in our own hills', 'I won’t be there']
	}
];

const REQUESTS = [
	{
		name: 'Tamsin Reeve-Adu',
		ago: 2,
		wants: 'more',
		area: 'shoulders',
		said: 'The pack pulls at them after an hour.'
	},
	{ name: 'Ikenna Obiora', ago: 1.5, wants: 'more', area: 'shoulders', said: '' },
	{
		name: 'Emre Toksöz',
		ago: 1,
		wants: 'less',
		area: 'front of thighs',
		said: 'Four hard days for them last week.'
	},
	{
		name: 'Zofia Brandys',
		ago: 0.6,
		wants: 'other',
		area: null,
		said: 'A session without a mat, for the train days.'
	}
] as const;

/** @param now the instant to which the demo has come */
export async function writeAsks(
	context: Context,
	challenge: OwnedChallenge,
	coach: Coach,
	now: number
): Promise<void> {
	const at = (then: number): Context => ({ ...context, clock: fixedClock(then) });
	const people = (await enrolmentsOf(context.db, challenge.id)).filter(({ leftAt }) => leftAt === null);
	for (const { ago, stands, answers, ...poll } of POLLS) {
		const then = now - ago * DAY_MS;
		const closesOn = addDays(dateIn(coach.zone, then), stands);
		await askPoll(at(then), challenge, coach.id, { kind: 'all' }, { ...poll, closesOn, shown: true });
		const [asked] = await pollsIn(context.db, challenge.id);
		if (!asked) continue;
		for (const one of people) {
			const draw = seededRandom(`${one.name} ${poll.question}`);
			if (draw() > answers / 10) continue;
			const choice = Math.floor(draw() ** 1.6 * poll.choices.length);
			await answerPoll(at(then + draw() * 20 * 3_600_000), asPerson(one), { poll: asked.id, choice });
		}
	}
	for (const { name, ago, ...raw } of REQUESTS) {
		const one = people.find((person) => person.name === name);
		if (one) await request(at(now - ago * DAY_MS), asPerson(one), { id: context.ids.uuid(), ...raw });
	}
	const first = (await requestsIn(context.db, challenge.id)).find(({ wants }) => wants === 'less');
	if (first)
		await answerRequest(
			at(now - DAY_MS / 4),
			challenge,
			await enrolmentOf(context.db, challenge, first.person.id),
			coach.id,
			first.id,
			{ answer: 'yes', text: 'You’re right. Thursday is lighter from now on.', messageId: context.ids.uuid() }
		);
}
