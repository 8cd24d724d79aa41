import { Refusal } from './errors';

/** What is said of a text with the character U+0000. */
export const NO_NUL = 'the character U+0000 has no place here';

/**
 * Reads JSON that comes from outside. A field with the name of something that every object inherits
 * (`__proto__`, `constructor`, `valueOf` …) is refused: no form of ours has one, and what looks fields up by name
 * would find the inherited thing. So is the character U+0000, which the database cannot store.
 * @throws SyntaxError
 */
export function parseJson(text: string): unknown {
	return JSON.parse(text, (key, value: unknown) => {
		if (key in Object.prototype) throw new SyntaxError(`a field called ${key} has no place here`);
		if (typeof value === 'string' && value.includes('\0')) throw new SyntaxError(NO_NUL);
		return value;
	});
}

/** The body of a request, which is JSON. @param what comes so, at the beginning of a sentence @throws Refusal 400 */
export async function jsonOf(request: Request, what: string): Promise<unknown> {
	try {
		return parseJson(await request.text());
	} catch {
		throw new Refusal(400, `${what} comes as JSON.`);
	}
}
