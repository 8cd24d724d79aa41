import { number, object, string } from 'yup';

/** Letters of one message, at most. */
export const MOST_LETTERS = 4000;

export const messageSchema = object({
	id: string().uuid('the id of a message is a UUID').required('a message carries its own id'),
	text: string()
		.trim()
		.max(MOST_LETTERS, `at most ${MOST_LETTERS.toLocaleString('en')} letters`)
		.required('write something first')
});

/** Letters of a message with what sets them, at most. */
export const MOST_HTML = 20_000;

/** A message of a coach, as it was set or as text alone. */
export const setMessageSchema = object({
	id: messageSchema.fields.id,
	html: string()
		.max(MOST_HTML, `at most ${MOST_HTML.toLocaleString('en')} letters with what sets them`)
		.default(''),
	text: string().default(''),
	/** The draft that the page proposed: sent as it is, it answers nothing. */
	draft: string().max(MOST_LETTERS).default('')
});

/** One of a coach’s own lines about something that came in. */
export const replySchema = object({
	id: string().uuid('the id of a message is a UUID').required('a message carries its own id'),
	about: string().required('say what it is about'),
	line: number()
		.typeError('choose a line')
		.integer('choose a line')
		.min(1, 'choose a line')
		.required('choose a line')
});

/** A message as both sides read it. Instants are epoch milliseconds. */
export interface Message {
	id: string;
	byCoach: boolean;
	/** Who wrote it, as the other side knows them; null: a coach whose account is gone. */
	by: string | null;
	text: string;
	/** As it was set, tidy; null: as text alone. */
	html: string | null;
	at: number;
	/** When the other side saw it; null: not yet. */
	readAt: number | null;
	/** The day whose result it is about; null: none. */
	aboutDay: number | null;
	/** Whether it went to several at once: that is no answer to one of them. */
	toSeveral: boolean;
	/** Whether it is a draft that was sent as it was proposed. */
	isDraft: boolean;
}
