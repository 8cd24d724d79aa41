// npm run fuzz [-- <requests> [<seed>]]: requests made up at random, many and from another seed each time.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const [requests = '50000', seed = String(Math.floor(Math.random() * 1e9))] = process.argv.slice(2);
const done = spawnSync(
	process.execPath,
	[join(ROOT, 'node_modules', 'vitest', 'vitest.mjs'), 'run', 'tests/faults/fuzz.test.ts'],
	{ cwd: ROOT, stdio: 'inherit', env: { ...process.env, FUZZ_REQUESTS: requests, FUZZ_SEED: seed } }
);
process.exit(done.status ?? 1);
