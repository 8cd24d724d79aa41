/** Clips built by hand after ISO/IEC 14496-12 and RFC 9559, with what cameras write into them. */

export const ascii = (text: string) => Buffer.from(text, 'latin1');
export const u32 = (...numbers: number[]) => {
	const out = Buffer.alloc(4 * numbers.length);
	numbers.forEach((n, i) => out.writeUInt32BE(n, 4 * i));
	return out;
};
export const box = (type: string, ...content: Buffer[]) => {
	const body = Buffer.concat(content);
	return Buffer.concat([u32(8 + body.length), ascii(type), body]);
};
const full = (type: string, ...content: Buffer[]) => box(type, u32(0), ...content);

/** Times of making, as cameras write them. */
export const MADE = 0xe1a2b3c4;
export const PLACE = '+59.9139+010.7522/';
export const CAMERA = 'Ridgecam 7';
export const FRAME = 'frames of the picture';
export const TRAIL = 'N59.9 E10.7 every second';

function track(id: number, handler: string, offset: number, size: number): Buffer {
	const matrix = Buffer.alloc(36);
	const header = full(
		'tkhd',
		u32(MADE, MADE, id, 0, 100),
		Buffer.alloc(8),
		Buffer.alloc(8),
		matrix,
		u32(0, 0)
	);
	const media = full('mdhd', u32(MADE, MADE, 1000, 100), Buffer.alloc(4));
	const kind = full('hdlr', u32(0), ascii(handler), Buffer.alloc(12), ascii('h\0'));
	const samples = box(
		'stbl',
		full('stsd', u32(0)),
		full('stts', u32(1, 1, 100)),
		full('stsc', u32(1, 1, 1, 1)),
		full('stsz', u32(size, 1)),
		full('stco', u32(1, offset))
	);
	return box('trak', header, box('mdia', media, kind, box('minf', samples)));
}

/**
 * A clip of one picture track and one that says where the camera was.
 * @param brand `isom` for MP4, `qt  ` for MOV @param more bytes of sound and pictures
 * @param isLast whether the index comes behind the pictures, as cameras write it
 */
export function clip(brand = 'isom', more = 0, isLast = false): Buffer {
	const start = box('ftyp', ascii(brand), u32(0), ascii(brand));
	const build = (at: number) =>
		box(
			'moov',
			full('mvhd', u32(MADE, MADE, 1000, 100), Buffer.alloc(80)),
			track(1, 'vide', at, FRAME.length),
			track(2, 'meta', at + FRAME.length, TRAIL.length),
			box('udta', box('\u00a9xyz', ascii(PLACE)), box('\u00a9mod', ascii(CAMERA))),
			full('meta', full('hdlr', u32(0), ascii('mdta'), Buffer.alloc(13)), box('ilst', ascii(PLACE)))
		);
	const moov = build(0);
	const at = start.length + (isLast ? 0 : moov.length) + 8;
	const content = box('mdat', ascii(FRAME), ascii(TRAIL), Buffer.alloc(more, 7));
	return Buffer.concat([
		start,
		...(isLast ? [content, build(at)] : [build(at), content]),
		box('uuid', Buffer.alloc(16, 9), ascii(`<xmp>${CAMERA}</xmp>`))
	]);
}

export const element = (id: number[], ...content: Buffer[]) => {
	const body = Buffer.concat(content);
	// Lengths of two bytes.
	return Buffer.concat([Buffer.from(id), Buffer.from([0x40 | (body.length >> 8), body.length & 0xff]), body]);
};
export const CLUSTER = [0x1f, 0x43, 0xb6, 0x75];
/** A clip as it is recorded, without a length. */
export function webm(): Buffer {
	const info = element(
		[0x15, 0x49, 0xa9, 0x66],
		element([0x2a, 0xd7, 0xb1], Buffer.from([15, 66, 64])),
		element([0x44, 0x61], Buffer.alloc(8, 1)),
		element([0x4d, 0x80], ascii(CAMERA)),
		element([0x57, 0x41], ascii(CAMERA))
	);
	const tags = element([0x12, 0x54, 0xc3, 0x67], ascii(PLACE));
	return Buffer.concat([
		element([0x1a, 0x45, 0xdf, 0xa3], ascii('webm')),
		Buffer.from([0x18, 0x53, 0x80, 0x67, 0x01, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff]),
		info,
		tags,
		element(CLUSTER, ascii(FRAME))
	]);
}
