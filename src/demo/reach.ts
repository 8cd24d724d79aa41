/** What the coach of the demo did about those who needed her, on the mornings of the weeks before, and who answered. */
import { dateIn, DAY_MS } from '$core/calendar';
import { ASK_AGAIN_DAYS } from '$core/health';
import { DEFAULT_TONE, draftFor, REASON_KINDS, type ReasonGroup, type ReasonKind } from '$core/triage';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { decideIncident, followUp, incidentsOf } from '$lib/server/contact/incidents/incidents';
import { cameIn } from '$lib/server/contact/desk/desk';
import { replyTo } from '$lib/server/contact/messages/replies';
import { writeTo, writeToCoach } from '$lib/server/contact/messages/messages';
import { asPerson, enrolmentOf, type OwnPerson } from '$lib/server/records/enrolments';
import { fixedClock } from '$lib/server/platform/clock';
import type { Context } from '$lib/server/platform/context';
import type { CoachId } from '$lib/server/platform/ids';
import { valuesOf } from '$lib/server/contact/post/posts';
import { noteReach } from '$lib/server/contact/reach/reaches';
import { inNeed } from '$lib/server/contact/reach/triage';

/** Results of the last day that she has said a line about, the oldest first. */
const SAID = 4;

const HOUR_MS = 3_600_000;

/** How many she got to on a morning, so many days ago. Most mornings there is less time than people. */
const MORNINGS = [
	{ ago: 14, people: 5 },
	{ ago: 10, people: 5 },
	{ ago: 7, people: 6 },
	{ ago: 4, people: 5 },
	{ ago: 2, people: 3 }
] as const;

/** Who answers the first message that she writes to them, and after how many hours. */
const ANSWERS: Record<string, { hours: number; text: string }> = {
	'Sunniva Lode': { hours: 5, text: 'Fever since Thursday. I think I can start again on Monday, slowly.' },
	'Yelena Dravec': {
		hours: 9,
		text: 'We are moving house. Mornings are gone; could my days open at six in the evening?'
	}
};

const WAYS = { praise: 'praised', adaptation: 'adjusted', safety: 'called', unanswered: 'called' } as const;

/** @param now the instant to which the demo has come */
export async function writeReaches(
	context: Context,
	challenge: OwnedChallenge,
	{ coach, helper }: { coach: CoachId; helper: CoachId },
	now: number
): Promise<void> {
	const answered = new Set<string>();
	for (const { ago, people } of MORNINGS) {
		const at = now - ago * DAY_MS;
		const then = { ...context, clock: fixedClock(at) };
		const all = await inNeed({ app: then }, challenge, at);
		const about = (group: ReasonGroup) =>
			all.filter(({ reasons: [first] }) => first && REASON_KINDS[first.kind] === group);
		// Whoever has pain, those who may drop out, and a word of praise or two.
		const hurting = about('safety').filter(({ reasons: [first] }) => first?.kind === 'pain');
		const chosen = [...hurting, ...about('retention').slice(0, people - 2), ...about('praise').slice(0, 2)];
		for (const [i, one] of chosen.entries()) {
			const [first] = one.reasons;
			if (!first) continue;
			const person = await enrolmentOf(context.db, challenge, one.person.id);
			const kinds = one.reasons.map(({ kind }): ReasonKind => kind);
			const [by, name] = i % 4 === 3 ? ([helper, 'Ravdna'] as const) : ([coach, 'Runa'] as const);
			const group = REASON_KINDS[first.kind];
			if (first.kind === 'pain') {
				for (const { id, decidedAt } of await incidentsOf(then.db, person.id, at))
					if (decidedAt === null) await spare(context, challenge, person, by, id, { at, now });
				continue;
			}
			if (group !== 'retention') {
				await noteReach(then, challenge, person, by, kinds, { way: WAYS[group] });
				continue;
			}
			const text = draftFor(
				first,
				DEFAULT_TONE,
				valuesOf(one, { coach: name, challenge: challenge.name, team: null })
			);
			await writeTo(then, challenge, person, by, { id: context.ids.uuid(), text }, kinds);
			const answer = ANSWERS[person.name];
			if (!answer || answered.has(person.name)) continue;
			answered.add(person.name);
			const later = { ...context, clock: fixedClock(Math.min(now, at + answer.hours * HOUR_MS)) };
			await writeToCoach(later, asPerson(person), { id: context.ids.uuid(), text: answer.text });
		}
	}
	const results = (await cameIn(context.db, challenge.id, now - DAY_MS, now)).filter(
		({ hurts }) => hurts === null
	);
	for (const [i, { id: about }] of results.slice(-SAID).entries())
		await replyTo(
			{ ...context, clock: fixedClock(now) },
			challenge,
			{ id: coach, name: 'Runa' },
			{ id: context.ids.uuid(), about, line: i % 2 === 0 ? 1 : 4 }
		);
}

/** Keeps what hurts spared for three days, and asks after it then. */
async function spare(
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	by: CoachId,
	id: string,
	{ at, now }: { at: number; now: number }
): Promise<void> {
	const later = at + ASK_AGAIN_DAYS * DAY_MS;
	await decideIncident({ ...context, clock: fixedClock(at) }, challenge, person, by, id, {
		decision: 'spare',
		note: 'Slower down, and no deeper than it is quiet.',
		followUpOn: dateIn(challenge.coachZone, later)
	});
	if (later < now) await followUp({ ...context, clock: fixedClock(later) }, person, id, { outcome: 'over' });
}
