import { checkinSchema, type CheckinInput } from '$contracts/check-in';
import { creditOf, fullLog, personDay, type LoggedSet, type PersonDay, type Strip } from '$core/day';
import type { DayKind } from '$core/calendar';
import type { PrescribedExercise, Session } from '$core/session';
import type { Person } from '../auth/link';
import { challengeById, creditPolicyOf, type Challenge } from '../challenge/challenge';
import { prescriptionFor } from '../day/own-day';
import { windowsOf } from '../day/windows';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../db/database';
import { notFound, Refusal } from '../platform/errors';
import type { EnrolmentId, VersionId } from '../platform/ids';
import { practiceOf } from '../practice/practice';
import { validate } from '../web/validate';
import { project } from './projection';

export interface Receipt {
	id: string;
	/** Share of the work done, 0…1, before what a late result is worth. */
	credit: number;
	standing: 'on time' | 'late' | 'after close';
	/** False when this very check-in had been received before. */
	fresh: boolean;
}

interface DayRow {
	shiftDays: number;
	fromDay: number;
	strip: Strip;
	kind: DayKind;
	cancelled: string | null;
	versionId: VersionId | null;
	body: Session | null;
}

/** The enrolment, held for this transaction, with what its day asks for. A version that it had earlier is good too. */
async function dayRow(tx: Queries, person: Person, input: CheckinInput): Promise<DayRow> {
	const [row] = await tx.query<DayRow>(
		`select e.shift_days as "shiftDays", e.from_day as "fromDay", e.strip, d.kind, d.cancelled,
			v.id as "versionId", v.body
		 from enrolment e
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

async function sameAgain(tx: Queries, person: Person, id: string): Promise<Receipt | null> {
	const [known] = await tx.query<Omit<Receipt, 'fresh'> & { enrolmentId: EnrolmentId }>(
		'select id, credit, standing, enrolment_id as "enrolmentId" from checkin where id = $1',
		[id]
	);
	if (!known) return null;
	// Somebody else's id is no more than a clash of chance or a guess: either way not ours to tell about.
	if (known.enrolmentId !== person.enrolmentId) throw notFound('check-in');
	return { id: known.id, credit: known.credit, standing: known.standing, fresh: false };
}

/** What was done, set by set; refuses sets that are not asked for. */
function logOf(input: CheckinInput, asked: PrescribedExercise[]): { log: LoggedSet[]; credit: number } {
	if (input.done === 'none') return { log: [], credit: 0 };
	const log = input.sets ?? (input.done === 'all' ? fullLog(asked) : []);
	const byPlace = new Map(asked.map((exercise) => [`${exercise.block}.${exercise.part}`, exercise]));
	const seen = new Set<string>();
	log.forEach((set, i) => {
		const exercise = byPlace.get(`${set.block}.${set.part}`);
		const key = `${set.block}.${set.part}.${set.set}`;
		if (!exercise || set.set > exercise.sets || seen.has(key))
			throw new Refusal(400, 'The log does not fit the session of this day.', [
				{
					field: `sets[${i}]`,
					message: seen.has(key) ? 'this set stands twice' : 'the session has no such set'
				}
			]);
		seen.add(key);
	});
	return { log, credit: creditOf(asked, log) };
}

function standingAt(challenge: Challenge, { open, window }: PersonDay, now: number): Receipt['standing'] {
	if (!open) throw notFound('day');
	if (now < window.due) return 'on time';
	if (now < window.closes) return 'late';
	if (challenge.afterClose === 'store') return 'after close';
	throw new Refusal(
		409,
		`This day closed ${challenge.lateHours} hours after its end, and this challenge takes no results after that. ` +
			'Nothing was stored; write to your coach if there was a reason.'
	);
}

async function makeRoom(tx: Queries, person: Person, input: CheckinInput, now: number): Promise<void> {
	const [current] = await tx.query<{ id: string }>(
		'select id from checkin where enrolment_id = $1 and day = $2 and replaced_at is null',
		[person.enrolmentId, input.day]
	);
	if (!current) return;
	if (current.id !== input.replaces)
		throw new Refusal(409, 'You have checked in for this day already. Open it to correct what you sent.');
	await tx.query('update checkin set replaced_at = $2 where id = $1', [current.id, instant(now)]);
}

async function write(
	tx: Queries,
	person: Person,
	row: DayRow,
	input: CheckinInput,
	receipt: Receipt,
	log: LoggedSet[],
	prescribed: PrescribedExercise[] | null,
	now: number
): Promise<void> {
	const done = receipt.credit >= 1 ? 'all' : receipt.credit > 0 ? 'part' : 'none';
	await tx.query(
		`insert into checkin (id, enrolment_id, day, version_id, done, credit, standing, effort, energy, sleep_hours, hurts,
			note, received_at, prescribed)
		 values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14)`,
		[
			input.id,
			person.enrolmentId,
			input.day,
			row.versionId,
			done,
			receipt.credit,
			receipt.standing,
			input.effort,
			input.energy,
			input.sleepHours,
			input.hurts,
			input.note,
			instant(now),
			prescribed && JSON.stringify(prescribed)
		]
	);
	if (log.length > 0)
		await tx.query(
			`insert into set_log (checkin_id, block, part, set, amount, kg)
			 select $1, s.block, s.part, s.set, s.amount, s.kg
			 from jsonb_to_recordset($2::jsonb) as s(block int, part int, set int, amount float8, kg float8)`,
			[input.id, JSON.stringify(log)]
		);
	await project(tx, [person.enrolmentId]);
}

/**
 * Takes a check-in. Sending the same one again changes nothing and is answered as the first time.
 *
 * @throws Refusal 400 with faults; 404 for a day that is not open; 409 when the day is closed or another
 *   check-in stands for it
 */
export async function checkIn({ db, clock }: Context, person: Person, raw: unknown): Promise<Receipt> {
	const input = validate(checkinSchema, raw);
	return db.transaction(async (tx) => {
		const row = await dayRow(tx, person, input);
		const again = await sameAgain(tx, person, input.id);
		if (again) return again;
		const now = clock.now();
		const challenge = await challengeById(tx, person.challengeId);
		const window = windowsOf(challenge, { zone: person.zone, shiftDays: row.shiftDays })[input.day - 1];
		if (!window) throw notFound('day');
		const day = personDay({ ...row, day: input.day }, window, row, creditPolicyOf(challenge), now);
		const standing = standingAt(challenge, day, now);
		if (row.kind === 'rest') throw new Refusal(409, 'This is a rest day: there is nothing to check in.');
		if (!row.body)
			throw new Refusal(409, 'There is no session on this day yet, so there is nothing to check in.');
		const practice = await practiceOf(tx, challenge.coachId);
		const own = await prescriptionFor(tx, person.enrolmentId, input.day, row.body, practice, now);
		if (!own)
			throw new Refusal(409, 'Nothing of this session is asked of you, so there is nothing to check in.');
		const { log, credit } = logOf(input, own.asked);
		await makeRoom(tx, person, input, now);
		const receipt: Receipt = { id: input.id, credit, standing, fresh: true };
		await write(tx, person, row, input, receipt, log, own.changes.length > 0 ? own.asked : null, now);
		return receipt;
	});
}
