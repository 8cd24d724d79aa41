/** The session of a day as one person gets it: what was decided for them, and what fits them. */
import { fitPart, levelsUnder, type Decided, type FitProfile, type PartFit } from '../fit';
import type { Practice } from '../practice';
import {
	amountOf,
	formatOf,
	newSets,
	numberOf,
	prescriptionOf,
	putPart,
	removeBlock,
	sessionFor,
	targetOf,
	targetText,
	withAmounts,
	withNumber,
	withoutPart,
	type Block,
	type Part,
	type PrescribedExercise,
	type Role,
	type Session
} from '../session';
import { substitutePart } from '../substitution';
import { appliesOn, type Override, type OverrideChange } from './overrides';

/** What overrides have changed, in words: `Push-up → Wall push-up`. */
export interface PersonalChange {
	from: string;
	to: string;
	why: string;
}

/** A session as one person gets it. */
export interface PersonalSession {
	session: Session;
	/** The block of the session as planned that each of its blocks is made of. */
	places: number[];
	/** What it asks for; places are those of the session as planned, so that logs of all people speak of the same. */
	asked: PrescribedExercise[];
	changes: PersonalChange[];
	/** Overrides that found nothing they could change. */
	idle: Override[];
	/** Exercises that are left out since nothing like them can be done. */
	unfit: Unfit[];
}

/** An exercise of a session for which nothing is safe and at hand. */
export interface Unfit {
	exercise: string;
	role: Role;
	why: string;
}

/** A block under way, with the places its parts had in the session as planned. */
interface Placed {
	block: Block;
	at: number;
	parts: number[];
	/** What was decided for this person of each of its parts. */
	decided: Decided[];
}

/** Seconds are told in fives and metres in tens, from the size on at which that is fine enough. */
function rounded(amount: number, kind: Part['target']['kind']): number {
	const step = kind === 'reps' || amount < 15 ? 1 : kind === 'seconds' ? 5 : 10;
	return Math.max(1, Math.round(amount / step) * step);
}

const scaledPart = (part: Part, share: number): Part => ({
	...withAmounts(part, (amount, kind) => rounded(amount * share, kind)),
	...(part.or && { or: targetOf(part.or.kind, rounded(amountOf(part.or) * share, part.or.kind)) })
});

/** A block of which less is done: its exercises, or its rounds where it gives their time itself. */
function scaledBlock(block: Block, share: number): Block {
	const format = formatOf(block);
	if (!format.target) return { ...block, parts: block.parts.map((part) => scaledPart(part, share)) };
	return format.fields
		.filter(({ knob }) => knob === 'often')
		.reduce((next, { key }) => {
			const now = numberOf(next, key);
			return now === null ? next : withNumber(next, key, Math.max(1, Math.round(now * share)));
		}, block);
}

/** A block of which too little is left for its format goes on as sets of what is left. */
function stillSound(placed: Placed, planned: Block, practice: Practice): Placed[] {
	const { block, at, parts } = placed;
	if (parts.length === 0) return [];
	if (parts.length >= formatOf(block).takes[0]) return [placed];
	return block.parts.map((part, p) => {
		const sets = Math.max(1, formatOf(planned).timesDone(planned, parts[p] ?? 0, practice));
		const target = formatOf(planned).target?.(planned, part) ?? part.target;
		return {
			block: newSets({ ...part, target }, sets, block.role),
			at,
			parts: [parts[p] ?? 0],
			decided: [placed.decided[p] ?? {}]
		};
	});
}

/** Many people get the same in the same place: their blocks are then the same object, whose length is known. */
const blocksMade = new WeakMap<Block, WeakMap<Part, Block>[]>();

/** @param part one that is kept once, however many people get it */
function withPart(block: Block, at: number, part: Part): Block {
	const places = blocksMade.get(block) ?? [];
	blocksMade.set(block, places);
	const made = (places[at] ??= new WeakMap<Part, Block>());
	const next = made.get(part) ?? putPart(block, at, part);
	made.set(part, next);
	return next;
}

