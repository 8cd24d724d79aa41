// The demo on a fixed Wednesday morning, for the browser tests of one worker: on data of its own, copied from what is written once.
import { cpSync, existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { demoOf, ensureBuilt, ROOT } from '../../scripts/setup.mjs';

const FIXED_NOW = '2026-05-13T05:40:00Z';
const written = join(ROOT, '.cache', 'e2e-demo');
const stamp = join(written, 'written-for.txt');
const worker = process.argv[2] ?? '0';
const preparing = worker === 'prepare';

process.env.CADREX_FIXED_NOW = FIXED_NOW;
process.env.PORT = '0';
// Everything that is ever logged: what may not be in it is looked for afterwards.
process.env.CADREX_LOG = 'debug';
ensureBuilt();
if (preparing && existsSync(stamp) && readFileSync(stamp, 'utf8') === demoOf(FIXED_NOW)) process.exit(0);
process.env.CADREX_DATA = preparing ? written : join(ROOT, '.cache', `e2e-data-${worker}`);
rmSync(process.env.CADREX_DATA, { recursive: true, force: true });
if (!preparing) cpSync(written, process.env.CADREX_DATA, { recursive: true });
await import('../../scripts/demo.mjs');
if (preparing) process.kill(process.pid, 'SIGTERM');
