import type { Coach } from '../auth/coach';
import type { Person } from '../auth/link';

/** The coach whom `mayEnter` let in. */
export function coachIn({ coach }: { coach: Coach | null }): Coach {
	if (!coach) throw new Error('a coach’s route was entered without one');
	return coach;
}

/** The participant whom `mayEnter` let in. */
export function personIn({ person }: { person: Person | null }): Person {
	if (!person) throw new Error('a participant’s route was entered without one');
	return person;
}
