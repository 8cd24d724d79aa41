/**
 * The figures that were promised, measured. Times of one machine mean little: what is bounded is, where it can
 * be, a ratio of two things measured in the same run. Prints one JSON line a figure; scripts/bench.mjs shows it.
 */
import { PGlite } from '@electric-sql/pglite';
import { Bench } from 'tinybench';
import { packEntry } from '$core/cohort';
import { libraryOf, STANDARD, type Exercise } from '$core/library';
import {
	checkPlan,
	emptyForms,
	EMPTY_PLAN,
	layOut,
	newRule,
	REST_DAY,
	simulate,
	swapDays,
	trialOf,
	USUAL_ASSUMPTIONS,
	type Plan,
	type PlannedDay,
	type PlanSession
} from '$core/plan';
import { ExerciseSearch } from '$lib/exercise-search';
import { compileSession, parseSessionText, type Session } from '$core/session';
import { bundleText } from '$lib/server/bundle/bundle';
import { bundleOf } from '$lib/server/bundle/put-out';
import { readBundle } from '$lib/server/bundle/read';
import { takeInBundle } from '$lib/server/bundle/take-in';
import { personCalendar } from '$lib/server/calendar/calendars';
import { challengeOf, createChallenge } from '$lib/server/challenges/challenge';
import { checkIn } from '$lib/server/checkins/check-in';
import { createCoach } from '$lib/server/auth/coach';
import type { Context } from '$lib/server/context';
import { instant } from '$lib/server/db/database';
import { migrate } from '$lib/server/db/migrate';
import { pgliteDatabase } from '$lib/server/db/pglite';
import { randomIds } from '$lib/server/ids';
import { timingOf } from '$lib/server/library/house';
import { enrol, enrolmentsOf } from '$lib/server/people/enrolments';
import { layDays, openPlan, planOf, savePlan } from '$lib/server/plan/plan';
import { loadRoll } from '$lib/server/roll/roll';
import { createSession } from '$lib/server/sessions/sessions';

const NOW = Date.parse('2026-11-25T12:00:00Z');

function report(name: string, value: number, unit: string, bound: number, detail: string): void {
	console.log(JSON.stringify({ name, value, unit, bound, detail }));
}

