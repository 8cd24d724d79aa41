/** A participant's own days: where they stand, and what a day asks of them. */
import {
	ownPieces,
	personalSession,
	type OwnPiece,
	type PersonalSession,
	type PersonDay,
	type PersonalChange,
	type LoggedSet,
	type Strip
} from '$core/day';
import { extrasOf, type Extras } from '$core/attendance';
import { outlineOf, type Outline } from '$core/analysis';
import { holdAt, type Hold } from '$core/health';
import { readIn, type Limitation } from '$core/kit';
import { concerns, type PrescribedExercise, type Session } from '$core/session';
import { CHECKIN_FACTS, SETS, type CheckinFacts, IS_CURRENT } from '../../records/facts';
import type { Person } from '../../records/person';
import { instant, only, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound } from '../../platform/errors';
import type { EnrolmentId, VersionId } from '../../platform/ids';
import { kept } from '../../platform/kept';
import { versionById } from '../../training/session/sessions';
import { allSuited, suitedAt, profileIn, type Suited } from '../../records/suited';
import { groupOf, type Group } from '../../training/challenge/group';
import { heldAt } from '../../records/overrides';
import { daysOf } from '../../records/person-days';
import { pollsSince, type PastOverride, type StandingRow } from '../../records/standing-row';

/** Where one person stands in their challenge. */
export interface Standing
	extends Group, Pick<StandingRow, 'company' | 'votes' | 'counts' | 'unread' | 'overrides' | 'pain'> {
	days: PersonDay[];
	/** What came in, by day. */
	strip: Strip;
	/** What they did beside the plan. */
	extras: Extras;
	shiftDays: number;
	/** What keeps sessions from them now; null: nothing does. */
	hold: Hold | null;
	/** The newest day that has opened; null before the first. */
	today: number | null;
}

async function standingRow({ db, clock }: Context, { enrolmentId }: Person): Promise<StandingRow> {
	const { standing } = only(
		await db.query<{ standing: StandingRow | null }>('select standing_of($1, $2) as standing', [
			enrolmentId,
			instant(pollsSince(clock.now()))
		])
	);
	if (!standing) throw notFound('person');
	return standing;
}

export async function standingOf(context: Context, person: Person): Promise<Standing> {
	const row = person.standing ?? (await standingRow(context, person));
	const { revision, overrides, company, votes, counts, unread, pain, ...own } = row;
	const group = await groupOf(context, person.challengeId, revision);
	const now = context.clock.now();
	const days = daysOf(
		group.challenge,
		group.plan,
		{ ...own, zone: person.zone, earlierZones: person.earlierZones, holds: person.holds },
		now
	);
	const opened = days.filter(({ window }) => window.opens <= now).length;
	return {
		...group,
		days,
		strip: own.strip,
		extras: extrasOf(own.extras, now),
		shiftDays: own.shiftDays,
		overrides,
		hold: holdAt(person.holds, now),
		company,
		votes,
		counts,
		unread,
		pain,
		today: opened > 0 ? opened : null
	};
}

/** When the next day of theirs opens, epoch milliseconds; null: there is none. */
export const nextOpens = ({ days, today }: Pick<Standing, 'days' | 'today'>): number | null =>
	days.find(({ day, theirs }) => theirs && day > (today ?? 0))?.window.opens ?? null;

/**
 * What a version of a session asks of one person on a day, as it was at an instant.
 * @param all that is, or ever was, different for them
 */
export async function prescriptionFor(
	db: Queries,
	person: Pick<Person, 'participantId' | 'suited'>,
	day: number,
	body: Session,
	all: readonly PastOverride[],
	{ challenge, practice }: Pick<Group, 'challenge' | 'practice'>,
	at: number
) {
	const profile = profileIn(challenge, await suitedFor(db, person, at));
	return personalSession(body, day, { profile, overrides: all.filter(heldAt(at)) }, practice);
}

/** What was known of somebody at an instant. */
async function suitedFor(
	db: Queries,
	{ participantId, suited }: Pick<Person, 'participantId' | 'suited'>,
	at: number
): Promise<Suited> {
	if (at >= suited.since) return suited;
	const all = await allSuited(db, participantId);
	return all.length > 0 ? suitedAt(all, at) : suited;
}

/** A session as a participant's page needs it: nothing is left to look up or to work out. */
export interface OwnSession {
	name: string;
	versionId: string;
	outline: Outline;
	asked: PrescribedExercise[];
	/** What is different for them, and why. */
	changes: PersonalChange[];
	/** Pieces that are ticked off one by one; none where it is done in one go. */
	pieces: OwnPiece[];
}

export interface OwnDay extends PersonDay {
	/** What came in for it, null when nothing did. */
	checkin: OwnCheckin | null;
	session: OwnSession | null;
	/** Whether there is a session, and nothing in it that is safe for them with what they have. */
	nothingLeft: boolean;
}

export interface OwnCheckin extends CheckinFacts {
	versionId: VersionId | null;
	/** When the session was begun that it is about, as far as that is known. Epoch milliseconds. */
	begunAt: number;
	sets: LoggedSet[];
}

