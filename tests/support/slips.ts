/** What a value looks like that nobody meant to show; a pattern, so that a page can be handed it. */
export const SLIP = String.raw`\b(?:undefined|NaN|null|Infinity|Invalid Date)\b|\[object `;

/** The lines of a text that have a slip in them. */
export const slipsIn = (text: string): string[] => {
	const wrong = new RegExp(SLIP);
	return text.split(/\r?\n/).filter((line) => wrong.test(line));
};
