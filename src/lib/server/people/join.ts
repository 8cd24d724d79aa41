/** People who join by themselves: on a page with a code, as long as there are places; who comes later waits. */
import { addPersonSchema, capacitySchema, joinSchema } from '$contracts/join';
import { addDays, dateIn, LAST_ZONE } from '$core/calendar';
import { challengeById, challengeOf, type Challenge, type OwnedChallenge } from '../records/challenge';
import { instant, only, type Queries } from '../platform/db/database';
import { readKit } from '$core/kit';
import type { Context } from '../platform/context';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { ChallengeId, CoachId, Ids } from '../platform/ids';
import { planRules } from '../changes/prescribed';
import { validate } from '../platform/validate';
import { enrol, type NewLink } from './enrol';
import { knownOf } from './import';

/** Letters and figures that nobody mistakes for another. */
const SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE = /^[A-HJKMNP-Z2-9]{8}$/;

function newCode(ids: Ids): string {
	const bytes = Buffer.from(ids.secret(), 'base64url');
	return [...bytes.subarray(0, 8)].map((byte) => SIGNS[byte % SIGNS.length]).join('');
}

export interface JoinSetting {
	/** Null: nobody can join by themselves. */
	code: string | null;
	/** Null: as many as come. */
	capacity: number | null;
	people: number;
}

export const joinSettingOf = async (db: Queries, id: ChallengeId): Promise<JoinSetting> =>
	only(
		await db.query<JoinSetting>(
			`select join_code as code, capacity, (select count(*)::int from enrolment e where e.challenge_id = ch.id
				and e.left_at is null) as people from challenge ch where id = $1`,
			[id]
		)
	);

/** Opens the page on which people join, or changes how many it takes. @throws Refusal 400 */
export async function openJoin({ db, ids }: Context, { id }: OwnedChallenge, raw: unknown): Promise<void> {
	const { capacity } = validate(capacitySchema, raw);
	await db.query('update challenge set join_code = coalesce(join_code, $2), capacity = $3 where id = $1', [
		id,
		newCode(ids),
		capacity
	]);
}

/** Closes the page: its address leads nowhere any more. */
export async function closeJoin({ db }: Context, { id }: OwnedChallenge): Promise<void> {
	await db.query('update challenge set join_code = null where id = $1', [id]);
}

/** What somebody reads before they join. */
export interface JoinPage {
	challenge: Pick<Challenge, 'name' | 'goal' | 'startsOn' | 'days' | 'budgetMinutes' | 'trainingDays'>;
	coach: string;
	/** What everyone is taken to have beyond the household. */
	needs: readonly string[];
	/** Places left; null: as many as come. */
	places: number | null;
}

/** The challenge behind a code. @throws Refusal 404, also when it is over */
async function challengeBehind(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	code: string
): Promise<Challenge> {
	const wanted = code.toUpperCase();
	const [found] = CODE.test(wanted)
		? await db.query<{ id: ChallengeId }>('select id from challenge where join_code = $1', [wanted])
		: [];
	const challenge = found && (await challengeById(db, found.id));
	const over = challenge && addDays(challenge.startsOn, challenge.days - 1) < dateIn(LAST_ZONE, clock.now());
	if (!challenge || over)
		throw new Refusal(404, 'There is nothing to join under this code. Ask your coach for the right one.');
	return challenge;
}

/** @throws Refusal 404 */
export async function joinPage(context: Context, code: string): Promise<JoinPage> {
	const challenge = await challengeBehind(context, code);
	const { capacity, people } = await joinSettingOf(context.db, challenge.id);
	const { rules } = await planRules(context.db, challenge.id);
	const { name, goal, startsOn, days, budgetMinutes, trainingDays } = challenge;
	const { coach } = only(
		await context.db.query<{ coach: string }>('select name as coach from coach where id = $1', [
			challenge.coachId
		])
	);
	return {
		challenge: { name, goal, startsOn, days, budgetMinutes, trainingDays },
		coach,
		needs: rules.audience.items,
		places: capacity === null ? null : Math.max(0, capacity - people)
	};
}

/** People who wait at most: more is no list that anybody reads. */
const MOST_WAITING = 500;

/**
 * Lets somebody join. Whoever the coach knows already, or is in it, waits for her: their record is theirs, and an address
 * alone proves nothing; they are answered as anybody who waits.
 *
 * @returns the secret of their own link, or null where they wait
 * @throws Refusal 400, 404, 409 when too many wait
 */
