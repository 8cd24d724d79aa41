/** A day done in pieces: each tick is a check-in that takes the place of the one before, so that credit adds up. */
import { ticksSchema } from '$contracts/check-in';
import { logWith } from '$core/day';
import type { Person } from '../../records/person';
import { openDay } from '../day/own-day';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { validate } from '../../platform/validate';
import { checkIn } from './check-in';

/** How often it is tried again where another device ticked something off at that very moment. */
const TRIES = 3;

/**
 * Ticks a piece of a day off, or takes that back. A piece that stands as wished is left as it is.
 *
 * @param raw.piece its first block in the session as planned
 * @throws Refusal 400 without such a piece; 404, 409 as `checkIn`
 */
export async function tickPiece(context: Context, person: Person, raw: unknown): Promise<void> {
	const { day, piece: from, done } = validate(ticksSchema, raw);
	for (let tries = 1; ; tries++) {
		const { session, checkin } = await openDay(context, person, day);
		const piece = session?.pieces.find((one) => one.from === from);
		if (!session || !piece)
			throw new Refusal(409, 'The session of this day has changed. Load the page again to see its pieces.');
		if (done ? piece.credit >= 1 : piece.credit === 0) return;
		const sets = logWith(checkin?.sets ?? [], session.asked, piece, done);
		try {
			await checkIn(context, person, {
				id: context.ids.uuid(),
				day,
				versionId: session.versionId,
				done: sets.length > 0 ? 'part' : 'none',
				effort: checkin?.effort ?? null,
				energy: checkin?.energy ?? null,
				sleepHours: checkin?.sleepHours ?? null,
				well: checkin?.well ?? {},
				hurts: checkin?.hurts ?? null,
				note: checkin?.note ?? null,
				beyond: checkin?.beyond ?? [],
				replaces: checkin?.id ?? null,
				sets
			});
			return;
		} catch (failure) {
			if (!(failure instanceof Refusal) || failure.status !== 409 || tries >= TRIES) throw failure;
		}
	}
}
