import { STANDARD, type Library } from '$core/exercise';
import type { PlannedDay, Rule } from '$core/plan';
import { instantOf, dateOfDay } from '$core/calendar';
import { createChallenge } from '../../../training/challenge/change';
import { challengeOf } from '../../../records/challenge';
import { withTransaction, type Context } from '../../../platform/context';
import { instant } from '../../../platform/db/database';
import { freeName } from '../../../platform/free-name';
import { putOnShelf } from '../../../done/shelf/shelf';
import { createExercise } from '../../../training/exercise/exercises';
import { libraryFor, ownExercises } from '../../../records/library';
import type { ChallengeId, CoachId, SessionId } from '../../../platform/ids';
import { inputOfExercise, type ExerciseInput } from '$contracts/exercise';
import { openPlan, savePlan } from '../../../training/plan/plan';
import {
	saveSession,
	sessionsOf,
	importSession,
	type SessionVersion
} from '../../../training/session/sessions';
import { alike, withNames, type Bundle, type BundleSession } from './bundle';

/** What taking a bundle in makes, and what is there already. */
export interface ImportPlan {
	/** By the name in the file: the name that it gets here. */
	exercises: Map<string, { name: string; is: 'new' | 'there' | 'renamed' }>;
	/** By key. */
	sessions: Map<string, { name: string; is: 'new' | 'there' | 'renamed'; id: SessionId | null }>;
}

const bare = ({ name: _name, ...body }: ExerciseInput): Omit<ExerciseInput, 'name'> => body;

async function exercisePlan(
	{ db }: Context,
	coachId: CoachId,
	bundle: Bundle
): Promise<ImportPlan['exercises']> {
	const own = new Map(
		(await ownExercises(db, coachId)).map((exercise) => [exercise.name.toLowerCase(), exercise])
	);
	const given = new Set<string>();
	const plan: ImportPlan['exercises'] = new Map();
	for (const input of bundle.exercises) {
		const there = own.get(input.name.toLowerCase());
		if (there) {
			if (alike(bare(inputOfExercise(there)), bare(input))) {
				plan.set(input.name, { name: there.name, is: 'there' });
				continue;
			}
		}
		const taken = (name: string) =>
			own.has(name.toLowerCase()) || given.has(name.toLowerCase()) || STANDARD.find(name) !== null;
		const name = freeName(input.name, taken);
		given.add(name.toLowerCase());
		plan.set(input.name, { name, is: name === input.name ? 'new' : 'renamed' });
	}
	return plan;
}

/** What an exercise of the file is called here. */
const nameHere =
	(names: ImportPlan['exercises']) =>
	(name: string): string =>
		names.get(name)?.name ?? name;

/** A session that says the very same is used as it is; one of the same name that says another thing is left alone. */
function sessionPlan(
	{ key, name, versions }: BundleSession,
	names: ImportPlan['exercises'],
	there: ReadonlyMap<string, SessionVersion>,
	library: Library,
	given: Set<string>
): [string, { name: string; is: 'new' | 'there' | 'renamed'; id: SessionId | null }] {
	const known = there.get(name);
	const [only] = versions;
	if (
		known &&
		versions.length === 1 &&
		only &&
		alike(
			withNames(known.body, (other) => library.find(other)?.name ?? other),
			withNames(only, nameHere(names))
		)
	)
		return [key, { name, is: 'there', id: known.id }];
	const here = freeName(name, (other) => there.has(other) || given.has(other));
	given.add(here);
	return [key, { name: here, is: here === name ? 'new' : 'renamed', id: null }];
}

/** What taking in would make, before anything is written. */
export async function planImport(context: Context, coachId: CoachId, bundle: Bundle): Promise<ImportPlan> {
	const exercises = await exercisePlan(context, coachId, bundle);
	const there = new Map((await sessionsOf(context.db, coachId)).map((session) => [session.name, session]));
	const library = await libraryFor(context.db, coachId);
	const given = new Set<string>();
	return {
		exercises,
		sessions: new Map(
			bundle.sessions.map((session) => sessionPlan(session, exercises, there, library, given))
		)
	};
}

