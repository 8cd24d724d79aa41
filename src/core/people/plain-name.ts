/** A name without accents, case and the signs between its words. */
export const plainName = (text: string): string =>
	text
		.normalize('NFD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[\s_.-]+/g, ' ')
		.trim();
