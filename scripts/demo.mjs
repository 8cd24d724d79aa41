// npm run demo: everything from a fresh machine to the demo in the browser.
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { demoOf, ensureBuilt, ensureInstalled, fail, failStart, ROOT } from './setup.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt();

/**
 * Whether a running process has the directory; the start below then says so.
 * @param {string} path
 */
function inUse(path) {
	if (!existsSync(join(path, 'in-use.lock'))) return false;
	try {
		process.kill(JSON.parse(readFileSync(join(path, 'holder.json'), 'utf8')).pid, 0);
		return true;
	} catch {
		return false;
	}
}

/**
 * Refuses a directory that holds something and is not the demo's own: it is thrown away whenever the day changes.
 * @param {string} path
 * @param {string} mark
 */
function refuseOthers(path, mark) {
	if (!existsSync(path) || existsSync(mark) || readdirSync(path).length === 0) return;
	fail(
		`The directory ${path} was not made by the demo, so the demo leaves it alone. ` +
			'Give it an empty one with CADREX_DATA, or leave CADREX_DATA out.'
	);
}

// Dates hang on today: data of another day, or of another version of the scenario, is written anew.
const directory = resolve(process.env.CADREX_DATA ?? join(ROOT, 'data', 'demo'));
const stampFile = join(directory, 'written-for.txt');
refuseOthers(directory, stampFile);
const today = demoOf(process.env.CADREX_FIXED_NOW ?? new Date().toISOString());
const stale = existsSync(stampFile) && readFileSync(stampFile, 'utf8') !== today;
if (stale && !inUse(directory)) rmSync(directory, { recursive: true });

process.env.CADREX_DATA = directory;
process.env.CADREX_DEMO = '1';
process.env.CADREX_LOG ??= 'warn';
delete process.env.DATABASE_URL;
const port = Number(process.env.PORT ?? 3000);
if (!existsSync(stampFile)) {
	console.log('Writing the demo data (once a day) …');
	mkdirSync(directory, { recursive: true });
	// Marked before anything is in it: what a start that was cut off leaves behind is the demo’s as well.
	writeFileSync(stampFile, 'being written');
}
try {
	const { url } = await serve({ host: process.env.HOST ?? 'localhost', port });
	writeFileSync(stampFile, today);
	const answer = await fetch(`${url}/api/demo/sign-in`);
	const { email, password, links, helpers } = await answer.json();
	console.log(`\n  Cadrex with the demo data: ${url}\n`);
	console.log(`  Coach             ${email}   ${password}`);
	for (const helper of helpers)
		console.log(
			`  ${helper.role === 'viewer' ? 'A viewer     ' : 'Second coach '}     ${helper.email}   the same password`
		);
	for (const [name, secret] of Object.entries(links))
		console.log(`  ${name.padEnd(18)}${url}/join/${secret}`);
	console.log('\n  Open a participant’s link in a private window to be coach and participant at once.');
} catch (error) {
	failStart(error, port);
}
