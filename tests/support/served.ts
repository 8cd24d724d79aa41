import { join } from 'node:path';
import { openPglite } from '$lib/server/platform/db/pglite';
import { contextOn, makeWorld, PASSWORD, type TestContext, type World } from './context';
import { dataDirectory, ownFolder } from './directories';
import { cookieOf, startServer, type RunningServer } from './server';

/** The built application with a small world in it, and what somebody sends to it. */
export interface Served {
	server: RunningServer;
	directory: string;
	/** Ends it and starts it again, at another time. */
	restartAt: (instant: string) => Promise<void>;
	world: World;
	/** Cookies of the first participant and of the coach. */
	me: string;
	coach: string;
	get: (path: string, cookie?: string) => Promise<Response>;
	post: (path: string, body: BodyInit, cookie?: string, type?: string) => Promise<Response>;
	/** What the answer to a sign-in puts into the browser. */
	signIn: (email: string, password: string) => Promise<Response>;
}

export const FORM = 'application/x-www-form-urlencoded';
/** The same so many times. */
export const many = <T>(count: number, of: T): T[] => Array.from({ length: count }, () => of);

/** Fields of a form that may have a file in it. */
export function formOf(fields: Record<string, string>): FormData {
	const form = new FormData();
	for (const [name, value] of Object.entries(fields)) form.set(name, value);
	return form;
}

export const cookieIn = (answer: Response): string =>
	(answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';

/**
 * @param name what for
 * @param more what else is written before the server starts
 */
export async function serveWorld(
	name: string,
	env: Record<string, string> = {},
	more: (context: TestContext, world: World, directory: string) => Promise<unknown> = () => Promise.resolve()
): Promise<Served> {
	const directory = dataDirectory(join(ownFolder(name), 'data'));
	const db = await openPglite(directory);
	const context = contextOn(db);
	const world = await makeWorld(context);
	await more(context, world, directory);
	await db.close();
	const start = (instant: string) =>
		startServer({ CADREX_DATA: directory, CADREX_FIXED_NOW: instant, ...env });
	const server = await start('2026-11-25T12:00:00Z');
	const get: Served['get'] = (path, cookie = '') =>
		fetch(served.server.url + path, { headers: { cookie }, redirect: 'manual' });
	const post: Served['post'] = (path, body, cookie = '', type = 'application/json') =>
		fetch(served.server.url + path, {
			method: 'POST',
			body,
			headers: {
				cookie,
				...(type && { 'content-type': type }),
				origin: served.server.url,
				accept: 'text/html'
			},
			redirect: 'manual'
		});
	const signIn: Served['signIn'] = (email, password) =>
		post('/sign-in', new URLSearchParams({ email, password }).toString(), '', FORM);
	const served: Served = {
		server,
		directory,
		restartAt: async (instant) => {
			await served.server.stop();
			served.server = await start(instant);
		},
		world,
		me: await cookieOf(server.url, world.secrets[0]!),
		coach: '',
		get,
		post,
		signIn
	};
	served.coach = cookieIn(await signIn('runa@example.org', PASSWORD));
	return served;
}
