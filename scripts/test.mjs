// npm test: everything that must hold, from a fresh machine; ends with `N passed, N failed`.
import { spawn, spawnSync } from 'node:child_process';
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

const PLAIN = { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0' };
/** @param {number} began */
const took = (began) => `  (${((Date.now() - began) / 1000).toFixed(0)} s)`;
/** @param {string} program path of its script below node_modules */
const script = (program) => join(ROOT, 'node_modules', program);

/**
 * Runs a program of node_modules.
 * @param {string} program
 * @param {string[]} args
 * @param {Record<string, string>} [env]
 */
function node(program, args, env = {}) {
	const began = Date.now();
	const { status } = spawnSync(process.execPath, [script(program), ...args], {
		cwd: ROOT,
		stdio: 'inherit',
		env: { ...PLAIN, ...env }
	});
	console.log(took(began));
	return status === 0;
}

/**
 * A check that holds or does not. What it says is written when it is done, so that several may run at once.
 * @param {string} name
 * @param {string} path of the script
 * @param {string[]} args
 */
async function check(name, path, args) {
	const began = Date.now();
	const child = spawn(process.execPath, [path, ...args], { cwd: ROOT, env: PLAIN });
	let said = '';
	for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
	const status = await new Promise((resolve) => child.once('close', resolve));
	console.log(`\n== ${name}\n${said.trimEnd()}\n${took(began)}`);
	if (status === 0) passed++;
	else {
		failed++;
		broken.push(name);
	}
}

/**
 * Does pieces of work, as many at once as there are cores.
 * @param {(() => Promise<void>)[]} pieces the longest first
 */
async function together(pieces) {
	const left = [...pieces];
	const worker = async () => {
		for (let next = left.shift(); next; next = left.shift()) await next();
	};
	await Promise.all(Array.from({ length: availableParallelism() }, worker));
}

/**
 * A runner that counts for itself, and says so in a JSON file.
 * @param {string} name @param {(report: string) => boolean} run
 * @param {(report: any) => { passed: number, failed: number }} count
 */
function suite(name, run, count) {
	console.log(`\n== ${name}`);
	const report = join(cache, 'report.json');
	rmSync(report, { force: true });
	const well = run(report);
	const result = existsSync(report)
		? count(JSON.parse(readFileSync(report, 'utf8')))
		: { passed: 0, failed: 1 };
	passed += result.passed;
	// A runner that fails without a failed test (a file that does not load) has failed all the same.
	failed += well ? result.failed : Math.max(1, result.failed);
	if (!well || result.failed > 0 || result.passed === 0) broken.push(name);
	if (well && result.passed === 0) failed++;
}

/** @param {any} report */
const vitestCount = (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests });
/** @param {string[]} more @param {Record<string, string>} [env] */
const vitest = (more, env) => (/** @type {string} */ report) =>
	node(
		'vitest/vitest.mjs',
		['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`, ...more],
		env
	);

await check('types are generated', script('@sveltejs/kit/svelte-kit.js'), ['sync']);
await together([
	() => check('lint', script('eslint/bin/eslint.js'), ['--max-warnings', '0', '.']),
	() => check('build', join(ROOT, 'scripts', 'build.mjs'), []),
	() => check('types', script('svelte-check/bin/svelte-check'), ['--fail-on-warnings', '--output', 'human']),
	() => check('formatting', script('prettier/bin/prettier.cjs'), ['--check', '--log-level', 'warn', '.']),
	() => check('unused code', script('knip/bin/knip.js'), ['--no-config-hints']),
	() =>
		check('directions', script('dependency-cruiser/bin/dependency-cruise.mjs'), [
			'src',
			'--config',
			'.dependency-cruiser.cjs'
		])
]);
suite('unit, reference, server and fault tests', vitest([]), vitestCount);

const postgres = await startPostgres();
if ('url' in postgres) {
	try {
		suite('server tests on PostgreSQL', vitest([], { TEST_DATABASE_URL: postgres.url }), vitestCount);
	} finally {
		postgres.stop();
	}
} else console.log(`\n== server tests on PostgreSQL: NOT RUN, ${postgres.why}`);

suite(
	'browser tests',
	(report) => node('@playwright/test/cli.js', ['test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: report }),
	(report) => ({ passed: report.stats.expected, failed: report.stats.unexpected + report.stats.flaky })
);

if (broken.length > 0) console.log(`\nNot in order: ${broken.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 || broken.length > 0 ? 1 : 0);
