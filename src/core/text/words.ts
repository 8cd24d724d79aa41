/** Words for figures, as sentences of findings and proposals need them. */

/** `1 day`, `3 days`. */
export const counted = (n: number, one: string, many = `${one}s`): string =>
	`${n.toLocaleString('en')} ${n === 1 ? one : many}`;

const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** `1, 2 and 3`; of more than `most` the first ones and how many more there are. */
export function listed(items: readonly (string | number)[], most = 8): string {
	const words = items.map(String);
	if (words.length <= most) return AND.format(words);
	return AND.format([...words.slice(0, most - 1), `${words.length - most + 1} more`]);
}

const ENUMERATION = new Intl.ListFormat('en');

/** `2, 1, and 2`. */
export const enumerated = (values: readonly number[]): string => ENUMERATION.format(values.map(String));

/** A share as whole per cent: `84 %`. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** With its first letter large, as at the head of a sentence. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
