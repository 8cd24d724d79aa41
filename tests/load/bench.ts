/**
 * The figures that were promised, measured. Times of one machine mean little: what is bounded is, where it can
 * be, a ratio of two things measured in the same run. Prints one JSON line a figure; scripts/bench.mjs shows it.
 */
import { DAY_MS } from '$core/calendar';
import { packEntry } from '$core/day';
import type { Session } from '$core/session';
import { bundleText } from '$lib/server/edge/exports/bundle/bundle';
import { exportBundle } from '$lib/server/edge/exports/bundle/export-bundle';
import { readBundle } from '$lib/server/edge/exports/bundle/read-bundle';
import { importBundle } from '$lib/server/edge/exports/bundle/import-bundle';
import { personCalendar } from '$lib/server/changes/calendar/calendars';
import { createChallenge } from '$lib/server/training/challenge/change';
import { challengeOf } from '$lib/server/records/challenge';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { createCoach } from '$lib/server/account/auth/coach';
import type { Context } from '$lib/server/platform/context';
import { instant } from '$lib/server/platform/db/database';
import { migrate } from '$lib/server/platform/db/migrate';
import { memoryDatabase } from '$lib/server/platform/db/pglite';
import { randomIds, type CoachId } from '$lib/server/platform/ids';
import { practiceOf } from '$lib/server/records/practice';
import { asPerson, enrolmentsOf } from '$lib/server/records/enrolments';
import { enrol } from '$lib/server/people/enrol';
import { layDays, openPlan, savePlan } from '$lib/server/training/plan/plan';
import { planOf } from '$lib/server/records/plan-days';
import { loadRoll } from '$lib/server/done/attendance/roll';
import { createSession } from '$lib/server/training/session/sessions';
import { fits } from './fits';
import { bigPlan, checkPlans, compile, linear, search, tryOut, typed } from './core';
import { reach } from './reach';
import { median, read, report, timed } from './measure';

const NOW = Date.parse('2026-11-25T12:00:00Z');
/** Four exercises of five sets. */
const TWENTY_SETS = read('5 x 10 squat\n5 x 10 push-up\n5 x 10 per side one-arm row @ 12 kg\n5 x 30 s plank');

async function world(): Promise<{ context: Context; coachId: CoachId }> {
	const db = await memoryDatabase();
	await migrate(db);
	const context: Context = { db, ids: randomIds, clock: { now: () => NOW } };
	const coach = await createCoach(context, {
		email: 'b@example.org',
		name: 'B',
		zone: 'UTC',
		password: 'twelve letters or more'
	});
	return { context, coachId: coach.id };
}

async function makeChallenge(
	context: Context,
	coachId: CoachId,
	startsOn: string,
	people: number,
	session: Session
) {
	const id = await createChallenge({ ...context, clock: { now: () => NOW - 40 * DAY_MS } }, coachId, {
		name: `For ${people}`,
		goal: 'measured',
		startsOn,
		weeks: 6,
		trainingDays: [1, 2, 3, 5, 6],
		budgetMinutes: 30,
		ownZones: true,
		opensAt: '05:30',
		lateHours: 168,
		lateWorth: 75,
		partial: 'share',
		afterClose: 'store',
		lateJoiners: 'group',
		asksWeekly: false,
		catchUpDays: 0,
		waitsForAnswers: false
	});
	const challenge = await challengeOf(context.db, coachId, id, 'viewer');
	const { id: sessionId } = await createSession(context, coachId, {
		name: `Session ${people}`,
		body: session
	});
	const days = (await planOf(context.db, challenge))
		.filter((day) => day.kind !== 'rest')
		.map((day) => day.day);
	await layDays(context, challenge, { days, kind: 'train', sessionId });
	const zones = Intl.supportedValuesOf('timeZone');
	const links = await enrol(
		{ ...context, clock: { now: () => NOW - 40 * DAY_MS } },
		challenge,
		Array.from({ length: people }, (_, i) => ({
			name: `Person ${i}`,
			email: `p${people}.${i}@example.org`,
			zone: zones[(i * 7) % zones.length] ?? 'UTC',
			level: 'beginner' as const,
			kit: [],
			unread: []
		})),
		null
	);
	return { challenge, links };
}

async function roll(context: Context, coachId: CoachId): Promise<void> {
	const { challenge } = await makeChallenge(context, coachId, '2026-10-26', 300, TWENTY_SETS);
	// Thirty days of history for everybody, as check-ins would have left it.
	const strip = Object.fromEntries(
		Array.from({ length: 30 }, (_, i) => [
			i + 1,
			packEntry({
				kind: 'check-in',
				credit: i % 5 === 0 ? 0.6 : 1,
				at: NOW - (30 - i) * DAY_MS,
				pain: false,
				standing: 'on time'
			})
		])
	);
	await context.db.query('update enrolment set strip = $1::jsonb', [JSON.stringify(strip)]);
	const plan = await planOf(context.db, challenge);
	const whole: number[] = [];
	const query: number[] = [];
	const cold = await timed(() => loadRoll(context.db, challenge, plan, NOW));
	for (let i = 0; i < 60; i++) {
		// Another name for the same database is one for which nothing is kept: that reads everybody.
		query.push(await timed(() => enrolmentsOf({ ...context.db }, challenge.id)));
		whole.push(await timed(() => loadRoll(context.db, challenge, plan, NOW)));
	}
	report(
		'roll of 300 people × 42 days, against its one query',
		median(whole) / median(query),
		'×',
		2,
		`${median(whole).toFixed(1)} ms against ${median(query).toFixed(1)} ms; the very first ${cold.toFixed(0)} ms`
	);
}

