import type { RequestEvent } from '@sveltejs/kit';
import type { Context } from '../../platform/context';
import { keepToken, tokenIn } from './cookies';
import { coachOf, type SignedInCoach } from '../../account/auth/login';
import { personOf, visitOf } from '../../account/auth/link';
import { type Person } from '../../records/person';

/** Who asks. Each is looked up when somebody wants to know: what is the same for everybody costs no query. */
export interface Visitor {
	coach(): Promise<SignedInCoach | null>;
	person(): Promise<Person | null>;
}

/** Pages of a participant's that show where they stand. */
const SHOWS_STANDING = /^\/\(me\)\/me(?:\/(?:day|history|week)(?:\/.*)?)?$/;

/** Whom the cookies of a request belong to; a coach's token that was due to change is changed. */
export function visitorOf(
	context: Context,
	{ cookies, url, route, request }: Pick<RequestEvent, 'cookies' | 'url' | 'route' | 'request'>
): Visitor {
	const looks = request.method === 'GET' && SHOWS_STANDING.test(route.id ?? '');
	let coach: Promise<SignedInCoach | null> | undefined;
	let person: Promise<Person | null> | undefined;
	const findCoach = async (token: string | undefined): Promise<SignedInCoach | null> => {
		const login = token ? await coachOf(context, token) : null;
		if (login?.newToken) keepToken(cookies, url, 'coach', login.newToken);
		return login?.coach ?? null;
	};
	const findPerson = async (token: string | undefined) =>
		token ? (looks ? visitOf : personOf)(context, token) : null;
	return {
		coach: () => (coach ??= findCoach(tokenIn(cookies, url, 'coach'))),
		person: () => (person ??= findPerson(tokenIn(cookies, url, 'person')))
	};
}
