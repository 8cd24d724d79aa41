import { createHash } from 'node:crypto';
import { fullLog, type LoggedSet } from '$core/day';
import { stepWords } from '$core/run';
import type { PrescribedExercise, Session } from '$core/session';
import type { Person } from '$lib/server/records/person';
import { challengeById } from '$lib/server/records/challenge';
import { dayToRun } from '$lib/server/done/day/run';
import { tellPresence } from '$lib/server/done/live/presence';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { rebuild } from '$lib/server/changes/projection';
import { fixedClock } from '$lib/server/platform/clock';
import type { Context } from '$lib/server/platform/context';
import { instant } from '$lib/server/platform/db/database';
import { Refusal } from '$lib/server/platform/errors';
import { asPerson, enrolmentsOf } from '$lib/server/records/enrolments';
import { prescriptionFor } from '$lib/server/done/day/own-day';
import { allOverrides } from '$lib/server/records/overrides';
import { daysOf } from '$lib/server/records/person-days';
import type { ChallengeId } from '$lib/server/platform/ids';
import { practiceOf } from '$lib/server/records/practice';
import { planOf } from '$lib/server/records/plan-days';
import { versionById } from '$lib/server/training/session/sessions';
import { LINKED, PEOPLE } from './people.data';
import { checkinOn, type DemoCheckin } from './story';

interface Event extends Omit<DemoCheckin, 'share'> {
	person: Person;
	day: number;
	sets: LoggedSet[] | null;
}

