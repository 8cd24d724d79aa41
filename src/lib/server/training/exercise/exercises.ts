import { EXERCISE_LIMITS, STANDARD, type Exercise } from '$core/exercise';
import type { CoachId } from '../../platform/ids';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { idOf, notFound, Refusal } from '../../platform/errors';
import { validate } from '../../platform/validate';
import { bodyOf, exerciseSchema, type ExerciseInput } from '$contracts/exercise';
import { type Row, COLUMNS, exerciseOf } from '../../records/library';

async function ownById(db: Queries, coachId: CoachId, id: string): Promise<Exercise> {
	const [row] = await db.query<Row>(
		`select ${COLUMNS} from exercise where coach_id = $1 and id = $2 for update`,
		[coachId, idOf(id, 'exercise')]
	);
	if (!row) throw notFound('exercise');
	return exerciseOf(row);
}

/** No two of one coach, and none of the library, have one name. */
async function nameIsFree(db: Queries, coachId: CoachId, name: string, except: string | null): Promise<void> {
	const taken = await db.query(
		'select 1 from exercise where coach_id = $1 and lower(name) = lower($2) and id is distinct from $3',
		[coachId, name, except]
	);
	const ships = STANDARD.find(name);
	if (taken.length === 0 && !ships) return;
	throw new Refusal(409, `There is an exercise called “${ships?.name ?? name}” already.`, [
		{
			field: 'name',
			message: ships ? 'the library has it; choose a name of your own' : 'choose another name'
		}
	]);
}

/** @returns their ids, in the same order */
async function insert(
	tx: Queries,
	{ clock, ids }: Context,
	coachId: CoachId,
	inputs: readonly ExerciseInput[]
): Promise<string[]> {
	const rows = inputs.map(({ name, ...body }) => ({ id: ids.uuid(), name, body }));
	await tx.query(
		`insert into exercise (id, coach_id, name, body, created_at, changed_at)
		 select id, $2, name, body, $3, $3 from jsonb_to_recordset($1) as r(id uuid, name text, body jsonb)`,
		[JSON.stringify(rows), coachId, instant(clock.now())]
	);
	return rows.map(({ id }) => id);
}

async function roomFor(tx: Queries, coachId: CoachId, more: number): Promise<void> {
	const rows = await tx.query<{ n: number }>('select count(*)::int as n from exercise where coach_id = $1', [
		coachId
	]);
	if ((rows[0]?.n ?? 0) + more > EXERCISE_LIMITS.own)
		throw new Refusal(
			409,
			`A library has at most ${EXERCISE_LIMITS.own.toLocaleString('en')} exercises of its own.`
		);
}

/** Adds an exercise of the coach's own. @throws Refusal 400 with faults, 409 when the name is taken */
export async function createExercise(context: Context, coachId: CoachId, raw: unknown): Promise<string> {
	const input = bodyOf(validate(exerciseSchema, raw));
	return context.db.transaction(async (tx) => {
		await nameIsFree(tx, coachId, input.name, null);
		await roomFor(tx, coachId, 1);
		const [id] = await insert(tx, context, coachId, [input]);
		return id!;
	});
}

/** Adds many at once, or none. @throws Refusal 400, 409 */
export async function createExercises(
	context: Context,
	coachId: CoachId,
	inputs: ExerciseInput[]
): Promise<number> {
	await context.db.transaction(async (tx) => {
		await roomFor(tx, coachId, inputs.length);
		const [taken] = await tx.query<{ name: string }>(
			`select name from exercise where coach_id = $1
				and lower(name) = any(select lower(wanted) from unnest($2::text[]) wanted) limit 1`,
			[coachId, inputs.map(({ name }) => name)]
		);
		const ships = inputs.find(({ name }) => STANDARD.find(name));
		if (taken ?? ships) await nameIsFree(tx, coachId, (taken ?? ships)!.name, null);
		await insert(tx, context, coachId, inputs);
	});
	return inputs.length;
}

/**
 * Changes one of her own. A new name leaves the old one as a former name: sessions built, sent and logged under it
 * still find it. @throws Refusal 400, 404, 409
 */
export async function changeExercise(
	context: Context,
	coachId: CoachId,
	id: string,
	raw: unknown
): Promise<void> {
	const { name, ...body } = bodyOf(validate(exerciseSchema, raw));
	await context.db.transaction(async (tx) => {
		const before = await ownById(tx, coachId, id);
		await nameIsFree(tx, coachId, name, id);
		const formerly = before.name === name ? before.formerly : [...new Set([...before.formerly, before.name])];
		await tx.query(
			'update exercise set name = $3, formerly = $4, body = $5, changed_at = $6 where coach_id = $1 and id = $2',
			[
				coachId,
				id,
				name,
				formerly.filter((old) => old !== name),
				JSON.stringify(body),
				instant(context.clock.now())
			]
		);
	});
}

/** Takes one out of what is offered, or back in; sessions that have it keep it. @throws Refusal 404 */
export async function retireExercise(
	context: Context,
	coachId: CoachId,
	id: string,
	retired: boolean
): Promise<void> {
	await context.db.transaction(async (tx) => {
		await ownById(tx, coachId, id);
		await tx.query('update exercise set retired_at = $3 where coach_id = $1 and id = $2', [
			coachId,
			id,
			retired ? instant(context.clock.now()) : null
		]);
	});
}
