import { testSession, type Benchmark } from '$core/plan';
import type { Practice } from '$core/practice';
import type { Session } from '$core/session';
import type { CoachId } from '../../platform/ids';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { practiceOf } from '../../records/practice';
import { importSession } from '../session/sessions';
import { validate } from '../../platform/validate';
import { testsSchema } from '$contracts/plan';

/** @throws Refusal 400 for a test that no block can be made of */
function sessionOf(tests: readonly Benchmark[], practice: Practice): Session {
	try {
		return testSession(tests, practice);
	} catch (cause) {
		if (cause instanceof RangeError) throw new Refusal(400, cause.message);
		throw cause;
	}
}

/** Makes a session that takes some tests. @returns its name @throws Refusal 400 */
export async function buildTestSession(context: Context, coachId: CoachId, raw: unknown): Promise<string> {
	const { tests } = validate(testsSchema, { tests: raw });
	if (tests.length === 0) throw new Refusal(400, 'There is no test yet: add one first.');
	const body = sessionOf(tests, await practiceOf(context.db, coachId));
	const { name } = await importSession(context, coachId, { name: 'Test day', body, tags: ['test'] });
	return name;
}
