import { writeFileSync } from 'node:fs';
import { STANDARD } from '$core/exercise';
import { figureOf, figureSvg } from '$core/figures';

// npm run figures: writes the page with every figure to the file that is named.
const SHOWN = [0, 0.5, 1];
/** Exercises a section, as many as can be looked at in one picture. */
const MANY = 42;

const cell = (name: string): string => {
	const figure = figureOf(name, STANDARD);
	const drawn = figure ? SHOWN.map((t) => figureSvg(figure, t)).join('') : '<b>none</b>';
	return `<figure><div>${drawn}</div><figcaption>${name}</figcaption></figure>`;
};
const names = STANDARD.all.map(({ name }) => name);
const sections = Array.from(
	{ length: Math.ceil(names.length / MANY) },
	(_, i) =>
		`<section>${names
			.slice(i * MANY, (i + 1) * MANY)
			.map(cell)
			.join('')}</section>`
);

/** All of them at once, at their end. */
const overview = names
	.flatMap((name) => figureOf(name, STANDARD) ?? [])
	.map((figure) => figureSvg(figure))
	.join('');

const [target] = process.argv.slice(2);
if (!target) throw new Error('name the file that the page is written to');
writeFileSync(
	target,
	`<!doctype html><meta charset="utf-8"><title>Figures</title><style>
	body { margin: 0; font: 12px sans-serif; background: #fff }
	section { display: grid; grid-template-columns: repeat(6, minmax(0, 1fr)); gap: 6px; padding: 6px; width: 1588px }
	figure { margin: 0; border: 1px solid #ddd; padding: 4px }
	figure div { display: flex; height: 128px; gap: 2px; align-items: end }
	svg { flex: 1; min-width: 0; height: 100% }
	figcaption { text-align: center; white-space: nowrap; overflow: hidden }
	.all { grid-template-columns: repeat(24, minmax(0, 1fr)); gap: 8px; padding: 16px; align-items: end }
	.all svg { width: 100%; height: 56px }
	</style><section class="all">${overview}</section>${sections.join('')}`
);
