import type { SignedInCoach } from '../../account/auth/login';
import type { Person } from '../../records/person';

/** The coach whom `mayEnter` let in. */
export function coachIn({ coach }: { coach: SignedInCoach | null }): SignedInCoach {
	if (!coach) throw new Error('a coach’s route was entered without one');
	return coach;
}

/** Whose work it is that a request asks for. */
export const visitorKey = ({ coach, person }: Pick<App.Locals, 'coach' | 'person'>): string =>
	coach?.id ?? person?.enrolmentId ?? 'anybody';

/** The participant whom `mayEnter` let in. */
export function personIn({ person }: { person: Person | null }): Person {
	if (!person) throw new Error('a participant’s route was entered without one');
	return person;
}
