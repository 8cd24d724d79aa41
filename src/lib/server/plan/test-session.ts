import { object } from 'yup';
import { testSession, type Benchmark } from '$core/plan';
import type { Context } from '../context';
import { Refusal } from '../errors';
import { libraryFor } from '../library/exercises';
import { takeInSession } from '../sessions/sessions';
import { validate } from '../validate';
import { rulesSchema } from './schema';

/** Makes a session that takes some tests. @returns its name @throws Refusal 400 */
export async function buildTestSession(context: Context, coachId: string, raw: unknown): Promise<string> {
	const { tests } = validate(object({ tests: rulesSchema.tests }), { tests: raw }) as { tests: Benchmark[] };
	if (tests.length === 0) throw new Refusal(400, 'There is no test yet: add one first.');
	const body = testSession(tests, await libraryFor(context.db, coachId));
	const { name } = await takeInSession(context, coachId, { name: 'Test day', body, tags: ['test'] });
	return name;
}
