// npm run demo: everything from a fresh machine to the demo in the browser.
import { existsSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuilt, ensureInstalled, failStart, ROOT } from './setup.mjs';
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

// Dates hang on today: data of another day, or of another version of the scenario, is written anew.
const directory = resolve(process.env.CADREX_DATA ?? join(ROOT, 'data', 'demo'));
const stampFile = join(directory, 'written-for.txt');
const built = Math.round(statSync(join(ROOT, 'build', 'index.js')).mtimeMs);
const today = `${(process.env.CADREX_FIXED_NOW ?? new Date().toISOString()).slice(0, 10)} ${built}`;
const stale = existsSync(directory) && (!existsSync(stampFile) || readFileSync(stampFile, 'utf8') !== today);
if (stale && !inUse(directory)) rmSync(directory, { recursive: true });

process.env.CADREX_DATA = directory;
process.env.CADREX_DEMO = '1';
process.env.CADREX_LOG ??= 'warn';
delete process.env.DATABASE_URL;
const port = Number(process.env.PORT ?? 3000);
if (!existsSync(directory)) console.log('Writing the demo data (once a day) …');
try {
	const { url } = await serve({ host: process.env.HOST ?? 'localhost', port });
	mkdirSync(directory, { recursive: true });
	writeFileSync(stampFile, today);
	const answer = await fetch(`${url}/api/demo/sign-in`);
	const { email, password, links } = await answer.json();
	console.log(`\n  Cadrex with the demo data: ${url}\n`);
	console.log(`  Coach             ${email}   ${password}`);
	for (const [name, secret] of Object.entries(links))
		console.log(`  ${name.padEnd(18)}${url}/join/${secret}`);
	console.log('\n  Open a participant’s link in a private window to be coach and participant at once.');
} catch (error) {
	failStart(error, port);
}
