// npm test: everything that must hold, from a fresh machine; ends with `N passed, N failed`.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { startPostgres } from './postgres.mjs';
import { ensureInstalled, ROOT } from './setup.mjs';

ensureInstalled();
ensureChromium();
const cache = join(ROOT, '.cache');
mkdirSync(cache, { recursive: true });

let passed = 0;
let failed = 0;
/** @type {string[]} */
const broken = [];

/** What is young is collected by the 64 MB: what reads and writes programs spends a tenth less on it. */
const NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim();
const PLAIN = { ...process.env, NODE_OPTIONS, NO_COLOR: '1', FORCE_COLOR: '0' };
/** @param {number} began */
const took = (began) => `  (${((Date.now() - began) / 1000).toFixed(0)} s)`;
/** @param {string} program path of its script below node_modules */
const script = (program) => join(ROOT, 'node_modules', program);

/**
 * Runs a script to its end.
 * @param {string} path
 * @param {string[]} args
 * @param {{ shown: boolean, env?: Record<string, string> }} how shown: what it says is seen as it says it
 */
async function node(path, args, { shown, env = {} }) {
	const child = spawn(process.execPath, [path, ...args], {
		cwd: ROOT,
		env: { ...PLAIN, ...env },
		stdio: shown ? 'inherit' : 'pipe'
	});
	let said = '';
	for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => (said += chunk));
	const status = await new Promise((resolve) => child.once('close', resolve));
	return { well: status === 0, said: said.trimEnd() };
}

/**
 * A check that holds or does not. What it says is written when it is done, so that several may run at once.
 * @param {string} name
 * @param {string} path of the script
 * @param {string[]} args
 */
async function check(name, path, args) {
	const began = Date.now();
	const { well, said } = await node(path, args, { shown: false });
	console.log(`\n== ${name}\n${said}\n${took(began)}`);
	if (well) passed++;
	else {
		failed++;
		broken.push(name);
	}
}

/**
 * Does pieces of work, as many at once as there are cores.
 * @param {(() => Promise<void>)[]} pieces in the order in which they are begun
 */
async function together(pieces) {
	const left = [...pieces];
	const worker = async () => {
		for (let next = left.shift(); next; next = left.shift()) await next();
	};
	await Promise.all(Array.from({ length: availableParallelism() }, worker));
}

/** @typedef {{ path: string, args: (report: string) => string[], env?: (report: string) => Record<string, string>, count: (report: any) => { passed: number, failed: number } }} Runner */

/**
 * Runs tests with a runner that counts for itself, and says so in a JSON file.
 * @param {string} name @param {Runner} runner @param {boolean} shown whether what it says is seen as it says it
 */
async function suite(name, { path, args, env, count }, shown = true) {
	const began = Date.now();
	if (shown) console.log(`\n== ${name}`);
	const report = join(cache, `report-${name.replaceAll(' ', '-')}.json`);
	rmSync(report, { force: true });
	const { well, said } = await node(path, args(report), { shown, env: env?.(report) });
	console.log(shown ? took(began) : `\n== ${name}\n${said}\n${took(began)}`);
	const result = existsSync(report)
		? count(JSON.parse(readFileSync(report, 'utf8')))
		: { passed: 0, failed: 1 };
	passed += result.passed;
	// A runner that fails without a failed test (a file that does not load) has failed all the same.
	failed += well ? result.failed : Math.max(1, result.failed);
	if (!well || result.failed > 0 || result.passed === 0) broken.push(name);
	if (well && result.passed === 0) failed++;
}

/** @param {string[]} more @param {Record<string, string>} [env] @returns {Runner} */
const vitest = (more, env = {}) => ({
	path: script('vitest/vitest.mjs'),
	args: (report) => ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`, ...more],
	env: () => env,
	count: (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests })
});
const projects = (/** @type {string[]} */ ...names) => vitest(names.flatMap((name) => ['--project', name]));

await check('types are generated', script('@sveltejs/kit/svelte-kit.js'), ['sync']);
/** @type {Promise<void> | undefined} */
let built;
await together([
	() => (built = check('build', join(ROOT, 'scripts', 'build.mjs'), [])),
	() => check('lint', script('oxlint/bin/oxlint'), []),
	() => check('lint of components', script('eslint/bin/eslint.js'), ['--max-warnings', '0', 'src']),
	() => check('formatting', script('prettier/bin/prettier.cjs'), ['--check', '--log-level', 'warn', '.']),
	async () => {
		// Both write .svelte-kit, each for itself: side by side they make a build that does not start.
		await built;
		// Prepares databases as well: the tests below take copies of them.
		await suite('house rules', projects('house'), false);
	},
	async () => {
		await built;
		await check('demo data', join(ROOT, 'tests', 'support', 'e2e-server.mjs'), ['prepare']);
	},
	() =>
		check('types', script('svelte-check/bin/svelte-check'), [
			'--tsgo',
			'--fail-on-warnings',
			'--output',
			'human'
		]),
	() =>
		check('directions', script('dependency-cruiser/bin/dependency-cruise.mjs'), [
			'src',
			'--config',
			'.dependency-cruiser.cjs'
		]),
	() =>
		check('circles between folders', script('dependency-cruiser/bin/dependency-cruise.mjs'), [
			'src',
			'--config',
			'.dependency-cruiser.folders.cjs'
		]),
	() => check('unused code', script('knip/bin/knip.js'), ['--no-config-hints'])
]);
const postgres = await startPostgres();
// Beside each other: one waits for its clocks and processes, the other for its server.
await together([
	() => suite('unit, reference, server and fault tests', projects('all', 'clock')),
	async () => {
		if (!('url' in postgres)) console.log(`\n== server tests on PostgreSQL: NOT RUN, ${postgres.why}`);
		else
			await suite(
				'server tests on PostgreSQL',
				vitest([], { TEST_DATABASE_URL: postgres.url }),
				false
			).finally(postgres.stop);
	}
]);
await suite('what measures how long others wait', projects('alone'));

await suite('browser tests', {
	path: script('@playwright/test/cli.js'),
	args: () => ['test'],
	env: (report) => ({ PLAYWRIGHT_JSON_OUTPUT_NAME: report }),
	count: ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky })
});

if (broken.length > 0) console.log(`\nNot in order: ${broken.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 || broken.length > 0 ? 1 : 0);
