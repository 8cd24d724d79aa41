import { joinSessions } from '../session';
import type { Progressed } from './progression';

/** A session as rules made it, and what it is called. */
type Named = Progressed & { name: string };

/** A day with a session in the morning and one in the evening, as one; what changed keeps its places in it. */
export function dayOfTwo(first: Named, second: Named): Progressed {
	const session = joinSessions(
		{ dayPart: `Morning: ${first.name}`, session: first.session },
		{ dayPart: `Evening: ${second.name}`, session: second.session }
	);
	const at = first.session.blocks.length;
	const later = <Place extends { block: number }>(place: Place): Place => ({
		...place,
		block: place.block + at
	});
	return {
		session,
		changes: [...first.changes, ...second.changes.map(later)],
		stuck: [...first.stuck, ...second.stuck.map(later)],
		met: new Set([...first.met, ...second.met])
	};
}
