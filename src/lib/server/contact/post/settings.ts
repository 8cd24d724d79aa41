/** How a coach writes: the tone of drafts, quiet hours, the letter of the morning. */
import { postSettingsSchema, type PostSettings } from '$contracts/post';
import { minutesOfDay } from '$contracts/values';
import type { QuietHours } from '$core/post';
import { only, type Queries } from '../../platform/db/database';
import type { CoachId } from '../../platform/ids';
import { validate } from '../../platform/validate';

export async function postSettingsOf(db: Queries, coachId: CoachId): Promise<PostSettings> {
	const { post } = only(await db.query<{ post: unknown }>('select post from coach where id = $1', [coachId]));
	return validate(postSettingsSchema, post);
}

/** @throws Refusal 400 with faults */
export async function savePostSettings(db: Queries, coachId: CoachId, raw: unknown): Promise<void> {
	await db.query('update coach set post = $2 where id = $1', [
		coachId,
		JSON.stringify(validate(postSettingsSchema, raw))
	]);
}

export const quietOf = ({ quietFrom, quietTo }: PostSettings): QuietHours => ({
	from: minutesOfDay(quietFrom),
	to: minutesOfDay(quietTo)
});