async function checkins(context: Context, coachId: CoachId): Promise<void> {
	const { challenge } = await makeChallenge(context, coachId, '2026-10-27', 40, TWENTY_SETS);
	const plan = await planOf(context.db, challenge);
	const days = plan.filter((day) => day.kind !== 'rest' && day.day <= 25).map((day) => day.day);
	const [first] = await context.db.query<{ version: string }>(
		'select version_id as version from plan_day where challenge_id = $1 and version_id is not null limit 1',
		[challenge.id]
	);
	const sets = [0, 1, 2, 3].flatMap((block) =>
		Array.from({ length: 5 }, (_, i) => ({ block, part: 0, set: i + 1, amount: 10, kg: null }))
	);
	const bare: number[] = [];
	const through: number[] = [];
	let spare = 0;
	const enrolled = await enrolmentsOf(context.db, challenge.id);
	for (const person of enrolled.map(asPerson)) {
		for (const day of days.slice(0, 8)) {
			through.push(
				await timed(() => checkIn(context, person, { id: randomIds.uuid(), day, done: 'part', sets }))
			);
			// The same rows in one transaction, with nothing looked up and nothing added up.
			const id = randomIds.uuid();
			bare.push(
				await timed(() =>
					context.db.transaction(async (tx) => {
						await tx.query(
							`insert into result (id, enrolment_id, kind, day, version_id, credit, standing, received_at, replaced_at)
							 values ($1, $2, 'planned', $3, $4, 0.5, 'on time', $5, $5)`,
							[id, person.enrolmentId, day, first?.version, instant(NOW - spare++)]
						);
						for (const set of sets)
							await tx.query(
								`insert into result_set (result_id, block, part, set, exercise, is_substitute, unit, amount, kg)
								 values ($1, $2, $3, $4, 'Squat', false, 'reps', $5, $6)`,
								[id, set.block, set.part, set.set, set.amount, set.kg]
							);
					})
				)
			);
		}
	}
	report(
		'check-in with 20 sets, against the bare inserts of its rows',
		median(through) / median(bare),
		'×',
		3,
		`${median(through).toFixed(1)} ms against ${median(bare).toFixed(1)} ms for 21 inserts in one transaction`
	);
}

/** What a calendar program asks for every hour, and a bundle there and back. */
async function leaving(context: Context, coachId: CoachId): Promise<void> {
	const { challenge, links } = await makeChallenge(context, coachId, '2026-10-28', 1, TWENTY_SETS);
	const [link] = links;
	if (!link) throw new Error('nobody was enrolled');
	const wanted = { withdrawn: false, origin: 'https://cadrex.example' };
	const ask = () => personCalendar(context, link.enrolmentId, wanted);
	const first = await timed(ask);
	const again: number[] = [];
	for (let i = 0; i < 40; i++) again.push(await timed(ask));
	report(
		'calendar of one person over six weeks, median',
		median(again),
		'ms',
		50,
		`${(await ask()).match(/BEGIN:VEVENT/g)?.length ?? 0} events; the very first ${first.toFixed(0)} ms, with every event numbered`
	);

	const { plan, sessions } = bigPlan();
	const ids = new Map<string, string>();
	for (const { key, name, body } of sessions)
		ids.set(key, (await createSession(context, coachId, { name: `Big ${name}`, body })).id);
	const { revision } = await openPlan(context, challenge);
	await savePlan(context, challenge, {
		revision,
		plan: {
			...plan,
			days: plan.days.map((day) => ({ ...day, session: day.session && (ids.get(day.session) ?? null) }))
		}
	});
	const out: number[] = [];
	for (let i = 0; i < 10; i++) out.push(await timed(() => exportBundle(context, challenge)));
	const text = bundleText(await exportBundle(context, challenge));
	const timing = await practiceOf(context.db, coachId);
	const reading: number[] = [];
	for (let i = 0; i < 10; i++) reading.push(await timed(() => Promise.resolve(readBundle(text, timing))));
	const { bundle } = readBundle(text, timing);
	if (!bundle) throw new Error('the bundle was refused');
	const other = await createCoach(context, {
		email: 'other@example.org',
		name: 'Other',
		zone: 'UTC',
		password: 'twelve letters or more'
	});
	let back = '';
	const taking = await timed(async () => {
		const as = { name: bundle.name, startsOn: bundle.frame.startsOn };
		const id = await importBundle(context, other.id, bundle, as);
		back = bundleText(await exportBundle(context, await challengeOf(context.db, other.id, id, 'viewer')));
	});
	let different = Math.abs(back.length - text.length);
	for (let i = 0; i < Math.min(back.length, text.length); i++) if (back[i] !== text[i]) different++;
	report(
		'bundle of 12 weeks and 60 sessions there and back, letters that differ',
		different,
		'letters',
		0,
		`${Math.round(text.length / 1000)} kB; out ${median(out).toFixed(0)} ms, read ${median(reading).toFixed(0)} ms, taken in and out again ${taking.toFixed(0)} ms`
	);
}

await compile();
typed();
linear();
search();
checkPlans();
tryOut();
fits();
const { context, coachId } = await world();
await roll(context, coachId);
await checkins(context, coachId);
await leaving(context, coachId);
await reach(context, (await makeChallenge(context, coachId, '2026-10-28', 1000, TWENTY_SETS)).challenge);
await context.db.close();
