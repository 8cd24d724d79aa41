import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	build: { chunkSizeWarningLimit: 700 },
	test: {
		// With a PostgreSQL server at hand: what touches the database, once more on that one.
		include: process.env.TEST_DATABASE_URL
			? ['tests/{server,postgres}/**/*.test.ts']
			: ['src/**/*.test.ts', 'tests/{reference,server,faults,house}/**/*.test.ts'],
		globalSetup: ['tests/support/global-setup.ts'],
		// One process a core: the longest files wait for a child process or a clock, not for the core.
		maxWorkers: '100%',
		testTimeout: 30_000,
		hookTimeout: 60_000
	}
});
