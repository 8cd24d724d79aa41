import { create } from 'content-disposition';

/**
 * Something to be saved as a file, under a name that keeps the letters of every language (RFC 6266, RFC 8187).
 * Whatever is more than letters and digits goes into the second form: browsers do not agree on it in the first.
 */
export function download(
	body: string | Uint8Array<ArrayBuffer> | Blob,
	name: string,
	type: string
): Response {
	const text = typeof body === 'string';
	return new Response(body instanceof Blob ? body.stream() : body, {
		headers: {
			'content-type': text ? `${type}; charset=utf-8` : type,
			'content-disposition': create(name, { fallback: name.replace(/[^A-Za-z0-9 ._-]/g, '_') }),
			'cache-control': 'private, no-store'
		}
	});
}
