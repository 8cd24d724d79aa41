// npm run admin -- <verb>
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const done = spawnSync(process.execPath, [join(ROOT, 'build-cli', 'admin.js'), ...process.argv.slice(2)], {
	stdio: 'inherit',
	cwd: ROOT
});
process.exit(done.status ?? 1);
