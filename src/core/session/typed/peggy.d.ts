declare module '*.peggy' {
	/** @throws SyntaxError where the grammar does not take the text */
	export function parse(text: string, options: object): unknown;
}
