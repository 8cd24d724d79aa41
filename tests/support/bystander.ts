import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, writeFileSync } from 'node:fs';

/** A server that does nothing else. What it keeps somebody waiting is the machine’s doing, and the asker’s own. */
const SERVER = `
	const server = require('node:http').createServer((_, answer) => answer.end('ok'));
	server.listen(0, '127.0.0.1', () => console.log(server.address().port));
`;

export interface Bystander {
	url: string;
	process: ChildProcess;
	stop: () => void;
}

/** Starts one in a process of its own. */
export async function startBystander(): Promise<Bystander> {
	const child = spawn(process.execPath, ['-e', SERVER], { stdio: ['ignore', 'pipe', 'inherit'] });
	const [port] = (await once(child.stdout, 'data')) as [Buffer];
	return { url: `http://127.0.0.1:${port.toString().trim()}/`, process: child, stop: () => child.kill() };
}

/** Milliseconds until a short answer has been read. */
async function waitFor(url: string): Promise<number> {
	const began = performance.now();
	await (await fetch(url)).text();
	return performance.now() - began;
}

/** Milliseconds so far in which a process had something to do and no core to do it on (proc(5), schedstat). */
function heldBack({ pid }: ChildProcess): number {
	try {
		return Number(readFileSync(`/proc/${pid}/schedstat`, 'utf8').split(' ')[1]) / 1e6;
	} catch {
		return 0;
	}
}

/** Milliseconds so far that another machine on the same host took from this one, all cores together (proc(5), stat). */
function stolen(): number {
	try {
		const [, ...times] = readFileSync('/proc/stat', 'utf8').split('\n', 1)[0]!.split(/ +/);
		// In hundredths of a second.
		return Number(times[7]) * 10;
	} catch {
		return 0;
	}
}

/**
 * The longest that somebody waits for a short answer of a server while `work` goes on, in milliseconds, by what the
 * server does. What the machine does is taken off: the time for which the bystander, too, kept waiting at that moment,
 * for which the server got no core, or for which the host took them away, whichever is most.
 */
export async function longestWait(
	server: { process: ChildProcess },
	address: string,
	bystander: Bystander,
	work: () => Promise<unknown>
): Promise<number> {
	let longest = 0;
	let done = false;
	const ended = work().finally(() => (done = true));
	do {
		const before = [heldBack(server.process), stolen()] as const;
		const [asked, idle] = await Promise.all([waitFor(address), waitFor(bystander.url)]);
		const [held, taken] = [heldBack(server.process) - before[0], stolen() - before[1]];
		longest = Math.max(longest, asked - Math.max(idle, held, taken));
	} while (!done);
	await ended;
	return longest;
}

const statusOf = ({ pid }: ChildProcess, name: 'VmRSS' | 'VmHWM'): number =>
	Number(new RegExp(`${name}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

/** Megabytes that a process holds. */
export const heldBy = (process: ChildProcess): number => statusOf(process, 'VmRSS');

/** Megabytes that a process held more, at its highest, while work went on. */
export async function growthOf(process: ChildProcess, work: () => Promise<unknown>): Promise<number> {
	const before = heldBy(process);
	// The highest so far is counted anew from here (proc(5), clear_refs).
	writeFileSync(`/proc/${process.pid}/clear_refs`, '5');
	await work();
	return statusOf(process, 'VmHWM') - before;
}
