import { BaseSequencer, type TestSpecification } from 'vitest/node';
import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { peggy } from './vite.peggy.mjs';

const globalSetup = ['tests/support/global-setup.ts'];
/** Measures how long others wait: nothing else may be at work meanwhile. */
const ALONE = ['tests/faults/hostile.test.ts', 'tests/faults/hostile-files.test.ts'];
/** Takes what is in a database and writes it down: on any database the same. */
const PAPER = ['tests/server/{pdf,demo-files}.test.ts'];
/**
 * Goes by a clock of its own, and needs a process of its own for that: whatever files before it left running would be wound on
 * with it, an hour of its work within a test.
 */
const CLOCK = ['src/**/*.clock.test.ts'];

function suites() {
	// `npm run soak` has a file of its own.
	if (process.env.SOAK_SECONDS) return [{ name: 'soak', include: ['tests/load/*.test.ts'], globalSetup }];
	// With a PostgreSQL server at hand: what touches the database, once more on that one.
	if (process.env.TEST_DATABASE_URL)
		return [
			{
				name: 'postgres',
				include: ['tests/{server,postgres}/**/*.test.ts'],
				exclude: PAPER,
				globalSetup
			}
		];
	return [
		{
			name: 'all',
			include: ['src/**/*.test.ts', 'tests/{reference,server,faults}/**/*.test.ts'],
			exclude: [...ALONE, ...CLOCK],
			globalSetup,
			sequence: { groupOrder: 1 }
		},
		{ name: 'house', include: ['tests/house/*.test.ts'], globalSetup, sequence: { groupOrder: 1 } },
		{ name: 'clock', include: CLOCK, globalSetup, isolate: true, sequence: { groupOrder: 1 } },
		{ name: 'alone', include: ALONE, globalSetup, maxWorkers: 1, sequence: { groupOrder: 2 } }
	];
}

/** Files that wait the longest begin first, so that none of them is left over at the end. */
class LongestFirst extends BaseSequencer {
	override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
		const waits = ({ moduleId }: TestSpecification) => Number(/tests\/(?:faults|reference)\//.test(moduleId));
		return (await super.sort(files)).sort((a, b) => waits(b) - waits(a));
	}
}

export default defineConfig({
	plugins: [peggy(), tailwindcss(), sveltekit()],
	worker: { plugins: () => [peggy()] },
	build: { chunkSizeWarningLimit: 700 },
	test: {
		projects: suites().map((suite) => ({ extends: true as const, test: suite })),
		// One process a core; files that wait long for a child process or a clock begin first.
		maxWorkers: '100%',
		sequence: { sequencer: LongestFirst },
		// The files of a process share what they import: loading it anew for each took a third of the time.
		isolate: false,
		testTimeout: 30_000,
		hookTimeout: 60_000
	}
});
