import { stringify } from 'devalue';
import { isOfEveryObject } from '$contracts/read';
import { Refusal } from '../../platform/errors';
import { NO_FORM, Unread, within, type BodyLimits, type Uploads } from './uploads';

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

/** Bytes beyond a limit that are read and thrown away. */
const THROWN_AWAY = 8 * MB;

const FORM = /^(application\/x-www-form-urlencoded|multipart\/form-data|text\/plain)\b/i;

/** A request whose body has been read, and what is to be done once it is answered. */
export interface Bounded {
	request: Request;
	forget: () => Promise<void>;
}
const kept = (request: Request, forget = () => Promise.resolve()): Bounded => ({ request, forget });

/**
 * The same request with its body read, as far as it is no larger than its route takes: what is too large or has too
 * many fields is refused before anything looks into it. What is somewhat too large is read to its end all the same and
 * thrown away, so that a browser gets to the answer: a connection whose request was left half read answers nothing that
 * comes after it. What says that it is far too large, or turns out to be, is not read on: its connection ends. Files
 * of a form go to the disk as they come; no more than the fields beside them is held.
 *
 * @param who whose request it is
 * @throws Refusal 413, 400 for a form that is none, 503 on a full disk; Unread 413, 429
 */
export async function bounded(
	request: Request,
	routeId: string | null,
	uploads: Uploads,
	who: string
): Promise<Bounded> {
	const type = request.headers.get('content-type') ?? '';
	// Nothing is a form without fields in one encoding, and no form at all in the others.
	if (!request.body) return kept(FORM.test(type) ? withForm(request, await formIn(request)) : request);
	const most = bodyLimitOf(routeId);
	const limits: BodyLimits = {
		bytes: most,
		thrownAway: THROWN_AWAY,
		fields: MOST_FIELDS,
		tooLarge: `What was sent is larger than the ${sizeText(most)} that are taken here.`,
		tooMany: `More than ${MOST_FIELDS} fields came at once; nothing was saved.`
	};
	if (Number(request.headers.get('content-length')) > most + THROWN_AWAY)
		throw new Unread(413, limits.tooLarge);
	if (/^multipart\/form-data\b/i.test(type)) {
		const { form, forget } = await uploads.take(who, request.body, type, limits);
		const { method, headers } = request;
		try {
			// Its content is in the form; the length that it had is no length of nothing.
			return kept(withForm(new Request(request.url, { method, headers }), form), forget);
		} catch (error) {
			await forget();
			throw error;
		}
	}
	const chunks: Uint8Array[] = [];
	for await (const chunk of within(request.body.getReader(), limits)) chunks.push(chunk);
	const body = Buffer.concat(chunks);
	if (/^application\/x-www-form-urlencoded/i.test(type) && hasMoreFields(body, MOST_FIELDS))
		throw new Refusal(413, limits.tooMany);
	const bare = new Request(request, { body });
	return kept(FORM.test(type) ? withForm(bare, await formIn(bare)) : bare);
}

/** @throws Refusal 400 */
async function formIn(request: Request): Promise<FormData> {
	try {
		return await request.formData();
	} catch {
		throw new Refusal(400, NO_FORM);
	}
}

/** Whether a form has more fields than it may. */
function hasMoreFields(body: Buffer, most: number): boolean {
	let count = 0;
	for (let at = body.indexOf('&'); at >= 0; at = body.indexOf('&', at + 1)) if (++count > most) return true;
	return false;
}

/** The same request, whose form has been read before an action asks for it. @throws Refusal 400 for what no form of ours has */
function withForm(request: Request, form: FormData): Request {
	// What is made of it is an object, which has such names already; no form of ours has them.
	const odd = [...form.keys()].find(isOfEveryObject);
	if (odd !== undefined)
		throw new Refusal(400, `There is no field called ${odd.slice(0, 20)}; nothing was saved.`);
	const nul = [...form].find(([key, value]) =>
		`${key}${typeof value === 'string' ? value : value.name}`.includes('\0')
	);
	if (nul)
		throw new Refusal(400, `A text has a character that cannot be stored (U+0000); nothing was saved.`);
	return Object.defineProperty(request, 'formData', { value: () => Promise.resolve(form) });
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
