/** What the coach of the demo wrote to several, and how far it came. */
import { addDays, dateIn, DAY_MS } from '$core/calendar';
import type { Audience } from '$core/post';
import type { Coach } from '$lib/server/records/coach';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { markRead } from '$lib/server/contact/messages/messages';
import { teamsIn } from '$lib/server/people/teams';
import { fixedClock } from '$lib/server/platform/clock';
import type { Context } from '$lib/server/platform/context';
import type { Letter } from '$lib/server/platform/mail';
import { Mailboxes } from '$lib/server/platform/mailbox';
import { deliver } from '$lib/server/contact/delivery/deliver';
import { postTo, recipientsOf } from '$lib/server/contact/post/posts';
import { saveTemplate } from '$lib/server/contact/post/templates';
import { inNeed } from '$lib/server/contact/reach/triage';

const TEMPLATES = [
	{
		name: 'Halfway',
		subject: 'Halfway, {name}',
		text: 'Hi {name},\n\nDay {day}: halfway up. You have done {sessions done} sessions so far, {done} of your work. {days left} days to go, and the loads are getting heavier because you are.\n\n{coach}'
	},
	{
		name: 'Sunday look ahead',
		subject: 'The coming week',
		text: 'Hi {name},\n\nThe coming week has two long sessions, on Tuesday and Saturday. Put them where your week has room. If one doesn’t fit, half of it counts as half.\n\n{coach}'
	},
	{
		name: 'Short of time',
		subject: 'Ten minutes count',
		text: 'Hi {name},\n\nNo time today? Do the warm-up and the first block. Ten minutes count, and the streak of {streak} goes on.\n\n{coach}'
	}
] as const;

/** @param now the instant to which the demo has come */
export async function writePosts(
	context: Context,
	challenge: OwnedChallenge,
	coach: Coach,
	now: number
): Promise<void> {
	for (const template of TEMPLATES) await saveTemplate(context, coach.id, template);
	const teams = await teamsIn(context.db, challenge.id);
	const boxes = new Mailboxes();
	// Of the days before there are no files: only how their mailboxes took it.
	const mail = {
		send: ({ to, once }: Letter) =>
			new Promise<void>((sent) => {
				boxes.take(typeof to === 'string' ? to : to.address, once?.key ?? '');
				sent();
			})
	};
	const write = async (at: number, audience: Audience, raw: object) => {
		const then = { ...context, clock: fixedClock(at) };
		const everybody = recipientsOf(await inNeed({ app: then }, challenge, at), {
			coach: coach.name,
			challenge: challenge.name,
			teams: new Map(teams.map(({ id, name }) => [id, name]))
		});
		await postTo(then, challenge, coach.id, {
			audience,
			raw: { id: context.ids.uuid(), ...raw },
			everybody
		});
	};
	const carry = (at: number) =>
		deliver({ ...context, clock: fixedClock(at), config: { origin: null } }, mail);

	const [halfway, lookAhead, short] = TEMPLATES;
	await write(now - 3 * DAY_MS, { kind: 'all' }, lookAhead);
	await carry(now - 3 * DAY_MS);
	await write(now - DAY_MS, { kind: 'all' }, halfway);
	await carry(now - DAY_MS);
	await write(
		now,
		{ kind: 'need', group: 'retention' },
		{
			...short,
			when: 'later',
			date: addDays(dateIn(coach.zone, now), 1),
			time: '07:30'
		}
	);
	await carry(now);
	// Whoever has checked in since has seen what was written before.
	for (const { person, row } of await inNeed({ app: context }, challenge, now))
		if (row.lastSeen !== null)
			await markRead({ ...context, clock: fixedClock(row.lastSeen) }, person.id, 'coach');
}
