import { callSheetOf, countWords, optionsOf, type CallBlock } from '$core/review';
import { compileSession, haveReady } from '$core/session';
import type { Queries } from '../db/database';
import { libraryFor } from '../library/exercises';
import { houseOf } from '../library/house';
import { sessionOf } from './sessions';

export interface CallSheet {
	id: string;
	name: string;
	version: number;
	/** In all. */
	seconds: number;
	ready: string[];
	/** What counts in this house. */
	counting: string;
	note: string | null;
	recovery: string[];
	blocks: CallBlock[];
}

/** What the one who leads a session says, and when. @throws Refusal 404 */
export async function callSheet(
	db: Queries,
	coachId: string,
	sessionId: string,
	countdowns: boolean
): Promise<CallSheet> {
	const { id, name, version, body } = await sessionOf(db, coachId, sessionId);
	const house = await houseOf(db, coachId);
	const library = await libraryFor(db, coachId);
	const timeline = compileSession(body, optionsOf(house, library));
	return {
		id,
		name,
		version,
		seconds: timeline.totals.duration,
		ready: haveReady(body, library),
		counting: countWords(house),
		note: body.note ?? null,
		recovery: body.recovery ?? [],
		blocks: callSheetOf(body, timeline, { library, house, countdowns })
	};
}
