import { object, string } from 'yup';

/** Letters of one message, at most. */
export const MOST_LETTERS = 4000;

export const messageSchema = object({
	id: string().uuid('the id of a message is a UUID').required('a message carries its own id'),
	text: string()
		.trim()
		.max(MOST_LETTERS, `at most ${MOST_LETTERS.toLocaleString('en')} letters`)
		.required('write something first')
});

/** A message as both sides read it. Instants are epoch milliseconds. */
export interface Message {
	id: string;
	byCoach: boolean;
	/** Who wrote it, as the other side knows them; null: a coach whose account is gone. */
	by: string | null;
	text: string;
	at: number;
	/** When the other side saw it; null: not yet. */
	readAt: number | null;
}