/** What was worked out with one practice: parts that are alike are one object, and blocks that are alike fit alike. */
interface Memo {
	parts: Map<string, Part>;
	fits: WeakMap<FitProfile, Map<string, PartFit[]>>;
}
const memos = new WeakMap<Practice, Memo>();
function memoOf(practice: Practice): Memo {
	const memo = memos.get(practice) ?? { parts: new Map<string, Part>(), fits: new WeakMap() };
	memos.set(practice, memo);
	return memo;
}

/** Parts that are kept once; beyond that they are kept by nobody. */
const MOST_PARTS = 50_000;

/** The same part as one object for all who get it. */
function keptOnce(part: Part, { parts }: Memo): Part {
	const key = JSON.stringify(part);
	const kept = parts.get(key) ?? part;
	if (parts.size < MOST_PARTS) parts.set(key, kept);
	return kept;
}

const keys = new WeakMap<Block, string>();
/** What of a block decides how its parts fit. */
function keyOf(block: Block): string {
	const key = keys.get(block) ?? `${block.role} ${block.format} ${JSON.stringify(block.parts)}`;
	keys.set(block, key);
	return key;
}

class Personal {
	readonly changes: PersonalChange[] = [];
	readonly unfit: Unfit[] = [];
	/** How often anything was changed, said or not. */
	touched = 0;
	readonly blocks: Placed[];

	constructor(
		session: Session,
		private readonly practice: Practice
	) {
		this.blocks = session.blocks.map((block, at) => ({
			block,
			at,
			parts: block.parts.map((_, p) => p),
			decided: block.parts.map(() => ({}))
		}));
	}

	private say(from: string, to: string, why: string): void {
		this.touched++;
		if (!this.changes.some((known) => known.from === from && known.to === to))
			this.changes.push({ from, to, why });
	}

	/** @returns whether it found something to change */
	apply({ target, change, why }: Override): boolean {
		const before = this.changes.length;
		for (const placed of this.blocks) {
			if (target.kind === 'exercise') this.applyToParts(placed, target.exercise, change, why);
			else if (target.kind === 'day' || target.block === placed.at) this.applyToBlock(placed, change, why);
		}
		return this.changes.length > before;
	}

	private applyToBlock(placed: Placed, change: OverrideChange, why: string): void {
		if (placed.parts.length === 0) return;
		const name = `${formatOf(placed.block).label}: ${placed.block.parts.map(({ exercise }) => exercise).join(' + ')}`;
		if (change.kind === 'leave out') {
			placed.parts = [];
			this.say(name, 'left out', why);
		} else if (change.kind === 'scale') {
			if (placed.block.role !== 'main') return;
			placed.block = scaledBlock(placed.block, change.share);
			this.say(name, `${Math.round(change.share * 100)} % of it`, why);
		} else if (change.kind === 'rest') this.rest(placed, change.seconds, name, why);
	}

	private rest(placed: Placed, seconds: number, name: string, why: string): void {
		const field = formatOf(placed.block).fields.findLast(({ knob }) => knob === 'rest');
		if (!field) return;
		placed.block = withNumber(placed.block, field.key, seconds);
		this.say(name, `${seconds} s rest`, why);
	}

	private applyToParts(placed: Placed, exercise: string, change: OverrideChange, why: string): void {
		const { library } = this.practice;
		const meant = library.find(exercise);
		const isMeant = (part: Part) =>
			meant ? library.find(part.exercise) === meant : part.exercise === exercise;
		for (let p = placed.block.parts.length - 1; p >= 0; p--) {
			const part = placed.block.parts[p];
			if (!part || !isMeant(part)) continue;
			if (change.kind === 'leave out') {
				this.leaveOut(placed, p, part.exercise, why);
				continue;
			}
			if (change.kind === 'rest') {
				if (placed.block.parts.length === 1) this.rest(placed, change.seconds, part.exercise, why);
				continue;
			}
			const next = this.changed(part, change, placed.block);
			if (!next) continue;
			placed.block = putPart(placed.block, p, next.part);
			if (change.kind === 'replace') placed.decided[p] = { ...placed.decided[p], exercise: true };
			if (change.kind === 'load') placed.decided[p] = { ...placed.decided[p], load: true };
			this.say(part.exercise, next.to, why);
		}
	}

