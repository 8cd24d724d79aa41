import { stringify } from 'devalue';
import { isOfEveryObject } from '$contracts/read';
import { Refusal } from '../platform/errors';

const KB = 1024;
const MB = 1024 * KB;

/** Bytes that a request to a route has at most; the first that fits its id holds. */
const LIMITS: readonly (readonly [route: RegExp, bytes: number])[] = [
	[/^\/(sign-in|reset|join|invite|api\/demo)/, 4 * KB],
	// Two thousand sets fit into a fifth of this.
	[/^\/(api\/me\/checkins|\(me\)\/me\/day\/)/, 512 * KB],
	// A photograph or a clip of 30 MB, and what separates it from the fields beside it.
	[/^\/\(me\)\/me\/(photos|form)$/, 30 * MB + 64 * KB],
	// A paper of 8 MB, and the fields beside it.
	[/^\/\(me\)\/me\/ok$/, 8 * MB + 64 * KB],
	[/^\/\(me\)/, 16 * KB],
	// A file of 6 MB, the fields beside it and what separates them.
	[/\/import$/, 6 * MB + 64 * KB],
	// A document of 8 MB, and what separates it from its field.
	[/\/people\/\[person\]$/, 8 * MB + 64 * KB],
	// Twelve weeks with a session of its own on every day have a third of this.
	[/^\/\(coach\)/, MB]
];
/** For what nobody has set a limit for. */
const OTHERS = 16 * KB;
/** Fields of a form. A list of two thousand people comes as one field. */
const MOST_FIELDS = 1000;

export const bodyLimitOf = (routeId: string | null): number =>
	LIMITS.find(([route]) => route.test(routeId ?? ''))?.[1] ?? OTHERS;

const sizeText = (bytes: number): string =>
	bytes >= MB ? `${Math.floor(bytes / MB)} MB` : `${Math.floor(bytes / KB)} kB`;

/**
 * The same request with its body read, as far as it is no larger than its route takes: what is too large or has too
 * many fields is refused before anything looks into it. What is too large is read to its end all the same and thrown
 * away: a connection whose request was left half read answers nothing that comes after it. Its end is not far: the
 * server itself takes no more than BODY_SIZE_LIMIT.
 *
 * @throws Refusal 413, 400 for a form that is none
 */
export async function bounded(request: Request, routeId: string | null): Promise<Request> {
	const type = request.headers.get('content-type') ?? '';
	// Nothing is a form without fields in one encoding, and no form at all in the others.
	if (!request.body) return FORM.test(type) ? withForm(request) : request;
	const most = bodyLimitOf(routeId);
	const chunks: Uint8Array[] = [];
	let bytes = 0;
	for await (const chunk of request.body) {
		bytes += chunk.byteLength;
		if (bytes <= most) chunks.push(chunk);
		else chunks.length = 0;
	}
	if (bytes > most)
		throw new Refusal(413, `What was sent is larger than the ${sizeText(most)} that are taken here.`);
	const body = Buffer.concat(chunks);
	if (hasMoreFields(body, type, MOST_FIELDS))
		throw new Refusal(413, `More than ${MOST_FIELDS} fields came at once; nothing was saved.`);
	const bare = new Request(request, { body });
	return FORM.test(type) ? withForm(bare) : bare;
}

const FORM = /^(application\/x-www-form-urlencoded|multipart\/form-data|text\/plain)\b/i;

/** The same request, whose form has been read: what is none is refused here, before an action asks for it. */
async function withForm(request: Request): Promise<Request> {
	let form: FormData;
	try {
		form = await request.formData();
	} catch {
		throw new Refusal(400, 'What was sent is no form that can be read; nothing was saved.');
	}
	// What is made of it is an object, which has such names already; no form of ours has them.
	const odd = [...form.keys()].find(isOfEveryObject);
	if (odd !== undefined)
		throw new Refusal(400, `There is no field called ${odd.slice(0, 20)}; nothing was saved.`);
	return Object.defineProperty(request, 'formData', { value: () => Promise.resolve(form) });
}

/** Whether a form has more fields than it may; anything else has none. */
function hasMoreFields(body: Buffer, type: string, most: number): boolean {
	const boundary = /^multipart\/form-data\s*;.*?boundary="?([^";]+)/i.exec(type)?.[1];
	const between = boundary ? `--${boundary}` : /^application\/x-www-form-urlencoded/i.test(type) ? '&' : null;
	if (between === null) return false;
	let count = 0;
	for (let at = body.indexOf(between); at >= 0; at = body.indexOf(between, at + between.length))
		if (++count > most) return true;
	return false;
}

/**
 * A refusal as whoever asked reads it: as JSON for programs, as the failure of a form for the forms of our pages,
 * which keep what was typed; null for a form without scripts, which gets the page that says so.
 */
export function refusalAnswer(request: Request, { status, message, faults }: Refusal): Response | null {
	if (request.headers.get('x-sveltekit-action') === 'true')
		return Response.json({ type: 'failure', status, data: stringify({ message, faults }) }, { status: 200 });
	const accepts = request.headers.get('accept') ?? '';
	if (/application\/json/.test(request.headers.get('content-type') ?? '') || !/text\/html/.test(accepts))
		return Response.json({ message, faults }, { status });
	return null;
}
