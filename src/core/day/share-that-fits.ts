import type { FitProfile } from '../fit';
import type { Practice } from '../practice';
import { sessionSeconds, type Session } from '../session';
import type { Override } from './overrides';
import { personalSession } from './personal';

/** Shares that are tried, in percent: less than half of a session is another session. */
const SHARES = [95, 90, 85, 80, 75, 70, 65, 60, 55, 50];

/**
 * The largest share of a session, in percent, with which it takes a person no longer than they have, or null if none does.
 *
 * @param planned the session as the plan has it
 * @param fits whether a length in seconds is short enough
 */
export function shareThatFits(
	planned: Session,
	day: number,
	{ profile, overrides }: { profile: FitProfile; overrides: readonly Override[] },
	fits: (seconds: number) => boolean,
	practice: Practice
): number | null {
	for (const percent of SHARES) {
		const scale: Override = {
			target: { kind: 'day' },
			change: { kind: 'scale', share: percent / 100 },
			fromDay: day,
			toDay: day,
			why: ''
		};
		const own = personalSession(planned, day, { profile, overrides: [...overrides, scale] }, practice);
		if (own && fits(sessionSeconds(own.session, practice))) return percent;
	}
	return null;
}