	private leaveOut(placed: Placed, p: number, exercise: string, why: string): void {
		placed.block = withoutPart(placed.block, p);
		placed.parts.splice(p, 1);
		placed.decided.splice(p, 1);
		this.say(exercise, 'left out', why);
	}

	/** Gives each part the variation, amount and load that fit a person; what was decided for them stays. */
	fit(profile: FitProfile, planned: Session): void {
		for (const placed of this.blocks) {
			const fits = this.fitsOf(placed, profile, planned);
			fits.forEach((fit, p) => {
				const part = placed.block.parts[p];
				if (fit.kind !== 'changed' || !part) return;
				placed.block = withPart(placed.block, p, fit.part);
				this.touched++;
				if (fit.why !== null) this.say(part.exercise, fit.to, fit.why);
			});
			for (let p = fits.length - 1; p >= 0; p--) {
				const [fit, part] = [fits[p], placed.block.parts[p]];
				if (fit?.kind !== 'nothing' || !part) continue;
				this.unfit.push({ exercise: part.exercise, role: placed.block.role, why: fit.why });
				this.leaveOut(placed, p, part.exercise, fit.why);
			}
		}
	}

	/** How each part of a block fits; what is alike for the same person is worked out once. */
	private fitsOf(placed: Placed, profile: FitProfile, planned: Session): PartFit[] {
		const { block, at, parts, decided } = placed;
		const byLevel = parts.map((p) => planned.blocks[at]?.parts[p]?.kgByLevel !== undefined);
		const memo = memoOf(this.practice);
		if (decided.some((one) => one.exercise || one.load)) return this.fitted(placed, byLevel, profile, memo);
		const known = memo.fits.get(profile) ?? new Map<string, PartFit[]>();
		memo.fits.set(profile, known);
		const key = byLevel.includes(true) ? `${keyOf(block)} ${byLevel.join()}` : keyOf(block);
		const fits = known.get(key) ?? this.fitted(placed, byLevel, profile, memo);
		known.set(key, fits);
		return fits;
	}

	/** How each part of a block fits; nothing stands in for two different exercises of it. */
	private fitted(
		{ block, decided }: Placed,
		byLevel: readonly boolean[],
		profile: FitProfile,
		memo: Memo
	): PartFit[] {
		const timed = formatOf(block).target !== undefined;
		const names = new Set(block.parts.map(({ exercise }) => exercise));
		const standsFor = new Map<string, string>();
		return block.parts.map((part, p) => {
			const own = standsFor.get(part.exercise);
			const taken = own === undefined ? names : new Set([...names].filter((name) => name !== own));
			const fit = fitPart(
				part,
				{ role: block.role, timed, byLevel: byLevel[p] ?? false, taken },
				profile,
				decided[p] ?? {},
				this.practice
			);
			if (fit.kind !== 'changed') return fit;
			if (fit.part.exercise !== part.exercise) {
				names.add(fit.part.exercise);
				standsFor.set(part.exercise, fit.part.exercise);
			}
			return { ...fit, part: keptOnce(fit.part, memo) };
		});
	}

