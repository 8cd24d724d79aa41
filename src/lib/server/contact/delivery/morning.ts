/** The letter that a coach gets each morning, and what goes out by rules of hers. */
import { dateIn, dayInZone, minutesIn, DAY_MS } from '$core/calendar';
import { calledBy } from '$core/people';
import {
	DEFAULT_TONE,
	draftAfter,
	REASON_GROUPS,
	REASON_KINDS,
	REASON_TITLE,
	lastUnanswered,
	type ReasonGroup
} from '$core/triage';
import { counted, listed } from '$core/text/words';
import { postSettingsSchema, type PostSettings } from '$contracts/post';
import { minutesOfDay } from '$contracts/values';
import { coachById } from '../../records/coach';
import { challengesOf, type OwnedChallenge } from '../../records/challenge';
import type { Queries } from '../../platform/db/database';
import { threadOf, unansweredIn, writeTo } from '../messages/messages';
import { enrolmentOf } from '../../records/enrolments';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import type { CoachId } from '../../platform/ids';
import type { Job, Jobs } from '../../platform/jobs';
import type { Mail } from '../../platform/mail';
import { inNeed, type InNeed } from '../reach/triage';
import { validate } from '../../platform/validate';
import { postSettingsOf } from '../post/settings';
import { stuckIn, valuesOf } from '../post/posts';

interface Origin {
	config: { origin: string | null };
}

interface CoachRow {
	id: CoachId;
	name: string;
	zone: string;
	digestedOn: string | null;
}

/** Named in a letter of a group at most. */
const NAMED = 8;

/** What is said of a group of reasons. Of those about safety nobody is named: mail is read by others too. */
const GROUP_LINE: Record<ReasonGroup, (people: readonly InNeed[]) => string> = {
	safety: (people) =>
		`First: ${counted(people.length, 'person', 'people')} because of pain or a hold. Open Cadrex to see who and why.`,
	unanswered: (people) => `Questions not answered yet: ${named(people)}.`,
	retention: (people) => `May drop out: ${named(people)}.`,
	adaptation: (people) => `Load is off: ${named(people)}.`,
	praise: (people) => `Praise: ${named(people)}.`
};

const named = (people: readonly InNeed[]): string =>
	listed(
		people.map(
			({ person, reasons: [first] }) =>
				`${person.name} (${first ? REASON_TITLE[first.kind].toLowerCase() : ''})`
		),
		NAMED
	);

/** What a challenge looks like in the morning, as lines; null for one that does not run. */
async function morningOf(context: Context, challenge: OwnedChallenge): Promise<string | null> {
	const { db, clock } = context;
	const now = clock.now();
	const day = dayInZone(challenge.startsOn, challenge.coachZone, now);
	if (day < 1 || day > challenge.days + 7) return null;
	const all = await inNeed({ app: { db } }, challenge, now);
	const lines = [`${challenge.name}, ${day <= challenge.days ? `day ${day} of ${challenge.days}` : 'over'}`];
	for (const group of REASON_GROUPS) {
		const people = all.filter(({ reasons: [first] }) => first && REASON_KINDS[first.kind] === group);
		if (people.length > 0) lines.push(`- ${GROUP_LINE[group](people)}`);
	}
	if (lines.length === 1) lines.push('- Nobody needs you right now.');
	const seen = all.filter(({ row }) => (row.lastSeen ?? 0) > now - DAY_MS).length;
	lines.push(`- ${seen} of ${all.length} checked in within the last 24 hours.`);
	const wrote = await unansweredIn(db, challenge.id, all, now);
	if (wrote.length > 0)
		lines.push(
			`- Waiting for an answer: ${listed(
				wrote.map(({ name }) => name),
				NAMED
			)}.`
		);
	const failed = (await stuckIn(db, challenge.id)).filter(({ state }) => state === 'failed');
	if (failed.length > 0) lines.push(`- ${counted(failed.length, 'email')} didn’t get through; see Post.`);
	return lines.join('\n');
}

/** The letter of a morning; null when none of a coach's challenges runs. */
export async function digestFor(
	context: Context & Origin,
	coach: Pick<CoachRow, 'id' | 'name'>
): Promise<{ subject: string; text: string } | null> {
	const parts: string[] = [];
	for (const challenge of await challengesOf(context.db, coach.id, 'coach')) {
		const part = await morningOf(context, challenge);
		if (part !== null) parts.push(part);
	}
	const { origin } = context.config;
	return parts.length === 0
		? null
		: {
				subject: 'Your morning',
				text: `Good morning ${calledBy(coach.name)},\n\n${parts.join('\n\n')}\n${origin ? `\n${origin}\n` : ''}\n-- \nYou can turn this letter off, or set its hour, under Post.\n`
			};
}

