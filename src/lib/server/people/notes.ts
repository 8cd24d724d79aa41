/** What a coach notes for herself about somebody: found again, seen by nobody else. */
import { object, string } from 'yup';
import { instant, type Queries } from '../platform/db/database';
import type { Context } from '../platform/context';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { ParticipantId } from '../platform/ids';
import { textOfHtml, tidyHtml } from '../platform/rich-html';
import { validate } from '../platform/validate';
import type { OwnPerson } from '../records/enrolments';

const TOO_LONG = 'at most 4,000 letters';

const noteSchema = object({
	/** As it was set; empty where there is only text, as without scripts. */
	html: string().max(20_000, 'at most 20,000 letters with what sets them').default(''),
	body: string().max(4000, TOO_LONG).default('')
});

export interface PrivateNote {
	id: string;
	/** Its text. */
	body: string;
	/** As it was set; null: as text alone. Tidy. */
	html: string | null;
	at: number;
	changedAt: number | null;
}

/** A note as it is kept. @throws Refusal 400 for one that is empty or too long */
function noteFrom(raw: unknown): { html: string | null; body: string } {
	const typed = validate(noteSchema, raw);
	const html = tidyHtml(typed.html);
	const body = html ? textOfHtml(html) : typed.body.trim();
	const refuse = (message: string) => new Refusal(400, message, [{ field: 'body', message }]);
	if (!body) throw refuse('write something first');
	if (body.length > 4000) throw refuse(TOO_LONG);
	return { html: html || null, body };
}

/** Notes of one person at most. */
const MOST = 500;

/** Notes about somebody, the newest first. */
export const notesOf = (db: Queries, id: ParticipantId): Promise<PrivateNote[]> =>
	db.query(
		`select id, body, html, at, changed_at as "changedAt" from private_note where participant_id = $1 order by at desc, id`,
		[id]
	);

/** @throws Refusal 400, 409 when there are too many */
export async function addNote({ db, clock, ids }: Context, person: OwnPerson, raw: unknown): Promise<void> {
	const { html, body } = noteFrom(raw);
	if ((await notesOf(db, person.participantId)).length >= MOST)
		throw new Refusal(409, `There are ${MOST} notes about ${person.name}; delete some first.`);
	await db.query(
		'insert into private_note (id, participant_id, body, html, at) values ($1, $2, $3, $4, $5)',
		[ids.uuid(), person.participantId, body, html, instant(clock.now())]
	);
}

/** @throws Refusal 400, 404 */
export async function changeNote(
	{ db, clock }: Context,
	person: OwnPerson,
	id: string,
	raw: unknown
): Promise<void> {
	const { html, body } = noteFrom(raw);
	const changed = await db.query(
		`update private_note set body = $3, html = $4, changed_at = $5 where participant_id = $1 and id = $2 returning id`,
		[person.participantId, idOf(id, 'note'), body, html, instant(clock.now())]
	);
	if (changed.length === 0) throw notFound('note');
}

/** @throws Refusal 404 */
export async function removeNote({ db }: Pick<Context, 'db'>, person: OwnPerson, id: string): Promise<void> {
	const gone = await db.query('delete from private_note where participant_id = $1 and id = $2 returning id', [
		person.participantId,
		idOf(id, 'note')
	]);
	if (gone.length === 0) throw notFound('note');
}
