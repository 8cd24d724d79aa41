import sharp from 'sharp';
import { Refusal } from '../../platform/errors';
import { beginningOf } from '../../platform/sent-file';

// One picture at a time in a thread of its own: several at once would take the machine from everybody else.
sharp.concurrency(1);
sharp.cache(false);

/** A picture as it is kept. */
export interface Shrunk {
	jpeg: Uint8Array;
	width: number;
	height: number;
}

/** Pixels of the longer side that are kept. */
const LONGEST = 1600;
/** A picture of more is not opened: what it unpacks to would not fit. */
const MOST_PIXELS = 50_000_000;

/** The first bytes of what is taken (ISO/IEC 10918-1, ISO/IEC 15948, RFC 9649). An SVG, which may hold a script, is none of them. */
const isPicture = (bytes: Uint8Array): boolean => {
	const begins = (at: number, ...first: number[]) => first.every((byte, i) => bytes[at + i] === byte);
	return (
		begins(0, 0xff, 0xd8, 0xff) ||
		begins(0, 0x89, 0x50, 0x4e, 0x47) ||
		(begins(0, 0x52, 0x49, 0x46, 0x46) && begins(8, 0x57, 0x45, 0x42, 0x50))
	);
};

/**
 * Turns a picture upright and makes it small, with nothing of what the camera wrote into it: no place, no time, no device.
 * @throws Refusal 400 for what is no JPEG, PNG or WebP, or is broken; 413 for one with too many pixels
 */
export async function shrink(path: string): Promise<Shrunk> {
	if (!isPicture(await beginningOf(path)))
		throw new Refusal(400, 'That is no JPEG, PNG or WebP. Nothing was kept.');
	try {
		const picture = sharp(path, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
		const { width, height } = await picture.metadata();
		if (width * height > MOST_PIXELS)
			throw new Refusal(413, 'The picture has more than 50 megapixels. Nothing was kept.');
		const { data, info } = await picture
			.autoOrient()
			.resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
			.flatten({ background: '#ffffff' })
			.jpeg({ quality: 82, mozjpeg: false })
			.toBuffer({ resolveWithObject: true });
		return { jpeg: new Uint8Array(data), width: info.width, height: info.height };
	} catch (cause) {
		if (cause instanceof Refusal) throw cause;
		const message = cause instanceof Error ? cause.message : '';
		if (/pixel limit/i.test(message))
			throw new Refusal(413, 'The picture has more than 50 megapixels. Nothing was kept.');
		throw new Refusal(400, 'The picture is broken, or not whole. Nothing was kept.');
	}
}
