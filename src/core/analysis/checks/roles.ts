import { MUSCLES, type Exercise, type Muscle } from '../../exercise';
import { canDo, substitute, type Fitting } from '../../substitution';
import {
	addBlock,
	clockText,
	compileSession,
	formatOf,
	newCircuit,
	newHolds,
	piecesOf,
	putBlock,
	type Block,
	type Part,
	type Role,
	type Session,
	type Timeline
} from '../../session';
import { balanceOf } from '../balance';
import { ACSM_WARM_UP, COMMON } from '../../findings';
import type { Practice } from '../../practice';
import { type Check, type SessionFinding, type Subject } from '../finding';

const MOST = 8;

const timed = (exercise: Exercise, seconds: number): Part => ({
	exercise: exercise.name,
	target: { kind: 'seconds', seconds },
	perSide: exercise.perSide,
	tempo: null,
	kg: null
});

/** Muscles that the main work uses most, the most used first. */
function mostUsed(session: Session, practice: Practice): Muscle[] {
	const { sets } = balanceOf(session, practice);
	return MUSCLES.filter((muscle) => sets[muscle] > 0).sort((a, b) => sets[b] - sets[a]);
}

/** Exercises that between them reach the muscles, the best one first each time. */
function reaching(muscles: Muscle[], from: Exercise[], count: number): Exercise[] {
	const chosen: Exercise[] = [];
	let left = [...muscles];
	const score = (e: Exercise) =>
		left.reduce((sum, muscle, i) => sum + (e.primary.includes(muscle) ? left.length - i : 0), 0);
	while (chosen.length < count) {
		const [best] = from
			.filter((e) => !chosen.includes(e))
			.map((e) => ({ e, points: score(e) }))
			.filter(({ points }) => points > 0)
			.sort((a, b) => b.points - a.points);
		if (!best) break;
		chosen.push(best.e);
		left = left.filter((muscle) => !best.e.primary.includes(muscle));
	}
	return chosen;
}

const offered =
	(fitting: Fitting) =>
	(e: Exercise): boolean =>
		!e.retired && canDo(e, fitting);

/**
 * A warm-up for the work there is: steps, what loosens the muscles used most, an easy form of the first exercise.
 *
 * @returns null where those whom it is for can do none of it
 */
export function warmUpFor(
	session: Session,
	practice: Practice,
	minutes: number,
	fitting: Fitting
): Block | null {
	const { library } = practice;
	const fits = offered(fitting);
	const names = ['March on the spot', 'March with arms up'];
	// Nobody sits down to warm up for work on their feet.
	const sits = fitting.limits.includes('seated only');
	const loosening = reaching(
		mostUsed(session, practice),
		library.all.filter((e) => e.pattern === 'mobility' && (sits || e.position !== 'seated') && fits(e)),
		3
	);
	const first = session.blocks.find((block) => block.role === 'main')?.parts[0]?.exercise;
	let easy = first ? library.find(first) : null;
	for (let steps = 0; easy && steps < 6 && (!fits(easy) || easy.equipment.length > 0); steps++)
		easy = library.easier(easy.name);
	if (easy && !fits(easy)) easy = null;
	const steps = names
		.map((name) => library.find(name))
		.map((e) => e && (fits(e) ? e : (substitute(e, fitting, practice)?.exercise ?? null)))
		.filter((e) => e !== null);
	const all = [...steps, ...loosening, ...(easy && easy.pattern !== 'stretch' ? [easy] : [])];
	const exercises = all.filter((e, i) => all.indexOf(e) === i);
	if (exercises.length === 0) return null;
	const slot = 40;
	return newCircuit(
		exercises.map((e) => timed(e, slot)),
		'warm-up',
		{
			rounds: Math.max(1, Math.ceil((minutes * 60) / (exercises.length * (slot + 10)))),
			work: slot,
			rest: 10
		}
	);
}

/**
 * Stretches for the muscles used most, long enough to make the minutes.
 *
 * @returns null where those whom it is for can do none of them
 */
export function coolDownFor(
	session: Session,
	practice: Practice,
	minutes: number,
	fitting: Fitting
): Block | null {
	const { library, house } = practice;
	const fits = offered(fitting);
	const hold = house.stretchHold;
	const muscles = mostUsed(session, practice);
	const stretches = library.all.filter((e) => e.pattern === 'stretch' && fits(e));
	const wanted = muscles.length > 0 ? muscles : (['calves', 'hamstrings', 'lower back'] as Muscle[]);
	const parts: Part[] = [];
	let seconds = 0;
	for (const exercise of reaching(wanted, stretches, MOST)) {
		if (seconds >= minutes * 60) break;
		parts.push(timed(exercise, hold));
		seconds += (exercise.perSide ? 2 * hold + 5 : hold) + 5;
	}
	return parts.length > 0 ? newHolds(parts, 'cool-down') : null;
}

function secondsOf(session: Session, role: Role, practice: Practice): number {
	const { blocks } = compileSession(session, practice);
	return session.blocks.reduce(
		(sum, block, b) => sum + (block.role === role ? (blocks[b]?.seconds ?? 0) : 0),
		0
	);
}

