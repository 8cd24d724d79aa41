/**
 * Every table with data about a participant, and what deletion of their data leaves of it. A new column is not deleted or kept
 * by accident: the test that reads this fails until the column is listed.
 */
export type Kept = 'nothing' | Readonly<Record<string, Erased | Reason>>;
/** The column is emptied, or replaced by a value that says nothing. */
export type Erased = 'erased';
/** Why the column stays. */
type Reason = `kept: ${string}`;

const KEY = 'kept: identifies the row';
const FIGURES = 'kept: adherence and figures of the group';
const WINDOWS = 'kept: days of the person are computed from it';

export const KEPT: Readonly<Record<string, Kept>> = {
	participant: {
		id: KEY,
		coach_id: KEY,
		name: 'erased',
		email: 'erased',
		zone: WINDOWS,
		earlier_zones: WINDOWS,
		level: 'erased',
		created_at: 'kept: when the row was made',
		trains_at: 'erased',
		kit: 'erased',
		kit_unread: 'erased',
		display_name: 'erased',
		units: 'erased',
		minutes: 'erased',
		weights: 'erased',
		goals: 'erased',
		answered_at: 'erased',
		asked_at: 'erased',
		forgotten_at: 'kept: that and when the data were deleted',
		mailed: 'kept: says nothing without an address'
	},
	enrolment: {
		id: KEY,
		challenge_id: KEY,
		participant_id: KEY,
		from_day: WINDOWS,
		shift_days: WINDOWS,
		link_hash: 'erased',
		link_made_at: 'erased',
		strip: FIGURES,
		last_seen: FIGURES,
		created_at: 'kept: when the row was made',
		feed_hash: 'erased',
		calendar: 'erased',
		extras: FIGURES,
		holds: 'kept: times without their reasons, for adherence',
		left_at: FIGURES,
		team_id: 'erased',
		buddies: 'erased',
		catch_up: WINDOWS,
		touched: 'kept: a counter',
		link_made_by: 'kept: a coach, and no link any more'
	},
	result: {
		id: KEY,
		enrolment_id: KEY,
		kind: FIGURES,
		day: FIGURES,
		version_id: FIGURES,
		credit: FIGURES,
		standing: FIGURES,
		counts: FIGURES,
		effort: 'erased',
		energy: 'erased',
		sleep_hours: 'erased',
		hurts: 'erased',
		note: 'erased',
		well: 'erased',
		beyond: 'erased',
		prescribed: 'erased',
		run: 'erased',
		started_at: FIGURES,
		done_at: FIGURES,
		received_at: FIGURES,
		replaced_at: 'kept: null in rows that stay, but for a late part of a day',
		offered: FIGURES,
		adds_to: FIGURES,
		sides: 'erased',
		best: 'erased',
		entered_by: 'kept: a coach'
	},
	excuse: { enrolment_id: KEY, day: FIGURES, reason: 'erased', at: FIGURES },
	pause: {
		id: KEY,
		enrolment_id: KEY,
		from_day: FIGURES,
		to_day: FIGURES,
		reason: 'erased',
		at: FIGURES,
		leaves: FIGURES,
		own: FIGURES
	},
	security_event: {
		id: KEY,
		at: 'kept: that an access took place',
		kind: 'kept: that an access took place',
		coach_id: KEY,
		enrolment_id: KEY,
		network: 'erased',
		device: 'erased'
	},
	deed: {
		id: KEY,
		challenge_id: KEY,
		coach_id: KEY,
		at: 'kept: what a coach did',
		work: 'kept: what a coach did',
		enrolment_id: 'erased',
		session_id: 'kept: what a coach did'
	},
	clearance: 'nothing',
	consent: 'nothing',
	document: 'nothing',
	fit_day: 'nothing',
	form_check: 'nothing',
	health: 'nothing',
	health_look: 'nothing',
	incident: 'nothing',
	intake_draft: 'nothing',
	letter: 'nothing',
	measure: 'nothing',
	message: 'nothing',
	override: 'nothing',
	participant_login: 'nothing',
	performance: 'nothing',
	person_event: 'nothing',
	picture: 'nothing',
	poll_answer: 'nothing',
	presence: 'nothing',
	private_note: 'nothing',
	push_subscription: 'nothing',
	reach: 'nothing',
	reminder: 'nothing',
	request: 'nothing',
	result_set: 'nothing',
	screening: 'nothing',
	suited: 'nothing',
	way_back: 'nothing',
	weekly: 'nothing'
};
