import { planOfShape, SHAPES, STARTERS, startersOf, type StarterName } from '$core/plan';
import { parseSessionText } from '$core/session';
import { challengeOf } from '../challenges/challenge';
import type { Context } from '../context';
import { notFound, Refusal } from '../errors';
import { createSession, sessionsOf } from '../sessions/sessions';
import { openPlan, planOf, savePlan } from './plan';

/**
 * Lays a shape over a challenge. Its sessions become the coach’s own where she has none of that name; one that she
 * has, perhaps changed by now, is taken as it is.
 * @throws Refusal 404, 409
 */
export async function layShape(
	context: Context,
	coachId: string,
	challengeId: string,
	shapeKey: string
): Promise<void> {
	const shape = SHAPES.find(({ key }) => key === shapeKey);
	if (!shape) throw notFound('shape');
	const challenge = await challengeOf(context.db, coachId, challengeId);
	if ((await planOf(context.db, challenge)).some(({ sessionId }) => sessionId !== null))
		throw new Refusal(409, 'Sessions lie on its days already; a shape would write over them.');
	const keys: Partial<Record<StarterName, string>> = {};
	const there = new Map((await sessionsOf(context.db, coachId)).map(({ id, name }) => [name, id]));
	for (const name of startersOf(shape)) {
		const { lines, tags } = STARTERS[name];
		keys[name] =
			there.get(name) ??
			(
				await createSession(context, coachId, {
					name,
					body: parseSessionText(lines.join('\n')).session,
					tags: [...tags]
				})
			).id;
	}
	const { revision } = await openPlan(context, challenge);
	await savePlan(context, coachId, challengeId, { revision, plan: planOfShape(shape, keys) });
}
