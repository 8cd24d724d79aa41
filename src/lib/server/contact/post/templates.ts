/** Texts that a coach uses again. */
import { templateSchema, type SavedTemplate } from '$contracts/post';
import type { Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { CoachId } from '../../platform/ids';
import { validate } from '../../platform/validate';

const MOST = 100;

export const templatesOf = (db: Queries, coachId: CoachId): Promise<SavedTemplate[]> =>
	db.query(
		'select id, name, subject, body as text from message_template where coach_id = $1 order by name, id',
		[coachId]
	);

/** Keeps a text under a name; one of the same name is replaced. @throws Refusal 400, 409 when there are too many */
export async function saveTemplate({ db, ids }: Context, coachId: CoachId, raw: unknown): Promise<void> {
	const { name, subject, text } = validate(templateSchema, raw);
	await db.transaction(async (tx) => {
		await tx.query('select 1 from coach where id = $1 for update', [coachId]);
		const known = await templatesOf(tx, coachId);
		if (known.length >= MOST && !known.some((one) => one.name === name))
			throw new Refusal(409, `There are ${MOST} templates already; delete one first.`);
		await tx.query(
			`insert into message_template (id, coach_id, name, subject, body) values ($1, $2, $3, $4, $5)
			 on conflict (coach_id, name) do update set subject = excluded.subject, body = excluded.body`,
			[ids.uuid(), coachId, name, subject, text]
		);
	});
}

/** @throws Refusal 404 */
export async function deleteTemplate(
	{ db }: Pick<Context, 'db'>,
	coachId: CoachId,
	id: string
): Promise<void> {
	const gone = await db.query('delete from message_template where coach_id = $1 and id = $2 returning id', [
		coachId,
		idOf(id, 'template')
	]);
	if (gone.length === 0) throw notFound('template');
}
