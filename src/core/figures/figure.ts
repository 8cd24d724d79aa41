import {
	along,
	poseBetween,
	skeletonOf,
	type Joint,
	type Point,
	type Pose,
	type Skeleton,
	type View
} from './pose';

/** Things beside the figure: fixed in place, or held at a joint. Places as in poses. */
export type Prop =
	| { kind: 'dumbbell'; at: Joint; along?: boolean }
	| { kind: 'pack'; at: Joint | 'back' | 'chest' }
	| { kind: 'bottle'; at: Joint }
	| { kind: 'band'; from: Point | Joint; to: Joint }
	| { kind: 'loop'; from: Joint; to: Joint }
	| { kind: 'chair'; x: number; faces: 'left' | 'right' }
	| { kind: 'table'; x: number; width?: number; height?: number }
	| { kind: 'step'; x: number; width: number; height: number }
	| { kind: 'wall'; x: number }
	| { kind: 'bar'; x: number; y: number }
	| { kind: 'roller'; x: number }
	/** Ground that rises. */
	| { kind: 'slope'; from: Point; to: Point }
	| { kind: 'mat' };

export interface Figure {
	view: View;
	/** The joint that keeps its place from start to end. */
	anchor: Joint;
	start: Pose;
	/** Half-way, where the way there is not the shortest one. */
	middle?: Pose;
	end: Pose;
	props: readonly Prop[];
	/** What leaves its place on the way although it stands at both ends: who steps, jumps or walks. */
	moves?: readonly Joint[];
}

export type Shape =
	| { kind: 'line'; points: Point[]; width: number; tone: 'near' | 'far' | 'prop' | 'thin' | 'halo' }
	| { kind: 'circle'; at: Point; r: number; tone: 'near' | 'prop' }
	| { kind: 'box'; from: Point; to: Point; tone: 'prop' | 'solid' };

export interface Drawing {
	shapes: Shape[];
	/** What has to be seen: left, bottom, right, top. */
	bounds: readonly [number, number, number, number];
}

const SEAT = 25;
const TABLE = 44;

function propShapes(prop: Prop, s: Skeleton): Shape[] {
	const line = (points: Point[], width = 2.2, tone: 'prop' | 'thin' = 'prop'): Shape => ({
		kind: 'line',
		points,
		width,
		tone
	});
	switch (prop.kind) {
		case 'dumbbell': {
			const [x, y] = s[prop.at];
			// Seen from its end in the side view unless it lies along the hand's way.
			if (!prop.along) return [{ kind: 'circle', at: [x, y], r: 4.6, tone: 'prop' }];
			return [
				line(
					[
						[x - 5, y],
						[x + 5, y]
					],
					2
				),
				line(
					[
						[x - 5, y - 3],
						[x - 5, y + 3]
					],
					3
				),
				line(
					[
						[x + 5, y - 3],
						[x + 5, y + 3]
					],
					3
				)
			];
		}
		case 'bottle': {
			const [x, y] = s[prop.at];
			return [{ kind: 'box', from: [x - 2, y - 5], to: [x + 2, y + 3], tone: 'solid' }];
		}
		case 'pack': {
			if (prop.at === 'back' || prop.at === 'chest') {
				const [dx, dy] = [s.shoulder[0] - s.hip[0], s.shoulder[1] - s.hip[1]];
				const angle = (Math.atan2(dy, dx) * 180) / Math.PI + (prop.at === 'back' ? 90 : -90);
				const middle: Point = [s.mid[0] + dx * 0.2, s.mid[1] + dy * 0.2];
				const [x, y] = along(middle, angle, 8);
				return [{ kind: 'box', from: [x - 5, y - 8], to: [x + 5, y + 8], tone: 'solid' }];
			}
			const [x, y] = s[prop.at];
			return [{ kind: 'box', from: [x - 5, y - 13], to: [x + 5, y - 1], tone: 'solid' }];
		}
		case 'band':
			return [line([typeof prop.from === 'string' ? s[prop.from] : prop.from, s[prop.to]], 1.4, 'thin')];
		case 'loop':
			return [line([s[prop.from], s[prop.to]], 2.4, 'prop')];
		case 'chair': {
			const back = prop.faces === 'right' ? prop.x : prop.x + 20;
			const front = prop.faces === 'right' ? prop.x + 20 : prop.x;
			return [
				line([
					[back, 0],
					[back, 50]
				]),
				line([
					[back, SEAT],
					[front, SEAT],
					[front, 0]
				])
			];
		}
		case 'table': {
			const right = prop.x + (prop.width ?? 26);
			return [
				line([
					[prop.x, 0],
					[prop.x, prop.height ?? TABLE],
					[right, prop.height ?? TABLE],
					[right, 0]
				])
			];
		}
		case 'step':
			return [{ kind: 'box', from: [prop.x, 0], to: [prop.x + prop.width, prop.height], tone: 'prop' }];
		case 'wall':
			return [
				line(
					[
						[prop.x, 0],
						[prop.x, 104]
					],
					2.6
				)
			];
		case 'bar':
			return [
				line(
					[
						[prop.x - 14, prop.y],
						[prop.x + 14, prop.y]
					],
					2.6
				)
			];
		case 'slope':
			return [line([prop.from, prop.to], 1.6)];
		case 'roller':
			return [{ kind: 'circle', at: [prop.x, 4], r: 4.5, tone: 'prop' }];
		case 'mat': {
			const xs = Object.values(s).map(([x]) => x);
			return [
				line(
					[
						[Math.min(...xs) - 4, -1.5],
						[Math.max(...xs) + 4, -1.5]
					],
					2.2
				)
			];
		}
	}
}

