import type { Store } from '$lib/server/platform/row-files';
import { reportSteps } from '$lib/server/platform/starting';
import { readKit } from '$core/kit';
import type { Practice } from '$core/practice';
import { REST_DAY, type Plan, type PlannedDay } from '$core/plan';
import { addDays, dateIn, instantOf, weekdayOf, DAY_MS } from '$core/calendar';
import { parseSessionText, type Session } from '$core/session';
import type { App } from '$lib/server/edge/app';
import { createCoach } from '$lib/server/account/auth/coach';
import { type Coach } from '$lib/server/records/coach';
import { createChallenge } from '$lib/server/training/challenge/change';
import { challengeOf, type OwnedChallenge } from '$lib/server/records/challenge';
import { fixedClock } from '$lib/server/platform/clock';
import type { Context } from '$lib/server/platform/context';
import { seededIds, type CoachId } from '$lib/server/platform/ids';
import { createPersonCalendarLink } from '$lib/server/edge/exports/calendar/links';
import { asPerson, enrolmentOf, enrolmentsOf } from '$lib/server/records/enrolments';
import { enrol } from '$lib/server/people/enrol';
import { addOverride } from '$lib/server/changes/overrides';
import { setHour } from '$lib/server/people/hour';
import { excuse, pause } from '$lib/server/done/attendance/excuses';
import { recordClearance } from '$lib/server/people/health/clearances';
import { addNote } from '$lib/server/people/notes';
import { finishIntake } from '$lib/server/people/intake';
import { answersOf, HEALTH } from './intakes.data';
import { postAnnouncement } from '$lib/server/training/challenge/announcements';
import { openPlan, savePlan } from '$lib/server/training/plan/plan';
import { createExercise } from '$lib/server/training/exercise/exercises';
import { practiceOf } from '$lib/server/records/practice';
import { createSession, saveSession, type Saved } from '$lib/server/training/session/sessions';
import { putOnShelf, takeFromShelf } from '$lib/server/done/shelf/shelf';
import { LINKED, mailOf, PEOPLE, type DemoPerson } from './people.data';
import { liveUntil } from './live';
import { writeBodies } from './body';
import { writeAsks } from './asks';
import { writePosts } from './post';
import { writeReaches } from './reach';
import { inviteHelpers, makeHelpers, noteDeed, writeTeams } from './company';
import { AUDIENCE, BENCHMARKS, progressionOf } from './plan.data';
import {
	OWN_EXERCISES,
	RIDGE_LOAD_SECOND,
	SESSIONS,
	TAGS,
	TEST_DAYS,
	WEEK,
	WORKSHOP,
	type DemoSession
} from './sessions.data';

/** How to get into the demo; printed by `npm run demo`. */
export const DEMO_COACH = { email: 'runa@hutseason.example', password: 'carry the first load' } as const;

const COACH_ZONE = 'Europe/Oslo';

const bodyOf = (lines: readonly string[], practice: Practice): Session => {
	const { session, faults } = parseSessionText(lines.join('\n'), practice);
	if (faults[0]) throw new Error(`demo session: line ${faults[0].line}: ${faults[0].message}`);
	return session;
};

type Sessions = Record<DemoSession | keyof typeof WORKSHOP, Saved>;

async function writeSessions(context: Context, coach: Coach): Promise<Sessions> {
	const saved: Record<string, Saved> = {};
	const standard = await practiceOf(context.db, coach.id);
	for (const name of Object.keys(SESSIONS) as DemoSession[])
		saved[name] = await createSession(context, coach.id, {
			name,
			body: bodyOf(SESSIONS[name], standard),
			tags: TAGS[name]
		});
	for (const exercise of OWN_EXERCISES) await createExercise(context, coach.id, exercise);
	const practice = await practiceOf(context.db, coach.id);
	for (const [name, lines] of Object.entries(WORKSHOP))
		saved[name] = await createSession(context, coach.id, {
			name,
			body: bodyOf(lines, practice),
			tags: TAGS[name]
		});
	return saved as Sessions;
}