/** The blocks of a role gone through more often, until it is long enough; null when it stays too short. */
function longer(subject: Subject, role: Role, minutes: number): { session: Session; rounds: number } | null {
	const at = subject.session.blocks.findLastIndex((block) => block.role === role && 'rounds' in block);
	const block = subject.session.blocks[at];
	if (!block || !('rounds' in block)) return null;
	for (let rounds = block.rounds + 1; rounds <= block.rounds + 6; rounds++) {
		const session = putBlock(subject.session, at, { ...block, rounds });
		if (secondsOf(session, role, subject.practice) >= minutes * 60) return { session, rounds };
	}
	return null;
}

/** Work so easy that it warms up by itself and needs no cooling down: an easy way on foot, stretches, mobility. */
const isEasy = (session: Session, { library }: Practice): boolean =>
	session.blocks
		.filter((block) => block.role === 'main')
		.every(
			(block) =>
				formatOf(block).easy?.(block) ||
				block.parts.every(({ exercise }) => {
					const pattern = library.find(exercise)?.pattern;
					return pattern === 'stretch' || pattern === 'mobility';
				})
		);

/** Seconds of work up to which a piece of a session needs no warming up of its own (common practice, no source). */
const BIT = 600;

/** Work that is spread over the day, none of it long. */
const isInBits = (session: Session, { blocks }: Timeline): boolean => {
	const pieces = piecesOf(session);
	return (
		pieces.length > 0 &&
		pieces.every(({ from, to }) => {
			const long = blocks.slice(from, to + 1).reduce((sum, { seconds }) => sum + seconds, 0);
			return long <= BIT;
		})
	);
};

/** Where the session itself is short, the warm-up takes at least this share of it (common practice, no source). */
const SHARE = 1 / 6;

function roleCheck(role: 'warm-up' | 'cool-down'): Check {
	return (subject) => {
		const { session, practice, timeline, fitting, budgetMinutes } = subject;
		const { house } = practice;
		if (!session.blocks.some((block) => block.role === 'main')) return [];
		if (isEasy(session, practice) || isInBits(session, timeline)) return [];
		const rule = role === 'warm-up' ? house.warmUp : house.coolDown;
		const minutes = Math.min(rule, (budgetMinutes ?? Infinity) * SHARE);
		const figure =
			minutes < rule
				? `A sixth of ${budgetMinutes} min is usual in a short session, ${rule} min otherwise.`
				: `${rule} min are the house rule.`;
		const has = session.blocks.findIndex((block) => block.role === role);
		if (has < 0) {
			const made = (role === 'warm-up' ? warmUpFor : coolDownFor)(session, practice, minutes, fitting);
			return [
				{
					rule: `no ${role}`,
					severity: 'watch',
					title: `No ${role}`,
					figure,
					place: null,
					source: ACSM_WARM_UP,
					remedy: made && {
						label: `Add one that fits the work`,
						apply: () => addBlock(session, made)
					}
				}
			];
		}
		const seconds = session.blocks.reduce(
			(sum, block, b) => sum + (block.role === role ? (timeline.blocks[b]?.seconds ?? 0) : 0),
			0
		);
		// Half a minute short is not worth a word.
		if (seconds >= minutes * 60 - 30) return [];
		const more = longer(subject, role, minutes);
		return [
			{
				rule: `${role} too short`,
				severity: 'hint',
				title: `A ${role} of ${clockText(seconds)}`,
				figure,
				place: { block: has },
				source: ACSM_WARM_UP,
				remedy: more && {
					label: `Go through it ${more.rounds === 2 ? 'twice' : `${more.rounds} times`}`,
					apply: () => more.session
				}
			}
		];
	};
}

/** Sides are done in turns: in a time that the block gives, and in an even number of repetitions against the clock. */
const takesTurns = (block: Block, { target }: Part): boolean => {
	const { inTurn } = formatOf(block);
	return inTurn === 'always' || (inTurn === 'even' && target.kind === 'reps' && target.reps % 2 === 0);
};

const oneSided: Check = ({ session, practice: { library } }) =>
	session.blocks.flatMap((block, b): SessionFinding[] =>
		block.parts.flatMap((part, p): SessionFinding[] => {
			const exercise = library.find(part.exercise);
			if (!exercise?.perSide || part.perSide || takesTurns(block, part)) return [];
			// Twice in a block is once a side, as some coaches write it.
			const times = block.parts.filter((other) => library.find(other.exercise) === exercise).length;
			if (times % 2 === 0) return [];
			return [
				{
					rule: 'one side only',
					severity: 'watch',
					title: `${exercise.name} on one side only`,
					figure: 'It is done per side; the other side is not asked for.',
					place: { block: b, part: p },
					source: COMMON,
					remedy: {
						label: 'Do both sides',
						apply: () =>
							putBlock(session, b, {
								...block,
								parts: block.parts.map((old, i) => (i === p ? { ...old, perSide: true } : old))
							})
					}
				}
			];
		})
	);

export const ROLE_CHECKS: readonly Check[] = [roleCheck('warm-up'), roleCheck('cool-down'), oneSided];
