import { object } from 'yup';
import { testSession, type Benchmark } from '$core/plan';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import { practiceOf } from '../practice/practice';
import { importSession } from '../session/sessions';
import { validate } from '../web/validate';
import { rulesSchema } from '$contracts/plan';

/** Makes a session that takes some tests. @returns its name @throws Refusal 400 */
export async function buildTestSession(context: Context, coachId: string, raw: unknown): Promise<string> {
	const { tests } = validate(object({ tests: rulesSchema.tests }), { tests: raw }) as { tests: Benchmark[] };
	if (tests.length === 0) throw new Refusal(400, 'There is no test yet: add one first.');
	const body = testSession(tests, await practiceOf(context.db, coachId));
	const { name } = await importSession(context, coachId, { name: 'Test day', body, tags: ['test'] });
	return name;
}
