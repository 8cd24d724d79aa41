import type { RequestEvent } from '@sveltejs/kit';

const LOCAL = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * The address that a letter may name, or null: what the operator has set, or this machine’s own. Any other would be whatever
 * the request says, and so whatever a stranger likes.
 */
export const originFor = ({ locals, url }: Pick<RequestEvent, 'locals' | 'url'>): string | null =>
	locals.app.config.origin ?? (LOCAL.has(url.hostname) ? url.origin : null);