/** Lays the usual week over the first weeks of a challenge, with its tests, and with what makes it harder. */
async function layWeeks(
	context: Context,
	challenge: OwnedChallenge,
	sessions: Sessions,
	weeks: number,
	rules: (ids: Record<DemoSession, string>) => Pick<Plan, 'rules' | 'deload'> = () => ({
		rules: [],
		deload: null
	})
): Promise<void> {
	const { plan, revision } = await openPlan(context, challenge);
	const ids = Object.fromEntries(
		Object.entries(sessions).map(([name, { id }]): [string, string] => [name, id])
	) as Record<DemoSession, string>;
	const tests = BENCHMARKS.map(({ id }) => id);
	const days = plan.days.map((day, i): PlannedDay => {
		if (i >= weeks * 7) return day;
		if (TEST_DAYS.includes(i + 1)) return { kind: 'test', session: ids['Carry test'], effort: null, tests };
		const planned = WEEK[i % 7];
		return planned
			? {
					kind: planned.kind,
					session: ids[planned.session],
					...(planned.evening && { evening: ids[planned.evening] }),
					effort: null,
					tests: []
				}
			: REST_DAY;
	});
	await savePlan(context, challenge, {
		revision,
		plan: { days, tests: BENCHMARKS, audience: AUDIENCE, ...rules(ids) }
	});
}

const kitOf = ({ equipment }: DemoPerson) => {
	const { kit, unread } = readKit(equipment);
	return { kit, unread };
};

const rowOf = (person: DemoPerson) => ({
	name: person.name,
	email: mailOf(person.name),
	zone: person.zone,
	level: person.level,
	...kitOf(person)
});

interface Frame {
	name: string;
	goal: string;
	startsOn: string;
	weeks: number;
	afterClose: 'store' | 'refuse';
	waitsForAnswers: boolean;
}

async function makeChallenge(context: Context, coach: Coach, frame: Frame): Promise<OwnedChallenge> {
	const id = await createChallenge(context, coach.id, {
		...frame,
		trainingDays: [1, 2, 3, 5, 6],
		budgetMinutes: 30,
		ownZones: true,
		opensAt: '05:30',
		lateHours: 36,
		lateWorth: 75,
		partial: 'share',
		lateJoiners: 'group',
		asksWeekly: false,
		questions: ['energy', 'mood', 'sleep', 'soreness', 'win', 'note'],
		catchUpDays: 3,
		waitsForAnswers: frame.waitsForAnswers
	});
	return challengeOf(context.db, coach.id, id, 'owner');
}

async function enrolAll(
	context: Context,
	challenge: OwnedChallenge,
	people: DemoPerson[],
	now: number
): Promise<Map<string, string>> {
	const links = new Map<string, string>();
	const start = instantOf(challenge.startsOn, 0, COACH_ZONE);
	for (const group of [people.filter((p) => !p.joinsOnDay), people.filter((p) => p.joinsOnDay)]) {
		const [first] = group;
		if (!first) continue;
		const at = first.joinsOnDay ? start + (first.joinsOnDay - 1) * DAY_MS + DAY_MS / 2 : start - 5 * DAY_MS;
		const made = await enrol(
			{ ...context, clock: fixedClock(Math.min(at, now)) },
			challenge,
			group.map(rowOf),
			challenge.coachId
		);
		for (const link of made) links.set(link.name, link.secret);
	}
	return links;
}

async function writeExcuses(context: Context, challenge: OwnedChallenge, by: CoachId): Promise<void> {
	const rows = await enrolmentsOf(context.db, challenge.id);
	for (const person of PEOPLE) {
		const row = rows.find((r) => r.name === person.name);
		if (!person.excused || !row) continue;
		const at = instantOf(addDays(challenge.startsOn, person.excused.onDay - 1), 9 * 60, person.zone);
		const own = await enrolmentOf(context.db, challenge, row.id);
		await excuse({ ...context, clock: fixedClock(at) }, own, person.excused);
		await noteDeed(context, challenge, by, { work: '/roll?excuse', at, enrolmentId: row.id });
	}
}

/** What is different for some, written down on the days on which the coach saw the need. */
async function writeDifferences(context: Context, challenge: OwnedChallenge, by: CoachId): Promise<void> {
	const rows = await enrolmentsOf(context.db, challenge.id);
	for (const { name, zone, differs = [] } of PEOPLE) {
		const row = rows.find((each) => each.name === name);
		if (!row) continue;
		const own = await enrolmentOf(context.db, challenge, row.id);
		for (const { onDay, exercise, instead, why } of differs) {
			const at = instantOf(addDays(challenge.startsOn, onDay - 1), 9 * 60, zone);
			await addOverride(
				{ ...context, clock: fixedClock(at) },
				own,
				{ kind: 'coach', id: by },
				{
					target: { kind: 'exercise', exercise },
					change: { kind: 'replace', exercise: instead },
					fromDay: onDay + 1,
					toDay: null,
					why
				}
			);
			await noteDeed(context, challenge, by, {
				work: '/people/[person]?differ',
				at,
				enrolmentId: row.id
			});
		}
	}
}

