// npm run check: the quick round while working (lint, types, unit tests).
import { ensureInstalled, run } from './setup.mjs';

ensureInstalled();
const steps = [
	['oxlint'],
	['eslint', 'src'],
	['svelte-check', '--tsgo', '--fail-on-warnings'],
	['vitest', 'run', 'src']
];
process.exit(steps.every((step) => run('npx', step)) ? 0 : 1);
