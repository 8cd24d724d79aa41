/** What each person of a challenge gets of a day's session, before it is released. */
import {
	fitGroups,
	fitRow,
	personalSession,
	plannedParts,
	type Attention,
	type Difference,
	type FitRow,
	type Override,
	type PersonalSession,
	type PlannedPart
} from '$core/day';
import type { FitProfile } from '$core/fit';
import { holdAt, type HoldReason } from '$core/health';
import type { Practice } from '$core/practice';
import { compileSession, type Session, type Timeline } from '$core/session';
import { outlineOf, type Outline } from '$core/analysis';
import type { Challenge } from '../../records/challenge';
import { groupNow } from '../challenge/group';
import { overridesIn, overridesOf } from '../../records/overrides';
import type { Context } from '../../platform/context';
import type { EnrolmentId } from '../../platform/ids';
import { enrolmentsOf, type OwnPerson } from '../../records/enrolments';
import { suitedIn, profileIn } from '../../records/suited';
import { versionById } from '../session/sessions';

/** Works out sessions of people, once for all whom the same suits. */
export class Fitter {
	private readonly rows = new Map<string, FitRow>();

	constructor(
		private readonly planned: Session,
		private readonly practice: Practice
	) {}

	sessionOf(profile: FitProfile, day: number, overrides: readonly Override[]): PersonalSession | null {
		return personalSession(this.planned, day, { profile, overrides }, this.practice);
	}

	rowOf(profile: FitProfile, day: number, overrides: readonly Override[]): FitRow {
		const key = JSON.stringify([profile, overrides.length > 0 ? [day, overrides] : null]);
		const known = this.rows.get(key);
		if (known) return known;
		const made = fitRow(this.planned, this.sessionOf(profile, day, overrides), profile.level, this.practice);
		this.rows.set(key, made);
		return made;
	}
}

/** Somebody in the matrix of a day. */
export interface FitPerson {
	id: EnrolmentId;
	name: string;
	level: string;
	/** Whether they answered the questions. */
	answered: boolean;
	row: FitRow;
	/** Minutes that they have, or that the challenge promises. */
	minutes: number;
	/** It takes them longer than that. */
	over: boolean;
	/** Whether anything differs from the plan. */
	differs: boolean;
	/** Why nothing is released to them, or null. */
	hold: HoldReason | null;
}

export interface FitMatrix {
	day: number;
	session: string;
	parts: PlannedPart[];
	people: FitPerson[];
	/** The same people by what is different for them, by their places among them. */
	groups: { attention: Attention; differences: Difference[]; people: number[] }[];
}

/** Whether a session takes longer than a person has. One minute over is no alarm: nobody trains to the minute. */
export const isOver = (seconds: number, minutes: number): boolean => Math.round(seconds / 60) > minutes + 1;

/**
 * Everybody of a challenge beside the exercises of a day; null where the day has no session.
 * @param asOf by what was known at that instant
 */
export async function matrixOf(
	context: Context,
	challenge: Challenge,
	day: number,
	asOf: number
): Promise<FitMatrix | null> {
	const { db } = context;
	const group = await groupNow(context, challenge.id);
	const planned = group.plan[day - 1];
	if (!planned?.versionId) return null;
	const { body, name } = await versionById(db, planned.versionId);
	const fitter = new Fitter(body, group.practice);
	const all = await overridesIn(db, challenge.id, asOf);
	const known = await suitedIn(db, challenge.id, asOf);
	const enrolled = (await enrolmentsOf(db, challenge.id)).filter(({ leftAt }) => leftAt === null);
	const people = enrolled.map((one): FitPerson => {
		const row = fitter.rowOf(
			profileIn(challenge, known.get(one.participantId) ?? one.suited),
			day,
			all.get(one.id) ?? []
		);
		const minutes = one.minutes ?? challenge.budgetMinutes;
		return {
			id: one.id,
			name: one.name,
			level: one.level,
			answered: one.answeredAt !== null,
			row,
			minutes,
			over: isOver(row.seconds, minutes),
			differs: row.cells.some(({ kind }) => kind !== 'same'),
			hold: holdAt(one.holds, asOf)?.reason ?? null
		};
	});
	const parts = plannedParts(body);
	const placed = people.map((one, place) => ({ ...one, place }));
	const groups = fitGroups(placed, parts).map(({ people: them, ...group }) => ({
		...group,
		people: them.map(({ place }) => place)
	}));
	return { day, session: name, parts, people, groups };
}

/** A session as one person gets it, with its own timeline. */
export interface SessionAs {
	day: number;
	name: string;
	/** Null: nothing of it is left for them. */
	own: {
		session: Session;
		timeline: Timeline;
		outline: Outline;
		changes: PersonalSession['changes'];
		unfit: PersonalSession['unfit'];
	} | null;
	/** Seconds that it takes as planned, for comparison. */
	plannedSeconds: number;
	minutes: number;
}

/** Null where the day has no session. */
export async function sessionAs(
	context: Context,
	challenge: Challenge,
	person: OwnPerson,
	day: number
): Promise<SessionAs | null> {
	const { db, clock } = context;
	const { plan, practice } = await groupNow(context, challenge.id);
	const planned = plan[day - 1];
	if (!planned?.versionId) return null;
	const { body, name } = await versionById(db, planned.versionId);
	const overrides = await overridesOf(db, person.id, clock.now());
	const profile = profileIn(challenge, person.suited);
	const own = new Fitter(body, practice).sessionOf(profile, day, overrides);
	return {
		day,
		name,
		own: own && {
			session: own.session,
			timeline: compileSession(own.session, practice),
			outline: outlineOf(own.session, practice, profile.limits),
			changes: own.changes,
			unfit: own.unfit
		},
		plannedSeconds: compileSession(body, practice).totals.duration,
		minutes: person.minutes ?? challenge.budgetMinutes
	};
}
