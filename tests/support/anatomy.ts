/** What a body can do, as far as a jointed figure shows it: ranges of joints, what stays planted, where its weight is. */
import type { Figure, Prop } from '$core/figures';
import { skeletonAt } from '$core/figures/figure';
import { weightOf, type Joint, type Skeleton } from '$core/figures/pose';

/**
 * Degrees from the anatomical position, bending forward positive. Active ranges of adults (American Academy of Orthopaedic
 * Surgeons, Joint Motion, 1965, from memory: elbow 0-150, knee 0-135 and to 155 under the body's weight, hip −30-120 and to
 * 140 with a round back, shoulder −60-180; ankle bent up to 45 under the body's weight), with some degrees for the way they are drawn.
 */
const RANGES = {
	elbow: [-4, 155],
	knee: [-4, 158],
	hip: [-38, 145],
	shoulder: [-75, 198],
	neck: [-62, 72],
	ankle: [-12, 136]
} as const;

const MOMENTS = Array.from({ length: 11 }, (_, i) => i / 10);
const degrees = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]): number =>
	(Math.atan2(by - ay, bx - ax) * 180) / Math.PI;
/** −180 … 180. */
const turn = (angle: number): number => ((((angle + 180) % 360) + 360) % 360) - 180;
const far = (a: readonly [number, number], b: readonly [number, number]) =>
	Math.hypot(a[0] - b[0], a[1] - b[1]);

/** How far joints go beyond their range, side view: bones turn in one plane there. */
function beyondRange(s: Skeleton): string[] {
	const found: string[] = [];
	const check = (name: keyof typeof RANGES, joint: string, angle: number) => {
		const [least, most] = RANGES[name];
		// Near half a turn it cannot be told which way; take the one that lies within.
		const value = [angle, angle + 360, angle - 360].find((a) => a >= least && a <= most);
		if (value === undefined) found.push(`${joint} ${Math.round(angle)}°`);
	};
	const upper = degrees(s.mid, s.shoulder);
	const lower = degrees(s.hip, s.mid);
	check('neck', 'neck', turn(degrees(s.shoulder, s.head) - upper));
	for (const n of ['1', '2'] as const) {
		const arm = degrees(s[`shoulder${n}`], s[`elbow${n}`]);
		const thigh = degrees(s[`hip${n}`], s[`knee${n}`]);
		const shin = degrees(s[`knee${n}`], s[`ankle${n}`]);
		check('shoulder', `shoulder${n}`, turn(arm - upper - 180));
		check('elbow', `elbow${n}`, turn(degrees(s[`elbow${n}`], s[`hand${n}`]) - arm));
		check('hip', `hip${n}`, turn(thigh - lower - 180));
		check('knee', `knee${n}`, turn(thigh - shin));
		check('ankle', `ankle${n}`, turn(degrees(s[`ankle${n}`], s[`toe${n}`]) - shin));
	}
	return found;
}

/** Seen from the front, elbows and knees still do not fold onto themselves. */
function foldedUp(s: Skeleton): string[] {
	return (['1', '2'] as const).flatMap((n) => {
		const bends = {
			elbow: turn(degrees(s[`elbow${n}`], s[`hand${n}`]) - degrees(s[`shoulder${n}`], s[`elbow${n}`])),
			knee: turn(degrees(s[`knee${n}`], s[`ankle${n}`]) - degrees(s[`hip${n}`], s[`knee${n}`]))
		};
		return Object.entries(bends).flatMap(([joint, angle]) =>
			Math.abs(angle) > 160 ? [`${joint}${n} ${Math.round(angle)}°`] : []
		);
	});
}

const ENDS: readonly Joint[] = ['hand1', 'hand2', 'ankle1', 'ankle2', 'toe1', 'toe2', 'knee1', 'knee2'];
/** Where a joint is on the floor. */
const GROUNDED = 2.5;

