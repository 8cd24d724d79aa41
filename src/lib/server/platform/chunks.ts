/**
 * What a stream has, as it comes. Who takes no more of it leaves the rest where it is: to cancel the body of a request
 * would end its connection before the answer.
 */
export async function* chunksOf(reader: ReadableStreamDefaultReader<Uint8Array>): AsyncGenerator<Uint8Array> {
	for (;;) {
		const { done, value } = await reader.read();
		if (done) return;
		yield value;
	}
}
