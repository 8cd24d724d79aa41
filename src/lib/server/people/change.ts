import { mixed, object, string } from 'yup';
import { LEVELS, type Level } from '$core/people';
import { isZone } from '$core/calendar';
import type { Context } from '../platform/context';
import { validate } from '../web/validate';
import { enrolmentOf } from './enrolments';

const personSchema = object({
	name: string().trim().max(80, 'a name has at most 80 letters').required('a name is needed'),
	zone: string()
		.trim()
		.test('zone', 'there is no zone ${value}; one looks like Europe/Oslo', (zone) => !zone || isZone(zone))
		.required('a time zone is needed, as in Europe/Oslo'),
	level: mixed<Level>()
		.oneOf([...LEVELS], 'choose a level')
		.required('choose a level'),
	equipment: string().max(1000, 'at most 1,000 letters').default('')
});

/** Changes who somebody is: a new zone moves the hours of days that are ahead and of those still open. @throws Refusal 400, 404 */
export async function changePerson(
	{ db }: Context,
	challengeId: string,
	enrolmentId: string,
	raw: unknown
): Promise<void> {
	const { name, zone, level, equipment } = validate(personSchema, raw);
	return db.transaction(async (tx) => {
		const person = await enrolmentOf(tx, challengeId, enrolmentId);
		const items = equipment
			.split(/[;,\n]/)
			.map((item) => item.trim())
			.filter(Boolean);
		await tx.query('update participant set name = $2, zone = $3, level = $4, equipment = $5 where id = $1', [
			person.participantId,
			name,
			zone,
			level,
			items
		]);
	});
}
