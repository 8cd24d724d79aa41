import { expect, it } from 'vitest';
import { htmlOfLetter, htmlOfText } from './html';

it('a text is a paragraph for each line, and nothing in it is an element', () => {
	expect(htmlOfText('a <b> & c\n\nd')).toBe('<p>a &lt;b> &amp; c</p><p></p><p>d</p>');
});

it('a letter has its paragraphs where an empty line is, and breaks where none is', () => {
	expect(htmlOfLetter('Hi Noor,\n\nhow are\nyou?\n\n\nRuna & co')).toBe(
		'<p>Hi Noor,</p><p>how are<br>you?</p><p>Runa &amp; co</p>'
	);
});
