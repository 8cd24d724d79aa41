/** A letter as HTML: an empty line parts paragraphs. */
export const htmlOfLetter = (text: string): string =>
	text
		.split(/\n{2,}/)
		.map((part) => htmlOfText(part).replaceAll('</p><p>', '<br>'))
		.join('');

/** Plain text as HTML: a paragraph for each line. */
export const htmlOfText = (text: string): string =>
	text
		.split('\n')
		.map((line) => `<p>${line.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</p>`)
		.join('');
