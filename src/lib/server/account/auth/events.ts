import type { Context } from '../../platform/context';
import { instant } from '../../platform/db/database';
import { unlessFull } from '../../platform/db/room';
import type { CoachId, EnrolmentId } from '../../platform/ids';

/** What is kept of who came in and of what changed about who may, with the words for it. */
export const SECURITY_EVENTS = {
	'signed-in': 'Signed in',
	'sign-in-failed': 'Wrong password',
	'code-failed': 'Wrong sign-in code',
	'recovery-code-used': 'Signed in with a recovery code',
	'token-reused': 'Old sign-in used again; that device was signed out',
	'signed-out': 'Signed out',
	'signed-out-everywhere': 'Signed out everywhere',
	'device-ended': 'Device signed out',
	'password-confirmed': 'Password confirmed',
	'password-changed': 'Password changed',
	'reset-asked': 'Password reset asked for',
	'password-reset': 'Password reset by link',
	'second-factor-on': 'Two-step sign-in turned on',
	'second-factor-off': 'Two-step sign-in turned off',
	'recovery-codes-made': 'New recovery codes',
	'coach-made': 'Account created',
	'profile-changed': 'Name, address or time zone changed',
	'invitation-made': 'Invitation to a challenge made',
	'invitation-taken': 'Invitation to a challenge taken up',
	'coach-removed': 'Coach or viewer taken off a challenge',
	'link-opened': 'Personal link opened',
	'link-made': 'Personal link made anew',
	'link-shown': 'Personal link created and shown',
	'link-revoked': 'Personal link revoked',
	'calendar-link-made': 'Calendar link created',
	'calendar-link-ended': 'Calendar link turned off',
	'person-removed': 'Participant removed',
	'backup-made': 'Backup made'
} as const;

export type SecurityEventKind = keyof typeof SECURITY_EVENTS;

export interface SecurityEvent {
	kind: SecurityEventKind;
	/** Whose account it is about; none when nobody has the address that was tried. */
	coachId?: CoachId | null;
	/** The participant it is about. */
	enrolmentId?: EnrolmentId | null;
	/** Address it came from, of IPv6 the /64; none from the command line. */
	network?: string | null;
	device?: string | null;
}

/** Days for which events are kept: they hold addresses. */
export const EVENTS_KEPT = 90;

/** Puts an event on record. */
export async function recordEvent(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	{ kind, coachId = null, enrolmentId = null, network = null, device = null }: SecurityEvent
): Promise<void> {
	await unlessFull(
		db.query(
			`insert into security_event (at, kind, coach_id, enrolment_id, network, device)
		 values ($1, $2, $3, $4, $5, $6)`,
			[instant(clock.now()), kind, coachId, enrolmentId, network, device]
		)
	);
}

/** Puts the same about several people on record, with one statement. */
export async function recordEvents(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	{ kind, coachId = null, network = null, device = null }: Omit<SecurityEvent, 'enrolmentId'>,
	enrolmentIds: readonly EnrolmentId[]
): Promise<void> {
	await unlessFull(
		db.query(
			`insert into security_event (at, kind, coach_id, enrolment_id, network, device)
			 select $1, $2, $3, id, $5, $6 from unnest($4::uuid[]) as id`,
			[instant(clock.now()), kind, coachId, enrolmentIds, network, device]
		)
	);
}

export interface EventRow {
	id: number;
	/** Epoch milliseconds. */
	at: number;
	kind: SecurityEventKind;
	network: string | null;
	device: string | null;
}

/** The last thirty events of a coach’s own account, the latest first; those of their participants are not among them. */
export const eventsOf = ({ db }: Pick<Context, 'db'>, coachId: CoachId): Promise<EventRow[]> =>
	db.query<EventRow>(
		`select id, at, kind, network, device from security_event
		 where coach_id = $1 and enrolment_id is null order by at desc, id desc limit 30`,
		[coachId]
	);
