/** What a coach notes for herself about somebody: found again, seen by nobody else. */
import { object } from 'yup';
import { name } from '$contracts/values';
import { instant, type Queries } from '../db/database';
import type { Context } from '../platform/context';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { ParticipantId } from '../platform/ids';
import { validate } from '../web/validate';
import type { OwnPerson } from './enrolments';

const noteSchema = object({ body: name(4000, 'write something first', 'at most 4,000 letters') });

export interface PrivateNote {
	id: string;
	body: string;
	at: number;
}

/** Notes of one person at most. */
const MOST = 500;

/** Notes about somebody, the newest first. */
export const notesOf = (db: Queries, id: ParticipantId): Promise<PrivateNote[]> =>
	db.query(`select id, body, at from private_note where participant_id = $1 order by at desc, id`, [id]);

/** @throws Refusal 400, 409 when there are too many */
export async function addNote({ db, clock, ids }: Context, person: OwnPerson, raw: unknown): Promise<void> {
	const { body } = validate(noteSchema, raw);
	if ((await notesOf(db, person.participantId)).length >= MOST)
		throw new Refusal(409, `There are ${MOST} notes about ${person.name}; delete some first.`);
	await db.query('insert into private_note (id, participant_id, body, at) values ($1, $2, $3, $4)', [
		ids.uuid(),
		person.participantId,
		body,
		instant(clock.now())
	]);
}

/** @throws Refusal 404 */
export async function removeNote({ db }: Pick<Context, 'db'>, person: OwnPerson, id: string): Promise<void> {
	const gone = await db.query('delete from private_note where participant_id = $1 and id = $2 returning id', [
		person.participantId,
		idOf(id, 'note')
	]);
	if (gone.length === 0) throw notFound('note');
}
