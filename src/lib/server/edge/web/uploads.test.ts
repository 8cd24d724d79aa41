import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { afterAll, describe, expect, it } from 'vitest';
import { SENT } from '../../platform/sent-file';
import { sentIn, Unread, Uploads, type BodyLimits, type SentForm } from './uploads';

const dataDirectory = mkdtempSync(join(tmpdir(), 'cadrex-uploads-'));
afterAll(() => rmSync(dataDirectory, { recursive: true }));
const LIMITS: BodyLimits = {
	bytes: 100_000,
	thrownAway: 50_000,
	fields: 20,
	tooLarge: 'too large',
	tooMany: 'too many'
};
const fresh = (diskReserve = 0) => new Uploads({ dataDirectory, diskReserve });
const onDisk = (): string[] => {
	try {
		return readdirSync(join(dataDirectory, SENT));
	} catch {
		return [];
	}
};

/** As a browser writes it. */
async function written(form: FormData): Promise<{ bytes: Buffer; type: string }> {
	const answer = new Response(form);
	return { bytes: Buffer.from(await answer.arrayBuffer()), type: answer.headers.get('content-type')! };
}
/** In pieces, as the network brings it. */
function inPieces(bytes: Uint8Array): ReadableStream<Uint8Array> {
	let at = 0;
	return new ReadableStream<Uint8Array>({
		pull(to) {
			if (at >= bytes.length) to.close();
			else to.enqueue(bytes.subarray(at, (at += 1000)));
		}
	});
}
async function takeForm(uploads: Uploads, form: FormData, who = 'me', limits = LIMITS): Promise<SentForm> {
	const { bytes, type } = await written(form);
	return uploads.take(who, inPieces(bytes), type, limits);
}
const withFile = (bytes: number, name = 'a.png'): FormData => {
	const form = new FormData();
	form.set('file', new File([new Uint8Array(bytes).fill(7)], name, { type: 'image/png' }));
	return form;
};

/** A body that comes in pieces, when it is told to. */
function slowly(content: Uint8Array) {
	let go!: () => void;
	const whole = new Promise<void>((resolve) => (go = resolve));
	let isCancelled = false;
	const body = new ReadableStream<Uint8Array>({
		async start(to) {
			to.enqueue(content.subarray(0, content.length >> 1));
			await whole;
			to.enqueue(content.subarray(content.length >> 1));
			to.close();
		},
		cancel: () => void (isCancelled = true)
	});
	return { body, go, isCancelled: () => isCancelled };
}

