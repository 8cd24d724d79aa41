import { setImmediate } from 'node:timers/promises';
import { outlineOf, type Outline } from '$core/analysis';
import { dateOfDay, dayInZone, type DayKind } from '$core/calendar';
import { personalSession } from '$core/day';
import type { FitProfile } from '$core/fit';
import { readIn } from '$core/kit';
import { figureOf, figureSvg } from '$core/figures';
import { testText } from '$core/plan';
import type { PrescribedExercise, Session } from '$core/session';
import type { Person } from '../../records/person';
import { challengeById, type Challenge, type OwnedChallenge } from '../../records/challenge';
import { allOverrides, heldAt } from '../../records/overrides';
import { daysOf } from '../../records/person-days';
import type { Queries } from '../../platform/db/database';
import { enrolmentById, type Enrolment, type OwnPerson } from '../../records/enrolments';
import type { Context } from '../../platform/context';
import type { EnrolmentId, VersionId } from '../../platform/ids';
import { allSuited, suitedAt, profileIn, type Suited } from '../../records/suited';
import { planOf, type PlanDay } from '../../records/plan-days';
import { planRules } from '../../changes/prescribed';
import { practiceOf } from '../../records/practice';
import { IS_CURRENT } from '../../records/facts';

export interface PacketDay {
	day: number;
	date: string;
	kind: DayKind;
	cancelled: string | null;
	session: { name: string; outline: Outline; asked: PrescribedExercise[] } | null;
	tests: string[];
}

/** Sessions on paper, with room for results, for somebody without a device at hand. */
export interface Packet {
	challenge: string;
	goal: string;
	/** Whose it is; null: anybody’s. */
	person: string | null;
	days: PacketDay[];
	/** Pictures by the name of an exercise. */
	figures: Map<string, string>;
}

/** Whose packet, with how each day stands for them; null: anybody's, by the group's dates. */
interface Reader {
	name: string | null;
	enrolmentId: EnrolmentId | null;
	/** What suited them at an instant; null: the session as planned. */
	profileAt: (at: number) => FitProfile | null;
	shiftDays: number;
	/** Days that are theirs and released; those ahead stay with the coach unless she puts them in. */
	has: (day: number, ahead: boolean) => boolean;
}

const anybody = ({ clock }: Context, { startsOn, coachZone }: Challenge): Reader => {
	const today = dayInZone(startsOn, coachZone, clock.now());
	return {
		name: null,
		enrolmentId: null,
		profileAt: () => null,
		shiftDays: 0,
		has: (day, ahead) => ahead || day <= today
	};
};

const somebody = (
	{ clock }: Context,
	challenge: Challenge,
	plan: PlanDay[],
	person: Enrolment,
	suited: readonly Suited[]
): Reader => {
	const days = daysOf(challenge, plan, person, clock.now());
	return {
		name: person.name,
		enrolmentId: person.id,
		profileAt: (at) => profileIn(challenge, suited.length > 0 ? suitedAt(suited, at) : person.suited),
		shiftDays: person.shiftDays,
		has: (day, ahead) => {
			const own = days[day - 1];
			return own !== undefined && own.theirs && own.state !== 'held' && (ahead || own.open);
		}
	};
};

/** What somebody has checked in with stays what they did, also on paper: versions and instants by day. */
async function doneWith(
	db: Queries,
	enrolmentId: EnrolmentId | null
): Promise<Map<number, { versionId: VersionId; at: number }>> {
	if (enrolmentId === null) return new Map();
	const rows = await db.query<{ day: number; versionId: VersionId; at: number }>(
		`select day, version_id as "versionId", received_at as at from result c
		 where enrolment_id = $1 and ${IS_CURRENT} and version_id is not null`,
		[enrolmentId]
	);
	return new Map(rows.map(({ day, ...done }) => [day, done]));
}

type PacketSession = NonNullable<PacketDay['session']>;

async function packet(
	context: Context,
	challenge: Challenge,
	person: Enrolment | null,
	ahead: boolean
): Promise<Packet> {
	const { db, clock } = context;
	const plan = await planOf(db, challenge);
	const reader = person
		? somebody(context, challenge, plan, person, await allSuited(db, person.participantId))
		: anybody(context, challenge);
	const done = await doneWith(db, reader.enrolmentId);
	const days = plan
		.filter(({ day, kind }) => kind !== 'rest' && reader.has(day, ahead))
		.map((day) => ({ ...day, versionId: done.get(day.day)?.versionId ?? day.versionId }));
	const rows = await db.query<{ id: VersionId; name: string; body: Session }>(
		`select v.id, coalesce(v.name, s.name) as name, v.body from session_version v join session s on s.id = v.session_id
		 where v.id = any($1::uuid[])`,
		[[...new Set(days.flatMap(({ versionId }) => versionId ?? []))]]
	);
	const versions = new Map(rows.map((row) => [row.id, row]));
	const { rules, testsOn } = await planRules(db, challenge.id);
	const practice = await practiceOf(db, challenge.coachId);
	const overrides = reader.enrolmentId ? await allOverrides(db, reader.enrolmentId) : [];
	const sessionOf = (day: number, versionId: VersionId | null): PacketSession | null => {
		const version = versionId && versions.get(versionId);
		if (!version) return null;
		const at = done.get(day)?.at ?? clock.now();
		const profile = reader.profileAt(at);
		const fitted = { profile, overrides: overrides.filter(heldAt(at)) };
		const own = personalSession(version.body, day, fitted, practice);
		return (
			own && {
				name: version.name,
				outline: readIn(outlineOf(own.session, practice, profile?.limits), person?.units ?? 'kg'),
				asked: own.asked
			}
		);
	};
	const printed: PacketDay[] = [];
	for (const { day, kind, cancelled, versionId } of days) {
		printed.push({
			day,
			date: dateOfDay(day, challenge.startsOn, reader.shiftDays),
			kind,
			cancelled,
			session: sessionOf(day, versionId),
			tests: rules.tests.filter(({ id }) => testsOn.get(day)?.includes(id)).map(testText)
		});
		// Others are answered between two days: a packet of twelve weeks takes a while to put together.
		await setImmediate();
	}
	const figures = new Map<string, string>();
	for (const { exercise } of printed.flatMap(({ session }) => session?.asked ?? [])) {
		const figure = figures.has(exercise) ? null : figureOf(exercise, practice.library);
		if (figure) figures.set(exercise, figureSvg(figure));
	}
	return { challenge: challenge.name, goal: challenge.goal, person: reader.name, figures, days: printed };
}

/**
 * A packet as the coach asks for it.
 * @param person whose; null: for anyone, on the group’s dates
 * @param ahead whether days that are not released yet are in it
 */
export const coachPacket = (
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson | null,
	ahead: boolean
): Promise<Packet> => packet(context, challenge, person, ahead);

/** A participant’s own packet: what is released to them, and no day more. */
export async function ownPacket(context: Context, { challengeId, enrolmentId }: Person): Promise<Packet> {
	const challenge = await challengeById(context.db, challengeId);
	return packet(context, challenge, await enrolmentById(context.db, enrolmentId), false);
}
