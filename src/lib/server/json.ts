/**
 * Reads JSON that comes from outside. A field called `__proto__` is refused: no form of ours has one, and what
 * walks over the fields of an object would take it for the object's own ancestry.
 * @throws SyntaxError
 */
export function parseJson(text: string): unknown {
	return JSON.parse(text, (key, value: unknown) => {
		if (key === '__proto__') throw new SyntaxError('a field called __proto__ has no place here');
		return value;
	});
}
