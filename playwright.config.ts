import { defineConfig } from '@playwright/test';
import { CHROMIUM, CHROMIUM_FLAGS } from './scripts/chromium.mjs';

export default defineConfig({
	testDir: 'tests/e2e',
	globalSetup: './tests/e2e/setup.ts',
	// Each worker has a server of its own with demo data of its own: its files go one after the other.
	workers: 2,
	retries: 0,
	// Two browsers and two servers share the machine, and the machine may have other work: a page may be
	// slow without being wrong. These limits end what hangs; how fast a page is, the bench tells.
	timeout: 240_000,
	expect: { timeout: 20_000 },
	reporter: [
		['list'],
		['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? 'test-results/report.json' }]
	],
	use: {
		// What cannot be clicked is reported where it happened, not as a test that took too long.
		actionTimeout: 40_000,
		viewport: { width: 1280, height: 800 },
		launchOptions: {
			executablePath: CHROMIUM,
			args: CHROMIUM_FLAGS
		}
	}
});
