import { planOfTemplate, TEMPLATES, STARTERS, startersOf, type StarterName } from '$core/plan';
import { parseSessionText } from '$core/session';
import type { OwnedChallenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { notFound, Refusal } from '../../platform/errors';
import { practiceOf } from '../../records/practice';
import { createSession, sessionsOf } from '../session/sessions';
import { openPlan, savePlan } from './plan';
import { planOf } from '../../records/plan-days';

/**
 * Applies a template to a challenge. Its sessions become the coach’s own where she has none of that name; one that she
 * has, perhaps changed by now, is taken as it is.
 * @throws Refusal 404, 409
 */
export async function applyTemplate(
	context: Context,
	challenge: OwnedChallenge,
	templateKey: string
): Promise<void> {
	const template = TEMPLATES.find(({ key }) => key === templateKey);
	if (!template) throw notFound('template');
	const { coachId } = challenge;
	if ((await planOf(context.db, challenge)).some(({ sessionId }) => sessionId !== null))
		throw new Refusal(409, 'Sessions lie on its days already; a template would write over them.');
	const keys: Partial<Record<StarterName, string>> = {};
	const practice = await practiceOf(context.db, coachId);
	const there = new Map((await sessionsOf(context.db, coachId)).map(({ id, name }) => [name, id]));
	for (const name of startersOf(template)) {
		const { lines, tags } = STARTERS[name];
		keys[name] =
			there.get(name) ??
			(
				await createSession(context, coachId, {
					name,
					body: parseSessionText(lines.join('\n'), practice).session,
					tags: [...tags]
				})
			).id;
	}
	const { revision } = await openPlan(context, challenge);
	await savePlan(context, challenge, { revision, plan: planOfTemplate(template, keys) });
}
