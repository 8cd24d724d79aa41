// npm run soak [-- <seconds>]: mixed load for ten minutes on each database, with kills; needs the machine for itself.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { startPostgres } from './postgres.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const [seconds = '600'] = process.argv.slice(2);
const postgres = await startPostgres();
if ('why' in postgres) console.log(`Without PostgreSQL: ${postgres.why}`);
const done = spawnSync(process.execPath, [join(ROOT, 'node_modules', 'vitest', 'vitest.mjs'), 'run'], {
	cwd: ROOT,
	stdio: 'inherit',
	env: {
		...process.env,
		SOAK_SECONDS: seconds,
		...('url' in postgres && { SOAK_DATABASE_URL: postgres.url })
	}
});
if ('stop' in postgres) postgres.stop();
process.exit(done.status ?? 1);
