import { error, fail, type ActionFailure } from '@sveltejs/kit';
import { TooOften } from '../../account/auth/limits';
import { Refusal, type FieldFault } from '../../platform/errors';

/**
 * Answers a refusal with its status and words, for pages and endpoints; anything else goes on as it is.
 * @param locals of the request, where a refusal may have to say how long to wait
 */
export async function orError<T>(work: Promise<T>, locals?: { retryAfter?: number }): Promise<T> {
	try {
		return await work;
	} catch (cause) {
		if (locals && cause instanceof TooOften) locals.retryAfter = cause.retryAfter;
		if (cause instanceof Refusal) error(cause.status, cause.message);
		throw cause;
	}
}

export interface Refused {
	message: string;
	faults: FieldFault[];
}

/**
 * Gives a refusal back to the form that asked, with what it was given.
 * @param locals of the request, where a refusal may have to say how long to wait
 */
export async function orFail<T, More extends object>(
	work: Promise<T>,
	more: More = {} as More,
	locals?: { retryAfter?: number }
): Promise<{ ok: T } | { failed: ActionFailure<Refused & More> }> {
	try {
		return { ok: await work };
	} catch (cause) {
		if (locals && cause instanceof TooOften) locals.retryAfter = cause.retryAfter;
		if (cause instanceof Refusal)
			return { failed: fail(cause.status, { message: cause.message, faults: cause.faults, ...more }) };
		throw cause;
	}
}

/** A refusal as JSON, for the data endpoints. */
export async function orJson(work: () => Promise<Response>): Promise<Response> {
	try {
		return await work();
	} catch (cause) {
		if (!(cause instanceof Refusal)) throw cause;
		const headers = cause instanceof TooOften ? { 'retry-after': String(cause.retryAfter) } : undefined;
		return Response.json({ message: cause.message, faults: cause.faults }, { status: cause.status, headers });
	}
}
