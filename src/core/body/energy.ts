import { formatOf, type Session, type Timeline } from '../session';

/** Light calisthenics, for warm-ups whatever their format. Compendium 2011, code 02024, from memory. */
const WARM_UP_MET = 2.8;

/**
 * Energy that a session takes, in kilocalories: minutes × MET × 3.5 × kg / 200 (ACSM), block by block, the ways
 * between blocks at rest. METs: Compendium of Physical Activities 2011, one for each format; they hold for the
 * format with its rests. An estimate for a group, not a measurement of anyone.
 *
 * @param kg body mass
 * @throws RangeError when kg is not above 0
 */
export function energyOf(session: Session, timeline: Timeline, kg: number): number {
	if (!(kg > 0)) throw new RangeError('kg: a body mass is above 0');
	const perMinute = (met: number) => (met * 3.5 * kg) / 200;
	let inBlocks = 0;
	let kcal = 0;
	for (const span of timeline.spans) {
		const block = session.blocks[span.block];
		if (!block) continue;
		const met = block.role === 'warm-up' ? WARM_UP_MET : formatOf(block).met.met;
		kcal += perMinute(met) * (span.seconds / 60);
		inBlocks += span.seconds;
	}
	return kcal + perMinute(1) * ((timeline.totals.duration - inBlocks) / 60);
}