	private changed(part: Part, change: OverrideChange, block: Block): { part: Part; to: string } | null {
		if (change.kind === 'replace') {
			const to = this.practice.library.find(change.exercise);
			return to && { part: substitutePart(part, to, this.practice), to: to.name };
		}
		if (change.kind === 'load')
			return {
				part: { ...part, kg: change.kg },
				to: change.kg === null ? 'without a load' : `${change.kg} kg`
			};
		if (change.kind === 'tempo')
			return { part: { ...part, tempo: change.tempo }, to: `tempo ${change.tempo.join('-')}` };
		// A block that gives the time leaves no amount of the exercise's own to change.
		if (formatOf(block).target) return null;
		if (change.kind === 'amount') {
			const next = withAmounts(part, () => change.amount);
			return { part: next, to: targetText(next) };
		}
		if (change.kind !== 'scale') return null;
		return { part: scaledPart(part, change.share), to: `${Math.round(change.share * 100)} % of it` };
	}
}

/** The blocks of somebody's session; a part of the day that began with what is gone begins with what comes next in it. */
function withDayParts(placed: readonly Placed[], { blocks: planned }: Session): Block[] {
	// Most sessions have none, and their blocks stay the objects they are.
	if (!planned.some(({ dayPart }) => dayPart !== undefined)) return placed.map(({ block }) => block);
	let said = -1;
	return placed.map(({ block, at }) => {
		const begins = planned.findLastIndex(({ dayPart }, b) => b <= at && dayPart !== undefined);
		const { dayPart: _dayPart, ...bare } = block;
		const dayPart = planned[begins]?.dayPart;
		if (begins <= said || dayPart === undefined) return bare;
		said = begins;
		return { ...bare, dayPart };
	});
}

/** What of a person decides their session. */
export interface FittedTo {
	/** Null: anybody’s, with the loads of all levels, as planned. */
	profile: FitProfile | null;
	/** The older ones first; those of other days are passed over. */
	overrides: readonly Override[];
}

/** Whether nothing of somebody changes a session: whatever it asks for, of everybody. */
const asPlanned = ({ kit, limits, planFor, level }: FitProfile): boolean =>
	kit === null && limits.length === 0 && levelsUnder(level, planFor ?? level) === 0;

/**
 * The session of a day as one person gets it: with the loads of their level, what was decided for them, and what fits what
 * they own and may do; what is different and why. Where nothing is, it is the session as planned, the same object.
 *
 * @returns null where nothing is left of it
 */
export function personalSession(
	planned: Session,
	day: number,
	{ profile, overrides }: FittedTo,
	practice: Practice
): PersonalSession | null {
	const session = profile === null ? planned : sessionFor(planned, profile.level);
	const due = overrides.filter((override) => appliesOn(override, day));
	const plain = (): PersonalSession => {
		const places = session.blocks.map((_, b) => b);
		return { session, places, asked: prescriptionOf(session, practice), changes: [], idle: [], unfit: [] };
	};
	if (due.length === 0 && (profile === null || asPlanned(profile))) return plain();
	const personal = new Personal(session, practice);
	const idle = due.filter((override) => !personal.apply(override));
	if (profile) personal.fit(profile, planned);
	if (personal.touched === 0) return { ...plain(), idle };

	// Blocks that are gone go from the end, so that repeats around the others keep their places.
	const left = personal.blocks.map((placed) =>
		stillSound(placed, session.blocks[placed.at] ?? placed.block, practice)
	);
	let next = session;
	for (let b = left.length - 1; b >= 0; b--) if (left[b]?.length === 0) next = removeBlock(next, b);
	const placed = left.flat();
	if (placed.length === 0) return null;
	// One block became several only where its format could not hold what was left: repeats then go around the first.
	next = placed.length === next.blocks.length ? next : { ...next, repeats: undefined };
	const own: Session = { ...next, blocks: withDayParts(placed, session) };
	if (own.repeats === undefined) delete own.repeats;
	const asked = prescriptionOf(own, practice).map((exercise) => ({
		...exercise,
		block: placed[exercise.block]?.at ?? exercise.block,
		part: placed[exercise.block]?.parts[exercise.part] ?? exercise.part
	}));
	return {
		session: own,
		places: placed.map(({ at }) => at),
		asked,
		changes: personal.changes,
		idle,
		unfit: personal.unfit
	};
}
