import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import {
	ascii,
	box,
	CAMERA,
	clip,
	CLUSTER,
	FRAME,
	MADE,
	PLACE,
	TRAIL,
	u32,
	webm
} from '../../../../../tests/support/clips';
import { bareClip, bareClipAt } from './bare-clip';

const bytesOf = (file: Buffer) => new Uint8Array(file);

describe('a clip', () => {
	it.each(['video/mp4', 'video/quicktime'] as const)(
		'as %s loses place, time and camera, and no frame',
		(type) => {
			const before = clip(type === 'video/mp4' ? 'isom' : 'qt  ');
			const all = Buffer.from(bareClip(bytesOf(before), type));
			const text = all.toString('latin1');
			for (const said of [PLACE, CAMERA, TRAIL, 'xmp', 'mdta']) expect(text).not.toContain(said);
			expect(all.includes(u32(MADE))).toBe(false);
			expect(text).toContain(FRAME);
			expect(all.length).toBe(before.length);
			// Everything that plays stays where it is.
			expect(all.indexOf('mdat')).toBe(before.indexOf('mdat'));
			expect(text.match(/trak/g)).toHaveLength(1);
		}
	);

	it.each([
		['isom', 300_000, false],
		['isom', 300_000, true],
		['qt  ', 65_000, true],
		['isom', 5_000_000, true]
	] as const)(
		'on the disk is read in pieces: %s, %i bytes more, its index last: %s',
		(brand, more, isLast) => {
			const before = clip(brand, more, isLast);
			const path = join(mkdtempSync(join(tmpdir(), 'cadrex-clip-')), 'clip');
			writeFileSync(path, before);
			const type = brand === 'qt  ' ? 'video/quicktime' : 'video/mp4';
			bareClipAt(path, type);
			const after = readFileSync(path);
			rmSync(dirname(path), { recursive: true });
			expect(after.equals(Buffer.from(bareClip(bytesOf(before), type)))).toBe(true);
			for (const said of [PLACE, CAMERA, TRAIL]) expect(after.includes(said)).toBe(false);
			expect([after.includes(FRAME), after.length]).toEqual([true, before.length]);
			expect(after.filter((byte) => byte === 7).length).toBeGreaterThanOrEqual(more);
		}
	);

	it('as WebM loses place, time and programs, and no frame, also without a length', () => {
		const before = webm();
		const all = Buffer.from(bareClip(bytesOf(before), 'video/webm'));
		const text = all.toString('latin1');
		for (const said of [PLACE, CAMERA, '\u0001\u0001\u0001\u0001']) expect(text).not.toContain(said);
		expect(text).toContain(FRAME);
		expect(all.length).toBe(before.length);
		expect(all.indexOf(Buffer.from(CLUSTER))).toBe(before.indexOf(Buffer.from(CLUSTER)));
		// Done once more nothing changes: what was emptied is read as such.
		expect(Buffer.from(bareClip(bytesOf(all), 'video/webm')).equals(all)).toBe(true);
	});

	it.each([
		['without an index', 'video/mp4', box('ftyp', ascii('isom'), u32(0))],
		['of noise', 'video/mp4', Buffer.from('\0\0\0\u0010ftypisom' + 'x'.repeat(3000))],
		[
			'with an element that is longer than the file',
			'video/webm',
			Buffer.from([0x1a, 0x45, 0xdf, 0xa3, 0x48, 0x00, 1])
		],
		['with zeros for numbers', 'video/webm', Buffer.from([0x1a, 0x45, 0xdf, 0xa3, 0x80, 0, 0, 0])]
	] as const)('%s is refused', (_, type, file) => {
		expect(() => bareClip(bytesOf(file), type)).toThrow(/The clip is broken/);
	});
});
