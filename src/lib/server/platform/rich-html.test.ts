import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { letterTextOf, textOfHtml, tidyHtml } from './rich-html';

describe('what is kept of a note', () => {
	it('is how it is set, and nothing that runs or loads anything', () => {
		for (const [given, kept] of [
			['<p>One <strong>two</strong> <em>three</em></p>', '<p>One <strong>two</strong> <em>three</em></p>'],
			['<h1>Title</h1><div>text</div>', '<h3>Title</h3><p>text</p>'],
			['<p onclick="x()" style="color:red">a</p>', '<p>a</p>'],
			['<img src=x onerror=alert(1)>a', 'a'],
			['<a href="javascript:alert(1)">a</a>', '<a>a</a>'],
			['<a href="//else.example">a</a>', '<a>a</a>'],
			['<a href="https://example.org/" target="_blank">a</a>', '<a href="https://example.org/">a</a>'],
			['<svg><script>alert(1)</script></svg>', ''],
			['<iframe src="https://example.org"></iframe>', '']
		])
			expect(tidyHtml(given!)).toBe(kept);
	});

	it('is the same when it is tidied again, whatever was sent', () => {
		const piece = fc.constantFrom(
			'<p>',
			'</p>',
			'<b>',
			'<a href="',
			'">',
			'<script>',
			'&',
			'<',
			'x',
			'"',
			"'",
			'<!--'
		);
		fc.assert(
			fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
				const once = tidyHtml(pieces.join(''));
				expect(tidyHtml(once)).toBe(once);
				expect(once).not.toMatch(/<(?!\/?(p|strong|em|s|u|h3|ul|ol|li|blockquote|br|a)\b)[a-z!]/i);
			})
		);
	});
});

it('the text of a note has a line for each paragraph and the letters that were meant', () => {
	expect(
		textOfHtml('<h3>Knee</h3><p>5 &lt; 6 &amp; “so”<br />on</p><ul><li><p>a</p></li><li>b</li></ul>')
	).toBe('Knee\n5 < 6 & “so”\non\na\nb');
	expect(textOfHtml('<p>&amp;lt;</p>')).toBe('&lt;');
});

it('the text of a letter keeps its paragraphs and lists apart', () => {
	const html =
		'<p>Hi Noor,</p><p>two things:<br />now</p><ul><li><p>rest</p></li><li><strong>eat</strong> &amp; sleep</li></ul><p></p><p>Runa</p>';
	expect(letterTextOf(html)).toBe('Hi Noor,\n\ntwo things:\nnow\n\n- rest\n- eat & sleep\n\nRuna');
	expect(letterTextOf('')).toBe('');
});
