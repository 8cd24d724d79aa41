/** Plain text as HTML: a paragraph for each line. */
export const htmlOfText = (text: string): string =>
	text
		.split('\n')
		.map((line) => `<p>${line.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</p>`)
		.join('');
