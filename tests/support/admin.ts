import { spawn } from 'node:child_process';
import { join } from 'node:path';

export interface Answer {
	status: number | null;
	stdout: string;
	stderr: string;
}

/**
 * Runs a command of the operator to its end, on the machine of the application.
 * @param directory the data directory; an application that runs on it may have it open
 */
export function admin(directory: string, args: string[], env: Record<string, string> = {}): Promise<Answer> {
	const child = spawn(process.execPath, [join(process.cwd(), 'scripts', 'admin.mjs'), ...args], {
		env: { ...process.env, CADREX_DATA: directory, TEST_DATABASE_URL: '', ...env }
	});
	const said = { stdout: '', stderr: '' };
	for (const name of ['stdout', 'stderr'] as const)
		child[name].on('data', (chunk: Buffer) => (said[name] += chunk.toString()));
	return new Promise((resolve) => child.once('close', (status) => resolve({ status, ...said })));
}
