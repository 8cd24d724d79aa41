import { libraryOf, type Exercise } from '$core/exercise';
import type { PlannedDay, Rule, RuleTarget } from '$core/plan';
import type { Session } from '$core/session';
import { timeOfDay } from '$lib/format';
import type { Challenge, OwnedChallenge } from '../../../records/challenge';
import { BUNDLE_KIND, BUNDLE_VERSION, type BundleFrame } from '$contracts/bundle';
import type { ChallengeId, CoachId, SessionId } from '../../../platform/ids';
import type { Context } from '../../../platform/context';
import type { Queries } from '../../../platform/db/database';
import { ownExercises } from '../../../records/library';
import { inputOfExercise, type ExerciseInput } from '$contracts/exercise';
import { messagesOf } from '../../../training/challenge/announcements';
import { shelfOf } from '../../../training/shelf/items';
import { planRules } from '../../../changes/prescribed';
import { byLetters, withNames, type Bundle, type BundleSession } from './bundle';

const frameOf = (challenge: Challenge): BundleFrame => ({
	startsOn: challenge.startsOn,
	trainingDays: challenge.trainingDays,
	budgetMinutes: challenge.budgetMinutes,
	releaseZone: challenge.releaseZone,
	opensAt: timeOfDay(challenge.opensAt),
	lateHours: challenge.lateHours,
	lateWorth: Math.round(challenge.lateWorth * 10_000) / 100,
	partial: challenge.partial,
	afterClose: challenge.afterClose,
	lateJoiners: challenge.lateJoiners,
	...(challenge.catchUpDays > 0 && { catchUpDays: challenge.catchUpDays }),
	waitsForAnswers: challenge.waitsForAnswers,
	asksWeekly: challenge.asksWeekly,
	questions: challenge.questions
});

interface Version {
	sessionId: SessionId;
	version: number;
	name: string;
	tags: string[];
	body: Session;
}

/** The versions that days have, and the newest of sessions that rules alone speak of or that lie on the shelf. */
async function versionsUsed(
	db: Queries,
	coachId: CoachId,
	challengeId: ChallengeId,
	byRules: string[]
): Promise<Version[]> {
	const rows = await db.query<Version>(
		`select s.id as "sessionId", v.version, s.name, s.tags, v.body
		 from session s join session_version v on v.session_id = s.id
		 where s.coach_id = $1 and (
			v.id in (select base_id from plan_day where challenge_id = $2 union select evening_id from plan_day where challenge_id = $2)
			or (s.id::text = any($3::text[])
				and v.version = (select max(version) from session_version x where x.session_id = s.id)
				and not exists (select 1 from plan_day p join session_version y on y.id in (p.base_id, p.evening_id)
					where p.challenge_id = $2 and y.session_id = s.id)))`,
		[coachId, challengeId, byRules]
	);
	return rows.sort((a, b) => byLetters(a.name, b.name) || a.version - b.version);
}

/** Her own exercises among some, with those that they name as easier, harder or alike, by name. */
function exercisesUsed(names: Iterable<string>, own: readonly Exercise[]): ExerciseInput[] {
	const library = libraryOf([...own]);
	const found = new Map<string, Exercise>();
	const queue = [...names];
	for (let name = queue.pop(); name !== undefined; name = queue.pop()) {
		const exercise = library.find(name);
		if (!exercise?.ownId || found.has(exercise.name)) continue;
		found.set(exercise.name, exercise);
		queue.push(...[exercise.easier, exercise.harder, exercise.looksLike].flatMap((other) => other ?? []));
	}
	return [...found.values()].sort((a, b) => byLetters(a.name, b.name)).map(inputOfExercise);
}

/**
 * A challenge as it can be used again: no people, nothing that they sent in, no cancelled days.
 */
export async function exportBundle({ db }: Context, challenge: OwnedChallenge): Promise<Bundle> {
	const { id: challengeId, coachId } = challenge;
	const { rules } = await planRules(db, challengeId);
	const own = await ownExercises(db, coachId);
	const library = libraryOf(own);
	const nameOf = (name: string): string => library.find(name)?.name ?? name;
	const spoken = rules.rules.flatMap(({ on }) => ('session' in on ? on.session : []));
	const shelf = await shelfOf(db, challengeId);
	const alone = [...spoken, ...shelf.map(({ sessionId }) => sessionId)];
	const versions = await versionsUsed(db, coachId, challengeId, alone);
	const days = await db.query<
		Omit<PlannedDay, 'session' | 'evening'> & {
			sessionId: string | null;
			version: number | null;
			eveningId: string | null;
			eveningVersion: number | null;
		}
	>(
		`select p.kind, p.effort, p.tests, b.session_id as "sessionId", b.version,
			e.session_id as "eveningId", e.version as "eveningVersion"
		 from plan_day p left join session_version b on b.id = p.base_id left join session_version e on e.id = p.evening_id
		 where p.challenge_id = $1 order by p.day`,
		[challengeId]
	);

	const sessions = new Map<string, BundleSession & { numbers: number[] }>();
	for (const { sessionId, version, name, tags, body } of versions) {
		const known = sessions.get(sessionId) ?? {
			key: `s${sessions.size + 1}`,
			name,
			tags,
			versions: [],
			numbers: []
		};
		known.versions.push(withNames(body, nameOf));
		known.numbers.push(version);
		sessions.set(sessionId, known);
	}
	const keyOf = (sessionId: string | null, version: number | null): string | null => {
		const session = sessionId === null ? undefined : sessions.get(sessionId);
		if (!session || version === null) return null;
		const at = session.numbers.indexOf(version) + 1;
		return at === session.numbers.length ? session.key : `${session.key}@${at}`;
	};
	const target = (on: RuleTarget): RuleTarget | null => {
		if ('exercise' in on) return { exercise: nameOf(on.exercise) };
		const session = sessions.get(on.session);
		return session ? { ...on, session: session.key } : null;
	};
	const names = [
		...[...sessions.values()].flatMap(({ versions: bodies }) =>
			bodies.flatMap(({ blocks }) => blocks.flatMap(({ parts }) => parts.map(({ exercise }) => exercise)))
		),
		...rules.tests.map(({ exercise }) => exercise),
		...rules.rules.flatMap(({ on }) => ('exercise' in on ? on.exercise : []))
	];
	return {
		kind: BUNDLE_KIND,
		version: BUNDLE_VERSION,
		name: challenge.name,
		goal: challenge.goal,
		frame: frameOf(challenge),
		exercises: exercisesUsed(names, own),
		sessions: [...sessions.values()].map(({ numbers: _numbers, ...session }) => session),
		plan: {
			days: days.map(({ sessionId, version, eveningId, eveningVersion, ...day }) => {
				const evening = keyOf(eveningId, eveningVersion);
				return { ...day, session: keyOf(sessionId, version), ...(evening && { evening }) };
			}),
			// A rule about a session that is not there any more changes nothing, and stays behind.
			rules: rules.rules.flatMap((rule): Rule[] => {
				const on = target(rule.on);
				return on ? [{ ...rule, on }] : [];
			}),
			deload: rules.deload,
			tests: rules.tests.map((test) => ({
				...test,
				exercise: nameOf(test.exercise)
			})),
			audience: rules.audience
		},
		...(shelf.length > 0 && {
			shelf: shelf.flatMap(({ sessionId, counts }) => {
				const session = sessions.get(sessionId);
				return session ? [{ session: session.key, counts }] : [];
			})
		}),
		messages: (await messagesOf(db, challenge)).sort((a, b) => a.day - b.day || byLetters(a.text, b.text))
	};
}
