import { spawn, type ChildProcess } from 'node:child_process';
import { scripts } from '../../package.json';

export interface RunningServer {
	url: string;
	process: ChildProcess;
	/** Everything it wrote so far. */
	output: () => string;
	/** Ends it as an operator would. */
	stop: () => Promise<void>;
	/** Ends it without warning. */
	kill: () => Promise<void>;
}

/** Starts the built application in a process of its own, as `npm start` does; rejects with its output when it ends instead. */
export function startServer(env: Record<string, string>): Promise<RunningServer> {
	// `exec` replaces the shell, so signals reach the server.
	const child = spawn('sh', ['-c', scripts.start.replace('node', 'exec node')], {
		env: { ...process.env, PORT: '0', HOST: '127.0.0.1', CADREX_LOG: 'info', TEST_DATABASE_URL: '', ...env },
		stdio: ['ignore', 'pipe', 'pipe']
	});
	let output = '';
	const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
	return new Promise((resolve, reject) => {
		const listen = (chunk: Buffer) => {
			output += chunk.toString();
			const url = /Cadrex is at (http\S+)/.exec(output)?.[1];
			if (!url) return;
			const end = async (signal: NodeJS.Signals) => {
				child.kill(signal);
				await ended;
			};
			resolve({
				url,
				process: child,
				output: () => output,
				stop: () => end('SIGTERM'),
				kill: () => end('SIGKILL')
			});
		};
		child.stdout.on('data', listen);
		child.stderr.on('data', listen);
		child.once('exit', (code) => reject(new Error(`ended with ${code}: ${output}`)));
	});
}

/** The cookie that opening a personal link gives. */
export async function cookieOf(url: string, secret: string): Promise<string> {
	const answer = await fetch(`${url}/join/${secret}`, {
		method: 'POST',
		headers: { origin: url, 'content-type': 'application/x-www-form-urlencoded', accept: 'text/html' },
		redirect: 'manual'
	});
	return (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}
