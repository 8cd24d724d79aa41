/** Something in a file that keeps it from being taken in. `place` is a line of text or a path in JSON. */
export interface FileFault {
	place: string;
	message: string;
}

/** What keeps a text from being JSON that can be taken, and where, as far as the parser says. */
export function jsonPlace(cause: unknown, text: string): FileFault {
	const { message } = cause as Error;
	const at = /position (\d+)/.exec(message)?.[1];
	const place = at === undefined ? 'the file' : `line ${text.slice(0, Number(at)).split('\n').length}`;
	const hostile = /has no place here/.test(message);
	return {
		place,
		message: hostile ? message : 'this is not whole JSON: something is missing or too much here'
	};
}
