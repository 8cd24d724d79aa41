// npm run schemas: writes the published JSON Schemas and the page of what exercises demand anew from the code.
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, fail, ROOT, run } from './setup.mjs';

ensureInstalled();
ensureBuilt();
if (!run('node', [join('build-cli', 'schemas.js')])) fail('The schemas were not written; see above.');
if (!run('npx', ['prettier', '--write', join(ROOT, 'docs', 'formats', '*.json')])) fail('See above.');