/** Hands, feet and knees that carry weight at both ends and do not stay where they are in between. */
function slipping(figure: Figure): string[] {
	const [start, end] = [skeletonAt(figure, 0), skeletonAt(figure, 1)];
	return ENDS.filter((joint) => !figure.moves?.includes(joint)).flatMap((joint) => {
		if (start[joint][1] > GROUNDED || end[joint][1] > GROUNDED) return [];
		const most = Math.max(...MOMENTS.map((t) => far(start[joint], skeletonAt(figure, t)[joint])));
		return most > 1.5 ? [`${joint} slips by ${most.toFixed(1)}`] : [];
	});
}

const BODY: readonly Joint[] = ['hip', 'mid', 'shoulder', 'elbow1', 'elbow2', 'knee1', 'knee2'];
const TOUCH = 5;

/** Places on which the body rests, sideways: on the floor, and on things that bear it. */
function supports(s: Skeleton, props: readonly Prop[]): number[] {
	const found: number[] = [];
	for (const joint of ENDS) if (s[joint][1] <= 3) found.push(s[joint][0]);
	for (const joint of BODY) if (s[joint][1] <= 6) found.push(s[joint][0]);
	// A heel that is down reaches behind the ankle.
	for (const n of ['1', '2'] as const)
		if (s[`ankle${n}`][1] <= 3 && s[`toe${n}`][1] <= 3)
			found.push(s[`ankle${n}`][0] + (s[`ankle${n}`][0] - s[`toe${n}`][0]) * 0.35);
	const near = (of: (joint: Joint) => boolean, x?: number) => {
		for (const joint of [...ENDS, ...BODY]) if (of(joint)) found.push(x ?? s[joint][0]);
	};
	const top = (left: number, right: number, y: number) =>
		near((j) => s[j][0] >= left - TOUCH && s[j][0] <= right + TOUCH && Math.abs(s[j][1] - y) <= TOUCH);
	for (const prop of props) {
		if (prop.kind === 'wall') near((j) => Math.abs(s[j][0] - prop.x) <= TOUCH, prop.x);
		if (prop.kind === 'chair') {
			top(prop.x, prop.x + 20, 25);
			const back = prop.faces === 'right' ? prop.x : prop.x + 20;
			near((j) => Math.abs(s[j][0] - back) <= TOUCH && s[j][1] >= 25 && s[j][1] <= 55, back);
		}
		if (prop.kind === 'table') top(prop.x, prop.x + (prop.width ?? 26), prop.height ?? 44);
		if (prop.kind === 'step') top(prop.x, prop.x + prop.width, prop.height);
		if (prop.kind === 'bar') near((j) => far(s[j], [prop.x, prop.y]) <= TOUCH);
		if (prop.kind === 'roller') top(prop.x - 4, prop.x + 4, 8);
	}
	return found;
}

/** How far the body's weight lies beside what it rests on; 0 on it, or in the air. */
function offBalance(s: Skeleton, props: readonly Prop[]): number {
	// Whoever pulls at something fixed leans against the pull.
	if (props.some((prop) => prop.kind === 'band' && typeof prop.from !== 'string')) return 0;
	const places = supports(s, props);
	if (places.length === 0) return 0;
	const x = weightOf(s);
	return Math.max(0, Math.min(...places) - x, x - Math.max(...places));
}

/** What is wrong with a figure, at its two ends and on the way; empty: nothing. */
export function wrongWith(figure: Figure): string[] {
	const found = new Set<string>(slipping(figure));
	for (const t of MOMENTS) {
		const s = skeletonAt(figure, t);
		for (const wrong of figure.view === 'side' ? beyondRange(s) : foldedUp(s)) found.add(`${wrong} at ${t}`);
		for (const [joint, [, y]] of Object.entries(s))
			if (joint !== 'head' && y < -2.5) found.add(`${joint} ${(-y).toFixed(1)} under the floor at ${t}`);
		// Who steps or jumps is on the way from one balance to the next.
		if (figure.moves && t > 0 && t < 1) continue;
		const off = offBalance(s, figure.props);
		if (off > 2) found.add(`falls by ${off.toFixed(1)} at ${t}`);
	}
	return [...found];
}
