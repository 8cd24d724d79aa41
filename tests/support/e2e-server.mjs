// The demo, on data of its own and on a fixed Wednesday morning, for the browser tests of one worker.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../../scripts/setup.mjs';

process.env.CADREX_DATA = join(ROOT, '.cache', `e2e-data-${process.argv[2] ?? '0'}`);
process.env.CADREX_FIXED_NOW = '2026-05-13T05:40:00Z';
process.env.PORT = '0';
// Everything that is ever logged: what may not be in it is looked for afterwards.
process.env.CADREX_LOG = 'debug';
rmSync(process.env.CADREX_DATA, { recursive: true, force: true });
await import('../../scripts/demo.mjs');
