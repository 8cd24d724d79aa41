import { timingSafeEqual } from 'node:crypto';
import { number, object, string } from 'yup';
import { hashToken, type Ids } from './ids';
import { filesIn } from './files';

/**
 * How a command reaches the process that has the data directory: by its address and a token that only somebody who may
 * read the directory knows.
 */
const FILE = 'control.json';
const controlSchema = object({
	url: string()
		.matches(/^http:\/\//)
		.required(),
	token: string().required(),
	pid: number().integer().required()
});

/** Lets commands in from now on; the token lives as long as the process. */
export class Control {
	private token: string | null = null;

	constructor(
		private readonly directory: string,
		private readonly ids: Ids
	) {}

	async open(url: string): Promise<void> {
		this.token = this.ids.secret();
		const control = { url, token: this.token, pid: process.pid };
		await filesIn(this.directory).write(FILE, JSON.stringify(control));
	}

	/** Whether a request’s `authorization` is that of a command. */
	lets(authorization: string | null): boolean {
		if (this.token === null || !authorization) return false;
		const [given, own] = [authorization, `Bearer ${this.token}`].map((text) => Buffer.from(hashToken(text)));
		return timingSafeEqual(given!, own!);
	}

	async close(): Promise<void> {
		if (this.token === null) return;
		this.token = null;
		await filesIn(this.directory).remove(FILE);
	}
}

/** Where the process of a data directory is reached; null when none says so. */
export async function controlOf(directory: string): Promise<{ url: string; token: string } | null> {
	const text = await filesIn(directory).read(FILE);
	try {
		return controlSchema.validateSync(JSON.parse(String(text)));
	} catch {
		return null;
	}
}
