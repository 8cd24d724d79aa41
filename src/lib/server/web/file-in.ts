import parseRange from 'range-parser';

/** A file of a form, as it was sent; empty when there is none. */
export async function fileIn(form: FormData, name: string): Promise<Uint8Array<ArrayBuffer>> {
	const value = form.get(name);
	return value instanceof File ? new Uint8Array(await value.arrayBuffer()) : new Uint8Array();
}

/** Something that a page shows as it is, for whoever may see it now and nobody else. */
export const shown = (content: Uint8Array<ArrayBuffer>, type: string): Response =>
	new Response(content, {
		headers: {
			'content-type': type,
			'cache-control': 'private, no-store',
			'x-content-type-options': 'nosniff',
			'content-disposition': 'inline'
		}
	});

/**
 * The same in parts, as a player asks for a clip (RFC 9110, 14): one range of bytes, or all of it.
 * @param range the header of the request
 */
export function shownInPart(content: Uint8Array<ArrayBuffer>, type: string, range: string | null): Response {
	const asked = range === null ? -1 : parseRange(content.length, range);
	if (asked === -1 && range !== null)
		return new Response(null, { status: 416, headers: { 'content-range': `bytes */${content.length}` } });
	const [part] = typeof asked === 'number' || asked.type !== 'bytes' ? [] : asked;
	const whole = shown(part ? content.slice(part.start, part.end + 1) : content, type);
	whole.headers.set('accept-ranges', 'bytes');
	if (!part) return whole;
	whole.headers.set('content-range', `bytes ${part.start}-${part.end}/${content.length}`);
	return new Response(whole.body, { status: 206, headers: whole.headers });
}