/**
 * Writes to those who have a reason for which a coach has set a rule: with her draft for it, and once for each reason as
 * if she had written. @returns to how many
 */
export async function writeByRule(
	context: Context,
	coach: Pick<CoachRow, 'id' | 'name'>,
	settings: PostSettings
): Promise<number> {
	if (settings.automatic.length === 0) return 0;
	const { db, clock, ids } = context;
	let written = 0;
	// A rule is the owner's: nobody is written to by two coaches for one reason.
	for (const challenge of await challengesOf(db, coach.id, 'owner')) {
		const day = dayInZone(challenge.startsOn, challenge.coachZone, clock.now());
		if (day < 1 || day > challenge.days) continue;
		for (const one of await inNeed({ app: { db } }, challenge, clock.now())) {
			const [first] = one.reasons;
			// Whoever has something graver is left to the coach.
			if (!first || !settings.automatic.includes(first.kind)) continue;
			const person = await enrolmentOf(db, challenge, one.person.id);
			const thread = await threadOf(db, person.id, clock.now());
			// Who waits for an answer gets one from somebody, not from a rule.
			if (lastUnanswered(thread, one.reaches, clock.now())) continue;
			const values = valuesOf(one, { coach: coach.name, challenge: challenge.name, team: null });
			const text = draftAfter(first, { ...DEFAULT_TONE, ...settings }, values, {
				thread,
				dealt: one.reaches,
				me: coach.name,
				now: clock.now()
			});
			const kinds = one.reasons.map(({ kind }) => kind);
			try {
				await writeTo(context, challenge, person, coach.id, { id: ids.uuid(), text }, kinds, BY_RULE);
				written++;
			} catch (refusal) {
				// Too many messages or records about one person keep nobody else from theirs.
				if (!(refusal instanceof Refusal)) throw refusal;
			}
		}
	}
	return written;
}

const BY_RULE = 'sent by your rule';

/** Minutes after which it is no morning any more: whoever was not there for it gets the next. */
const STILL_MORNING = 4 * 60;

/** Coaches whose morning has come and who have not had it today. */
async function awake(db: Queries, now: number): Promise<{ id: CoachId; today: string }[]> {
	const all = await db.query<Pick<CoachRow, 'id' | 'zone' | 'digestedOn'> & { post: unknown }>(
		'select id, zone, digested_on as "digestedOn", post from coach order by id'
	);
	const found: { id: CoachId; today: string }[] = [];
	for (const { id, zone, digestedOn, post } of all) {
		const today = dateIn(zone, now);
		if (digestedOn !== null && digestedOn >= today) continue;
		const late = minutesIn(zone, now) - minutesOfDay(validate(postSettingsSchema, post).digestAt);
		if (late >= 0 && late < STILL_MORNING) found.push({ id, today });
	}
	return found;
}

interface Morning {
	coachId: CoachId;
	/** By the clock of the coach. */
	date: string;
}
const MORNING: Pick<Job<Morning>, 'name'> = { name: 'morning' };

/** Puts a job in its queue for each coach whose morning has come: once a day, by one process. @returns for how many */
export async function wake({ db, clock, jobs }: Context & { jobs: Pick<Jobs, 'send'> }): Promise<number> {
	let woken = 0;
	for (const { id, today } of await awake(db, clock.now()))
		await db.transaction(async (tx) => {
			const taken = await tx.query(
				'update coach set digested_on = $2 where id = $1 and (digested_on is null or digested_on < $2) returning id',
				[id, today]
			);
			if (taken.length === 0) return;
			await jobs.send<Morning>(tx, MORNING, { coachId: id, date: today });
			woken++;
		});
	return woken;
}

/** What is done on the morning of a coach. Done twice it writes the same letter, and to nobody again. */
export async function morning(
	context: Context & Origin,
	mail: Mail,
	{ coachId, date }: Morning
): Promise<void> {
	const coach = await coachById(context, coachId);
	if (!coach) return;
	const settings = await postSettingsOf(context.db, coach.id);
	await writeByRule(context, coach, settings);
	if (!settings.digest) return;
	const digest = await digestFor(context, coach);
	if (digest === null) return;
	await mail.send({
		to: { name: coach.name, address: coach.email },
		...digest,
		once: { key: `morning-${date}-${coach.id}`, at: context.clock.now() }
	});
}

export const wakeJob = (context: Context & { jobs: Pick<Jobs, 'send'> }): Job<object> => ({
	name: 'mornings',
	what: 'Looks for coaches whose morning has come',
	every: '*/10 * * * *',
	run: async () => {
		await wake(context);
	}
});

export const morningJob = (context: Context & Origin, mail: Mail): Job<Morning> => ({
	...MORNING,
	what: 'Writes the coaches’ letter of the morning, and what goes out by their rules',
	run: (data) => morning(context, mail, data)
});
