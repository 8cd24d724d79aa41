import type { EnrolmentId } from '../../platform/ids';
import type { Context } from '../../platform/context';
import { instant } from '../../platform/db/database';
import { CHECKIN_FACTS, IS_CURRENT, type CheckinFacts } from '../../records/facts';

interface PastCheckin extends CheckinFacts {
	day: number;
	session: string | null;
	version: number | null;
	/** How many sets were logged. */
	sets: number;
}

/** One person's check-ins up to an instant, the newest day first. */
export function checkinsOf(
	{ db }: Pick<Context, 'db'>,
	enrolmentId: EnrolmentId,
	until: number
): Promise<PastCheckin[]> {
	return db.query(
		`select ${CHECKIN_FACTS}, c.day, coalesce(v.name, s.name) as session, b.version,
			(select count(*)::int from result_set l where l.result_id = c.id) as sets
		 from result c
		 left join session_version v on v.id = c.version_id
		 left join session_version b on b.id = coalesce(v.made_from, v.id)
		 left join session s on s.id = v.session_id
		 where c.enrolment_id = $1 and ${IS_CURRENT} and c.received_at <= $2
		 order by c.day desc`,
		[enrolmentId, instant(until)]
	);
}