const median = (values: number[]): number =>
	[...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

async function timed(work: () => Promise<unknown>): Promise<number> {
	const began = performance.now();
	await work();
	return performance.now() - began;
}

const read = (text: string): Session => parseSessionText(text).session;

/** About an hour: warm-up, four supersets, a long EMOM, a circuit of 40 slots, stretches. */
const HOUR = read(
	[
		'warm-up: circuit 3 rounds 30/10: march with arms up + hip circles per side + bird dog per side',
		...Array.from(
			{ length: 3 },
			() => 'superset 3 rounds, rest 30 inside, 90 after: 10 goblet squat 3-1-1 + 8 per side one-arm row'
		),
		'emom 8 min: 10 swing / 6 per side step-up',
		'circuit 2 rounds 30/15, 45 between: squat + push-up + plank + swing + glute bridge + fast feet + wall sit + curl',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side hip flexor stretch + 30 s child rest'
	].join('\n')
);
/** Four exercises of five sets. */
const TWENTY_SETS = read('5 x 10 squat\n5 x 10 push-up\n5 x 10 per side one-arm row @ 12 kg\n5 x 30 s plank');

async function compile(): Promise<void> {
	const bench = new Bench({ time: 1000 });
	bench.add('compile', () => compileSession(HOUR));
	await bench.run();
	const result = bench.tasks[0]?.result;
	const ms = result && 'latency' in result ? result.latency.p50 : NaN;
	const { segments, totals } = compileSession(HOUR);
	report(
		'compile a 60-minute session, median',
		ms,
		'ms',
		1,
		`${Math.round(totals.duration / 60)} min, ${segments.length} segments`
	);
}

/** Times of something in milliseconds, after some runs to warm up. */
function timesOf(runs: number, work: () => void, warmUp = 5): number[] {
	const times: number[] = [];
	for (let i = 0; i < runs + warmUp; i++) {
		const began = performance.now();
		work();
		if (i >= warmUp) times.push(performance.now() - began);
	}
	return times;
}

/** Time a segment of 20,000 segments against that of 2,000: 1 is exactly linear. */
function linear(): void {
	const circuit = (rounds: number) =>
		`circuit ${rounds} rounds 30/15: ${Array(20).fill('squat').join(' + ')}`;
	const sessions = [read(circuit(50)), read(`repeat 10 times, rest 30:\n${circuit(50)}\nend repeat`)];
	// In turn, so that both meet the same machine, and the quickest of each: what tidying up memory costs is not the
	// algorithm's.
	const quickest = sessions.map(() => Infinity);
	for (let turn = 0; turn < 60; turn++)
		sessions.forEach((session, i) => {
			const [ms = Infinity] = timesOf(1, () => void compileSession(session), 0);
			quickest[i] = Math.min(quickest[i] ?? Infinity, ms);
		});
	const [small, large] = sessions.map((session, i) => ({
		count: compileSession(session).segments.length,
		ms: quickest[i] ?? NaN
	})) as [{ count: number; ms: number }, { count: number; ms: number }];
	report(
		'compile 20,000 segments, time a segment against that of 2,000',
		large.ms / large.count / (small.ms / small.count),
		'×',
		1.5,
		`${large.count} segments in ${large.ms.toFixed(1)} ms, ${small.count} in ${small.ms.toFixed(2)} ms`
	);
}

/** 2,000 exercises: the library that ships and the rest as a coach's own. */
function search(): void {
	const model = STANDARD.all;
	const own = Array.from({ length: 2000 - model.length }, (_, i): Exercise => {
		const like = model[i % model.length] as Exercise;
		return { ...like, name: `${like.name} of hut ${i}`, ownId: String(i) };
	});
	const all = new ExerciseSearch(libraryOf(own));
	const asked = ['gob', 'goblet sqat', 'press', 'hamstrings', 'row hut 12', 'single leg', 'band', 'xyzzy'];
	const times = asked.map((text) => median(timesOf(20, () => void all.find({ text }, 60))));
	report(
		'search over 2,000 exercises, the slowest of eight searches',
		Math.max(...times),
		'ms',
		30,
		asked.map((text, i) => `“${text}” ${times[i]?.toFixed(1)}`).join(', ')
	);
}

/** Twelve weeks of five sessions, sixty in all, with rules and lighter weeks; every session a form of its own. */
function bigPlan(): { plan: Plan; sessions: PlanSession[] } {
	const sessions = Array.from({ length: 60 }, (_, i): PlanSession => {
		const first = HOUR.blocks[0];
		const blocks = first ? [...HOUR.blocks.slice(1 + (i % 3)), first] : HOUR.blocks;
		return { key: `s${i}`, name: `Session ${i}`, body: { blocks } };
	});
	const days = Array.from({ length: 84 }, (_, i): PlannedDay => {
		const weekday = i % 7;
		if (weekday > 4) return REST_DAY;
		return { kind: 'train', session: `s${Math.floor(i / 7) * 5 + weekday}`, effort: null, tests: [] };
	});
	const rules = [
		newRule('a', { exercise: 'Goblet squat' }, [{ kind: 'double', top: 12, kg: 1 }]),
		newRule('b', { exercise: 'One-arm row' }, [{ kind: 'load', kg: 1 }]),
		newRule('c', { exercise: 'Plank' }, [{ kind: 'seconds', seconds: 1 }])
	];
	return { plan: { ...EMPTY_PLAN, days, rules, deload: { every: 4, keep: 0.6 } }, sessions };
}

/** What a change of the plan costs: one day is another, and everything is worked out and checked again. */
function checkPlans(): void {
	const { plan, sessions } = bigPlan();
	const known = emptyForms();
	const check = (p: Plan) => checkPlan(layOut(p, sessions, { known }), { budgetMinutes: 45 });
	const first = timesOf(1, () => void checkPlan(layOut(plan, sessions), { budgetMinutes: 45 }))[0] ?? NaN;
	let turn = 0;
	const times = timesOf(30, () => void check(swapDays(plan, 1 + (turn++ % 80), 84)));
	report(
		'checks of a 12-week plan with 60 sessions after a move, median',
		median(times),
		'ms',
		100,
		`${check(plan).length} findings; with every session compiled anew ${first.toFixed(0)} ms`
	);
}

async function world(): Promise<{ context: Context; coachId: string }> {
	const db = pgliteDatabase(await PGlite.create());
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
	coachId: string,
	startsOn: string,
	people: number,
	session: Session
) {
	const id = await createChallenge({ ...context, clock: { now: () => NOW - 40 * 86_400_000 } }, coachId, {
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
		lateJoiners: 'group'
	});
	const challenge = await challengeOf(context.db, coachId, id);
	const { id: sessionId } = await createSession(context, coachId, {
		name: `Session ${people}`,
		body: session
	});
	const days = (await planOf(context.db, challenge))
		.filter((day) => day.kind !== 'rest')
		.map((day) => day.day);
	await layDays(context, coachId, id, { days, kind: 'train', sessionId });
	const zones = Intl.supportedValuesOf('timeZone');
	const links = await enrol(
		{ ...context, clock: { now: () => NOW - 40 * 86_400_000 } },
		challenge,
		Array.from({ length: people }, (_, i) => ({
			name: `Person ${i}`,
			mail: `p${people}.${i}@example.org`,
			zone: zones[(i * 7) % zones.length] ?? 'UTC',
			level: 'beginner' as const,
			equipment: ['mat']
		}))
	);
	return { challenge, links };
}

async function roll(context: Context, coachId: string): Promise<void> {
	const { challenge } = await makeChallenge(context, coachId, '2026-10-26', 300, TWENTY_SETS);
	// Thirty days of history for everybody, as check-ins would have left it.
	const strip = Object.fromEntries(
		Array.from({ length: 30 }, (_, i) => [
			i + 1,
			packEntry({
				kind: 'check-in',
				credit: i % 5 === 0 ? 0.6 : 1,
				at: NOW - (30 - i) * 86_400_000,
				pain: false
			})
		])
	);
	await context.db.query('update enrolment set strip = $1::jsonb', [JSON.stringify(strip)]);
	const plan = await planOf(context.db, challenge);
	const whole: number[] = [];
	const query: number[] = [];
	const cold = await timed(() => loadRoll(context.db, challenge, plan, NOW));
	for (let i = 0; i < 60; i++) {
		query.push(await timed(() => enrolmentsOf(context.db, challenge.id)));
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

async function checkins(context: Context, coachId: string): Promise<void> {
	const { challenge, links } = await makeChallenge(context, coachId, '2026-10-27', 40, TWENTY_SETS);
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
	for (const link of links) {
		const person = { enrolmentId: link.enrolmentId, challengeId: challenge.id, name: link.name, zone: 'UTC' };
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
							`insert into checkin (id, enrolment_id, day, version_id, done, credit, standing, received_at, replaced_at)
							 values ($1, $2, $3, $4, 'part', 0.5, 'on time', $5, $5)`,
							[id, link.enrolmentId, day, first?.version, instant(NOW - spare++)]
						);
						for (const set of sets)
							await tx.query(
								'insert into set_log (checkin_id, block, part, set, amount, kg) values ($1, $2, $3, $4, $5, $6)',
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
async function leaving(context: Context, coachId: string): Promise<void> {
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
	await savePlan(context, coachId, challenge.id, {
		revision,
		plan: {
			...plan,
			days: plan.days.map((day) => ({ ...day, session: day.session && (ids.get(day.session) ?? null) }))
		}
	});
	const out: number[] = [];
	for (let i = 0; i < 10; i++) out.push(await timed(() => bundleOf(context, coachId, challenge.id)));
	const text = bundleText(await bundleOf(context, coachId, challenge.id));
	const timing = await timingOf(context.db, coachId);
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
		const id = await takeInBundle(context, other.id, bundle, as);
		back = bundleText(await bundleOf(context, other.id, id));
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

/** The imagined groups of one click. */
function tryOut(): void {
	const { plan, sessions } = bigPlan();
	const trial = trialOf(layOut(plan, sessions), 45, 10);
	const times = timesOf(5, () => void simulate(trial, USUAL_ASSUMPTIONS, 'bench', 200));
	report(
		'a 12-week plan with 60 sessions lived by 200 groups of 25, median',
		median(times),
		'ms',
		1000,
		`${trial.days.length} sessions; in a worker, with progress`
	);
}

await compile();
linear();
search();
checkPlans();
tryOut();
const { context, coachId } = await world();
await roll(context, coachId);
await checkins(context, coachId);
await leaving(context, coachId);
await context.db.close();
