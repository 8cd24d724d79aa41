import { defineConfig } from '@playwright/test';
import { CHROMIUM, CHROMIUM_FLAGS } from './scripts/chromium.mjs';

const PORT = 4173;

export default defineConfig({
	testDir: 'tests/e2e',
	// One server with one set of demo data: tests go one after the other.
	workers: 1,
	retries: 0,
	timeout: 45_000,
	reporter: [
		['list'],
		['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? 'test-results/report.json' }]
	],
	use: {
		baseURL: `http://localhost:${PORT}`,
		viewport: { width: 1280, height: 800 },
		launchOptions: {
			executablePath: CHROMIUM,
			args: CHROMIUM_FLAGS
		}
	},
	webServer: {
		command: 'node tests/support/e2e-server.mjs',
		url: `http://localhost:${PORT}/api/demo/sign-in`,
		timeout: 180_000,
		reuseExistingServer: false,
		env: { PORT: String(PORT) }
	}
});
