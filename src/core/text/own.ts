/**
 * What a table has under a word that somebody typed. Not what every object inherits: `constructor` and `valueOf` are words
 * like others.
 */
export const ownOf = <Value>(table: Readonly<Record<string, Value>>, word: string): Value | undefined =>
	Object.hasOwn(table, word) ? table[word] : undefined;
