// npm test: everything that must hold, from a fresh machine; ends with `N passed, N failed`.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { startPostgres } from './postgres.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

ensureInstalled();
ensureChromium();
const cache = join(ROOT, '.cache');
mkdirSync(cache, { recursive: true });

let passed = 0;
let failed = 0;
/** @type {string[]} */
const broken = [];

/**
 * Runs a program of node_modules.
 * @param {string} program path of its script below node_modules
 * @param {string[]} args
 * @param {Record<string, string>} [env]
 */
function node(program, args, env = {}) {
	const began = Date.now();
	const { status } = spawnSync(process.execPath, [join(ROOT, 'node_modules', program), ...args], {
		cwd: ROOT,
		stdio: 'inherit',
		env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0', ...env }
	});
	console.log(`  (${((Date.now() - began) / 1000).toFixed(0)} s)`);
	return status === 0;
}

/**
 * A check that holds or does not.
 * @param {string} name @param {string} program @param {string[]} args
 */
function check(name, program, args) {
	console.log(`\n== ${name}`);
	if (node(program, args)) passed++;
	else {
		failed++;
		broken.push(name);
	}
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

check('types are generated', '@sveltejs/kit/svelte-kit.js', ['sync']);
check('formatting', 'prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);
check('lint', 'eslint/bin/eslint.js', ['--max-warnings', '0', '.']);
check('types', 'svelte-check/bin/svelte-check', ['--fail-on-warnings', '--output', 'human']);
check('directions', 'dependency-cruiser/bin/dependency-cruise.mjs', [
	'src',
	'--config',
	'.dependency-cruiser.cjs'
]);
check('unused code', 'knip/bin/knip.js', ['--no-config-hints']);

console.log('\n== build');
ensureBuilt();
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
