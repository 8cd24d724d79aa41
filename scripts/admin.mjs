// npm run admin -- <verb>
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ENGINE_SETTING } from './engine.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const done = spawnSync(
	process.execPath,
	[ENGINE_SETTING, join(ROOT, 'build-cli', 'admin.js'), ...process.argv.slice(2)],
	{ stdio: 'inherit', cwd: ROOT }
);
process.exit(done.status ?? 1);