/** Writes a session with all its versions, the oldest first. @returns its id */
async function writeSession(
	context: Context,
	coachId: CoachId,
	name: string,
	{ tags, versions }: BundleSession,
	names: ImportPlan['exercises']
): Promise<SessionId> {
	const [first, ...later] = versions.map((body) => withNames(body, nameHere(names)));
	const { id } = await importSession(context, coachId, { name, body: first, tags });
	for (const [i, body] of later.entries())
		await saveSession(context, coachId, id, { name, body, tags, basedOn: i + 1 });
	return id;
}

/**
 * Makes a challenge of a bundle: all of it or nothing. Sessions and exercises that are here already and say the same are
 * used; what is here under the same name and says another thing stays, and the file’s gets a number behind its name.
 *
 * @param bundle as `readBundle` found it sound
 * @param as what it is called here, and when it starts
 * @returns the id of the challenge
 * @throws Refusal 400, 409
 */
export function importBundle(
	context: Context,
	coachId: CoachId,
	bundle: Bundle,
	as: { name: string; startsOn: string }
): Promise<ChallengeId> {
	return context.db.transaction(async (tx) => {
		const inside = withTransaction(context, tx);
		const taking = await planImport(inside, coachId, bundle);
		const nameOf = nameHere(taking.exercises);
		for (const input of bundle.exercises) {
			const plan = taking.exercises.get(input.name);
			if (!plan || plan.is === 'there') continue;
			const here = (name: string | null) => name && nameOf(name);
			await createExercise(inside, coachId, {
				...input,
				name: plan.name,
				easier: here(input.easier),
				harder: here(input.harder),
				looksLike: here(input.looksLike)
			});
		}
		const ids = new Map<string, SessionId>();
		for (const session of bundle.sessions) {
			const plan = taking.sessions.get(session.key);
			if (!plan) continue;
			ids.set(
				session.key,
				plan.id ?? (await writeSession(inside, coachId, plan.name, session, taking.exercises))
			);
		}

		const { frame, plan } = bundle;
		const id = await createChallenge(inside, coachId, {
			...frame,
			name: as.name,
			goal: bundle.goal,
			startsOn: as.startsOn,
			weeks: Math.ceil(plan.days.length / 7),
			ownZones: frame.releaseZone === null,
			releaseZone: frame.releaseZone ?? ''
		});
		const challenge = await challengeOf(tx, coachId, id, 'owner');
		const keyHere = (reference: string): string => {
			const [key = '', number] = reference.split('@');
			const session = ids.get(key) ?? '';
			return number === undefined ? session : `${session}@${number}`;
		};
		const { revision } = await openPlan(inside, challenge);
		await savePlan(inside, challenge, {
			revision,
			plan: {
				...plan,
				days: plan.days.map((day): PlannedDay => ({
					...day,
					session: day.session === null ? null : keyHere(day.session),
					...(day.evening !== undefined && { evening: keyHere(day.evening) })
				})),
				rules: plan.rules.map((rule): Rule => {
					const { on } = rule;
					if ('session' in on) return { ...rule, on: { ...on, session: keyHere(on.session) } };
					return { ...rule, on: { exercise: nameOf(on.exercise) } };
				}),
				tests: plan.tests.map((test) => ({
					...test,
					exercise: nameOf(test.exercise)
				}))
			}
		});
		for (const { session, counts } of bundle.shelf ?? [])
			await putOnShelf(inside, challenge, { sessionId: ids.get(session), counts });
		for (const { day, text } of bundle.messages)
			await tx.query(
				'insert into announcement (id, challenge_id, text, at, once, day) values ($1, $2, $3, $4, false, $5)',
				[
					inside.ids.uuid(),
					id,
					text,
					instant(instantOf(dateOfDay(day, challenge.startsOn), challenge.opensAt, challenge.coachZone)),
					day
				]
			);
		return id;
	});
}
