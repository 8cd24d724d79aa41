import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { peggy } from './vite.peggy.mjs';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** The tests of the core alone, without a database or a page: what `npm run mutation` runs again and again. */
export default defineConfig({
	plugins: [peggy()],
	resolve: {
		alias: {
			$core: here('src/core'),
			$contracts: here('src/contracts'),
			$lib: here('src/lib'),
			$demo: here('src/demo')
		}
	},
	test: {
		include: ['src/core/**/*.test.ts', 'tests/house/formats.test.ts', 'tests/reference/*.test.ts'],
		// The first three are not about the core; the last two take too long to be run again and again.
		exclude: ['tests/reference/{rfc4180,rfc5545,session-schema,windows,triage-cohorts}.test.ts'],
		env: { FEW_RUNS: '1' },
		setupFiles: ['tests/support/runs.ts'],
		testTimeout: 60_000
	}
});
