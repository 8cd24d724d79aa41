/** A name that every file system takes, the letters of every language kept in the second form (RFC 6266, RFC 8187). */
function disposition(name: string): string {
	const plain = name.replace(/[^A-Za-z0-9 ._-]/g, '_');
	return `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`;
}

/** Something to be saved as a file. */
export function download(body: string | Uint8Array<ArrayBuffer>, name: string, type: string): Response {
	const text = typeof body === 'string';
	return new Response(body, {
		headers: {
			'content-type': text ? `${type}; charset=utf-8` : type,
			'content-disposition': disposition(name),
			'cache-control': 'private, no-store'
		}
	});
}
