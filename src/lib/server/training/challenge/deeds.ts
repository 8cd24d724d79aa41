/** Who did what in a challenge: every piece of work that changed something, by the word of `workOf`. */
import { instant, type Queries } from '../../platform/db/database';
import { unlessFull } from '../../platform/db/room';
import type { Context } from '../../platform/context';
import { isId } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';

/** Each piece of work in words. Null: it changes nothing that anybody would ask about. */
export const DEEDS: Readonly<Record<string, string | null>> = {
	'/build/[session]?copy': 'Copied a session',
	'/build/[session]?save': 'Saved a session',
	'/build/import?accept': 'Took in a session',
	'/build/import?preview': null,
	'/build/library/[exercise]?change': 'Changed an exercise',
	'/build/library/[exercise]?retire': 'Retired an exercise, or took it back',
	'/build/library/import?accept': 'Took in exercises',
	'/build/library/import?preview': null,
	'POST /build/library/new': 'Made an exercise',
	'/reach?excuse': 'Excused days',
	'/reach?decide': 'Decided what happens after pain or a warning sign',
	'/reach?ease': 'Made the next sessions smaller for somebody who was away',
	'/reach?followUp': 'Asked after pain or a warning sign',
	'/reach?endSparing': 'Ended sparing or a hold after pain',
	'/reach?note': 'Noted what was done about somebody',
	'/reach?read': null,
	'/reach?settle': 'Marked a message as needing no answer',
	'/reach?write': 'Wrote to somebody',
	'/reach?remove': 'Took back what was noted about somebody',
	'/reach/requests?answer': 'Answered a request',
	'/reach/form?answer': 'Answered a form check',
	'/reach/rules?save': 'Changed when somebody comes up',
	'/settings/coaches?invite': 'Invited somebody to help',
	'/settings/coaches?remove': 'Took a coach or viewer off',
	'/settings/coaches?role': 'Changed what somebody may do',
	'/settings/coaches?withdraw': 'Withdrew an invitation',
	'/desk?reply': 'Said something about a result',
	'/desk?pass': 'Left a result that came in after its day',
	'/desk?take': 'Took a result that came in after its day',
	'/desk?shorten': 'Shortened a session for somebody',
	'/people/[person]/intake?look': 'Looked at health answers',
	'POST /people/[person]/intake/answers': 'Filled in the questions for somebody',
	'PUT /people/[person]/intake/answers': null,
	'/people/[person]?addDocument': 'Added a document',
	'/people/[person]?addNote': 'Wrote or changed a private note',
	'/people/[person]?ask': 'Asked for the questions again',
	'/people/[person]?back': 'Took somebody back',
	'/people/[person]?change': 'Changed what is known of somebody',
	'/people/[person]?clear': 'Recorded a clearance',
	'/people/[person]?differ': 'Set something different for somebody',
	'/people/[person]?endCalendar': 'Turned off a calendar link',
	'/people/[person]?endPause': 'Ended a pause',
	'/people/[person]?leave': 'Let somebody leave',
	'/people?invite': 'Had links sent by email',
	'/people/[person]?mailLink': 'Had a personal link sent by email',
	'/people/[person]?link': 'Made a personal link anew',
	'/people/[person]?look': 'Looked at health answers',
	'/people/[person]?move': 'Moved somebody to another challenge',
	'/people/[person]?equipment': 'Changed the equipment of a person',
	'/people/[person]?excuse': 'Excused days',
	'/people/[person]?hour': 'Changed the training hour of a person',
	'/people/[person]?pause': 'Gave a pause',
	'/people/[person]?removeDocument': 'Deleted a document',
	'/people/[person]?removeNote': 'Deleted a private note',
	'/people/[person]?revoke': 'Revoked a personal link',
	'/people/[person]?same': 'Took back something different',
	'/people/[person]?takeBack': 'Took back a clearance',
	'/people/[person]?unenrol': 'Took somebody off the list',
	'/people/[person]?unexcuse': 'Took back an excuse',
	'/people/group?use': 'Made the plan for the group as it is',
	'/people/import?accept': 'Enrolled people from a list',
	'/people/import?preview': null,
	'/people/join?add': 'Added a person',
	'/people/join?admit': 'Admitted somebody from the waiting list',
	'/people/join?close': 'Closed the page to join on',
	'/people/join?open': 'Opened the page to join on, or changed its places',
	'/people/join?turnAway': 'Turned somebody away from the waiting list',
	'/people/teams?save': 'Saved teams and buddies',
	'/post?again': 'Had an email tried again',
	'/post?cancel': 'Took back a message to several people',
	'/post?forget': 'Deleted a template',
	'/post?keep': 'Kept a template',
	'/post/group?announce': 'Posted an announcement',
	'/post/group?removeAnnouncement': 'Took down an announcement',
	'/post/group?poll': 'Asked a question of several',
	'/post/group?close': 'Closed a poll',
	'/post/group?drop': 'Deleted a poll',
	'/post?send': 'Wrote to several people',
	'/post/settings?save': 'Set how drafts sound, quiet hours and rules',
	'/post/settings?test': null,
	'/plan/export?end': 'Turned off the calendar link',
	'/plan/export?make': 'Made a calendar link',
	'/plan/shelf?off': 'Took a session off the shelf',
	'/plan/shelf?put': 'Put a session on the shelf',
	'/plan?daysOff': 'Cancelled or excused days for everybody',
	'/plan?restore': 'Restored days that were cancelled',
	'/plan?save': 'Saved the plan',
	'/plan?template': 'Laid the plan from a template',
	'/plan?testSession': 'Built a session of the tests',
	'/plan?unexcuse': 'Took back an excuse for everybody',
	'/roll?excuse': 'Excused days',
	'/roll?record': 'Recorded a result',
	'/roll?takeBackRecorded': 'Took back a recorded result',
	'/people/[person]?record': 'Recorded a result',
	'/people/[person]?takeBackRecorded': 'Took back a recorded result',
	'POST /people/[person]/record/[day]': 'Recorded a result',
	'/settings?challenge': 'Changed the settings',
	'/settings?health': 'Set when health answers go',
	'/settings?house': 'Changed the house rules'
};

