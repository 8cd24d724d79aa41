/** Clips without what the camera wrote into them: where, when and with what they were taken. */
import { closeSync, fstatSync, openSync, readSync, writeSync } from 'node:fs';
import { createFile, Log, MP4BoxBuffer, type Box, type ISOFile } from 'mp4box';
import { Refusal } from '../../platform/errors';

// What is odd in somebody’s clip is no matter of the log.
Object.assign(Log, { error: () => undefined, warn: () => undefined });

export type ClipType = 'video/mp4' | 'video/webm' | 'video/quicktime';

/** Boxes that say something about a clip and are not needed to play it (ISO/IEC 14496-12, 8.10 and 8.11.1; 11.1 for `uuid`), and what is left over. */
const ABOUT = new Set(['udta', 'meta', 'uuid', 'free', 'skip', 'wide', 'pdin', 'prft']);
/** Boxes that begin with the times of making and changing (8.2.2, 8.3.2, 8.4.2). */
const TIMED = new Set(['mvhd', 'tkhd', 'mdhd']);
/** Tracks that are played; others hold places, positions of the camera and the like, sample by sample (8.4.3). */
const PLAYED = new Set(['vide', 'soun']);

interface Placed extends Box {
	boxes?: Placed[];
}

/** A clip that is changed where it is. */
interface Content {
	readonly size: number;
	/** A copy of some bytes; fewer at the end. */
	read(at: number, length: number): Uint8Array<ArrayBuffer>;
	write(at: number, bytes: Uint8Array): void;
}

const inMemory = (bytes: Uint8Array<ArrayBuffer>): Content => ({
	size: bytes.length,
	read: (at, length) => bytes.slice(at, at + length),
	write: (at, some) => bytes.set(some, at)
});
const onDisk = (file: number): Content => ({
	size: fstatSync(file).size,
	read(at, length) {
		const bytes = new Uint8Array(length);
		return bytes.subarray(0, readSync(file, bytes, 0, length, at));
	},
	write: (at, some) => void writeSync(file, some, 0, some.length, at)
});

/** Bytes that are looked at, or blanked, at a time. */
const PIECE = 64 * 1024;

function blank(content: Content, from: number, to: number): void {
	for (let at = from; at < to; at += PIECE) content.write(at, new Uint8Array(Math.min(PIECE, to - at)));
}

/** Makes a box one that says nothing: of the same length, so that all others stay where they are. */
function empty(content: Content, { start = 0, size }: Placed): void {
	const head = content.read(start, 4);
	content.write(start + 4, FREE);
	// A length of 1 says that the length itself follows, in eight bytes.
	const isLong = head[3] === 1 && !head[0] && !head[1] && !head[2];
	blank(content, start + (isLong ? 16 : 8), start + size);
}
const FREE = Uint8Array.from('free', (letter) => letter.charCodeAt(0));

function walk(content: Content, boxes: readonly Placed[], isEmpty: (box: Placed) => boolean): void {
	for (const box of boxes) {
		if (isEmpty(box)) empty(content, box);
		else {
			const { type, start = 0, hdr_size: head = 8 } = box;
			// Version and flags are four bytes; then two times of four bytes, in version 1 of eight.
			if (type && TIMED.has(type)) {
				// The parser counts them to the head of the box.
				const [version] = content.read(start + head - 4, 1);
				blank(content, start + head, start + head + (version === 1 ? 16 : 8));
			}
			if (box.boxes) walk(content, box.boxes, isEmpty);
		}
	}
}

const handlerOf = (file: ISOFile, trackId: number): string => file.getTrackById(trackId).mdia.hdlr.handler;

