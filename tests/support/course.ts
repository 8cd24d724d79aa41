/** A course from a session as text, with the places that its log has. */
import { prescriptionOf, parseSessionText } from '$core/session';
import { courseOf, type Course } from '$core/run';
import type { Fitting } from '$core/substitution';
import { PRACTICE } from './practice';

export function courseFrom(text: string, who: Fitting = { kit: null, limits: [] }): Course {
	const { session, faults } = parseSessionText(text, PRACTICE);
	if (faults.length > 0) throw new Error(faults.map(({ message }) => message).join('; '));
	return courseOf(
		'A session',
		{ session, asked: prescriptionOf(session, PRACTICE) },
		{ ...who, units: 'kg' },
		PRACTICE
	);
}
