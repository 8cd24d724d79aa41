import { callSheetOf, type CallBlock } from '$core/analysis';
import { countWords } from '$core/practice';
import { compileSession, haveReady } from '$core/session';
import type { CoachId } from '../../platform/ids';
import type { Queries } from '../../platform/db/database';
import { practiceOf } from '../../records/practice';
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
	coachId: CoachId,
	sessionId: string,
	countdowns: boolean
): Promise<CallSheet> {
	const { id, name, version, body } = await sessionOf(db, coachId, sessionId);
	const practice = await practiceOf(db, coachId);
	const timeline = compileSession(body, practice);
	return {
		id,
		name,
		version,
		seconds: timeline.totals.duration,
		ready: haveReady(body, practice),
		counting: countWords(practice.house),
		note: body.note ?? null,
		recovery: body.recovery ?? [],
		blocks: callSheetOf(body, timeline, practice, { countdowns })
	};
}
