/** What somebody has done, day by day, to be compared. */
import type { DayKind } from '$core/calendar';
import type { DoneDay } from '$core/progress';
import { prescriptionOf, type PrescribedExercise } from '$core/session';
import type { Score } from '$core/run';
import type { Person } from '../../records/person';
import { SETS } from '../../records/facts';
import { groupNow, type Group } from '../../training/challenge/group';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { kept } from '../../platform/kept';
import type { SessionId, VersionId } from '../../platform/ids';
import { versionById } from '../../training/session/sessions';

/** A session as it was done, with what a page says of it. */
export interface PastDay extends DoneDay {
	id: string;
	name: string;
	versionId: VersionId;
	sessionId: SessionId;
	/** Share of the work that was done, 0…1. */
	credit: number;
	/** Seconds that it took, where it was led. */
	seconds: number | null;
	hurts: string | null;
	note: string | null;
}

interface Row extends Omit<PastDay, 'asked' | 'test' | 'name' | 'scores'> {
	kind: DayKind;
	prescribed: PrescribedExercise[] | null;
	scores: Score[] | null;
}

/** What was asked where nothing was different for them: the session as planned. */
function askedBy(db: Queries, { practice, revision }: Group, versionId: VersionId) {
	return kept(db, `asked ${versionId}`, revision, async () => {
		const { body, name } = await versionById(db, versionId);
		return { name, asked: prescriptionOf(body, practice) };
	});
}

/** Everything of which somebody did anything up to now, by when it was done. */
export async function pastDaysOf(
	context: Context,
	{ enrolmentId, challengeId }: Pick<Person, 'enrolmentId' | 'challengeId'>
): Promise<PastDay[]> {
	const { db, clock } = context;
	const group = await groupNow(context, challengeId);
	const rows = await db.query<Row>(
		`select c.id, c.day, c.version_id as "versionId", coalesce(c.done_at, c.received_at) as at, c.kind = 'again' as again, c.credit,
			c.effort, c.hurts, c.note, c.prescribed, ${SETS} as sets, c.run->'scores' as scores, (c.run->>'seconds')::float8 as seconds,
			v.session_id as "sessionId", d.kind
		 from result c
		 join session_version v on v.id = c.version_id
		 join plan_day d on d.challenge_id = $3 and d.day = c.day
		 where c.enrolment_id = $1 and c.replaced_at is null and c.credit > 0 and c.received_at <= $2
		 order by at, c.id`,
		[enrolmentId, instant(clock.now()), challengeId]
	);
	const days: PastDay[] = [];
	for (const { kind, prescribed, scores, ...row } of rows) {
		const { name, asked } = await askedBy(db, group, row.versionId);
		days.push({
			...row,
			name,
			test: kind === 'test' && !row.again,
			asked: prescribed ?? asked,
			scores: scores ?? []
		});
	}
	return days;
}