/** MP4 and MOV (ISO/IEC 14496-12). Pictures and sound are passed over, and never held. */
function bareBoxes(content: Content): void {
	const file = createFile(false);
	for (let at = 0; at < content.size;) {
		const piece = content.read(at, PIECE);
		const next = file.appendBuffer(
			MP4BoxBuffer.fromArrayBuffer(piece.slice().buffer, at),
			at + piece.length >= content.size
		);
		at = Math.max(at + piece.length, next ?? 0);
	}
	if (!file.moov) throw new Error('no moov');
	const unplayed = file.moov.traks.filter(({ tkhd }) => !PLAYED.has(handlerOf(file, tkhd.track_id)));
	for (const { tkhd } of unplayed)
		for (const { offset, size } of file.getTrackSamplesInfo(tkhd.track_id)) {
			if (offset + size > content.size) throw new Error('longer than the clip');
			blank(content, offset, offset + size);
		}
	const gone = new Set<Box>(unplayed);
	walk(content, file.boxes, (box) => gone.has(box) || (box.type !== undefined && ABOUT.has(box.type)));
}

/** Elements of WebM (RFC 9559) that say something about a clip: tags, attachments, chapters; of the facts its title, time and programs. CRC-32 goes with what it is of. */
const ELEMENTS_ABOUT = new Set([
	0x1254c367, 0x1941a469, 0x1043a770, 0x7ba9, 0x4461, 0x4d80, 0x5741, 0x7384, 0xbf
]);
/** Elements that have such in them: the segment, its facts. */
const PARENTS = new Set([0x18538067, 0x1549a966]);
const VOID = 0xec;

/** A number of EBML (RFC 8794, 4): its length is in the zeros before its first one. @param whole with the marker, as ids are written */
function vint(
	content: Content,
	at: number,
	whole: boolean
): { value: number; length: number; unknown: boolean } {
	const bytes = content.read(at, 8);
	const first = bytes[0] ?? 0;
	const length = Math.clz32(first) - 23;
	if (first === 0 || length > 8 || length > bytes.length) throw new Error('no number');
	let value = whole ? first : first & (0xff >> length);
	let ones = (first & (0xff >> length)) === 0xff >> length;
	for (let i = 1; i < length; i++) {
		const byte = bytes[i] ?? 0;
		value = value * 256 + byte;
		ones &&= byte === 0xff;
	}
	return { value, length, unknown: ones };
}

/** Makes an element one that says nothing, of the same length. */
function voidOut(content: Content, from: number, to: number): void {
	const length = to - from;
	const width = length >= 9 ? 8 : 1;
	let left = length - 1 - width;
	const head = new Uint8Array(1 + width);
	head[0] = VOID;
	for (let i = width; i >= 1; i--) {
		head[i] = left % 256;
		left = Math.floor(left / 256);
	}
	head[1] = (head[1] ?? 0) | (0x80 >> (width - 1));
	content.write(from, head);
	blank(content, from + 1 + width, to);
}

function bareElements(content: Content, from: number, to: number): void {
	for (let at = from; at < to;) {
		const id = vint(content, at, true);
		const size = vint(content, at + id.length, false);
		const begins = at + id.length + size.length;
		// What was recorded as it came has no length: it goes on to the end of what it is in.
		const ends = size.unknown ? to : begins + size.value;
		if (ends > to) throw new Error('longer than what it is in');
		if (ELEMENTS_ABOUT.has(id.value)) voidOut(content, at, ends);
		else if (PARENTS.has(id.value)) bareElements(content, begins, ends);
		// A cluster without a length ends where the next one begins: frames are left as they are.
		else if (size.unknown) return;
		at = ends;
	}
}

function bare(content: Content, type: ClipType): void {
	try {
		if (type === 'video/webm') bareElements(content, 0, content.size);
		else bareBoxes(content);
	} catch {
		throw new Refusal(400, 'The clip is broken, or not whole. Nothing was kept.');
	}
}

/**
 * Blanks what a clip says of where, when and with what it was taken. Pictures and sound stay as they are, byte for byte.
 * @param bytes are changed
 * @throws Refusal 400 for a clip that is broken
 */
export function bareClip(bytes: Uint8Array<ArrayBuffer>, type: ClipType): Uint8Array<ArrayBuffer> {
	bare(inMemory(bytes), type);
	return bytes;
}

/** The same, for a clip on the disk: no more than a piece of it is held. @throws Refusal 400 */
export function bareClipAt(path: string, type: ClipType): void {
	const file = openSync(path, 'r+');
	try {
		bare(onDisk(file), type);
	} finally {
		closeSync(file);
	}
}
