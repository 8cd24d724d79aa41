/** What does not fit somebody on the days ahead: looked for before a day is released, and again where something has changed. */
import { createHash } from 'node:crypto';
import { setImmediate as breath } from 'node:timers/promises';
import {
	appliesOn,
	entryOf,
	shareThatFits,
	type AuditFinding,
	type FitCase,
	type FitResult,
	type Override,
	type Unfit
} from '$core/day';
import { dayInZone } from '$core/calendar';
import { holdAt } from '$core/health';
import { whatHelps, type Help, type FitProfile } from '$core/fit';
import type { Session } from '$core/session';
import { challengeById, type Challenge } from '../../records/challenge';
import { groupNow } from '../challenge/group';
import { overridesIn } from '../../records/overrides';
import type { Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import type { ChallengeId, EnrolmentId, VersionId } from '../../platform/ids';
import type { Job } from '../../platform/jobs';
import { enrolmentsOf, type Enrolment } from '../../records/enrolments';
import { profileIn } from '../../records/suited';
import { plainOf } from '$core/practice';
import type { Threads } from '../../platform/threads';
import { versionById } from '../session/sessions';
import { isOver } from './fit';

const markOf = (...parts: unknown[]): string =>
	createHash('sha256').update(JSON.stringify(parts)).digest('base64url').slice(0, 22);

/** Somebody on a day ahead. */
interface Ahead {
	id: EnrolmentId;
	day: number;
	versionId: VersionId;
	profile: number;
	overrides: Override[];
	mark: string;
}

/** Everybody on every day ahead that has a session, with a mark of all that decides what they get. */
async function daysAhead(context: Context, challenge: Challenge) {
	const { plan, practice } = await groupNow(context, challenge.id);
	const now = context.clock.now();
	const today = dayInZone(challenge.startsOn, challenge.coachZone, now);
	// In the west it is still the day before.
	const days = plan.filter(({ day, versionId, cancelled }) => versionId && !cancelled && day >= today - 1);
	const decided = await overridesIn(context.db, challenge.id, now);
	const library = markOf(practice.library.all.filter(({ ownId }) => ownId));
	const profile: FitProfile[] = [];
	const places = new Map<string, number>();
	const ahead: Ahead[] = [];
	for (const [i, { id, suited, fromDay, leftAt }] of (
		await enrolmentsOf(context.db, challenge.id)
	).entries()) {
		if (i % 50 === 49) await breath();
		if (leftAt !== null) continue;
		const own = profileIn(challenge, suited);
		const key = JSON.stringify(own);
		const place = places.get(key) ?? profile.push(own) - 1;
		places.set(key, place);
		const theirs = decided.get(id) ?? [];
		const about = markOf(key, library);
		for (const { day, versionId } of days) {
			if (!versionId || day < fromDay) continue;
			const overrides = theirs.filter((one) => appliesOn(one, day));
			const mark = overrides.length > 0 ? markOf(versionId, about, overrides) : `${versionId} ${about}`;
			ahead.push({ id, day, versionId, profile: place, overrides, mark });
		}
	}
	return { ahead, profile, practice };
}

const keyOf = ({ id, day }: { id: string; day: number }): string => `${id} ${day}`;

/**
 * Works out what everybody of a challenge gets on the days ahead, as far as it is not known: only what has changed is done
 * again. @returns how many days of how many people were worked out
 */
export async function fitAhead(
	context: Context & { threads: Threads },
	challenge: Challenge
): Promise<number> {
	const { db, threads } = context;
	const { ahead, profile, practice } = await daysAhead(context, challenge);
	const known = await db.query<{ id: EnrolmentId; day: number; mark: string }>(
		`select f.enrolment_id as id, f.day, f.mark from fit_day f join enrolment e on e.id = f.enrolment_id
		 where e.challenge_id = $1`,
		[challenge.id]
	);
	const marks = new Map(known.map((one) => [keyOf(one), one.mark]));
	const fresh = ahead.filter((one) => marks.get(keyOf(one)) !== one.mark);
	const wanted = new Set(ahead.map(keyOf));
	const stale = known.filter((one) => !wanted.has(keyOf(one)));
	if (fresh.length === 0 && stale.length === 0) return 0;
	const bodies = await db.query<{ id: VersionId; body: Session }>(
		'select id, body from session_version where id = any($1::uuid[])',
		[[...new Set(fresh.map(({ versionId }) => versionId))]]
	);
	const results = await threads.run(
		'fit',
		{
			sessions: bodies.map(({ id, body }) => [id, body] as const),
			profile,
			cases: fresh.map(({ versionId, day, profile: place, overrides }): FitCase => ({
				session: versionId,
				day,
				profile: place,
				overrides
			})),
			practice: plainOf(practice)
		},
		`fit ${challenge.id}`
	);
	await keep(db, fresh, results, stale);
	return fresh.length;
}

/** Rows written at a time: others are answered in between. */
const AT_ONCE = 200;

async function keep(
	db: Queries,
	fresh: readonly Ahead[],
	results: readonly FitResult[],
	stale: readonly { id: EnrolmentId; day: number }[]
): Promise<void> {
	for (let i = 0; i < fresh.length; i += AT_ONCE) {
		const rows = fresh
			.slice(i, i + AT_ONCE)
			.map(({ id, day, mark }, at) => ({ id, day, mark, ...results[i + at] }));
		// Somebody who was taken off meanwhile has no days any more.
		await db.query(
			`insert into fit_day (enrolment_id, day, mark, seconds, unfit, nothing, audit)
			 select r.id, r.day, r.mark, r.seconds, r.unfit, r.nothing, r.audit
			 from jsonb_to_recordset($1::jsonb) as r(id uuid, day int, mark text, seconds float8, unfit jsonb, nothing boolean, audit jsonb)
			 join enrolment e on e.id = r.id
			 on conflict (enrolment_id, day) do update
				set mark = excluded.mark, seconds = excluded.seconds, unfit = excluded.unfit, nothing = excluded.nothing,
				audit = excluded.audit`,
			[JSON.stringify(rows)]
		);
		await breath();
	}
	if (stale.length > 0)
		await db.query(
			`delete from fit_day f using jsonb_to_recordset($1::jsonb) as r(id uuid, day int)
			 where f.enrolment_id = r.id and f.day = r.day`,
			[JSON.stringify(stale)]
		);
}

/** Something that does not fit somebody on a day ahead. */
export interface Misfit {
	id: EnrolmentId;
	name: string;
	day: number;
	minutes: number;
	seconds: number;
	/** It takes them longer than they have. */
	over: boolean;
	nothing: boolean;
	unfit: { exercise: string; helps: Help[] }[];
	/** What goes against the rules in what they get. */
	audit: AuditFinding[];
}

/**
 * What shortens sessions that take people longer than they have: the largest share that fits once it is compiled, in percent;
 * null where none does. In the order of the misfits.
 */
export async function sharesFor(
	context: Context,
	challenge: Challenge,
	misfits: readonly Misfit[],
	people: readonly Pick<Enrolment, 'id' | 'suited'>[]
): Promise<(number | null)[]> {
	if (!misfits.some(({ over }) => over)) return misfits.map(() => null);
	const { plan, practice } = await groupNow(context, challenge.id);
	const decided = await overridesIn(context.db, challenge.id, context.clock.now());
	const byId = new Map(people.map((one) => [one.id, one]));
	const shares: (number | null)[] = [];
	for (const { id, day, minutes, over } of misfits) {
		const versionId = plan[day - 1]?.versionId;
		const person = byId.get(id);
		if (!over || !versionId || !person) {
			shares.push(null);
			continue;
		}
		const { body } = await versionById(context.db, versionId);
		const overrides = (decided.get(id) ?? []).filter((one) => appliesOn(one, day));
		const own = { profile: profileIn(challenge, person.suited), overrides };
		shares.push(shareThatFits(body, day, own, (seconds) => !isOver(seconds, minutes), practice));
		await breath();
	}
	return shares;
}

/**
 * What does not fit on some days, as it was last looked for: where nothing is left first, then single exercises, then time.
 * Warm-ups and stretches that are left out are no matter for the coach, and neither are days that are done, excused or held.
 * @param people those of the challenge, as they were read in this request
 */
export async function misfitsOn(
	context: Context,
	challenge: Challenge,
	days: readonly number[],
	people: readonly Enrolment[]
): Promise<Misfit[]> {
	const rows = await context.db.query<Omit<Misfit, 'over' | 'unfit'> & { unfit: Unfit[] }>(
		`select f.enrolment_id as id, p.name, f.day, coalesce(p.minutes, $3) as minutes, f.seconds, f.nothing, f.unfit, f.audit
		 from fit_day f join enrolment e on e.id = f.enrolment_id join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and f.day = any($2::int[])
			and (f.nothing or f.unfit <> '[]' or f.audit <> '[]' or f.seconds >= 60 * (coalesce(p.minutes, $3) + 1.5)) order by p.name, f.day`,
		[challenge.id, days, challenge.budgetMinutes]
	);
	if (rows.length === 0) return [];
	const { practice } = await groupNow(context, challenge.id);
	const byId = new Map(people.map((one) => [one.id, one]));
	const now = context.clock.now();
	/** Whether a day is still to be done: what is done, excused or held needs no other session. */
	const isAhead = ({ id, day }: { id: EnrolmentId; day: number }): boolean => {
		const person = byId.get(id);
		return !person || (entryOf(person.strip, day) === null && holdAt(person.holds, now) === null);
	};
	const weight = (one: Misfit) => (one.nothing ? 0 : one.audit.length > 0 ? 1 : one.unfit.length > 0 ? 2 : 3);
	return rows
		.filter(isAhead)
		.map(({ unfit, ...row }): Misfit => {
			const person = byId.get(row.id);
			return {
				...row,
				over: isOver(row.seconds, row.minutes),
				unfit: unfit
					.filter(({ role }) => role === 'main')
					.map(({ exercise }) => {
						const meant = practice.library.find(exercise);
						const helps =
							meant && person ? whatHelps(meant, profileIn(challenge, person.suited), practice) : [];
						return { exercise, helps };
					})
			};
		})
		.filter((one) => one.nothing || one.unfit.length > 0 || one.audit.length > 0 || one.over)
		.sort((a, b) => weight(a) - weight(b));
}

/** Of everything that decides what people of a challenge get: one that is as it was has nothing to be worked out again. */
async function stampOf({ db, clock }: Context, { id, startsOn, coachZone }: Challenge): Promise<string> {
	const [row] = await db.query<{ stamp: string }>(
		`select concat_ws(' ', co.revision, count(e.id), count(e.left_at), max(e.left_at), max(s.since), count(s.since), max(o.made_at), max(o.removed_at), count(o.id),
			max(p.answered_at)) as stamp
		 from challenge ch join coach co on co.id = ch.coach_id left join enrolment e on e.challenge_id = ch.id
		 left join participant p on p.id = e.participant_id
		 left join suited s on s.participant_id = e.participant_id left join override o on o.enrolment_id = e.id
		 where ch.id = $1 group by co.revision`,
		[id]
	);
	return `${row?.stamp ?? ''} ${dayInZone(startsOn, coachZone, clock.now())}`;
}

/** Looks every minute at every challenge that is not over; where nothing has changed there is little to do. */
export function fitJob(context: Context & { threads: Threads }): Job<object> {
	const seen = new Map<ChallengeId, string>();
	return {
		name: 'fit-ahead',
		what: 'Fits the sessions of the days ahead to everybody, where something has changed',
		every: '* * * * *',
		// Once more where the end of the process cut it off; else the next minute does as well.
		retries: 1,
		run: () => fitEverywhere(context, seen)
	};
}

/**
 * Fits the days ahead of every challenge that is not over.
 * @param seen how each stood when it was last done
 */
export async function fitEverywhere(
	context: Context & { threads: Threads },
	seen = new Map<ChallengeId, string>()
): Promise<void> {
	const challenges = await context.db.query<{ id: ChallengeId }>(
		"select id from challenge where starts_on + days > (to_timestamp($1 / 1000.0) at time zone 'utc')::date - 1",
		[context.clock.now()]
	);
	for (const { id } of challenges) {
		const challenge = await challengeById(context.db, id);
		const stamp = await stampOf(context, challenge);
		if (seen.get(id) === stamp) continue;
		await fitAhead(context, challenge);
		seen.set(id, stamp);
	}
}