const CHECKIN = `select ${CHECKIN_FACTS}, c.version_id as "versionId",
		coalesce(c.started_at, c.done_at, c.received_at) as "begunAt",
		${SETS} as sets
	from result c`;

/** What stands for a day, after corrections. */
async function checkinOfDay(db: Queries, enrolmentId: EnrolmentId, day: number): Promise<OwnCheckin | null> {
	const [found] = await db.query<OwnCheckin>(
		`${CHECKIN} where c.enrolment_id = $1 and c.day = $2 and ${IS_CURRENT}`,
		[enrolmentId, day]
	);
	return found ?? null;
}

/** A check-in by its id, for the one who made it. @throws Refusal 404, also for somebody else's */
export async function ownCheckin(
	{ db }: Pick<Context, 'db'>,
	person: Person,
	id: string
): Promise<OwnCheckin> {
	const [found] = await db.query<OwnCheckin>(
		`${CHECKIN} where c.enrolment_id = $1 and c.id = $2 and c.kind = 'planned'`,
		[person.enrolmentId, idOf(id, 'check-in')]
	);
	if (!found) throw notFound('check-in');
	return found;
}

/**
 * A day with its session, as soon as it is open for this person. Who has done it sees what they did.
 * @param anew as it would be begun now, whatever was done of it
 * @throws Refusal 404 for a day that does not exist, is not theirs or has not opened: the three are not told apart
 */
export async function openDay(
	context: Context,
	person: Person,
	day: number,
	standing?: Standing,
	anew = false
): Promise<OwnDay> {
	const known = standing ?? (await standingOf(context, person));
	const found = known.days[day - 1];
	const planned = known.plan[day - 1];
	if (!found?.open || !planned) throw notFound('day');
	const checkin = known.strip[day] && !anew ? await checkinOfDay(context.db, person.enrolmentId, day) : null;
	const versionId = checkin?.versionId ?? planned.versionId;
	const at = checkin?.begunAt ?? context.clock.now();
	const held = found.state === 'held';
	const own = held || !versionId ? null : await ownSessionOf(context.db, known, person, day, versionId, at);
	if (!own) return { ...found, checkin, session: null, nothingLeft: !held && versionId !== null };
	const { places, planned: body, fitted: _fitted, ...session } = own;
	const pieces = ownPieces(body, { places, asked: session.asked }, checkin?.sets ?? []);
	return {
		...found,
		checkin,
		session: { ...session, pieces },
		nothingLeft: false
	};
}

/** A session with the alternatives that are meant for somebody with some limits marked; the same for who has none. */
function outlineFor(outline: Outline, limits: readonly Limitation[]): Outline {
	if (limits.length === 0) return outline;
	return {
		...outline,
		blocks: outline.blocks.map((block) => ({
			...block,
			parts: block.parts.map((part) => ({
				...part,
				instead: part.instead.map((one) => ({ ...one, forThem: concerns(one, limits) }))
			}))
		}))
	};
}

/** A day for a page that somebody reads, in their units: what only a check-in needs stays here. */
export function forReading({ session, checkin, ...day }: OwnDay, { units }: Pick<Person, 'units'>) {
	return {
		...day,
		checkin: checkin && {
			receivedAt: checkin.receivedAt,
			done: checkin.done,
			credit: checkin.credit,
			standing: checkin.standing,
			enteredBy: checkin.enteredBy,
			/** Whether they said how it went. */
			told: checkin.effort !== null
		},
		session: session && {
			name: session.name,
			outline: readIn(session.outline, units),
			changes: readIn(session.changes, units),
			pieces: session.pieces.map(({ dayPart, from, blocks, credit }) => ({
				dayPart,
				from,
				last: blocks.at(-1) ?? 0,
				done: credit >= 1
			}))
		}
	};
}

/** A session as one person gets it, whatever they have done of it. */
interface KnownSession extends Omit<OwnSession, 'pieces'> {
	places: number[];
	planned: Session;
	/** As they get it. */
	fitted: Session;
}

/** A version of a session as one person gets it on a day; null where nothing of it is asked of them. */
export async function ownSessionOf(
	db: Queries,
	{ challenge, practice, revision, overrides: all }: Standing,
	person: Person,
	day: number,
	versionId: VersionId,
	at: number
): Promise<KnownSession | null> {
	const version = await kept(db, `version ${versionId}`, revision, () => versionById(db, versionId));
	const profile = profileIn(challenge, await suitedFor(db, person, at));
	// Nothing of the person goes in that is not in the key below: others are shown it as well.
	const made = (own: PersonalSession | null): KnownSession | null =>
		own && {
			name: version.name,
			versionId,
			outline: outlineFor(outlineOf(own.session, practice, profile.limits), profile.limits),
			asked: own.asked,
			changes: own.changes,
			places: own.places,
			planned: version.body,
			fitted: own.session
		};
	const overrides = all.filter(heldAt(at));
	// Without differences it is the same for everybody whom the same suits, whatever the day.
	const own = overrides.length > 0 ? `${day} ${JSON.stringify(overrides)}` : '';
	return kept(db, `session ${versionId} ${JSON.stringify(profile)} ${own}`, revision, () =>
		Promise.resolve(made(personalSession(version.body, day, { profile, overrides }, practice)))
	);
}
