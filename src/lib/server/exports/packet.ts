import { figureOf, figureSvg } from '$core/figures';
import { testText } from '$core/plan';
import { dateIn, dateOfDay, daysBetween, type DayKind } from '$core/calendar';
import { outlineOf, type Outline } from '$core/analysis';
import { prescriptionOf, type PrescribedExercise, type Session } from '$core/session';
import { challengeById, challengeOf, type Challenge } from '../challenge/challenge';
import type { Context } from '../platform/context';
import type { Queries } from '../db/database';
import { practiceOf } from '../practice/practice';
import { enrolmentOf } from '../people/enrolments';
import { windowsOf } from '../day/windows';
import { planOf } from '../plan/plan';
import { planRules } from '../plan/prescribed';

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

/** Whose packet, and which of its days are out: those of days ahead stay with the coach unless she puts them in. */
interface Reader {
	name: string | null;
	enrolmentId: string | null;
	shiftDays: number;
	isOut: (day: number) => boolean;
	isTheirs: (day: number) => boolean;
}

async function readerOf(
	{ db, clock }: Context,
	challenge: Challenge,
	enrolmentId: string | null
): Promise<Reader> {
	const now = clock.now();
	if (enrolmentId === null) {
		const groupDay = daysBetween(challenge.startsOn, dateIn(challenge.coachZone, now)) + 1;
		return {
			name: null,
			enrolmentId,
			shiftDays: 0,
			isOut: (day) => day <= groupDay,
			isTheirs: () => true
		};
	}
	const person = await enrolmentOf(db, challenge.id, enrolmentId);
	const windows = windowsOf(challenge, person);
	return {
		name: person.name,
		enrolmentId,
		shiftDays: person.shiftDays,
		isOut: (day) => (windows[day - 1]?.opens ?? Infinity) <= now,
		isTheirs: (day) => day >= person.fromDay
	};
}

/** What somebody has checked in with stays what they did, also on paper: versions by day. */
async function doneWith(db: Queries, enrolmentId: string | null): Promise<Map<number, string>> {
	if (enrolmentId === null) return new Map();
	const rows = await db.query<{ day: number; versionId: string }>(
		`select day, version_id as "versionId" from checkin
		 where enrolment_id = $1 and replaced_at is null and version_id is not null`,
		[enrolmentId]
	);
	return new Map(rows.map(({ day, versionId }) => [day, versionId]));
}

async function packet(
	context: Context,
	challenge: Challenge,
	enrolmentId: string | null,
	ahead: boolean
): Promise<Packet> {
	const { db } = context;
	const reader = await readerOf(context, challenge, enrolmentId);
	const own = await doneWith(db, enrolmentId);
	const plan = (await planOf(db, challenge))
		.filter(({ day, kind }) => kind !== 'rest' && reader.isTheirs(day) && (ahead || reader.isOut(day)))
		.map((day) => ({ ...day, versionId: own.get(day.day) ?? day.versionId }));
	const rows = await db.query<{ id: string; name: string; body: Session }>(
		`select v.id, s.name, v.body from session_version v join session s on s.id = v.session_id
		 where v.id = any($1::uuid[])`,
		[[...new Set(plan.flatMap(({ versionId }) => versionId ?? []))]]
	);
	const { rules } = await planRules(db, challenge.id);
	const testsOn = new Map(
		(
			await db.query<{ day: number; tests: string[] }>(
				'select day, tests from plan_day where challenge_id = $1',
				[challenge.id]
			)
		).map(({ day, tests }) => [day, tests])
	);
	const practice = await practiceOf(db, challenge.coachId);
	const sessions = new Map(
		rows.map(({ id, name, body }) => [
			id,
			{ name, outline: outlineOf(body, practice), asked: prescriptionOf(body, practice) }
		])
	);
	const names = new Set([...sessions.values()].flatMap(({ asked }) => asked.map(({ exercise }) => exercise)));
	const figures = new Map<string, string>();
	for (const name of names) {
		const figure = figureOf(name, practice.library);
		if (figure) figures.set(name, figureSvg(figure));
	}
	return {
		challenge: challenge.name,
		goal: challenge.goal,
		person: reader.name,
		figures,
		days: plan.map(({ day, kind, cancelled, versionId }) => ({
			day,
			date: dateOfDay(day, challenge.startsOn, reader.shiftDays),
			kind,
			cancelled,
			session: (versionId && sessions.get(versionId)) || null,
			tests: rules.tests.filter(({ id }) => testsOn.get(day)?.includes(id)).map(testText)
		}))
	};
}

/**
 * A packet as the coach asks for it.
 * @param enrolmentId whose; null: for anybody, by the group’s dates
 * @param ahead whether days that are not out yet are in it
 * @throws Refusal 404
 */
export async function coachPacket(
	context: Context,
	coachId: string,
	challengeId: string,
	enrolmentId: string | null,
	ahead: boolean
): Promise<Packet> {
	return packet(context, await challengeOf(context.db, coachId, challengeId), enrolmentId, ahead);
}

/** A participant’s own packet: what is out for them, and no day more. */
export async function ownPacket(context: Context, challengeId: string, enrolmentId: string): Promise<Packet> {
	return packet(context, await challengeById(context.db, challengeId), enrolmentId, false);
}
