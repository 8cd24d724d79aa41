/** Who in a challenge needs their coach, and why. */
import { dateIn, dayInZone, LAST_ZONE } from '$core/calendar';
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
	type Effect,
	type Reason
} from '$core/triage';
import { rollIn } from '../../done/attendance/of-request';
import type { RollRow } from '../../done/attendance/roll';
import type { Challenge } from '../../records/challenge';
import type { Queries } from '../../platform/db/database';
import type { Enrolment } from '../../records/enrolments';
import { houseOf } from '../../records/practice';
import { knownOf, type Known } from './facts';
import type { Reach } from './reaches';

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

/** Days after the last one in which results still come in and people are still asked after. */
const DAYS_AFTER = 2;

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
 * @param rules to go by in place of the coach’s own
 */
export async function inNeed(
	locals: Locals,
	challenge: Challenge,
	asOf: number,
	rules?: HouseRules
): Promise<InNeed[]> {
	const { db } = locals.app;
	const { rows } = await rollIn(locals, challenge, asOf);
	const house = rules ?? (await houseOf(db, challenge.coachId));
	// A challenge that is over asks for nobody: what was due is done or was not.
	const over = dayInZone(challenge.startsOn, LAST_ZONE, asOf) > challenge.days + DAYS_AFTER;
	const there = rows.filter(({ person }) => person.leftAt === null || person.leftAt > asOf);
	const known = await knownOf(
		db,
		there.map(({ person }) => person),
		asOf,
		dateIn(challenge.coachZone, asOf)
	);
	return there
		.map((row) => {
			const need = needOf(row, known(row.person.id), house, asOf);
			return over ? { ...need, reasons: [] } : need;
		})
		.sort((a, b) => compareNeed(a.reasons, b.reasons) || byName(a.person, b.person));
}

function needOf(row: RollRow, known: Known, house: HouseRules, asOf: number): InNeed {
	const { person, days, adherence } = row;
	const { strip, holds } = person;
	const { reaches, ...facts } = known;
	const all = triage({ days, strip, attendance: row, holds, ...facts }, house, asOf);
	const over = new Set(all.filter((reason) => isAnswered(reason, reaches, house, asOf)));
	const times = checkinTimes(strip);
	return {
		person,
		row,
		reasons: all.filter((reason) => !over.has(reason)),
		answered: [...over],
		checkins: facts.checkins,
		reaches: reaches.map((one) => ({ ...one, ...effectOf(one.at, times, asOf) })),
		finish: projectFinish(adherence, workLeft(row), house.finishFrom / 100)
	};
}
