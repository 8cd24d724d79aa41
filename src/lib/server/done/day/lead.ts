/** A day's session as its coach leads it for everybody. */
import { courseOf, ledCourse, type Course } from '$core/run';
import type { Units } from '$core/kit';
import { prescriptionOf } from '$core/session';
import type { Challenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { notFound } from '../../platform/errors';
import { versionById } from '../../training/session/sessions';
import { groupNow } from '../../training/challenge/group';

/**
 * As planned, at the tempo given: everybody gets their own variation on their own phone.
 * @throws Refusal 404 where the day has no session
 */
export async function dayToLead(
	context: Context,
	challenge: Challenge,
	day: number,
	units: Units
): Promise<{ course: Course; versionId: string }> {
	const { plan, practice } = await groupNow(context, challenge.id);
	const versionId = plan[day - 1]?.versionId;
	if (!versionId) throw notFound('session');
	const { name, body: session } = await versionById(context.db, versionId);
	const asked = prescriptionOf(session, practice);
	const everybody = { kit: null, limits: [], units };
	return { course: ledCourse(courseOf(name, { session, asked }, everybody, practice)), versionId };
}
