import { personSchema } from '$contracts/person';
import { readKit } from '$core/kit';
import { instant } from '../db/database';
import type { Context } from '../platform/context';
import { participantChanged } from '../day/changed';
import { validate } from '../web/validate';
import { zonesAfter, type OwnPerson } from './enrolments';

/**
 * Changes who somebody is: a new zone moves the hours of days that are ahead; a day that has opened keeps its own. Equipment is read;
 * what is not understood of it is kept as it was written and given back.
 *
 * @returns what of the equipment was not understood
 * @throws Refusal 400
 */
export async function changePerson(
	context: Context,
	person: OwnPerson,
	raw: unknown
): Promise<{ unread: string[] }> {
	const { name, zone, level, equipment, limits } = validate(personSchema, raw);
	const { kit, unread } = readKit(equipment);
	await context.db.transaction(async (tx) => {
		await tx.query(
			`update participant set name = $2, earlier_zones = ${zonesAfter('$3', '$8')}, zone = $3, level = $4, kit = $5,
				kit_unread = $6, limits = $7 where id = $1`,
			[
				person.participantId,
				name,
				zone,
				level,
				JSON.stringify(kit),
				unread,
				[...new Set(limits)],
				instant(context.clock.now())
			]
		);
		await participantChanged(context, tx, person.participantId);
	});
	return { unread };
}
