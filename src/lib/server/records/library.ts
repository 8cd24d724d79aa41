/** The library of a coach: what ships and what is her own. */
import { libraryOf, type Exercise, type Library } from '$core/exercise';
import type { CoachId } from '../platform/ids';
import { type Queries } from '../platform/db/database';
import { exerciseOfInput, type ExerciseInput } from '$contracts/exercise';

export interface Row {
	id: string;
	name: string;
	formerly: string[];
	body: Omit<ExerciseInput, 'name'>;
	retired: boolean;
}

export const COLUMNS = `id, name, formerly, body, retired_at is not null as retired`;
export const exerciseOf = ({ id, name, formerly, body, retired }: Row): Exercise =>
	exerciseOfInput({ ...body, name }, { ownId: id, formerly, retired });

/** A coach's own exercises, the retired too, by name. */
export async function ownExercises(db: Queries, coachId: CoachId): Promise<Exercise[]> {
	const rows = await db.query<Row>(`select ${COLUMNS} from exercise where coach_id = $1 order by name`, [
		coachId
	]);
	return rows.map(exerciseOf);
}

/** What ships and her own, as one. */
export async function libraryFor(db: Queries, coachId: CoachId): Promise<Library> {
	return libraryOf(await ownExercises(db, coachId));
}
