import { Refusal } from '../platform/errors';

/**
 * The body of a request as text, as far as it has so many bytes. One that has more is read to its end all the same and
 * thrown away: a connection whose request was left half read answers nothing that comes after it. Its end is not far:
 * the server itself takes no more than BODY_SIZE_LIMIT.
 *
 * @param says what is refused, with the limit in words
 * @throws Refusal 413
 */
export async function textWithin(request: Request, most: number, says: string): Promise<string> {
	const chunks: Uint8Array[] = [];
	let bytes = 0;
	for await (const chunk of request.body ?? []) {
		bytes += chunk.byteLength;
		if (bytes <= most) chunks.push(chunk);
		else chunks.length = 0;
	}
	if (bytes > most) throw new Refusal(413, says);
	return Buffer.concat(chunks).toString('utf8');
}
