import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { create, extract } from 'tar';
import { array, number, object, string, type InferType } from 'yup';
import { readAs } from '$contracts/read';
import { sync } from '../../platform/db/disk';
import { freeIn } from '../../platform/db/room';
import { CannotStart } from '../../platform/cannot-start';

/** A backup that cannot be restored, and why. */
export class BackupDamaged extends CannotStart {
	override name = 'BackupDamaged';

	constructor(file: string, what: string) {
		super(`The backup ${file} can’t be restored: ${what}. Nothing was changed; take another one.`);
	}
}

/** Files of a backup, its list and folders left aside, at most. */
const MOST_FILES = 1_000_000;

const MANIFEST = 'manifest.json';
const manifestSchema = object({
	kind: string().oneOf(['cadrex backup']).required(),
	/** Which database it is of. */
	database: string()
		.oneOf(['pglite', 'postgres'] as const)
		.required(),
	/** Version of the application, and number of the newest migration. */
	version: string().required(),
	schema: number().integer().required(),
	at: string().required(),
	files: array(
		object({
			path: string().required(),
			bytes: number().integer().min(0).required(),
			sha256: string().length(64).required()
		}).required()
	)
		.max(MOST_FILES)
		.required()
});
export type Manifest = InferType<typeof manifestSchema>;
export type BackupFacts = Omit<Manifest, 'kind' | 'files'>;

/** Every file below a directory, by its path from there. */
async function filesBelow(directory: string): Promise<string[]> {
	const entries = await readdir(directory, { withFileTypes: true, recursive: true });
	return entries
		.filter((entry) => entry.isFile())
		.map((entry) => join(entry.parentPath, entry.name).slice(directory.length + 1))
		.sort();
}

async function sha256Of(path: string): Promise<string> {
	const hash = createHash('sha256');
	await pipeline(createReadStream(path), hash);
	return hash.digest('hex');
}

async function describe(directory: string): Promise<Manifest['files']> {
	const files: Manifest['files'] = [];
	for (const path of await filesBelow(directory)) {
		const whole = join(directory, path);
		files.push({ path, bytes: (await stat(whole)).size, sha256: await sha256Of(whole) });
	}
	return files;
}

/**
 * Packs a directory into one file, which has its name only when it is whole and on the disk.
 * @param directory whose files nobody changes meanwhile; a list of them is written into it
 * @param file path of the backup
 * @returns its size in bytes
 */
export async function pack(directory: string, file: string, facts: BackupFacts): Promise<number> {
	const manifest: Manifest = { kind: 'cadrex backup', ...facts, files: await describe(directory) };
	await writeFile(join(directory, MANIFEST), `${JSON.stringify(manifest, null, '\t')}\n`);
	const beside = `${file}.part`;
	try {
		// The list comes first: what is read of a backup without unpacking it stands at its beginning.
		const names = (await readdir(directory)).filter((name) => name !== MANIFEST);
		const packed = create({ cwd: directory, gzip: true, portable: true }, [MANIFEST, ...names]);
		await pipeline(packed, asBuffers(), createWriteStream(beside, { mode: 0o600 }));
		sync(beside);
		await rename(beside, file);
		// Its name is on the disk only with the folder that lists it.
		sync(dirname(file));
		return (await stat(file)).size;
	} catch (error) {
		await rm(beside, { force: true });
		throw error;
	}
}

/** The stream of the packer is of a make of its own; Node's own take it by this. */
const asBuffers = (): Transform =>
	new Transform({ transform: (chunk: Buffer, _, done) => done(null, Buffer.from(chunk)) });

/**
 * Unpacks a backup into a directory, which is made, and checks every file of it against the list.
 * @param free bytes that there is room for
 * @throws BackupDamaged when a file is missing, changed or too much, when the backup ends before its end, or unpacks to
 *   more than there is room for
 */
export async function unpack(
	file: string,
	directory: string,
	free: () => number = freeIn(directory)
): Promise<Manifest> {
	await mkdir(directory, { recursive: true });
	const room = free();
	let [bytes, count] = [0, 0];
	/** Whether there is room for one more: what is packed may be a thousandth of what comes of it. */
	const fits = (size: number) => (bytes += size) <= room && ++count <= 2 * MOST_FILES;
	try {
		// Links are none of ours, and would lead out of the directory.
		const plain = (type: string) => type === 'File' || type === 'Directory';
		await extract({
			file,
			cwd: directory,
			strict: true,
			filter: (_, entry) => 'type' in entry && plain(entry.type) && fits(entry.size)
		});
	} catch (error) {
		throw new BackupDamaged(file, `it is not whole (${(error as Error).message.slice(0, 120)})`);
	}
	if (bytes > room || count > 2 * MOST_FILES)
		throw new BackupDamaged(file, 'what is in it is more than there is room for');
	const text = await readFile(join(directory, MANIFEST), 'utf8').catch(() => null);
	if (text === null) throw new BackupDamaged(file, 'it has no list of its files, so it is no backup of ours');
	const { value: manifest } = readAs(manifestSchema, parsed(text));
	if (!manifest) throw new BackupDamaged(file, 'the list of its files cannot be read');
	await rm(join(directory, MANIFEST));
	const found = new Map((await describe(directory)).map((one) => [one.path, one]));
	for (const { path, bytes, sha256 } of manifest.files) {
		const there = found.get(path);
		if (!there) throw new BackupDamaged(file, `${path} is missing`);
		if (there.bytes !== bytes || there.sha256 !== sha256)
			throw new BackupDamaged(file, `${path} is not what was written`);
		found.delete(path);
	}
	const [more] = found.keys();
	if (more !== undefined) throw new BackupDamaged(file, `${more} is not in its list`);
	return manifest;
}

function parsed(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}