/** What people answered before the start and later, who cleared whom, and who pauses: on the days on which it was. */
async function writeAnswers(context: Context, challenge: OwnedChallenge, now: number): Promise<void> {
	const at = (day: number, hour: number, zone: string) =>
		instantOf(addDays(challenge.startsOn, day - 1), hour * 60, zone);
	for (const row of await enrolmentsOf(context.db, challenge.id)) {
		const person = PEOPLE.find(({ name }) => name === row.name);
		if (!person) continue;
		const { first, later = [], cleared, paused, note } = HEALTH[person.name] ?? { first: {} };
		const answer = async (day: number, said: typeof first) => {
			const clock = fixedClock(Math.min(at(day, 20, person.zone), now));
			const sections = answersOf(person, said);
			await finishIntake(
				{ ...context, clock },
				row.participantId,
				'participant',
				sections,
				context.ids.uuid()
			);
		};
		await answer(person.joinsOnDay ? person.joinsOnDay - 1 : -2, first);
		for (const { onDay, ...said } of later) if (at(onDay, 20, person.zone) <= now) await answer(onDay, said);
		const own = await enrolmentOf(context.db, challenge, row.id);
		const done = (action: string, when: number) =>
			noteDeed(context, challenge, challenge.coachId, {
				work: `/people/[person]?${action}`,
				at: when,
				enrolmentId: row.id
			});
		if (cleared) {
			const clock = fixedClock(at(cleared.onDay, 12, person.zone));
			const until =
				cleared.days === null ? '' : addDays(challenge.startsOn, cleared.onDay - 1 + cleared.days);
			await recordClearance({ ...context, clock }, own, { who: cleared.who, note: cleared.note, until });
			await done('clear', clock.now());
		}
		if (note && at(note.onDay, 21, COACH_ZONE) <= now) {
			const clock = fixedClock(at(note.onDay, 21, COACH_ZONE));
			await addNote({ ...context, clock }, own, { body: note.text });
			await done('addNote', clock.now());
		}
		if (paused && at(paused.onDay, 9, person.zone) <= now)
			await pause({ ...context, clock: fixedClock(at(paused.onDay, 9, person.zone)) }, own, {
				fromDay: paused.fromDay,
				toDay: paused.toDay,
				reason: paused.reason
			});
	}
}

/** Every third of the people has put the days into a calendar, at the hour at which they train. */
async function writeCalendars(context: Context, challenge: OwnedChallenge): Promise<void> {
	const people = await enrolmentsOf(context.db, challenge.id);
	for (const person of people.filter((_, i) => i % 3 === 0)) {
		const hour = PEOPLE.find(({ name }) => name === person.name)?.hour ?? 7;
		await setHour(context, person.id, { hour: `${String(Math.floor(hour)).padStart(2, '0')}:00` });
		await createPersonCalendarLink(context, person.id);
	}
}

const HALFWAY =
	'Halfway. The load that felt heavy in week 1 is your warm-up now. Monday is test day: sleep well before it, and carry what you carried the first time.';

/** What lies on the shelf, and who took some of it: days ago, by name. */
const TAKEN: { name: string; ago: number; credit: number; effort: number; note: string | null }[] = [
	{ name: 'Oren Falkestad', ago: 5, credit: 1, effort: 2, note: null },
	{ name: 'Tamsin Reeve-Adu', ago: 3, credit: 0.5, effort: 3, note: 'Only until the bus came.' },
	{ name: 'Oren Falkestad', ago: 0.4, credit: 1, effort: 2, note: 'Between two calls.' }
];

async function writeShelf(
	context: Context,
	challenge: OwnedChallenge,
	sessions: Sessions,
	now: number
): Promise<void> {
	await putOnShelf(context, challenge, { sessionId: sessions['Long stretch'].id, counts: false });
	await putOnShelf(context, challenge, { sessionId: sessions['Desk breaks'].id, counts: true });
	const people = await enrolmentsOf(context.db, challenge.id);
	for (const { name, ago, ...taken } of TAKEN) {
		const person = people.find((one) => one.name === name);
		if (!person) continue;
		await takeFromShelf({ ...context, clock: fixedClock(now - ago * DAY_MS) }, asPerson(person), {
			id: context.ids.uuid(),
			sessionId: sessions['Desk breaks'].id,
			...taken
		});
	}
}

