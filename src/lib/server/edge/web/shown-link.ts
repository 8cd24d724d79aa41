import type { OwnedChallenge } from '../../records/challenge';
import type { NewLink } from '../../people/enrol';
import { noteEvents } from './security';

type Asked = Parameters<typeof noteEvents>[0] & { url: URL };
type Secret = Pick<NewLink, 'enrolmentId' | 'secret'>;

/**
 * The addresses of new links as whoever made them may see them: the owner of the challenge, which is put on record. Null for
 * anybody else: whoever helps has them mailed.
 */
export async function shownLinks(
	event: Asked,
	{ role }: Pick<OwnedChallenge, 'role'>,
	links: readonly Secret[]
): Promise<string[] | null> {
	if (role !== 'owner') return null;
	await noteEvents(
		event,
		'link-shown',
		links.map(({ enrolmentId }) => enrolmentId)
	);
	return links.map(({ secret }) => `${event.url.origin}/join/${secret}`);
}

/** The same of one. */
export const shownLink = async (
	event: Asked,
	challenge: Pick<OwnedChallenge, 'role'>,
	link: Secret
): Promise<string | null> => (await shownLinks(event, challenge, [link]))?.[0] ?? null;
