import { ownOf } from '$core/text/own';
import { nearest } from '$core/text/nearest';
import type { Practice } from '$core/practice';
import { formatSessionText, parseSessionText, type Session } from '$core/session';
import { jsonPlace, type FileFault } from '../../platform/file-fault';
import { parseJson } from '../../platform/json';
import { MOST_FAULTS, readAs } from '$contracts/read';
import { readSession } from '$contracts/session';
import { FILE_KIND, FILE_VERSION, NOT_A_SESSION, sessionFileSchema } from '$contracts/session-file';

export interface SessionFile {
	name: string;
	tags: string[];
	body: Session;
}

export function sessionJson({ name, tags, body }: SessionFile): string {
	return `${JSON.stringify({ kind: FILE_KIND, version: FILE_VERSION, name, ...(tags.length > 0 && { tags }), session: body }, null, '\t')}\n`;
}

export const sessionText = ({ name, body }: SessionFile, practice: Pick<Practice, 'library'>): string =>
	formatSessionText(body, practice, name);

export interface ReadFile {
	name: string;
	tags: string[];
	body: Session | null;
	faults: FileFault[];
	/** Exercises that the library does not know, each with the nearest one that it does. */
	unknown: { name: string; nearest: string | null }[];
}

const LARGEST = 500_000;
const headSchema = sessionFileSchema.pick(['kind', 'name', 'tags']).noUnknown(false);

/** What was found in a file; its body is looked at afterwards. */
interface Found extends Omit<ReadFile, 'body' | 'unknown'> {
	body: unknown;
}
const refused = (...faults: FileFault[]): Found => ({ name: '', tags: [], body: null, faults });

/** A file of which nothing can be taken. */
const nothing = (found: Found): ReadFile => ({
	...found,
	body: null,
	faults: found.faults.slice(0, MOST_FAULTS),
	unknown: []
});

function readJson(text: string): Found {
	let raw: unknown;
	try {
		raw = parseJson(text);
	} catch (cause) {
		return refused(jsonPlace(cause, text));
	}
	if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
		return refused({ place: 'kind', message: NOT_A_SESSION });
	const version = 'version' in raw ? raw.version : undefined;
	const session = 'session' in raw ? raw.session : undefined;
	if (typeof version === 'number' && version > FILE_VERSION)
		return refused({
			place: 'version',
			message: `this file is of version ${version}, version ${FILE_VERSION} is the newest that is known here`
		});
	const { value: head, faults } = readAs(headSchema, raw);
	if (faults)
		return refused(...faults.map(({ field, message }) => ({ place: field || 'the file', message })));
	if (!session) return refused({ place: 'session', message: 'the session itself is missing' });
	return { name: head.name, tags: head.tags, body: session, faults: [] };
}

/**
 * Reads a session from a file or from pasted text: JSON when it begins with a brace, lines otherwise. Every fault
 * with its place; exercises that nobody knows are asked about, never dropped. Writes nothing.
 *
 * @param renamed what to call unknown exercises instead
 */
export function readSessionFile(
	text: string,
	practice: Practice,
	renamed: Readonly<Record<string, string>> = {}
): ReadFile {
	const bare = text.replace(/^\uFEFF/, '');
	const tooMuch = `a session has at most ${LARGEST.toLocaleString('en')} letters, this has ${bare.length.toLocaleString('en')}`;
	if (bare.length > LARGEST) return nothing(refused({ place: 'the file', message: tooMuch }));
	if (!bare.trim()) return nothing(refused({ place: 'the file', message: 'there is nothing in it' }));
	let read: Found;
	if (/^\s*[{[]/.test(bare)) read = readJson(bare);
	else {
		const { name, session, faults } = parseSessionText(bare, practice, 'keep');
		read = {
			name: name ?? '',
			tags: [],
			body: session,
			faults: faults.map(({ line, message }) => ({ place: `line ${line}`, message }))
		};
	}
	if (!read.body || read.faults.length > 0) return nothing(read);
	const { session, faults } = readSession(read.body, practice);
	if (!session || faults.length > 0)
		return nothing({
			...read,
			faults: faults.map(({ path, message }) => ({ place: path || 'the session', message }))
		});

	const names = practice.library.names();
	const body: Session = {
		...session,
		blocks: session.blocks.map((block) => ({
			...block,
			parts: block.parts.map((part) => ({
				...part,
				exercise: ownOf(renamed, part.exercise) ?? part.exercise
			}))
		}))
	};
	const strangers = body.blocks
		.flatMap((block) => block.parts.map((part) => part.exercise))
		.filter((name) => !practice.library.find(name));
	return {
		...read,
		body,
		unknown: [...new Set(strangers)].map((name) => ({ name, nearest: nearest(name, names) }))
	};
}
