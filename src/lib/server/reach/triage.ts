/** Who in a challenge needs their coach, and why. */
import { dateIn } from '$core/calendar';
import { projectFinish, type FinishChance } from '$core/attendance';
import { checkinTimes } from '$core/day';
import { byName } from '$core/people';
import type { HouseRules } from '$core/practice';
import {
	compareNeed,
	effectOf,
	isAnswered,
	triage,
	type CheckinSeen,
	type TriageFacts,
	type Effect,
	type Reason
} from '$core/triage';
import { rollIn } from '../attendance/of-request';
import type { RollRow } from '../attendance/roll';
import type { Challenge } from '../challenge/challenge';
import type { Queries } from '../db/database';
import type { Enrolment } from '../people/enrolments';
import type { EnrolmentId } from '../platform/ids';
import { losingIn } from '../body/measures';
import { followUpsDue, stoppedIn } from '../health/incidents';
import { houseOf } from '../practice/practice';
import { reachesIn, type Reach } from './reaches';
import { checkinsSeen } from './seen';

export interface InNeed {
	person: Enrolment;
	row: RollRow;
	/** What is open, the most urgent first. */
	reasons: Reason[];
	/** What has been dealt with or put off, and still holds. */
	answered: Reason[];
	checkins: readonly CheckinSeen[];
	/** What was done about them, the newest first, with what came of it. */
	reaches: (Reach & Effect)[];
	finish: FinishChance;
}

interface Locals {
	app: { db: Queries };
}

/** Days with work of somebody that are still to come. */
const workLeft = ({ days }: RollRow): number =>
	days.filter(
		({ theirs, kind, state }) => theirs && kind !== 'rest' && (state === 'ahead' || state === 'open')
	).length;

/**
 * Everybody in a challenge with the reasons that there are to turn to them, by how urgent these are: those of the same
 * kind for whom it has been so the longest first, and those without any at the end, by name.
 */
export async function inNeed(locals: Locals, challenge: Challenge, asOf: number): Promise<InNeed[]> {
	const { db } = locals.app;
	const { rows } = await rollIn(locals, challenge, asOf);
	const seen = await checkinsSeen(db, challenge.id, asOf);
	const house = await houseOf(db, challenge.coachId);
	const due = await followUpsDue(db, challenge.id, dateIn(challenge.coachZone, asOf));
	const losing = await losingIn(db, challenge.id, asOf);
	const stopped = await stoppedIn(db, challenge.id, asOf);
	const done = new Map<EnrolmentId, Reach[]>();
	for (const one of await reachesIn(db, challenge.id, asOf))
		done.set(one.enrolmentId, [...(done.get(one.enrolmentId) ?? []), one]);
	return rows
		.filter(({ person }) => person.leftAt === null || person.leftAt > asOf)
		.map((row) => {
			const { id } = row.person;
			const known = {
				checkins: seen.get(id) ?? [],
				followUp: due.get(id) ?? null,
				stopped: stopped.get(id) ?? null,
				losing: losing.get(id) ?? null
			};
			return needOf(row, known, done.get(id) ?? [], house, asOf);
		})
		.sort((a, b) => compareNeed(a.reasons, b.reasons) || byName(a.person, b.person));
}

function needOf(
	row: RollRow,
	known: Pick<TriageFacts, 'checkins' | 'followUp' | 'stopped' | 'losing'>,
	reaches: Reach[],
	house: HouseRules,
	asOf: number
): InNeed {
	const { person, days, adherence } = row;
	const { strip, holds } = person;
	const all = triage({ days, strip, attendance: row, holds, ...known }, house, asOf);
	const isOver = (reason: Reason) => isAnswered(reason, reaches, house, asOf);
	return {
		person,
		row,
		reasons: all.filter((reason) => !isOver(reason)),
		answered: all.filter(isOver),
		checkins: known.checkins,
		reaches: reaches.map((one) => ({
			...one,
			...effectOf(one.at, checkinTimes(strip), asOf)
		})),
		finish: projectFinish(adherence, workLeft(row), house.finishFrom / 100)
	};
}
