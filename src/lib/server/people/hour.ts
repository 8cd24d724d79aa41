import { object, string } from 'yup';
import { minutesOfDay } from '$contracts/challenge';
import { only, type Queries } from '../db/database';
import { validate } from '../web/validate';

const hourSchema = object({
	hour: string()
		.trim()
		.matches(/^(([01]\d|2[0-3]):[0-5]\d)?$/, 'a time of day, as in 18:30; empty for as soon as a day opens')
		.default('')
});

/** Sets the hour at which somebody trains; empty: as soon as a day opens. @throws Refusal 400 */
export async function setHour(db: Queries, enrolmentId: string, raw: unknown): Promise<void> {
	const { hour } = validate(hourSchema, raw);
	await db.query(
		'update participant set trains_at = $2 where id = (select participant_id from enrolment where id = $1)',
		[enrolmentId, hour ? minutesOfDay(hour) : null]
	);
}

/** What of a person's calendar their own page shows. */
export async function calendarSettingOf(
	db: Queries,
	enrolmentId: string
): Promise<{ trainsAt: number | null; subscribed: boolean }> {
	return only(
		await db.query<{ trainsAt: number | null; subscribed: boolean }>(
			`select p.trains_at as "trainsAt", e.feed_hash is not null as subscribed
			 from enrolment e join participant p on p.id = e.participant_id where e.id = $1`,
			[enrolmentId]
		)
	);
}
