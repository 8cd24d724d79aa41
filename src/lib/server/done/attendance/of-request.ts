import type { Challenge } from '../../records/challenge';
import type { Queries } from '../../platform/db/database';
import { once } from '../../platform/once';
import { planOf, type PlanDay } from '../../records/plan-days';
import { enrolmentsOf, type Enrolment } from '../../records/enrolments';
import { rollOf, type Roll } from './roll';

interface Locals {
	app: { db: Queries };
}

/** The plan of a challenge, read once a request. */
export const planIn = (locals: Locals, challenge: Challenge): Promise<PlanDay[]> =>
	once(locals, `plan ${challenge.id}`, () => planOf(locals.app.db, challenge));

/** Everybody in a challenge, read once a request. */
export const peopleIn = (locals: Locals, challenge: Challenge): Promise<Enrolment[]> =>
	once(locals, `people ${challenge.id}`, () => enrolmentsOf(locals.app.db, challenge.id));

/** The roll of a challenge as it stood at an instant, read once a request. */
export const rollIn = (locals: Locals, challenge: Challenge, asOf: number): Promise<Roll> =>
	once(locals, `roll ${challenge.id} ${asOf}`, async () =>
		rollOf(await peopleIn(locals, challenge), challenge, await planIn(locals, challenge), asOf)
	);
