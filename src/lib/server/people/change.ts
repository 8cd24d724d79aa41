import { personSchema } from '$contracts/person';
import { dateIn } from '$core/calendar';
import { kitText, readKit, type Limitation } from '$core/kit';
import { setAddedLimits } from './health/answers';
import { noteChange } from '../changes/holds';
import { instant } from '../platform/db/database';
import type { Context } from '../platform/context';
import { participantChanged } from '../changes/changed';
import { validate } from '../platform/validate';
import { zonesAfter } from './enrol';
import { type OwnPerson } from '../records/enrolments';

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
			`update participant set name = $2, earlier_zones = ${zonesAfter('$3', '$7')}, zone = $3, level = $4, kit = $5,
				kit_unread = $6 where id = $1`,
			[person.participantId, name, zone, level, JSON.stringify(kit), unread, instant(context.clock.now())]
		);
		await setAddedLimits(context, tx, person.participantId, limits, dateIn(zone, context.clock.now()));
		const what = changesText(person, { name, zone, level, equipment: kitText(kit, unread), limits });
		if (what) await noteChange(tx, person.participantId, 'coach', what, context.clock.now());
		await participantChanged(context, tx, person.participantId);
	});
	return { unread };
}

/** Changes what a person has to train with, and nothing else. Returns and throws as `changePerson`. */
export const changeEquipment = (
	context: Context,
	person: OwnPerson,
	equipment: string
): Promise<{ unread: string[] }> =>
	changePerson(context, person, {
		name: person.name,
		zone: person.zone,
		level: person.level,
		limits: person.addedLimits,
		equipment
	});

/** What is another than it was, in words; of limits that it is, not which. */
function changesText(
	before: OwnPerson,
	after: { name: string; zone: string; level: string; equipment: string; limits: readonly Limitation[] }
): string {
	const said: string[] = [];
	if (before.name !== after.name) said.push(`name: ${after.name}`);
	if (before.zone !== after.zone) said.push(`time zone: ${before.zone} → ${after.zone}`);
	if (before.level !== after.level) said.push(`level: ${before.level} → ${after.level}`);
	const owned = kitText(before.kit, before.kitUnread);
	if (owned !== after.equipment) said.push(`equipment: ${after.equipment || 'nothing listed'}`);
	if ([...before.addedLimits].sort().join() !== [...after.limits].sort().join())
		said.push('what to leave out');
	const text = said.join('; ');
	return text.length > 600 ? `${text.slice(0, 599)}…` : text;
}
