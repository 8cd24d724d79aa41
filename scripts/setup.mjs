// What the other scripts share: installing, building and reading the environment, without anything but Node.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/**
 * Runs a command in the project's root with its output shown.
 * @param {string} command
 * @param {string[]} args
 * @param {Record<string, string>} [env]
 */
export function run(command, args, env = {}) {
	return (
		spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0
	);
}

/**
 * The newest change below a path, in milliseconds.
 * @param {string} path
 * @returns {number}
 */
function newest(path) {
	const stat = statSync(path);
	if (!stat.isDirectory()) return stat.mtimeMs;
	return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}

/** Installs the packages of the lock file when they are missing or older than it. */
export function ensureInstalled() {
	const stamp = join(ROOT, 'node_modules', '.package-lock.json');
	const lock = join(ROOT, 'package-lock.json');
	if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs - 1000) return;
	console.log('Installing the packages …');
	if (!run('npm', ['ci', '--no-audit', '--no-fund'])) fail('npm ci failed; see above.');
}

/** Builds the application and its tools when a source is newer than the last build. */
export function ensureBuilt() {
	const outputs = ['build/index.js', 'build-cli/admin.js'].map((file) => join(ROOT, file));
	const sources = [
		'src',
		'static',
		'tests/load',
		'package.json',
		'svelte.config.js',
		'vite.config.ts',
		'vite.cli.config.ts'
	];
	const changed = Math.max(...sources.map((name) => newest(join(ROOT, name))));
	if (outputs.every((file) => existsSync(file) && statSync(file).mtimeMs > changed)) return;
	console.log('Building …');
	for (const config of ['vite.config.ts', 'vite.cli.config.ts']) {
		const vite = join(ROOT, 'node_modules', 'vite', 'bin', 'vite.js');
		const built = spawnSync(process.execPath, [vite, 'build', '--config', config, '--logLevel', 'warn'], {
			cwd: ROOT,
			encoding: 'utf8',
			// A test that starts the application hands its own on, and pages would be built with checks that take twice the time.
			env: { ...process.env, NODE_ENV: 'production' }
		});
		if (built.status !== 0)
			fail(`${built.stdout}${built.stderr}\nThe build with ${config} failed; see above.`);
	}
}

/**
 * For which day, and by which build, demo data are written.
 * @param {string} now
 */
export const demoOf = (now) =>
	`${now.slice(0, 10)} ${Math.round(statSync(join(ROOT, 'build', 'index.js')).mtimeMs)}`;

/**
 * @param {string} message
 * @returns {never}
 */
export function fail(message) {
	console.error(message);
	process.exit(1);
}

/**
 * Ends the process with what went wrong in a sentence where there is one.
 * @param {unknown} cause
 * @param {number} port
 * @returns {never}
 */
export function failStart(cause, port) {
	if (!(cause instanceof Error)) fail(String(cause));
	if ('code' in cause && cause.code === 'EADDRINUSE')
		fail(`Port ${port} is taken. Choose another with PORT.`);
	if ('cannotStart' in cause) fail(cause.message);
	fail(cause.stack ?? cause.message);
}
