import { boolean, number, object, string } from 'yup';
import { words } from './values';

/** Sessions on a shelf at most: more is a library, and nobody chooses. */
export const MOST_ON_SHELF = 20;

const session = () => string().uuid('choose a session').required('choose a session');

/** A session that a coach puts on the shelf. */
export const shelfSchema = object({
	sessionId: session(),
	counts: boolean().required('say whether it counts')
});

/** A session that a participant took from the shelf. */
export const takenSchema = object({
	id: string().uuid('the id of what was taken is a UUID').required('what was taken carries its own id'),
	sessionId: session(),
	credit: number()
		.typeError('say how much of it you did')
		.moreThan(0, 'say how much of it you did')
		.max(1, 'at most all of it')
		.required('say how much of it you did'),
	effort: number()
		.typeError('effort is a number from 0 to 10')
		.integer('effort is a whole number from 0 to 10')
		.min(0, 'effort is a number from 0 to 10')
		.max(10, 'effort is a number from 0 to 10')
		.nullable()
		.default(null),
	hurts: words(300),
	note: words(1000)
});
