// A PostgreSQL server of its own for the tests: started from the system's binaries, gone afterwards.
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const HOME = '/usr/lib/postgresql';
const isRoot = process.getuid?.() === 0;

/** The directory of the newest installed server's programs, null without one. */
function binaries() {
	if (!existsSync(HOME)) return null;
	const versions = readdirSync(HOME).filter((name) => existsSync(join(HOME, name, 'bin', 'initdb')));
	const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
	return newest ? join(HOME, newest, 'bin') : null;
}

/** @returns {Promise<number>} a port that is free now */
function freePort() {
	return new Promise((resolve, reject) => {
		const server = createServer();
		server.once('error', reject);
		server.listen(0, '127.0.0.1', () => {
			const address = server.address();
			server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
		});
	});
}

/**
 * Starts a server, installing it first where that is allowed.
 * @returns {Promise<{ url: string, stop: () => void } | { why: string }>}
 */
export async function startPostgres() {
	let bin = binaries();
	if (!bin && isRoot) {
		spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore' });
		spawnSync('apt-get', ['install', '-y', '-qq', 'postgresql'], {
			stdio: 'ignore',
			env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
		});
		bin = binaries();
	}
	if (!bin) return { why: 'no PostgreSQL server is installed: apt-get install postgresql' };
	const programs = bin;
	const directory = mkdtempSync(join(tmpdir(), 'cadrex-pg-'));
	// The server refuses to run as root.
	/** @param {string} program @param {string[]} args */
	const as = (program, args) =>
		isRoot
			? execFileSync('runuser', ['-u', 'postgres', '--', join(programs, program), ...args], {
					stdio: 'ignore',
					cwd: directory
				})
			: execFileSync(join(programs, program), args, { stdio: 'ignore', cwd: directory });
	try {
		if (isRoot) execFileSync('chown', ['postgres', directory]);
		const port = await freePort();
		const data = join(directory, 'data');
		as('initdb', ['-D', data, '-U', 'postgres', '-A', 'trust', '-E', 'UTF8']);
		const options = `-p ${port} -k ${directory} -c listen_addresses=127.0.0.1 -c fsync=off -c max_connections=60`;
		as('pg_ctl', ['-D', data, '-o', options, '-l', join(directory, 'log'), '-w', 'start']);
		return {
			url: `postgres://postgres@127.0.0.1:${port}/postgres`,
			stop: () => {
				as('pg_ctl', ['-D', data, '-m', 'immediate', 'stop']);
				rmSync(directory, { recursive: true, force: true });
			}
		};
	} catch (error) {
		rmSync(directory, { recursive: true, force: true });
		return {
			why: `the PostgreSQL server did not start: ${error instanceof Error ? error.message : String(error)}`
		};
	}
}
