import type { Queries } from '$lib/server/platform/db/database';
import type { ParticipantId } from '$lib/server/platform/ids';
import type { IntakeSections } from '$contracts/intake';
import { SCREEN_KEYS } from '$core/health';
import { CONSENT } from '$core/people';

/** Everything answered by somebody with nothing to say of their health. */
export const ANSWERS: IntakeSections = {
	you: { displayName: 'Pia', zone: 'Europe/Oslo', hour: '18:30', units: 'lb' },
	training: { level: 'some experience', weights: 'some', active: true, minutes: 30, goals: 'A pull-up' },
	kit: { none: false, owned: [{ kind: 'item', item: 'mat', count: 1 }], other: '' },
	body: {
		age: '18 to 39',
		stance: 'freely',
		balance: 'steady',
		floor: 'easy',
		hurts: [],
		hurtsElsewhere: null,
		expecting: 'no',
		pregnantWeek: null,
		birthWeeks: null
	},
	health: Object.fromEntries(SCREEN_KEYS.map((key) => [key, false])) as IntakeSections['health'],
	consent: { agreed: true, version: CONSENT.version }
};

/** Takes back whatever was answered, recorded and decided, so that a test begins with nothing known of somebody. */
export async function unanswered(db: Queries, id: ParticipantId): Promise<void> {
	for (const table of [
		'screening',
		'clearance',
		'intake_draft',
		'consent',
		'health_look',
		'person_event',
		'override'
	])
		await db.query(`delete from ${table}`);
	await db.query("delete from suited where since > '2026-11-21'");
	await db.query("update health set answers = null, added = '{}', limits = '{}'");
	await db.query("update enrolment set holds = '[]'");
	await db.query(
		`update participant set answered_at = null, asked_at = null, level = 'beginner', minutes = null, goals = null,
			kit = '[{"kind": "item", "item": "mat", "count": 1}]', kit_unread = '{}', zone = 'Europe/Oslo' where id = $1`,
		[id]
	);
}
