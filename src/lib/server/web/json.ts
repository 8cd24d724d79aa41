/**
 * Reads JSON that comes from outside. A field with the name of something that every object inherits
 * (`__proto__`, `constructor`, `valueOf` …) is refused: no form of ours has one, and what looks fields up by name
 * would find the inherited thing.
 * @throws SyntaxError
 */
export function parseJson(text: string): unknown {
	return JSON.parse(text, (key, value: unknown) => {
		if (key in Object.prototype) throw new SyntaxError(`a field called ${key} has no place here`);
		return value;
	});
}
