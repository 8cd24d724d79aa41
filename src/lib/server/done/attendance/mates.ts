/** What teams are divided by. */
import { dateIn, instantOf } from '$core/calendar';
import type { Mate } from '$core/people';
import type { RollRow } from './roll';
import type { OwnedChallenge } from '../../records/challenge';

/** What people are divided by. @param rows of the roll; those who left are in no team */
export function matesOf(challenge: OwnedChallenge, rows: readonly RollRow[], now: number): Mate[] {
	const utc = (zone: string, minutes: number): number =>
		Math.floor(instantOf(dateIn(zone, now), minutes, zone) / 60_000) % (24 * 60);
	return rows
		.filter(({ person }) => person.leftAt === null)
		.map(({ person, adherence }) => ({
			id: person.id,
			level: person.level,
			done: adherence.rate,
			dawn: utc(person.zone, challenge.opensAt),
			trains: utc(person.zone, person.trainsAt ?? challenge.opensAt)
		}));
}
