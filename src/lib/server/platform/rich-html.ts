/** Notes and messages as they are set: a few kinds of elements, and nothing that could run or load anything. */
import sanitizeHtml from 'sanitize-html';

const KEPT: sanitizeHtml.IOptions = {
	allowedTags: ['p', 'strong', 'em', 's', 'u', 'h3', 'ul', 'ol', 'li', 'blockquote', 'br', 'a'],
	allowedAttributes: { a: ['href'] },
	allowedSchemes: ['http', 'https', 'mailto'],
	allowProtocolRelative: false,
	transformTags: { b: 'strong', i: 'em', h1: 'h3', h2: 'h3', div: 'p' }
};

/** What of some HTML is kept. */
export const tidyHtml = (html: string): string => sanitizeHtml(html, KEPT).trim();

/** What the sanitiser writes for a letter that HTML has another use for. */
const LETTERS: Readonly<Record<string, string>> = {
	'&amp;': '&',
	'&lt;': '<',
	'&gt;': '>',
	'&quot;': '"',
	'&#39;': "'",
	'&nbsp;': ' '
};

const bare = (html: string): string =>
	sanitizeHtml(html, { allowedTags: [], allowedAttributes: {} })
		.replace(/&(amp|lt|gt|quot|nbsp|#39);/g, (letter) => LETTERS[letter] ?? letter)
		.replace(/[ \t]+\n/g, '\n');

/** The text of tidy HTML, a line for each paragraph or item. */
export const textOfHtml = (html: string): string =>
	bare(html.replace(/<br[^>]*>|<\/(p|li|h3|blockquote)>/g, '$&\n'))
		.replace(/\n{2,}/g, '\n')
		.trim();

/** The same as it is written in a letter: an empty line between paragraphs, and a dash before each item. */
export const letterTextOf = (html: string): string =>
	bare(
		html
			.replace(/<li>(<p>)?/g, '- ')
			.replace(/(<\/p>)?<\/li>/g, '\n')
			.replace(/<br[^>]*>/g, '\n')
			.replace(/<\/(p|h3|ul|ol|blockquote)>/g, '$&\n\n')
	)
		.replace(/\n{3,}/g, '\n\n')
		.trim();
