import { testSession } from '$core/plan';
import type { CoachId } from '../platform/ids';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import { practiceOf } from '../practice/practice';
import { importSession } from '../session/sessions';
import { validate } from '../web/validate';
import { testsSchema } from '$contracts/plan';

/** Makes a session that takes some tests. @returns its name @throws Refusal 400 */
export async function buildTestSession(context: Context, coachId: CoachId, raw: unknown): Promise<string> {
	const { tests } = validate(testsSchema, { tests: raw });
	if (tests.length === 0) throw new Refusal(400, 'There is no test yet: add one first.');
	const body = testSession(tests, await practiceOf(context.db, coachId));
	const { name } = await importSession(context, coachId, { name: 'Test day', body, tags: ['test'] });
	return name;
}
