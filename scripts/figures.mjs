// npm run figures: one sheet with the figure of every exercise, at its start, on the way and at its end.
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, fail, ROOT, run } from './setup.mjs';
import { CHROMIUM, ensureChromium } from './chromium.mjs';

ensureInstalled();
ensureBuilt();
ensureChromium();
const sheet = join(ROOT, 'build-cli', 'figures.html');
if (!run('node', [join('build-cli', 'figures.js'), sheet])) fail('The sheet was not written; see above.');

const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1600, height: 1000 } });
await page.goto(`file://${sheet}`);
const sections = await page.locator('section').all();
for (const [i, section] of sections.entries()) {
	const path = join(ROOT, 'build-cli', `figures-${i + 1}.png`);
	await section.screenshot({ path });
	console.log(path);
}
await browser.close();
