import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { peggy } from './vite.peggy.mjs';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles what runs outside the thread of the web server (administration, benchmarks, worker threads); packages stay external. */
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
	publicDir: false,
	build: {
		ssr: true,
		outDir: 'build-cli',
		target: 'node20',
		rolldownOptions: {
			input: {
				admin: 'src/cli/admin.ts',
				bench: 'tests/load/bench.ts',
				figures: 'src/cli/figures.ts',
				schemas: 'src/cli/schemas.ts',
				threads: 'src/lib/server/edge/threads/worker.ts'
			}
		}
	}
});
