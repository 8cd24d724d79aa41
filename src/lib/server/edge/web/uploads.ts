/** Forms with files in them: each file goes to the disk as it comes, and is gone after the answer. */
import { Busboy, type BusboyInstance } from '@fastify/busboy';
import { createWriteStream, openAsBlob } from 'node:fs';
import { rm } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import pLimit, { type LimitFunction } from 'p-limit';
import { DiskFull, freeIn } from '../../platform/db/room';
import { chunksOf } from '../../platform/chunks';
import { Refusal } from '../../platform/errors';
import type { Config } from '../../platform/config';
import { LARGEST_FILE } from '../../platform/text-file';
import { pathForSent, type SentFile } from '../../platform/sent-file';

/** Forms with files that come at a time; more wait unread, where the network holds them. */
const AT_ONCE = 3;
/** Of one person: one at a time, and as many that wait. */
const WAITING = 3;

/** Bytes of one text: a pasted list may have as many as a file with one. */
const LARGEST_FIELD = LARGEST_FILE + 64 * 1024;
/** Files in one form. */
const MOST_FILES = 4;

export const NO_FORM = 'What was sent is no form that can be read; nothing was saved.';

type Body = ReadableStream<Uint8Array>;
type Reader = ReadableStreamDefaultReader<Uint8Array>;

/** A file of a form, where it is. */
class FileOnDisk extends File {
	constructor(
		content: Blob,
		name: string,
		type: string,
		readonly path: string
	) {
		super([content], name, { type });
	}
}

/** A file of a form; null where none was chosen. */
export function sentIn(form: FormData, field: string): SentFile | null {
	const value = form.get(field);
	return value instanceof FileOnDisk && value.size > 0
		? { path: value.path, size: value.size, name: value.name }
		: null;
}

/** Refuses a request whose body is not read to its end: after the answer its connection ends. */
export class Unread extends Refusal {}

/** What a request may bring. */
export interface BodyLimits {
	/** Bytes of everything together. */
	bytes: number;
	/** Bytes beyond that are read and thrown away, so that a browser gets to the answer. */
	thrownAway: number;
	fields: number;
	/** What is said of too many bytes, and of too many fields. */
	tooLarge: string;
	tooMany: string;
}

/** A form whose files are on the disk until they are forgotten. */
export interface SentForm {
	form: FormData;
	forget: () => Promise<void>;
}

/**
 * Hands on what comes, up to a limit; what is too large is read a little further, and refused at its end.
 * @throws Refusal 413; Unread
 */
export async function* within(
	reader: Reader,
	{ bytes: most, thrownAway, tooLarge }: BodyLimits
): AsyncGenerator<Uint8Array> {
	let bytes = 0;
	for await (const chunk of chunksOf(reader)) {
		bytes += chunk.byteLength;
		if (bytes > most + thrownAway) throw new Unread(413, tooLarge);
		if (bytes <= most) yield chunk;
	}
	if (bytes > most) throw new Refusal(413, tooLarge);
}

/** Reads what is left of a body. Who has gone sends no more. @throws Unread for too much of it */
async function passOver(body: Reader, limits: BodyLimits): Promise<void> {
	try {
		for await (const chunk of within(body, limits)) void chunk;
	} catch (error) {
		if (error instanceof Unread) throw error;
	}
}

export class Uploads {
	private readonly all = pLimit(AT_ONCE);
	private readonly lines = new Map<string, LimitFunction>();
	/** Bytes that files on their way may still come to, at most. */
	private expected = 0;

	constructor(private readonly store: Pick<Config, 'dataDirectory' | 'diskReserve'>) {}

