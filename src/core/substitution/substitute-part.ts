import { takesWeight, type Exercise } from '../exercise';
import type { Practice } from '../practice';
import { putBlock, putPart, targetOf, workOnOneSide, type Part, type Session, type Target } from '../session';

/** Repetitions and seconds that are easy to say, and metres. */
const STEPS = { reps: 1, seconds: 5, metres: 10 } as const;

/** As much of another kind as takes about the same time: a repetition 3 s, a metre 1 s. */
function asMuch(seconds: number, kind: Target['kind']): Target {
	const amount = kind === 'reps' ? seconds / 3 : seconds;
	const step = STEPS[kind];
	return targetOf(kind, Math.max(kind === 'reps' ? 1 : 10, Math.round(amount / step) * step));
}

/** A part with another exercise in its place, counted as that one is counted; timed repetitions stay timed, and half ones go. */
export function substitutePart(part: Part, to: Exercise, practice: Practice): Part {
	const { target } = part;
	const stays = target.kind === to.countedIn || (target.kind === 'seconds' && to.countedIn === 'reps');
	const loaded = takesWeight(to);
	const { or: _or, partial: _partial, each: _each, pace: _pace, eachWay: _eachWay, ...plain } = part;
	const {
		weights: _weights,
		resistance: _resistance,
		kgByLevel: _kgByLevel,
		instead = [],
		...bare
	} = stays ? part : plain;
	const left = instead.filter(({ exercise }) => exercise !== to.name);
	return {
		...bare,
		exercise: to.name,
		target: stays ? target : asMuch(workOnOneSide(part, practice).seconds, to.countedIn),
		perSide: to.perSide,
		tempo: null,
		kg: loaded ? part.kg : null,
		...(loaded && part.kgByLevel && { kgByLevel: part.kgByLevel }),
		...(left.length > 0 && { instead: left }),
		...(loaded && part.weights && { weights: part.weights }),
		...(loaded && part.resistance && { resistance: part.resistance })
	};
}

/** A session with another exercise in place of one of its parts; the same session where there is no such part. */
export function substituteAt(
	session: Session,
	block: number,
	part: number,
	to: Exercise,
	practice: Practice
): Session {
	const at = session.blocks[block];
	const before = at?.parts[part];
	return at && before
		? putBlock(session, block, putPart(at, part, substitutePart(before, to, practice)))
		: session;
}
