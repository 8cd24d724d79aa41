import type { Exercise } from '../exercise';
import { kitOfItems, withinLimits, type Limitation } from '../kit';
import { kitOf, limitsFor, type Audience } from '../people';
import type { Practice } from '../practice';
import { equipmentOf, type Session } from '../session';
import type { Fitting } from '../substitution';
import type { Group } from './finding';

/** What a session does not ask for itself, nothing that is added to it should ask for either. */
function limitsOfSession(session: Session, practice: Practice): Limitation[] {
	const done = (role?: 'main'): Exercise[] =>
		session.blocks
			.filter((block) => !role || block.role === role)
			.flatMap(({ parts }) => parts)
			.flatMap(({ exercise }) => practice.library.find(exercise) ?? []);
	const main = done('main');
	if (main.length === 0) return [];
	const all = done();
	const limits: Limitation[] = [];
	if (main.every(({ position }) => position === 'seated')) limits.push('seated only');
	const asked = (limit: Limitation) => all.some((exercise) => !withinLimits(exercise, [limit]));
	for (const limit of ['no floor', 'no jumps', 'support for hard balance'] as const)
		if (!asked(limit)) limits.push(limit);
	return limits;
}

/**
 * What every proposal for a session keeps to: the limits of the audience and of whoever is enrolled, the positions and the
 * impact of the session itself, and the equipment that it or its audience has beside what every home has.
 */
export function fittingFor(
	session: Session,
	practice: Practice,
	{ group = null, audience = null }: { group?: Group | null; audience?: Audience | null }
): Fitting {
	const own = equipmentOf(session, practice).map(({ item }) => item);
	return {
		kit: [...kitOfItems(own), ...(audience ? kitOf(audience) : [])],
		limits: [
			...new Set([
				...limitsOfSession(session, practice),
				...(group?.limits ?? []),
				...(audience ? limitsFor(audience) : [])
			])
		]
	};
}