/** Held in front of the body; the rest stands behind the figure. */
const HELD = new Set(['pack', 'loop']);
/** In the hand, in front of everything. */
const IN_HAND = new Set(['dumbbell', 'bottle']);

/** Half the thickness of limbs and what props need around their place. */
const MARGIN = 7;

/** Where the joints are at a moment between the start (0) and the end (1) of a movement. */
export function skeletonAt({ start, middle, end, view, anchor }: Figure, t: number): Skeleton {
	const at = (pose: Pose): Skeleton => skeletonOf(pose, view, anchor);
	if (t <= 0) return at(start);
	if (t >= 1) return at(end);
	if (!middle) return at(poseBetween(start, end, t, view, anchor));
	return t < 0.5
		? at(poseBetween(start, middle, 2 * t, view, anchor))
		: at(poseBetween(middle, end, 2 * t - 1, view, anchor));
}

/** A figure at a moment between its start (0) and its end (1), from the back to the front. */
export function drawFigure(figure: Figure, t: number): Drawing {
	const s = skeletonAt(figure, t);
	const front = figure.view === 'front';
	const far = front ? 'near' : 'far';
	const limb = (points: Point[], width: number, tone: 'near' | 'far'): Shape => ({
		kind: 'line',
		points,
		width,
		tone
	});
	/** A rim of background, so that a limb in front of the body stays apart from it. */
	const rimmed = (points: Point[], width: number): Shape[] => [
		{ kind: 'line', points, width: width + 2.4, tone: 'halo' },
		limb(points, width, 'near')
	];
	const props = (kinds: (kind: Prop['kind']) => boolean) =>
		figure.props.filter((prop) => kinds(prop.kind)).flatMap((prop) => propShapes(prop, s));
	const shapes: Shape[] = [
		...props((kind) => !HELD.has(kind) && !IN_HAND.has(kind)),
		limb([s.shoulder2, s.elbow2, s.hand2], 4, far),
		limb([s.hip2, s.knee2, s.ankle2, s.toe2], 5, far),
		...(front ? [limb([s.hip1, s.hip2], 5, 'near'), limb([s.shoulder1, s.shoulder2], 4.5, 'near')] : []),
		limb([s.hip, s.mid, s.shoulder], 7, 'near'),
		{ kind: 'circle', at: s.head, r: 6.5, tone: 'near' },
		...rimmed([s.hip1, s.knee1, s.ankle1, s.toe1], 5),
		// The hip is one piece with the body, whichever leg is lifted.
		limb([s.hip, s.mid], 7, 'near'),
		...props((kind) => HELD.has(kind)),
		...rimmed([s.shoulder1, s.elbow1, s.hand1], 4),
		...(front ? rimmed([s.shoulder2, s.elbow2, s.hand2], 4) : []),
		...props((kind) => IN_HAND.has(kind))
	];
	return {
		shapes,
		bounds: boundsOf(figure)
	};
}

const frames = new WeakMap<Figure, Drawing['bounds']>();

/** The same frame for start and end, so that nothing jumps. */
function boundsOf(figure: Figure): Drawing['bounds'] {
	const known = frames.get(figure) ?? frameOf(figure);
	frames.set(figure, known);
	return known;
}

function frameOf(figure: Figure): Drawing['bounds'] {
	const points = (figure.middle ? [0, 0.5, 1] : [0, 1]).flatMap((t) => {
		const s = skeletonAt(figure, t);
		return [...Object.values(s), ...figure.props.flatMap((prop) => propShapes(prop, s)).flatMap(cornersOf)];
	});
	const xs = points.map(([x]) => x);
	const ys = points.map(([, y]) => y);
	return [
		Math.min(...xs) - MARGIN,
		Math.min(-3, ...ys) - 2,
		Math.max(...xs) + MARGIN,
		Math.max(...ys) + MARGIN
	];
}

function cornersOf(shape: Shape): Point[] {
	if (shape.kind === 'line') return shape.points;
	return shape.kind === 'box' ? [shape.from, shape.to] : [shape.at];
}
