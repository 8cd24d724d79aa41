import { endDevices, makeLink } from '../auth/link';
import type { Context } from '../platform/context';
import type { OwnPerson } from './enrolments';

/** Makes a person's link anew; their calendar link ends with the old one. */
export const renewLink = (context: Context, person: OwnPerson): Promise<string> =>
	context.db.transaction((tx) => makeLink(tx, context, person.id));

/** Ends a person's link and calendar link and signs their devices out. */
export function revokeLink({ db }: Context, person: OwnPerson): Promise<void> {
	return db.transaction(async (tx) => {
		await tx.query(
			'update enrolment set link_hash = null, link_made_at = null, feed_hash = null where id = $1',
			[person.id]
		);
		await endDevices(tx, person.id);
	});
}