	/**
	 * Takes the form of a request in, after those of the same person that came before it.
	 * @param who whose request it is
	 * @param type the content type, with the boundary between the fields
	 * @throws Refusal 400 for what is no form, 413, 503 on a full disk; Unread 413, and 429 for too many at a time
	 */
	async take(who: string, body: Body, type: string, limits: BodyLimits): Promise<SentForm> {
		const line = this.lines.get(who) ?? pLimit(1);
		if (line.activeCount + line.pendingCount > WAITING)
			throw new Unread(
				429,
				'Your last files are still on their way. Wait for them, then send this one again.'
			);
		this.lines.set(who, line);
		try {
			return await line(() => this.all(() => this.read(body, type, limits)));
		} finally {
			if (line.activeCount + line.pendingCount === 0) this.lines.delete(who);
		}
	}

	private async read(stream: Body, type: string, limits: BodyLimits): Promise<SentForm> {
		const body = stream.getReader();
		const parts: { name: string; value: Promise<string | FileOnDisk> }[] = [];
		const paths: string[] = [];
		const forget = async () => {
			for (const path of paths) await rm(path, { force: true });
		};
		const form = formReader(type, limits);
		const refused = new AbortController();
		const refuse = (cause: unknown) => refused.abort(cause);
		const tooMany = () => refuse(new Refusal(413, limits.tooMany));
		form.on('fieldsLimit', tooMany).on('filesLimit', tooMany).on('partsLimit', tooMany);
		form.on('field', (name, value, isNameCut, isCut) => {
			if (isNameCut || isCut) refuse(new Refusal(413, limits.tooLarge));
			parts.push({ name, value: Promise.resolve(value) });
		});
		// What is wrong is told once more when nobody waits for it any longer: unheard it would end the process.
		form.on('error', () => undefined);
		form.on('file', (name, content, given, _encoding, mime) => {
			content.on('error', () => undefined);
			const value = this.keep(
				content,
				{ name: nameOf(given), type: mime },
				limits.bytes,
				paths,
				refused.signal
			);
			// Told at once, so that what cannot be kept is not read on.
			value.catch(refuse);
			parts.push({ name, value });
		});
		try {
			await pipeline(within(body, limits), form, { signal: refused.signal });
			const data = new FormData();
			for (const { name, value } of parts) data.append(name, await value);
			return { form: data, forget };
		} catch (error) {
			// A form that breaks off never ends the file that it was at.
			refused.abort(error);
			await Promise.allSettled(parts.map(({ value }) => value));
			await forget();
			const cause: unknown = error instanceof Refusal ? error : refused.signal.reason;
			if (cause instanceof Unread) throw cause;
			await passOver(body, limits);
			throw cause instanceof Refusal ? cause : new Refusal(400, NO_FORM);
		}
	}

	/** Writes one file of a form. @param most bytes that it may have @param paths gets where it is */
	private async keep(
		content: Readable,
		{ name, type }: { name: string; type: string },
		most: number,
		paths: string[],
		signal: AbortSignal
	): Promise<FileOnDisk> {
		const { dataDirectory, diskReserve } = this.store;
		this.expected += most;
		try {
			const path = await pathForSent(dataDirectory);
			if (freeIn(dataDirectory)() - this.expected < diskReserve) throw new DiskFull();
			paths.push(path);
			await pipeline(content, createWriteStream(path, { mode: 0o600 }), { signal });
			return new FileOnDisk(await openAsBlob(path), name, type, path);
		} finally {
			this.expected -= most;
		}
	}
}

/** A name as browsers write it into a form: quotes and ends of lines as numbers (RFC 7578, 4.2; HTML, 4.10.21.8). */
const nameOf = (given: string | undefined): string =>
	(given ?? '').replace(/%(22|0D|0A)/g, (_, code: string) => String.fromCharCode(parseInt(code, 16)));

/** @throws Refusal 400 for a type without a boundary */
function formReader(type: string, { bytes, fields }: BodyLimits): BusboyInstance {
	try {
		return new Busboy({
			headers: { 'content-type': type },
			defCharset: 'utf8',
			preservePath: true,
			limits: {
				fieldSize: Math.min(bytes, LARGEST_FIELD),
				fileSize: bytes,
				fields,
				files: MOST_FILES,
				parts: fields + MOST_FILES
			}
		});
	} catch {
		throw new Refusal(400, NO_FORM);
	}
}