/** The same id for the same day of the same person, so that living through a day twice writes it once. */
function idOf(enrolmentId: string, day: number): string {
	const hex = createHash('sha256').update(`${enrolmentId} ${day}`).digest('hex');
	return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

async function eventsOf(
	context: Context,
	challengeId: ChallengeId,
	from: number,
	to: number
): Promise<Event[]> {
	const challenge = await challengeById(context.db, challengeId);
	const plan = await planOf(context.db, challenge);
	const practice = await practiceOf(context.db, challenge.coachId);
	const bodies = new Map<string, Session>();
	for (const { versionId } of plan)
		if (versionId && !bodies.has(versionId))
			bodies.set(versionId, (await versionById(context.db, versionId)).body);
	const events: Event[] = [];
	for (const enrolment of await enrolmentsOf(context.db, challengeId)) {
		const habits = PEOPLE.find((person) => person.name === enrolment.name);
		if (!habits) continue;
		const overrides = await allOverrides(context.db, enrolment.id);
		for (const { day, window, theirs } of daysOf(challenge, plan, enrolment, to)) {
			const versionId = plan[day - 1]?.versionId;
			const body = versionId ? bodies.get(versionId) : undefined;
			if (!body || !theirs) continue;
			const event = checkinOn(challenge.weeks === 6 ? habits : plain(habits), day, window);
			if (!event || event.at <= from || event.at > to) continue;
			const person = asPerson(enrolment);
			const { share, ...said } = event;
			const own =
				share === null && !habits.uneven && !habits.stronger
					? null
					: await prescriptionFor(
							context.db,
							person,
							day,
							body,
							overrides,
							{ challenge, practice },
							event.at
						);
			const well = { ...said.well, pain: painIn(said.hurts, body) };
			events.push({
				...said,
				well,
				person,
				day,
				sets: own && setsOf(habits, { day, test: plan[day - 1]?.kind === 'test' }, own.asked, share)
			});
		}
	}
	return events;
}

/** Where and what of a pain that is told of, in the exercise of the session that is named with it; null: none is. */
function painIn(hurts: string | null, { blocks }: Session) {
	const named = (exercise: string) => hurts?.toLowerCase().includes(exercise.toLowerCase()) ?? false;
	const block = blocks.findIndex(({ parts }) => parts.some(({ exercise }) => named(exercise)));
	const part = blocks[block]?.parts.findIndex(({ exercise }) => named(exercise));
	return part === undefined ? null : { area: 'knee', kind: 'sharp', at: { block, part } };
}

/** The part of a log that is there when somebody stops early: the last main block goes first. */
function begun(asked: readonly PrescribedExercise[], share: number): LoggedSet[] {
	const log = fullLog(asked);
	return log.slice(0, Math.max(1, Math.round(log.length * share)));
}

/** What somebody does of a session, as far as that is not all of it and no more. */
function setsOf(
	{ uneven, stronger = 0 }: (typeof PEOPLE)[number],
	{ day, test }: { day: number; test: boolean },
	asked: readonly PrescribedExercise[],
	share: number | null
): LoggedSet[] {
	const more = test && day > 1 ? 1 + stronger : 1;
	return (share === null ? fullLog(asked) : begun(asked, share)).map((set) => {
		const sided = asked.some(
			(one) => one.perSide && !one.around && one.block === set.block && one.part === set.part
		);
		const amount = Math.round(set.amount * more);
		return sided && uneven && day >= uneven.from
			? { ...set, amount: Math.round(amount * 0.75), left: Math.round(amount * 0.75), right: amount }
			: { ...set, amount };
	});
}

/** Who stopped half-way through the challenge before, and from which day on they did less. */
const STOPPED: Record<string, { fades: number; stops: number }> = {
	'Bao Trinh': { fades: 9, stops: 16 },
	'Wairimu Kago': { fades: 13, stops: 19 },
	'Halvard Eik': { fades: 12, stops: 12 }
};

/** Somebody's habits without what befell them in Hut Season. */
const plain = (person: (typeof PEOPLE)[number]) => {
	const stopped = STOPPED[person.name];
	return {
		...person,
		from: stopped && [
			{ day: stopped.fades, does: 0.45 },
			{ day: stopped.stops, does: 0 }
		],
		hurts: undefined,
		notes: undefined,
		excused: undefined
	};
};

/** Lets the invented people live from one instant to another: their check-ins come in as they would have. */
export async function liveUntil(context: Context, from: number, to: number): Promise<number> {
	const challenges = await context.db.query<{ id: ChallengeId }>('select id from challenge');
	const events: Event[] = [];
	for (const { id } of challenges) events.push(...(await eventsOf(context, id, from, to)));
	events.sort((a, b) => a.at - b.at);
	let written = 0;
	for (const { person, day, at, ...rest } of events) {
		try {
			const input = { id: idOf(person.enrolmentId, day), day, ...rest };
			if ((await checkIn({ ...context, clock: fixedClock(at) }, person, input)).fresh) written++;
		} catch (error) {
			// Whoever tries the demo may have checked in for one of them already.
			if (!(error instanceof Refusal)) throw error;
		}
	}
	return written;
}

const MINUTE = 60_000;
/** Minutes around an instant in which people of the demo train, or have just done so. */
const AROUND = { before: 15, after: 45 } as const;

/** Lets those who are about to check in be in their session: their phones tell where they are. */
export async function trainAt(context: Context, now: number): Promise<void> {
	const challenges = await context.db.query<{ id: ChallengeId }>('select id from challenge');
	for (const { id } of challenges) {
		const events = await eventsOf(context, id, now - AROUND.before * MINUTE, now + AROUND.after * MINUTE);
		// Whoever tries the demo may be one of those with a link, and in a session of their own.
		for (const { person, day, at } of events.filter((one) => !LINKED.includes(one.person.name)))
			try {
				await tellWhere(context, person, day, at - MINUTE, now);
			} catch (error) {
				// What is held or not open to them leads nowhere.
				if (!(error instanceof Refusal)) throw error;
			}
	}
}

/** Tells where somebody is who ends their session at an instant; nothing before they begin. */
async function tellWhere(
	context: Context,
	person: Person,
	day: number,
	end: number,
	now: number
): Promise<void> {
	const { course } = await dayToRun(context, person, day);
	const gone = now - (end - course.seconds * 1000);
	if (gone < 0) return;
	let begins = 0;
	const step = course.steps.find(({ seconds }) => (begins += seconds * 1000) > gone);
	const told = step
		? { phase: 'going', what: step.kind === 'work' ? stepWords(course, step).slice(0, 120) : 'resting' }
		: { phase: 'over', what: null };
	const share = Math.min(1, gone / Math.max(1, course.seconds * 1000));
	await tellPresence({ ...context, clock: fixedClock(Math.min(now, end)) }, person, { day, share, ...told });
}

/** Undoes what came in after an instant: the clock goes back to the real time. */
export async function forgetAfter(context: Context, now: number): Promise<void> {
	await context.db.transaction(async (tx) => {
		await tx.query('delete from result where received_at > $1', [instant(now)]);
		await tx.query('update result set replaced_at = null where replaced_at > $1', [instant(now)]);
		await tx.query('delete from excuse where at > $1', [instant(now)]);
		await tx.query('delete from presence where at > $1', [instant(now)]);
		for (const table of [
			'reach',
			'message',
			'post',
			'incident',
			'form_check',
			'weekly',
			'poll',
			'poll_answer',
			'request'
		] as const)
			await tx.query(`delete from ${table} where at > $1`, [instant(now)]);
		await tx.query(`delete from letter where due_at > $1 and post_id is null`, [instant(now)]);
		await tx.query('delete from reminder where next_at > $1', [instant(now)]);
		await tx.query('update push_subscription set look_at = $1', [instant(now)]);
		await tx.query('delete from measure where at > $1', [instant(now)]);
		await tx.query('update coach set digested_on = null');
	});
	await rebuild(context);
}
