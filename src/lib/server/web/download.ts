import { create } from 'content-disposition';

/** Something to be saved as a file, under a name that keeps the letters of every language (RFC 6266, RFC 8187). */
export function download(body: string | Uint8Array<ArrayBuffer>, name: string, type: string): Response {
	const text = typeof body === 'string';
	return new Response(body, {
		headers: {
			'content-type': text ? `${type}; charset=utf-8` : type,
			'content-disposition': create(name),
			'cache-control': 'private, no-store'
		}
	});
}
