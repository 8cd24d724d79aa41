// Chromium without a window, from Debian's packages, for the browser tests and the screenshots.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fail } from './setup.mjs';

const PACKAGE = 'chromium-headless-shell';
export const CHROMIUM = `/usr/bin/${PACKAGE}`;

/** For a browser without a sandbox of its own and without a network to look up anything in. */
export const CHROMIUM_FLAGS = [
	'--no-sandbox',
	'--disable-gpu',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];

/** Installs the browser where it is missing, or says the one command to run. */
export function ensureChromium() {
	if (existsSync(CHROMIUM)) return;
	if (process.getuid?.() !== 0)
		fail(`The browser tests need Chromium. Run: sudo apt-get install -y ${PACKAGE}`);
	console.log('Installing Chromium …');
	spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore' });
	const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
	spawnSync('apt-get', ['install', '-y', '-qq', PACKAGE], { stdio: 'ignore', env });
	if (!existsSync(CHROMIUM))
		fail(`Chromium could not be installed. Run: apt-get update && apt-get install -y ${PACKAGE}`);
}
