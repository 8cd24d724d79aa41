// The demo, on data of its own and on a fixed Wednesday morning, for the browser tests.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../../scripts/setup.mjs';

process.env.CADREX_DATA = join(ROOT, '.cache', 'e2e-data');
process.env.CADREX_FIXED_NOW = '2026-05-13T05:40:00Z';
rmSync(process.env.CADREX_DATA, { recursive: true, force: true });
await import('../../scripts/demo.mjs');
