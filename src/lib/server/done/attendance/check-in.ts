import { checkinSchema, type CheckinInput } from '$contracts/check-in';
import {
	arrivalIn,
	creditOf,
	instantOfDevice,
	personDay,
	standingOfArrival,
	type Arrival,
	type LoggedSet,
	type PersonDay,
	type Standing,
	type Strip
} from '$core/day';
import type { CatchUp, DayKind } from '$core/calendar';
import type { Hold } from '$core/health';
import { bestTestOf, sidesOf, type BestResult, type DoneDay } from '$core/progress';
import type { Session } from '$core/session';
import type { Person } from '../../records/person';
import { creditPolicyOf, type Challenge } from '../../records/challenge';
import { groupNow, type Group } from '../../training/challenge/group';
import { allOverrides } from '../../records/overrides';
import { prescriptionFor } from '../day/own-day';
import { windowsOf } from '../../records/windows';
import type { Context } from '../../platform/context';
import type { Queries } from '../../platform/db/database';
import { withTransaction } from '../../platform/context';
import { notFound, Refusal } from '../../platform/errors';
import { pastDaysOf } from '../progress/done-days';
import type { CoachId, EnrolmentId, VersionId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { IS_CURRENT, SETS } from '../../records/facts';
import { notePain } from '../../people/health/pain';
import { takeAgain } from './again';
import { logOf, runOfBoth, saidOfBoth, type RunInput, type Said } from './parts';
import { replaceResult, writeResult } from '../results';

export interface Receipt {
	id: string;
	/** Share of the work done, 0…1, before what a late result is worth. */
	credit: number;
	standing: Standing;
	/** False when this very check-in had been received before. */
	fresh: boolean;
}

interface DayRow {
	shiftDays: number;
	fromDay: number;
	catchUp: CatchUp | null;
	strip: Strip;
	holds: Hold[];
	kind: DayKind;
	cancelled: string | null;
	versionId: VersionId | null;
	body: Session | null;
	/** Whether anything is, or ever was, different for them. */
	differs: boolean;
	/** Of the coach, as in `groupOf`. */
	revision: number;
}

/** The enrolment, held for this transaction, with what its day asks for. A version that it had earlier is good too. */
async function dayRow(tx: Queries, person: Person, input: CheckinInput): Promise<DayRow> {
	const [row] = await tx.query<DayRow>(
		`select e.shift_days as "shiftDays", e.from_day as "fromDay", e.catch_up as "catchUp", e.strip, e.holds, d.kind, d.cancelled,
			v.id as "versionId", v.body, co.revision,
			exists (select from override o where o.enrolment_id = e.id) as differs
		 from enrolment e
		 join challenge ch on ch.id = e.challenge_id
		 join coach co on co.id = ch.coach_id
		 join plan_day d on d.challenge_id = e.challenge_id and d.day = $2
		 left join session_version now on now.id = d.version_id
		 left join session_version v on v.session_id = now.session_id
			and v.id = coalesce((select id from session_version seen where seen.id = $3 and seen.session_id = now.session_id), now.id)
		 where e.id = $1
		 for update of e`,
		[person.enrolmentId, input.day, input.versionId]
	);
	if (!row) throw notFound('day');
	return row;
}

interface Known {
	id: string;
	enrolmentId: EnrolmentId;
	credit: number;
	standing: Standing;
	sets: LoggedSet[];
	/** How it went. */
	said: Said;
	/** Of the parts that were led. */
	run: RunInput | null;
	/** How often something came in for its day. */
	times: number;
}

/**
 * What is known already: the very check-in that comes in, and what stands for its day. Asked once the enrolment is held:
 * a statement that waited for it would not see what came in meanwhile.
 */
async function knownOf(
	tx: Queries,
	person: Person,
	input: CheckinInput
): Promise<{ again: Receipt | null; current: Known | null }> {
	const rows = await tx.query<Known & { stands: boolean }>(
		`select id, enrolment_id as "enrolmentId", credit, standing,
			enrolment_id = $2 and day = $3 and ${IS_CURRENT} as stands, ${SETS} as sets, run,
			(select count(*)::int from result o where o.enrolment_id = $2 and o.day = $3 and o.kind = 'planned') as times,
			jsonb_build_object('effort', effort, 'energy', energy, 'sleepHours', sleep_hours, 'well', well, 'hurts', hurts, 'note', note, 'beyond', beyond)
			as said
		 from result c where id = $1 or (enrolment_id = $2 and day = $3 and ${IS_CURRENT})`,
		[input.id, person.enrolmentId, input.day]
	);
	const same = rows.find(({ id }) => id === input.id);
	// Somebody else's id is no more than a clash of chance or a guess: either way not ours to tell about.
	if (same && same.enrolmentId !== person.enrolmentId) throw notFound('check-in');
	return {
		again: same ? { id: same.id, credit: same.credit, standing: same.standing, fresh: false } : null,
		current: rows.find(({ stands }) => stands) ?? null
	};
}

function standingOf(
	challenge: Readonly<Challenge>,
	{ open, window }: PersonDay,
	arrival: Arrival
): { standing: Standing; offered: boolean } {
	if (!open) throw notFound('day');
	const found = standingOfArrival(window, arrival);
	if (found.standing !== 'after close' || found.offered || challenge.afterClose === 'store') return found;
	throw new Refusal(
		409,
		`This day closed ${challenge.lateHours} hours after its end, and this challenge takes no results after that. ` +
			'Nothing was stored; write to your coach if there was a reason.'
	);
}

/** Whether a result counts for its day. */
const counts = ({ credit, standing }: Known): boolean => credit > 0 && standing !== 'after close';

/** How often somebody says something of one day: its parts, and what they correct. */
const MOST_TIMES = 60;

/**
 * Takes what stood for the day until now out of the way; it stays on record.
 * @param standing of the new one by the time at which it comes
 * @returns the standing that it has: within the window a correction keeps that of the result which it corrects; one of a
 *   day that was said to be left out has its own
 * @throws Refusal 409 when another stands for the day, or a result that counts would be corrected after the close
 */
async function makeRoom(
	tx: Queries,
	current: Known | null,
	input: CheckinInput,
	standing: Standing,
	now: number
): Promise<{ standing: Standing; replaced: readonly string[] }> {
	if (!current) return { standing, replaced: [] };
	if (current.times >= MOST_TIMES)
		throw new Refusal(
			409,
			`You have sent ${MOST_TIMES} results for this day, and the last one stands. Write to your coach if it is wrong.`
		);
	if (current.id !== input.replaces && !input.adds)
		throw new Refusal(409, 'You have checked in for this day already. Open it to correct what you sent.');
	if (counts(current) && standing === 'after close')
		throw new Refusal(
			409,
			'This day has closed, and what you sent for it stands. Write to your coach if it is wrong.'
		);
	const before = await replaceResult(tx, current.id, now);
	return { standing: current.credit > 0 ? current.standing : standing, replaced: before?.exercises ?? [] };
}

/** A check-in with what it keeps of the one that stood for the day: all of it where it adds to that, and what was led otherwise. */
const withBefore = (current: Known, input: CheckinInput): CheckinInput =>
	input.adds
		? {
				...input,
				...saidOfBoth(current.said, input),
				run: runOfBoth(current.run, input.run)
			}
		: { ...input, run: input.run ?? current.run };

/** What a test brought against those before it. */
const bestIn = async (
	context: Context,
	person: Person,
	done: Pick<DoneDay, 'day' | 'at' | 'test' | 'asked' | 'sets'>
): Promise<BestResult | null> =>
	bestTestOf(
		(await pastDaysOf(context, person)).filter(({ day }) => day < done.day),
		{ again: false, sessionId: null, scores: [], effort: null, ...done }
	);

/** Takes a check-in in a transaction. @returns null when `group` is no longer what the coach has decided */
async function take(
	context: Context,
	tx: Queries,
	group: Group,
	person: Person,
	input: CheckinInput,
	now: number,
	by: CoachId | null
): Promise<Receipt | null> {
	const row = await dayRow(tx, person, input);
	const { again, current } = await knownOf(tx, person, input);
	if (again) return again;
	if (row.revision !== group.revision) return null;
	const { challenge } = group;
	const window = windowsOf(challenge, {
		...person,
		shiftDays: row.shiftDays,
		catchUp: row.catchUp
	})[input.day - 1];
	if (!window) throw notFound('day');
	const byOurs = (told: number | null) => (told === null ? null : instantOfDevice(told, input.sentAt, now));
	// What a coach records was done on its day, whenever she was told.
	const arrival: Arrival = by
		? { receivedAt: now, doneAt: Math.min(now, window.due - 1) }
		: arrivalIn(window, byOurs(input.doneAt), now);
	const startedAt = arrivalIn(window, byOurs(input.startedAt), now).doneAt;
	const at = arrival.doneAt ?? now;
	const day = personDay({ ...row, day: input.day }, window, row, creditPolicyOf(challenge), at);
	if (day.state === 'held')
		throw new Refusal(409, 'Nothing is released to you at the moment, so there is nothing to check in.');
	if (by && !day.open) throw notFound('day');
	const { standing, offered } = by
		? { standing: 'on time' as const, offered: false }
		: standingOf(challenge, day, arrival);
	if (row.kind === 'rest') throw new Refusal(409, 'This is a rest day: there is nothing to check in.');
	if (!row.body)
		throw new Refusal(409, 'There is no session on this day yet, so there is nothing to check in.');
	// What they began with holds, whatever was changed for them while they were at it.
	const overrides = row.differs ? await allOverrides(tx, person.enrolmentId) : [];
	const own = await prescriptionFor(tx, person, input.day, row.body, overrides, group, startedAt ?? at);
	if (!own)
		throw new Refusal(409, 'Nothing of this session is asked of you, so there is nothing to check in.');
	const log = logOf(input, own.asked, input.adds && current ? current.sets : []);
	// Done in time and come in too late to be added by itself: the coach decides, and what stands goes on standing.
	const besides = input.adds && offered && current && counts(current) ? current : null;
	const room = besides ? { standing, replaced: [] } : await makeRoom(tx, current, input, standing, now);
	const receipt: Receipt = {
		id: input.id,
		credit: creditOf(own.asked, log),
		standing: room.standing,
		fresh: true
	};
	const told = current ? withBefore(current, input) : input;
	const done = { day: input.day, at, test: row.kind === 'test', asked: own.asked, sets: log };
	await writeResult(
		tx,
		person,
		{
			kind: 'planned',
			id: input.id,
			day: input.day,
			versionId: row.versionId,
			credit: receipt.credit,
			standing: receipt.standing,
			said: told,
			asked: own.asked,
			differs: own.session !== row.body,
			sets: log,
			startedAt,
			doneAt: arrival.doneAt,
			receivedAt: arrival.receivedAt,
			offered,
			addsTo: besides?.id ?? null,
			sides: sidesOf({ asked: own.asked, sets: log }),
			best: done.test ? await bestIn(withTransaction(context, tx), person, done) : null,
			enteredBy: by
		},
		room.replaced
	);
	const { day: on, hurts, run, well } = input;
	await notePain(tx, context, person, {
		told: { day: on, hurts, run, pain: well.pain },
		planned: row.body,
		library: group.practice.library,
		corrects: current !== null && !input.adds && !told.run?.hurts.length,
		now
	});
	return receipt;
}

/** How often a check-in is tried again because its coach saved something at that very moment. */
const TRIES = 5;

/**
 * Takes a check-in. Sending the same one again changes nothing and is answered as the first time.
 *
 * @param by the coach who records it as she was told: it counts as done on its day, also when that has closed
 * @throws Refusal 400 with faults; 403 for a result of another person; 404 for a day that is not open; 409 when the day is closed or another
 *   check-in stands for it
 */
export async function checkIn(
	context: Context,
	person: Person,
	raw: unknown,
	by: CoachId | null = null
): Promise<Receipt> {
	const { db, clock } = context;
	const input = validate(checkinSchema, raw);
	if (input.enrolment !== null && input.enrolment !== person.enrolmentId)
		throw new Refusal(
			403,
			'This result is another person’s. It is sent when that person is back on this device.'
		);
	if (input.again) return { id: input.id, standing: 'on time', ...(await takeAgain(context, person, input)) };
	for (let tries = 0; tries < TRIES; tries++) {
		const group = await groupNow(context, person.challengeId);
		const receipt = await db.transaction((tx) => take(context, tx, group, person, input, clock.now(), by));
		if (receipt) return receipt;
	}
	throw new Refusal(503, 'Your coach is changing the plan right now. Send this again in a moment.');
}