/** Puts a piece of work on record, if it is one that somebody may ask about. */
export async function recordDeed(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	deed: {
		work: string;
		challengeId: ChallengeId;
		coachId: CoachId;
		enrolmentId: EnrolmentId | null;
		/** As the address has it. */
		session: string | null;
	}
): Promise<void> {
	if (!DEEDS[deed.work]) return;
	// What a piece of work deleted is not there any more to be named.
	await unlessFull(
		db.query(
			`insert into deed (challenge_id, coach_id, at, work, enrolment_id, session_id)
			 values ($1, $2, $3, $4, (select id from enrolment where id = $5), (select id from session where id = $6))`,
			[
				deed.challengeId,
				deed.coachId,
				instant(clock.now()),
				deed.work,
				deed.enrolmentId,
				deed.session !== null && isId(deed.session) ? deed.session : null
			]
		)
	);
}

export interface Deed {
	id: number;
	/** Epoch milliseconds. */
	at: number;
	by: string;
	what: string;
	/** The participant it was about. */
	person: { id: EnrolmentId; name: string } | null;
	session: string | null;
}

/** Days for which it is kept who did what. */
export const DEEDS_KEPT = 400;

/** Shown at once. */
export const DEEDS_SHOWN = 50;

/** What was done in a challenge, the latest first. @param before the id from which on one has seen them; null: from the latest */
export async function deedsOf(
	db: Queries,
	id: ChallengeId,
	{ coachId, before }: { coachId: string | null; before: number | null }
): Promise<Deed[]> {
	const rows = await db.query<
		Omit<Deed, 'what' | 'person'> & { work: string; personId: EnrolmentId | null; name: string | null }
	>(
		`select d.id, d.at, co.name as by, d.work, d.enrolment_id as "personId", p.name, s.name as session
		 from deed d join coach co on co.id = d.coach_id
		 left join enrolment e on e.id = d.enrolment_id left join participant p on p.id = e.participant_id
		 left join session s on s.id = d.session_id
		 where d.challenge_id = $1 and ($2::uuid is null or d.coach_id = $2) and ($3::bigint is null or (d.at, d.id) < (select at, id from deed where id = $3))
		 order by d.at desc, d.id desc limit ${DEEDS_SHOWN}`,
		[id, coachId !== null && isId(coachId) ? coachId : null, before]
	);
	return rows.map(({ work, personId, name, ...row }) => ({
		...row,
		what: DEEDS[work] ?? work,
		person: personId === null ? null : { id: personId, name: name ?? '' }
	}));
}
