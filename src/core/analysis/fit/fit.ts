import type { Practice } from '../../practice';
import { compileSession, putBlock, type Session } from '../../session';
import { formsOf, WEIGHT, withRepeats, type Change, type Form, type Knob } from './forms';
import { nearestWay, type Aim, type Way } from './nearest-way';

export interface Proposal {
	name: string;
	session: Session;
	/** Seconds before and after. */
	before: number;
	after: number;
	changes: Change[];
	/** How far it is from the original; smaller is nearer. */
	distance: number;
}

export interface Fit {
	/** The nearest first; empty when nothing fits. */
	proposals: Proposal[];
	/** Why there is none, and how near one can get. */
	cannot: string | null;
}

/** A session fits when it is within 2 % of the budget. */
const TOLERANCE = 0.02;

const STRATEGIES: readonly { name: string; knobs: readonly Knob[] }[] = [
	{ name: 'Fewer or more rounds and sets', knobs: ['often'] },
	{ name: 'Other rests', knobs: ['rest'] },
	{ name: 'Other working times', knobs: ['work'] },
	{ name: 'A little of everything', knobs: ['often', 'work', 'rest'] }
];

/** One strategy made ready: the forms of every block, for each number of times that repeats may go through them. */
interface Prepared {
	name: string;
	forms: Form[][];
	variants: {
		session: Session;
		changes: Change[];
		/** How often each block is gone through, and the seconds outside of blocks. */
		times: number[];
		between: number;
		/** Seconds that it takes at least and at most. */
		least: number;
		most: number;
		/** What turning the repeats costs. */
		distance: number;
	}[];
}

function prepared(
	session: Session,
	{ name, knobs }: (typeof STRATEGIES)[number],
	practice: Practice
): Prepared {
	const forms = session.blocks.map((_, b) => formsOf(session, b, knobs, practice));
	const turns = knobs.includes('often') ? [0, -1, 1, -2] : [0];
	const variants = turns.flatMap((by) => {
		const repeated = withRepeats(session, by);
		if (!repeated) return [];
		const { spans, totals } = compileSession(repeated.session, practice);
		const times = session.blocks.map((_, b) => spans.filter((span) => span.block === b).length);
		const between = totals.duration - spans.reduce((sum, span) => sum + span.seconds, 0);
		const bound = (pick: (...values: number[]) => number) =>
			forms.reduce(
				(sum, own, b) => sum + pick(...own.map((form) => form.seconds)) * (times[b] ?? 1),
				between
			);
		const distance = Math.abs(by) * WEIGHT.often;
		return [{ ...repeated, times, between, least: bound(Math.min), most: bound(Math.max), distance }];
	});
	return { name, forms, variants };
}

/** The nearest way to a length with one strategy. */
function proposalOf(
	{ name, forms, variants }: Prepared,
	before: number,
	aim: Aim,
	practice: Practice
): Proposal | null {
	let best: { way: Way; variant: Prepared['variants'][number] } | null = null;
	for (const variant of variants) {
		if (aim.high < variant.least || aim.low > variant.most) continue;
		const way = nearestWay(forms, variant.times, variant.between, aim);
		if (!way) continue;
		way.distance += variant.distance;
		if (way.distance < (best?.way.distance ?? Infinity)) best = { way, variant };
	}
	if (!best) return null;
	const { way, variant } = best;
	const fitted = way.forms.reduce(
		(sum, form, b) => (form.changes.length > 0 ? putBlock(sum, b, form.block) : sum),
		variant.session
	);
	return {
		name,
		session: fitted,
		before,
		after: compileSession(fitted, practice).totals.duration,
		changes: [...variant.changes, ...way.forms.flatMap((form) => form.changes)],
		distance: way.distance
	};
}

/** Bounds around the goal that are tried one after the other when nothing fits although it is within reach. */
const WIDER = [0.05, 0.1, 0.2, 0.4];

/** The length that comes nearest to a goal that cannot be met. */
function nearestLength(ways: Prepared[], before: number, goal: number, practice: Practice): number {
	const nearer = (a: number, b: number) => (Math.abs(a - goal) <= Math.abs(b - goal) ? a : b);
	const variants = ways.flatMap((way) => way.variants);
	const bounds = variants.flatMap(({ least, most }) => [least, most]).reduce(nearer, before);
	if (!variants.some(({ least, most }) => goal > least && goal < most)) return bounds;
	for (const share of WIDER) {
		const aim = { low: goal * (1 - share), high: goal * (1 + share), closest: true };
		const found = ways.flatMap((way) => proposalOf(way, before, aim, practice) ?? []);
		if (found.length > 0) return found.map(({ after }) => after).reduce(nearer, bounds);
	}
	return bounds;
}

/**
 * The smallest changes that bring a session to a number of minutes, within 2 %: rounds and sets alone, rests
 * alone, working times alone, and all of them together; the nearest to the original first. Warm-up and cool-down
 * keep three quarters of their length.
 *
 * @param minutes above 0
 * @throws RangeError when minutes is not above 0
 */
export function fitToMinutes(session: Session, minutes: number, practice: Practice): Fit {
	if (!(minutes > 0)) throw new RangeError('minutes: a session takes more than 0');
	const goal = minutes * 60;
	const before = compileSession(session, practice).totals.duration;
	if (Math.abs(before - goal) <= TOLERANCE * goal) return { proposals: [], cannot: 'It fits as it is.' };
	const ways = STRATEGIES.map((strategy) => prepared(session, strategy, practice));
	const aim = { low: goal * (1 - TOLERANCE), high: goal * (1 + TOLERANCE), closest: false };
	const proposals: Proposal[] = [];
	for (const way of ways) {
		const proposal = proposalOf(way, before, aim, practice);
		const same = (p: Proposal) => JSON.stringify(p.session) === JSON.stringify(proposal?.session);
		if (proposal && !proposals.some(same)) proposals.push(proposal);
	}
	if (proposals.length > 0)
		return { proposals: proposals.sort((a, b) => a.distance - b.distance), cannot: null };
	const near = nearestLength(ways, before, goal, practice);
	return {
		proposals: [],
		cannot: `No change of rounds, rests or working times brings it to ${minutes} min; ${Math.round(near / 60)} min is the nearest. Take a block out or put one in.`
	};
}
