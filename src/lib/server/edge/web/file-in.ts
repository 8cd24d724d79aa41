import parseRange from 'range-parser';

/** Something that a page shows as it is, read as it is sent, for whoever may see it now and nobody else. */
export const shown = (content: Blob, type: string): Response =>
	new Response(content.stream(), {
		headers: {
			'content-type': type,
			'content-length': String(content.size),
			'cache-control': 'private, no-store',
			'x-content-type-options': 'nosniff',
			'content-disposition': 'inline'
		}
	});

/**
 * The same in parts, as a player asks for a clip (RFC 9110, 14): one range of bytes, or all of it.
 * @param range the header of the request
 */
export function shownInPart(content: Blob, type: string, range: string | null): Response {
	const asked = range === null ? -1 : parseRange(content.size, range);
	if (asked === -1 && range !== null)
		return new Response(null, { status: 416, headers: { 'content-range': `bytes */${content.size}` } });
	const [part] = typeof asked === 'number' || asked.type !== 'bytes' ? [] : asked;
	const whole = shown(part ? content.slice(part.start, part.end + 1) : content, type);
	whole.headers.set('accept-ranges', 'bytes');
	if (!part) return whole;
	whole.headers.set('content-range', `bytes ${part.start}-${part.end}/${content.size}`);
	return new Response(whole.body, { status: 206, headers: whole.headers });
}