/** The six-week challenge, in its fourth week whatever day it is; begins on a Monday. */
async function writeRunning(
	context: Context,
	coach: Coach,
	helpers: readonly Coach[],
	sessions: Sessions,
	monday: string,
	now: number
): Promise<{ links: Map<string, string>; challenge: OwnedChallenge }> {
	const startsOn = addDays(monday, -21);
	const challenge = await makeChallenge(context, coach, {
		name: 'Hut Season, six weeks',
		goal: 'Carry 20 kg up 400 m without a stop',
		startsOn,
		weeks: 6,
		afterClose: 'store',
		waitsForAnswers: true
	});
	await layWeeks(context, challenge, sessions, 6, progressionOf);
	const links = await enrolAll(context, challenge, PEOPLE, now);
	await inviteHelpers(context, challenge, coach.id, helpers);
	const helper = helpers[0]?.id ?? coach.id;
	// Before week 3 the coach made one session harder: the days after it go over to version 2.
	const sunday = instantOf(addDays(startsOn, 11), 20 * 60, COACH_ZONE);
	await saveSession({ ...context, clock: fixedClock(sunday) }, coach.id, sessions['Ridge load'].id, {
		name: 'Ridge load',
		body: bodyOf(RIDGE_LOAD_SECOND, await practiceOf(context.db, coach.id)),
		tags: TAGS['Ridge load'],
		basedOn: 1
	});
	await writeAnswers(context, challenge, now);
	await writeExcuses(context, challenge, helper);
	await writeDifferences(context, challenge, coach.id);
	await writeTeams(context, challenge, instantOf(addDays(startsOn, 1), 600, COACH_ZONE));
	await writeShelf(context, challenge, sessions, now);
	await writeCalendars(context, challenge);
	const halfway = fixedClock(instantOf(addDays(startsOn, 19), 8 * 60, COACH_ZONE));
	if (halfway.now() <= now) {
		await postAnnouncement({ ...context, clock: halfway }, challenge, { text: HALFWAY });
		await noteDeed(context, challenge, coach.id, { work: '/post/group?announce', at: halfway.now() });
	}
	return { links, challenge };
}

async function writeFinished(
	context: Context,
	coach: Coach,
	sessions: Sessions,
	monday: string,
	now: number
): Promise<void> {
	const challenge = await makeChallenge(context, coach, {
		name: 'First Load, four weeks',
		goal: 'Carry 12 kg up 200 m without a stop',
		startsOn: addDays(monday, -63),
		weeks: 4,
		afterClose: 'refuse',
		waitsForAnswers: false
	});
	await layWeeks(context, challenge, sessions, 4);
	const people = PEOPLE.slice(0, 18).map(({ name, zone, level, equipment, does, part, late, hour }) => ({
		name,
		zone,
		level,
		equipment,
		does: does * 0.95,
		part,
		late,
		hour
	}));
	await enrolAll(context, challenge, people, now);
}

async function writePlanned(
	context: Context,
	coach: Coach,
	sessions: Sessions,
	monday: string,
	now: number
): Promise<void> {
	const challenge = await makeChallenge(context, coach, {
		name: 'Spring Ridge, eight weeks',
		goal: 'Carry 15 kg for 10 km on a marked path',
		startsOn: addDays(monday, 35),
		weeks: 8,
		afterClose: 'store',
		waitsForAnswers: true
	});
	await layWeeks(context, challenge, sessions, 1);
	await enrolAll(context, challenge, PEOPLE.slice(0, 6), now);
}

/** What `npm run demo` prints once the demo stands. */
export interface DemoStamp {
	/** Link secrets by name. */
	links: Record<string, string>;
}

/** Everything the demo holds, written through the same use cases as real data. */
export async function writeDemo(
	app: Pick<App, 'db' | 'clock' | 'threads'> & { config: Store }
): Promise<DemoStamp> {
	const now = app.clock.now();
	const today = dateIn(COACH_ZONE, now);
	const monday = addDays(today, 1 - weekdayOf(today));
	const context: Context = {
		db: app.db,
		ids: seededIds(today),
		clock: fixedClock(instantOf(addDays(monday, -70), 600, COACH_ZONE))
	};
	const coach = await createCoach(context, { ...DEMO_COACH, name: 'Runa Hallgren', zone: COACH_ZONE });
	const makingHelpers = makeHelpers(context, DEMO_COACH.password);
	const report = reportSteps('Writing the demo data', 6);
	report();
	const sessions = await writeSessions(context, coach);
	report();
	await writeFinished(context, coach, sessions, monday, now);
	report();
	const helpers = await makingHelpers;
	const { links, challenge } = await writeRunning(context, coach, helpers, sessions, monday, now);
	report();
	await writePlanned(context, coach, sessions, monday, now);
	report();
	await liveUntil({ ...context, clock: app.clock }, 0, now);
	report();
	await writeBodies({ ...context, config: app.config, threads: app.threads }, challenge, coach, now);
	await writeReaches(context, challenge, { coach: coach.id, helper: helpers[0]?.id ?? coach.id }, now);
	await writePosts(context, challenge, coach, now);
	await writeAsks(context, challenge, coach, now);
	return { links: Object.fromEntries(LINKED.map((name) => [name, links.get(name) ?? ''])) };
}
