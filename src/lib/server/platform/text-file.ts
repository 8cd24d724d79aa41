import { Refusal } from './errors';

/** Bytes of a text file that are taken at most. */
export const LARGEST_FILE = 6 * 1024 * 1024;

/**
 * Turns the bytes of a file into text: UTF-8 and UTF-16 by their marks or their look, else Windows-1252.
 * @throws Refusal 413, or 400 for what is no text
 */
export function decodeText(bytes: Uint8Array): { text: string; notes: string[] } {
	if (bytes.length > LARGEST_FILE)
		throw new Refusal(
			413,
			`The file has ${Math.ceil(bytes.length / 1024 / 1024)} MB; 6 MB are taken at most.`
		);
	const [a, b] = bytes;
	if (a === 0xff && b === 0xfe)
		return { text: new TextDecoder('utf-16le').decode(bytes), notes: ['Read as UTF-16.'] };
	if (a === 0xfe && b === 0xff)
		return { text: new TextDecoder('utf-16be').decode(bytes), notes: ['Read as UTF-16.'] };
	// UTF-16 without its mark: of plain letters every second byte is zero, always the same one of the two.
	const head = bytes.subarray(0, 2000);
	const zeros = [0, 1].map((parity) => head.filter((byte, i) => byte === 0 && i % 2 === parity).length) as [
		number,
		number
	];
	const half = head.length / 2;
	for (const [encoding, many, few] of [
		['utf-16be', zeros[0], zeros[1]],
		['utf-16le', zeros[1], zeros[0]]
	] as const)
		if (many > 0.6 * half && few < 0.1 * half)
			return { text: new TextDecoder(encoding).decode(bytes), notes: ['Read as UTF-16.'] };
	if (zeros[0] + zeros[1] > 0)
		throw new Refusal(400, 'This is no text: save it as text or CSV and try again.');
	try {
		return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), notes: [] };
	} catch {
		return {
			text: new TextDecoder('windows-1252').decode(bytes),
			notes: ['The file is not UTF-8 and was read as Windows-1252: look at names with accents.']
		};
	}
}

/** A file as it came, or what was pasted. */
export interface Given {
	bytes: Uint8Array | null;
	pasted: string;
}
