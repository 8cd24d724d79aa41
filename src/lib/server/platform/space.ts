/** Room for the files of people: how much of it is used, and that nobody takes more than their part. */
import { only, type Queries } from './db/database';
import type { Config } from './config';
import { Refusal } from './errors';
import type { ChallengeId, ParticipantId } from './ids';

/** Files of people: `participant_id`, `bytes`. */
const FILES = `(select participant_id, bytes from picture
	union all select participant_id, bytes from document
	union all select e.participant_id, f.bytes from form_check f join enrolment e on e.id = f.enrolment_id) file`;

/** Bytes that the files of somebody have. */
export const spaceOf = async (db: Queries, id: ParticipantId): Promise<number> =>
	only(
		await db.query<{ bytes: number }>(
			`select coalesce(sum(bytes), 0)::float8 as bytes from ${FILES} where participant_id = $1`,
			[id]
		)
	).bytes;

/** Bytes that the files of all people of a challenge have, whatever else these take part in. */
export const spaceIn = async (db: Queries, id: ChallengeId): Promise<number> =>
	only(
		await db.query<{ bytes: number }>(
			`select coalesce(sum(bytes), 0)::float8 as bytes from ${FILES}
			 where participant_id in (select participant_id from enrolment where challenge_id = $1)`,
			[id]
		)
	).bytes;

/** How many bytes a person, and the people of a challenge together, may have in files. */
export type Space = Pick<Config, 'space'>['space'];

/** @param bytes of one more file of somebody @throws Refusal 409 when they, or a challenge that they are in, would have too much */
export async function refuseFull(
	{ db, config }: { db: Queries; config: { space: Space } },
	id: ParticipantId,
	bytes: number
): Promise<void> {
	const { person, challenge } = config.space;
	if ((await spaceOf(db, id)) + bytes > person)
		throw new Refusal(
			409,
			`Your files have ${inMB(person)} already, which is all that one person has. Delete one first; nothing was kept.`
		);
	const own = await db.query<{ id: ChallengeId; name: string }>(
		'select ch.id, ch.name from enrolment e join challenge ch on ch.id = e.challenge_id where e.participant_id = $1 and e.left_at is null',
		[id]
	);
	for (const { id: challengeId, name } of own)
		if ((await spaceIn(db, challengeId)) + bytes > challenge)
			throw new Refusal(
				409,
				`The files of ${name} have ${inMB(challenge)} already, which is all there is. Write to your coach; nothing was kept.`
			);
}

const inMB = (bytes: number): string => `${Math.round(bytes / 1024 / 1024)} MB`;
