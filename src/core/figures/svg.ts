import { drawFigure, type Figure, type Shape } from './figure';

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

const onPaper = (shape: Shape): string => {
	if (shape.kind === 'line')
		return `fill="none" stroke="${PAPER[shape.tone]}" stroke-width="${shape.width}" stroke-linecap="round" stroke-linejoin="round"`;
	if (shape.kind === 'circle' || shape.tone === 'solid') return `fill="${PAPER[shape.tone]}"`;
	return `fill="${BOX}" stroke="${PAPER.prop}" stroke-width="1.6"`;
};
/** On a page the style sheet knows the tones. */
const onPage = (shape: Shape): string =>
	`class="${shape.tone}"${shape.kind === 'line' ? ` stroke-width="${shape.width}"` : ''}`;

const number = (n: number): string => n.toFixed(1);

/** A shape as SVG has it, y downwards. Made of numbers and our own words alone. */
function shapeMarkup(shape: Shape, look: (shape: Shape) => string): string {
	if (shape.kind === 'circle')
		return `<circle cx="${number(shape.at[0])}" cy="${number(-shape.at[1])}" r="${shape.r}" ${look(shape)}/>`;
	if (shape.kind === 'box') {
		const [x, y, width, height] = [
			shape.from[0],
			-shape.to[1],
			shape.to[0] - shape.from[0],
			shape.to[1] - shape.from[1]
		].map(number);
		return `<rect x="${x}" y="${y}" width="${width}" height="${height}" ${look(shape)}/>`;
	}
	const points = shape.points.map(([x, y]) => `${number(x)},${number(-y)}`).join(' ');
	return `<polyline points="${points}" ${look(shape)}/>`;
}

export interface FigureMarkup {
	viewBox: string;
	/** What stands within an `svg` element. */
	shapes: string;
}

function markupOf(figure: Figure, at: number, look: (shape: Shape) => string): FigureMarkup {
	const { shapes, bounds } = drawFigure(figure, at);
	const [left, bottom, right, top] = bounds;
	return {
		viewBox: [left, -top, right - left, top - bottom].map((x) => Math.round(x * 10) / 10).join(' '),
		shapes: shapes.map((shape) => shapeMarkup(shape, look)).join('')
	};
}

/** A page shows the same figures at their ends again and again. */
const known = new WeakMap<Figure, Map<number, FigureMarkup>>();

/** A figure at a moment of its movement (0 start, 1 end) for a page, with its tones as classes. */
export function figureMarkup(figure: Figure, at: number): FigureMarkup {
	if (at > 0 && at < 1) return markupOf(figure, at, onPage);
	const ends = known.get(figure) ?? new Map<number, FigureMarkup>();
	known.set(figure, ends);
	const end = at <= 0 ? 0 : 1;
	const made = ends.get(end) ?? markupOf(figure, end, onPage);
	ends.set(end, made);
	return made;
}

/** A figure at a moment of its movement (0 start, 1 end) as an SVG picture of its own, for paper. */
export function figureSvg(figure: Figure, at = 1): string {
	const { viewBox, shapes } = markupOf(figure, at, onPaper);
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${viewBox}">${shapes}</svg>`;
}
