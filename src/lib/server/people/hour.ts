import { hourSchema } from '$contracts/person';
import { minutesOfDay } from '$contracts/values';
import { participantChanged } from '../changes/changed';
import { noteChange } from '../changes/holds';
import type { Context } from '../platform/context';
import type { EnrolmentId, ParticipantId } from '../platform/ids';
import { only, type Queries } from '../platform/db/database';
import { validate } from '../platform/validate';

/**
 * Sets the hour at which somebody trains; empty: as soon as a day opens.
 * @param by a coach's change is listed among those of the person
 * @throws Refusal 400
 */
export async function setHour(
	context: Context,
	enrolmentId: EnrolmentId,
	raw: unknown,
	by: 'person' | 'coach' = 'person'
): Promise<void> {
	const { hour } = validate(hourSchema, raw);
	await context.db.transaction(async (tx) => {
		const { id } = only(
			await tx.query<{ id: ParticipantId }>(
				`update participant set trains_at = $2
				 where id = (select participant_id from enrolment where id = $1) returning id`,
				[enrolmentId, hour ? minutesOfDay(hour) : null]
			)
		);
		if (by === 'coach')
			await noteChange(tx, id, 'coach', `trains at: ${hour || 'no fixed hour'}`, context.clock.now());
		await participantChanged(context, tx, id);
	});
}

/** What of a person's calendar their own page shows. */
export async function calendarSettingOf(
	db: Queries,
	enrolmentId: EnrolmentId
): Promise<{ trainsAt: number | null; subscribed: boolean }> {
	return only(
		await db.query<{ trainsAt: number | null; subscribed: boolean }>(
			`select p.trains_at as "trainsAt", e.feed_hash is not null as subscribed
			 from enrolment e join participant p on p.id = e.participant_id where e.id = $1`,
			[enrolmentId]
		)
	);
}