export async function join(context: Context, code: string, raw: unknown): Promise<string | null> {
	const challenge = await challengeBehind(context, code);
	const { name, email, zone } = validate(joinSchema, raw);
	const entry = { name, email, zone };
	const known = (await knownOf(context.db, challenge.coachId, [entry])).size > 0;
	const place = known ? null : await takePlace(context, challenge.id, entry);
	if (place !== null) {
		try {
			const owned = await challengeOf(context.db, challenge.coachId, challenge.id, 'owner');
			const [link] = await enrol(
				context,
				owned,
				[{ ...entry, level: 'beginner', kit: [], unread: [] }],
				null
			);
			if (link) return link.secret;
		} finally {
			await context.db.query('delete from waiting where id = $1', [place]);
		}
	}
	const { waiting } = only(
		await context.db.query<{ waiting: number }>(
			'select count(*)::int as waiting from waiting where challenge_id = $1',
			[challenge.id]
		)
	);
	if (waiting >= MOST_WAITING)
		throw new Refusal(409, 'The waiting list is full. Write to the coach; nothing was kept.');
	await context.db.query(
		`insert into waiting (id, challenge_id, name, email, zone, at) values ($1, $2, $3, $4, $5, $6)
		 on conflict (challenge_id, email) do nothing`,
		[context.ids.uuid(), challenge.id, name, email, zone, instant(context.clock.now())]
	);
	return null;
}

/** A place that was taken and not used within this long was taken by a process that ended. */
const PLACE_HELD = 60_000;

/**
 * Takes a place for somebody, before they are enrolled: of two who come at once for the last one only one gets it.
 * @returns what it is kept under until then; null without a place, or for somebody who waits already
 */
function takePlace(
	{ db, clock, ids }: Context,
	challengeId: ChallengeId,
	{ name, email, zone }: { name: string; email: string; zone: string }
): Promise<string | null> {
	const now = clock.now();
	return db.transaction(async (tx) => {
		await tx.query('select 1 from challenge where id = $1 for update', [challengeId]);
		const { free } = only(
			await tx.query<{ free: boolean }>(
				`select capacity is null or capacity > (select count(*) from enrolment e where e.challenge_id = ch.id
						and e.left_at is null) + (select count(*) from waiting w where w.challenge_id = ch.id and w.place and w.at > $2) as free
				 from challenge ch where id = $1`,
				[challengeId, instant(now - PLACE_HELD)]
			)
		);
		if (!free) return null;
		const [taken] = await tx.query<{ id: string }>(
			`insert into waiting (id, challenge_id, name, email, zone, at, place) values ($1, $2, $3, $4, $5, $6, true)
			 on conflict (challenge_id, email) do nothing returning id`,
			[ids.uuid(), challengeId, name, email, zone, instant(now)]
		);
		return taken?.id ?? null;
	});
}

export interface Waiting {
	id: string;
	name: string;
	email: string;
	zone: string;
	at: number;
	/** The coach knows them already, from this or another challenge. */
	known: boolean;
}

/** Who waits, the first at the head. */
export const waitingOf = (db: Queries, { id, coachId }: OwnedChallenge): Promise<Waiting[]> =>
	db.query(
		`select w.id, w.name, w.email, w.zone, w.at,
			exists (select from participant p where p.coach_id = $2 and p.email = w.email) as known
		 from waiting w where w.challenge_id = $1 order by w.at, w.id`,
		[id, coachId]
	);

const waiterOf = async (db: Queries, challenge: OwnedChallenge, id: string): Promise<Waiting> => {
	const wanted = idOf(id, 'person');
	const found = (await waitingOf(db, challenge)).find((one) => one.id === wanted);
	if (!found) throw notFound('person');
	return found;
};

/** Enrols somebody who waits; whom the coach knows stays as they are known. @throws Refusal 404, 409 */
export async function admit(
	context: Context,
	challenge: OwnedChallenge,
	id: string,
	by: CoachId
): Promise<NewLink> {
	const { name, email, zone } = await waiterOf(context.db, challenge, id);
	const known = (await knownOf(context.db, challenge.coachId, [{ email }])).get(email);
	const [link] = await enrol(
		context,
		challenge,
		[known ?? { name, email, zone, level: 'beginner', kit: [], unread: [] }],
		by
	);
	await context.db.query('delete from waiting where challenge_id = $1 and email = $2', [challenge.id, email]);
	if (!link) throw notFound('person');
	return link;
}

/** Takes somebody off the list of those who wait. @throws Refusal 404 */
export async function turnAway(context: Context, challenge: OwnedChallenge, id: string): Promise<void> {
	const { id: found } = await waiterOf(context.db, challenge, id);
	await context.db.query('delete from waiting where id = $1', [found]);
}

/**
 * Enrols one person by hand. @returns their link
 * @throws Refusal 400 with faults, 409 when they are in it or it is over
 */
export async function addPerson(
	context: Context,
	challenge: OwnedChallenge,
	raw: unknown,
	by: CoachId
): Promise<NewLink> {
	const { name, email, zone, level, equipment } = validate(addPersonSchema, raw);
	const { kit, unread } = readKit(equipment);
	const [link] = await enrol(context, challenge, [{ name, email, zone, level, kit, unread }], by);
	if (!link) throw notFound('person');
	return link;
}
