/** Three hundred people, and sixty sessions of twenty exercises. */
import { fitDays, fitRow, personalSession, type FitCase } from '$core/day';
import type { FitProfile } from '$core/fit';
import { CONDITIONS, limitsOf, readKit } from '$core/kit';
import { LEVELS } from '$core/people';
import { newSets, type Part, type Session } from '$core/session';
import { seededRandom } from '$core/stats';
import { median, report, timesOf } from './measure';
import { PRACTICE } from '../support/practice';

const KITS = [
	'mat; chair',
	'light band; mat',
	'medium band; mat',
	'pair of dumbbells 4 kg; mat',
	'pair of dumbbells 8 kg; mat',
	'pair of dumbbells 12 kg; step',
	'pair of dumbbells 12 kg; dumbbell 16 kg; bench',
	'2 x adjustable dumbbell 2-24 kg, steps of 2 kg; bench',
	'kettlebell 12 kg; mat',
	'pull-up bar; heavy band',
	'backpack 10 kg',
	'none'
].map((text) => readKit(text).kit);

const PEOPLE = 300;
const SESSIONS = 60;

function cohort(
	people = PEOPLE,
	days = SESSIONS
): { profile: FitProfile[]; places: number[]; sessions: Map<string, Session> } {
	const draw = seededRandom('fit');
	const pick = <T>(all: readonly T[]): T => all[Math.floor(draw() * all.length)] as T;
	const names = PRACTICE.library.all.filter(({ pattern }) => pattern !== 'stretch').map(({ name }) => name);
	const part = (exercise: string): Part => ({
		exercise,
		target: { kind: 'reps', reps: 10 },
		perSide: false,
		tempo: null,
		kg: null
	});
	const sessions = new Map(
		Array.from({ length: days }, (_, i): [string, Session] => [
			`s${i}`,
			{ blocks: Array.from({ length: 20 }, () => newSets(part(pick(names)), 3, 'main')) }
		])
	);
	const everyone = Array.from({ length: people }, (): FitProfile => ({
		level: pick(LEVELS),
		planFor: 'some experience',
		kit: pick(KITS),
		limits: draw() < 0.3 ? limitsOf(pick(CONDITIONS)) : []
	}));
	const at = new Map<string, number>();
	const profile: FitProfile[] = [];
	const places = everyone.map((one) => {
		const key = JSON.stringify(one);
		const place = at.get(key) ?? profile.push(one) - 1;
		at.set(key, place);
		return place;
	});
	return { profile, places, sessions };
}

export function fits(): void {
	const [ms = Infinity] = timesOf(
		1,
		() => {
			const { profile, places, sessions } = cohort();
			const cases = [...sessions.keys()].flatMap((session, i) =>
				places.map((place): FitCase => ({ session, day: i + 1, profile: place, overrides: [] }))
			);
			fitDays(sessions, profile, cases, PRACTICE);
		},
		0
	);
	const { profile, places, sessions } = cohort();
	report(
		'fit of 300 people × 20 exercises × 60 sessions, everything anew',
		ms,
		'ms',
		2000,
		`${profile.length} kinds of people; in a thread beside the requests`
	);
	const [audit = Infinity] = timesOf(
		1,
		() => {
			const many = cohort(1000, 14);
			const cases = [...many.sessions.keys()].flatMap((session, i) =>
				many.places.map((place): FitCase => ({ session, day: i + 1, profile: place, overrides: [] }))
			);
			const found = fitDays(many.sessions, many.profile, cases, PRACTICE);
			if (found.some((one) => one.audit.length > 0))
				throw new Error('an audit of fitted sessions finds nothing');
		},
		0
	);
	report(
		'audit of 1,000 people × 14 days, with the fit',
		audit,
		'ms',
		5000,
		'in a thread beside the requests'
	);
	const planned = sessions.get('s0');
	if (!planned) return;
	const times = timesOf(5, () => {
		const { profile: fresh } = cohort();
		for (const place of places) {
			const whom = fresh[place];
			if (!whom) continue;
			const own = personalSession(planned, 1, { profile: whom, overrides: [] }, PRACTICE);
			fitRow(planned, own, whom.level, PRACTICE);
		}
	});
	report(
		'matrix of 300 people × 20 exercises, worked out, median',
		median(times),
		'ms',
		300,
		'for each anew'
	);
}
