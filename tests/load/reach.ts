/** Who needs the coach, of a thousand people with four weeks behind them. */
import { DAY_MS } from '$core/calendar';
import { packEntry } from '$core/day';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { instant } from '$lib/server/platform/db/database';
import { asPerson, enrolmentsOf } from '$lib/server/records/enrolments';
import type { Context } from '$lib/server/platform/context';
import { inNeed } from '$lib/server/contact/reach/triage';
import { median, report, timed } from './measure';

const DAYS = 28;

/** Check-ins of four weeks, something done about everybody, and a weight a week. */
async function lived({ db, clock }: Context, { id }: OwnedChallenge): Promise<void> {
	const now = clock.now();
	const strip = Object.fromEntries(
		Array.from({ length: DAYS }, (_, i) => [
			i + 1,
			packEntry({
				kind: 'check-in',
				credit: i % 5 === 0 ? 0.6 : 1,
				at: now - (DAYS - i) * DAY_MS,
				pain: false,
				standing: 'on time'
			})
		])
	);
	await db.query('update enrolment set strip = $2::jsonb where challenge_id = $1', [
		id,
		JSON.stringify(strip)
	]);
	await db.query(
		`insert into result (id, enrolment_id, kind, day, credit, standing, effort, energy, received_at, well)
		 select gen_random_uuid(), e.id, 'planned', d, 1, 'on time', 7, 4, $2::timestamptz - make_interval(days => $3 - d), '{"mood": 4}'
		 from enrolment e, generate_series(1, $3) d where e.challenge_id = $1`,
		[id, instant(now), DAYS]
	);
	await db.query(
		`insert into reach (id, enrolment_id, way, reasons, at)
		 select gen_random_uuid(), e.id, 'wrote', '{missing}', $2::timestamptz - make_interval(days => d)
		 from enrolment e, generate_series(1, 10) d where e.challenge_id = $1`,
		[id, instant(now)]
	);
	await db.query(
		`insert into measure (id, participant_id, kind, value, at, source)
		 select gen_random_uuid(), e.participant_id, 'weight', 80, $2::timestamptz - make_interval(days => d * 7), 'typed'
		 from enrolment e, generate_series(0, 3) d where e.challenge_id = $1`,
		[id, instant(now)]
	);
	await db.script('analyze');
}

export async function reach(context: Context, challenge: OwnedChallenge): Promise<void> {
	await lived(context, challenge);
	const at = () => inNeed({ app: context }, challenge, context.clock.now());
	const first = await timed(at);
	const again: number[] = [];
	const changed: number[] = [];
	const everybody = (await enrolmentsOf(context.db, challenge.id)).map(asPerson);
	for (const person of everybody.slice(0, 12)) {
		again.push(await timed(at));
		await checkIn(context, person, { id: context.ids.uuid(), day: DAYS + 1, done: 'all', hurts: 'knee' });
		changed.push(await timed(at));
	}
	report(
		'triage of a thousand people, after one of them has checked in',
		median(changed),
		'ms',
		300,
		`nothing changed ${median(again).toFixed(0)} ms; the very first ${first.toFixed(0)} ms`
	);
}
