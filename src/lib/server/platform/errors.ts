import type { FieldFault } from '$contracts/sizes';
import type { Id } from './ids';

export type { FieldFault };

/** Says no in words that a person can act on; carries the HTTP status that says the same. */
export class Refusal extends Error {
	override name = 'Refusal';

	constructor(
		readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 422 | 429 | 503,
		message: string,
		readonly faults: FieldFault[] = []
	) {
		super(message);
	}
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** Whether a text can be an id. */
export const isId = (text: string): boolean => UUID.test(text);

/** An id from an address or a form, known to be one before a query sees it. @throws Refusal 404 */
export function idOf<Kind extends string>(text: string, what: string): Id<Kind> {
	if (!isId(text)) throw notFound(what);
	return text as Id<Kind>;
}

/** A number from an address, of four digits at most. @throws Refusal 404 */
export function numberOf(text: string, what: string): number {
	if (!/^\d{1,4}$/.test(text)) throw notFound(what);
	return Number(text);
}

/** For what does not exist and for what exists but is somebody else's, alike. */
export const notFound = (what: string): Refusal => new Refusal(404, `There is no such ${what} here.`);
