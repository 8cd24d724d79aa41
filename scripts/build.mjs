// Builds what is not current, and nothing else.
import { ensureBuilt } from './setup.mjs';

ensureBuilt();
