const kept = new WeakMap<object, Map<string, Promise<unknown>>>();

/**
 * Does a piece of work once a request, however many of its loads ask: a layout and its page often read the same.
 * @param locals the request's own object, with which the answer is forgotten
 */
export function once<T>(locals: object, key: string, work: () => Promise<T>): Promise<T> {
	const answers = kept.get(locals) ?? new Map<string, Promise<unknown>>();
	kept.set(locals, answers);
	const known = answers.get(key) as Promise<T> | undefined;
	if (known) return known;
	const answer = work();
	answers.set(key, answer);
	return answer;
}