describe('a form with a file', () => {
	it('is read as the platform’s own reader reads it (undici, RFC 7578)', async () => {
		const form = new FormData();
		form.append('note', 'first\r\nsecond');
		form.append('note', 'Łódź · 山小屋 · "quoted"');
		form.append('empty', '');
		form.append(
			'file',
			new File(['%PDF-1.7 '.repeat(2000)], 'Łęk "1"\r\n%41.pdf', { type: 'application/pdf' })
		);
		form.append('file', new File([Buffer.from([0, 13, 10, 45, 45, 255])], '../../etc/x', { type: '' }));
		const plain = async (of: FormData) =>
			Promise.all(
				[...of].map(async ([key, value]) => [
					key,
					typeof value === 'string'
						? value
						: [value.name, Buffer.from(await value.arrayBuffer()).toString('hex')]
				])
			);
		const { form: taken, forget } = await takeForm(fresh(), form);
		expect(await plain(taken)).toEqual(await plain(await new Response(form).formData()));
		await forget();
	});

	it('has its file on the disk, and no longer once it is forgotten', async () => {
		const { form, forget } = await takeForm(fresh(), withFile(5000));
		const file = sentIn(form, 'file');
		expect(file).toMatchObject({ size: 5000, name: 'a.png' });
		expect(readFileSync(file!.path).every((byte) => byte === 7)).toBe(true);
		expect(sentIn(form, 'other')).toBeNull();
		await forget();
		expect(onDisk()).toEqual([]);
	});

	it('makes the folder that it needs', async () => {
		const elsewhere = join(dataDirectory, 'not', 'made');
		const { bytes, type } = await written(withFile(10));
		const uploads = new Uploads({ dataDirectory: elsewhere, diskReserve: 0 });
		const { form, forget } = await uploads.take('me', inPieces(bytes), type, LIMITS);
		expect(sentIn(form, 'file')?.size).toBe(10);
		await forget();
	});

	it('without a file chosen has none', async () => {
		const form = new FormData();
		form.set('file', new File([], ''));
		const taken = await takeForm(fresh(), form);
		expect(sentIn(taken.form, 'file')).toBeNull();
		await taken.forget();
	});

	const many = () => {
		const form = withFile(10);
		for (let i = 0; i < 30; i++) form.append(`a${i}`, '1');
		return form;
	};
	const five = () => {
		const form = new FormData();
		for (let i = 0; i < 5; i++) form.append('file', new File(['x'], `${i}`));
		return form;
	};
	it.each<[string, () => FormData, number, string]>([
		['more bytes', () => withFile(120_000), 413, 'too large'],
		['more fields', many, 413, 'too many'],
		['more files', five, 413, 'too many']
	])('with %s than it may have is refused, and leaves nothing', async (_, form, status, message) => {
		const refused = takeForm(fresh(), form());
		await expect(refused).rejects.toMatchObject({ status, message });
		await expect(refused).rejects.not.toBeInstanceOf(Unread);
		expect(onDisk()).toEqual([]);
	});

	it('that is far too large is not read to its end', async () => {
		await expect(takeForm(fresh(), withFile(300_000))).rejects.toBeInstanceOf(Unread);
		expect(onDisk()).toEqual([]);
	});

	it.each([
		['broken off', (bytes: Buffer) => bytes.subarray(0, bytes.length - 60)],
		['broken off in its end', (bytes: Buffer) => bytes.subarray(0, bytes.length - 10)],
		['broken off in a head', (bytes: Buffer) => bytes.subarray(0, 90)],
		['broken off in a text', (bytes: Buffer) => bytes.subarray(0, bytes.indexOf('some words') + 4)],
		['broken off after its first boundary', (bytes: Buffer) => bytes.subarray(0, bytes.indexOf('\r\n') + 2)],
		['empty', () => Buffer.alloc(0)],
		['of something else', () => Buffer.from('x'.repeat(500))]
	])('that is %s is refused, and leaves nothing', async (_, broken) => {
		const form = withFile(5000);
		form.set('note', 'some words');
		const { type, bytes } = await written(form);
		const refused = fresh().take('me', inPieces(broken(bytes)), type, LIMITS);
		await expect(refused).rejects.toMatchObject({ status: 400 });
		expect(onDisk()).toEqual([]);
	});

	it('whose connection ends is refused, and leaves nothing', async () => {
		const { bytes, type } = await written(withFile(5000));
		let isBegun = false;
		const body = new ReadableStream<Uint8Array>({
			pull(to) {
				if (isBegun) to.error(new Error('the connection ended'));
				else to.enqueue(bytes.subarray(0, 3000));
				isBegun = true;
			}
		});
		await expect(fresh().take('me', body, type, LIMITS)).rejects.toMatchObject({ status: 400 });
		expect(onDisk()).toEqual([]);
	});

	it('without a boundary is none', async () => {
		const { bytes } = await written(withFile(10));
		await expect(fresh().take('me', inPieces(bytes), 'multipart/form-data', LIMITS)).rejects.toMatchObject({
			status: 400
		});
	});

	it('is refused when the disk has no room for as much as it may have, and read to its end', async () => {
		const { type, bytes } = await written(withFile(50_000));
		const sent = slowly(bytes);
		const refused = fresh(Number.MAX_SAFE_INTEGER).take('me', sent.body, type, LIMITS);
		const told = expect(refused).rejects.toMatchObject({ status: 503 });
		sent.go();
		await told;
		expect([sent.isCancelled(), onDisk()]).toEqual([false, []]);
	});
});

describe('of several forms', () => {
	const begun = async (uploads: Uploads, who: string) => {
		const { type, bytes } = await written(withFile(5000));
		const sent = slowly(bytes);
		let isThere = false;
		const taken = uploads.take(who, sent.body, type, LIMITS).then(async (form) => {
			isThere = true;
			await form.forget();
		});
		return { go: sent.go, taken, isThere: () => isThere };
	};

	it('one of a person comes at a time, and the rest wait, up to three', async () => {
		const uploads = fresh();
		const all = [];
		for (let i = 0; i < 4; i++) all.push(await begun(uploads, 'me'));
		await expect(takeForm(uploads, withFile(10))).rejects.toMatchObject({ status: 429 });
		const [first, second] = all;
		second!.go();
		await wait(100);
		expect([first!.isThere(), second!.isThere(), onDisk().length]).toEqual([false, false, 1]);
		for (const { go } of all) go();
		await Promise.all(all.map(({ taken }) => taken));
		expect(onDisk()).toEqual([]);
		await (await takeForm(uploads, withFile(10))).forget();
	});

	it('three come at a time', async () => {
		const uploads = fresh();
		const all = [];
		for (let i = 0; i < 9; i++) all.push(await begun(uploads, `p${i}`));
		await wait(100);
		expect(onDisk()).toHaveLength(3);
		for (const { go } of all) go();
		await Promise.all(all.map(({ taken }) => taken));
		expect(onDisk()).toEqual([]);
	});
});
