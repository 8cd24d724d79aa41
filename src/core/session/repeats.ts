import type { Repeat, Session } from './model';

/** One going through of a block. `pass` counts from 1; `of` says how many there are. */
export interface Visit {
	block: number;
	pass: number;
	of: number;
	/** The repeat it belongs to, and whether it is the last block of a pass that another one follows. */
	repeat: Repeat | null;
	restAfter: number | null;
}

/** The repeat that a block stands in; null outside of one. */
export const repeatAround = (session: Session, block: number): Repeat | null =>
	session.repeats?.find((repeat) => block >= repeat.from && block <= repeat.to) ?? null;

/** How often a block is gone through. */
export const passesOf = (session: Session, block: number): number => repeatAround(session, block)?.times ?? 1;

/** The blocks in the order in which they are done, repeats written out. Repeats must not overlap. */
export function visitsOf(session: Session): Visit[] {
	const visits: Visit[] = [];
	for (let block = 0; block < session.blocks.length;) {
		const repeat = repeatAround(session, block);
		if (!repeat || repeat.from !== block) {
			visits.push({ block, pass: 1, of: 1, repeat: null, restAfter: null });
			block++;
			continue;
		}
		const to = Math.min(repeat.to, session.blocks.length - 1);
		for (let pass = 1; pass <= repeat.times; pass++)
			for (let b = repeat.from; b <= to; b++)
				visits.push({
					block: b,
					pass,
					of: repeat.times,
					repeat,
					restAfter: b === to && pass < repeat.times ? repeat.rest : null
				});
		block = to + 1;
	}
	return visits;
}
