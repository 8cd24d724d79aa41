import { drawFigure, type Figure } from './figure';

/** Colours of a figure on paper; they read in grey as well. */
const PAPER = {
	near: '#22252b',
	far: '#8b8e93',
	halo: '#ffffff',
	prop: '#c98a12',
	thin: '#c98a12',
	solid: '#c98a12'
};
const BOX = '#f3e3c0';

/** A figure at a moment of its movement (0 start, 1 end) as an SVG picture of its own, for paper. */
export function figureSvg(figure: Figure, at = 1): string {
	const { shapes, bounds } = drawFigure(figure, at);
	const [left, bottom, right, top] = bounds;
	const drawn = shapes.map((shape) => {
		if (shape.kind === 'circle')
			return `<circle cx="${shape.at[0].toFixed(1)}" cy="${(-shape.at[1]).toFixed(1)}" r="${shape.r}" fill="${PAPER[shape.tone]}"/>`;
		if (shape.kind === 'box') {
			const [x, y, width, height] = [
				shape.from[0],
				-shape.to[1],
				shape.to[0] - shape.from[0],
				shape.to[1] - shape.from[1]
			].map((n) => n.toFixed(1));
			const look =
				shape.tone === 'solid'
					? `fill="${PAPER.solid}"`
					: `fill="${BOX}" stroke="${PAPER.prop}" stroke-width="1.6"`;
			return `<rect x="${x}" y="${y}" width="${width}" height="${height}" ${look}/>`;
		}
		const points = shape.points.map(([x, y]) => `${x.toFixed(1)},${(-y).toFixed(1)}`).join(' ');
		return `<polyline points="${points}" fill="none" stroke="${PAPER[shape.tone]}" stroke-width="${shape.width}" stroke-linecap="round" stroke-linejoin="round"/>`;
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${left} ${-top} ${right - left} ${top - bottom}">${drawn.join('')}</svg>`;
}
