import { endLink, makeLink } from '../changes/links';
import type { Context } from '../platform/context';
import type { CoachId } from '../platform/ids';
import type { OwnPerson } from '../records/enrolments';

/** Makes a person's link anew; their calendar link ends with the old one. @param by who does */
export const renewLink = (context: Context, person: OwnPerson, by: CoachId): Promise<string> =>
	context.db.transaction((tx) => makeLink(tx, context, person.id, by));

/** Ends a person's link and calendar link and signs their devices out. */
export const revokeLink = ({ db }: Context, person: OwnPerson): Promise<void> =>
	db.transaction((tx) => endLink(tx, person.id));
