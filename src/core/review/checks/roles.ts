import { MUSCLES, type Exercise, type Library, type Muscle } from '../../library';
import {
	addBlock,
	clockText,
	compileSession,
	putBlock,
	type Block,
	type Part,
	type Role,
	type Session,
	type TimelineOptions
} from '../../session';
import { balanceOf } from '../balance';
import { COMMON, type Check, type Finding, type Subject } from '../finding';

const ACSM = 'ACSM’s Guidelines for Exercise Testing and Prescription, from memory: 5 to 10 min';
const MOST = 8;

const timed = (exercise: Exercise, seconds: number): Part => ({
	exercise: exercise.name,
	target: { kind: 'seconds', seconds },
	perSide: exercise.perSide,
	tempo: null,
	kg: null
});

/** Muscles that the main work uses most, the most used first. */
function mostUsed(session: Session, library: Library): Muscle[] {
	const { sets } = balanceOf(session, library);
	return MUSCLES.filter((muscle) => sets[muscle] > 0).sort((a, b) => sets[b] - sets[a]);
}

/** Exercises that between them reach the muscles, the best one first each time; equipment only mat, chair and wall. */
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

const HOME = new Set(['mat', 'chair', 'wall']);
const athome = (e: Exercise): boolean => !e.retired && e.equipment.every((need) => HOME.has(need.item));

/** A warm-up for the work there is: steps, what loosens the muscles used most, an easy form of the first exercise. */
export function warmUpFor(session: Session, library: Library, minutes: number): Block {
	const names = ['March on the spot', 'March with arms up'];
	const muscles = mostUsed(session, library);
	const loosening = reaching(
		muscles,
		library.all.filter((e) => e.pattern === 'mobility' && athome(e)),
		3
	);
	const first = session.blocks.find((block) => block.role === 'main')?.parts[0]?.exercise;
	let easy = first ? library.find(first) : null;
	for (let steps = 0; easy && steps < 6 && (!athome(easy) || easy.equipment.length > 0); steps++)
		easy = library.easier(easy.name);
	const steps = names.map((name) => library.find(name)).filter((e) => e !== null);
	const all = [...steps, ...loosening, ...(easy && easy.pattern !== 'stretch' ? [easy] : [])];
	const exercises = all.filter((e, i) => all.indexOf(e) === i);
	const slot = 40;
	return {
		format: 'interval-circuit',
		role: 'warm-up',
		rounds: Math.max(1, Math.ceil((minutes * 60) / (exercises.length * (slot + 10)))),
		work: slot,
		rest: 10,
		roundRest: null,
		keepLastRest: false,
		parts: exercises.map((e) => timed(e, slot))
	};
}

/** Stretches for the muscles used most, long enough to make the minutes. */
export function coolDownFor(session: Session, library: Library, minutes: number, hold: number): Block {
	const muscles = mostUsed(session, library);
	const stretches = library.all.filter((e) => e.pattern === 'stretch' && athome(e));
	const wanted = muscles.length > 0 ? muscles : (['calves', 'hamstrings', 'lower back'] as Muscle[]);
	const parts: Part[] = [];
	let seconds = 0;
	for (const exercise of reaching(wanted, stretches, MOST)) {
		if (seconds >= minutes * 60) break;
		parts.push(timed(exercise, hold));
		seconds += (exercise.perSide ? 2 * hold + 5 : hold) + 5;
	}
	return { format: 'holds', role: 'cool-down', rounds: 1, rest: 5, parts };
}

function secondsOf(session: Session, role: Role, options: TimelineOptions): number {
	const { blocks } = compileSession(session, options);
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
		if (secondsOf(session, role, subject.options) >= minutes * 60) return { session, rounds };
	}
	return null;
}

function roleCheck(role: 'warm-up' | 'cool-down'): Check {
	const label = role === 'warm-up' ? 'warm-up' : 'cool-down';
	return (subject) => {
		const { session, library, house, timeline } = subject;
		if (!session.blocks.some((block) => block.role === 'main')) return [];
		const minutes = role === 'warm-up' ? house.warmUp : house.coolDown;
		const has = session.blocks.findIndex((block) => block.role === role);
		if (has < 0)
			return [
				{
					rule: `no ${label}`,
					weight: 'watch',
					title: `No ${label}`,
					figure: `${minutes} min are the house rule.`,
					place: null,
					source: ACSM,
					remedy: {
						label: `Put one in that fits the work`,
						apply: () =>
							addBlock(
								session,
								role === 'warm-up'
									? warmUpFor(session, library, minutes)
									: coolDownFor(session, library, minutes, house.stretchHold)
							)
					}
				}
			];
		const seconds = session.blocks.reduce(
			(sum, block, b) => sum + (block.role === role ? (timeline.blocks[b]?.seconds ?? 0) : 0),
			0
		);
		// Half a minute short is not worth a word.
		if (seconds >= minutes * 60 - 30) return [];
		const more = longer(subject, role, minutes);
		return [
			{
				rule: `${label} too short`,
				weight: 'hint',
				title: `A ${label} of ${clockText(seconds)}`,
				figure: `${minutes} min are the house rule.`,
				place: { block: has },
				source: ACSM,
				remedy: more && {
					label: `Go through it ${more.rounds === 2 ? 'twice' : `${more.rounds} times`}`,
					apply: () => more.session
				}
			}
		];
	};
}

const shortHolds: Check = ({ session, library, house }) =>
	session.blocks.flatMap((block, b): Finding[] => {
		const short = block.parts.flatMap((part, p) => {
			const stretch = library.find(part.exercise)?.pattern === 'stretch';
			const held = part.target.kind === 'seconds' ? part.target.seconds : Infinity;
			return stretch && block.format === 'holds' && held < house.stretchHold ? [p] : [];
		});
		const [first] = short;
		if (first === undefined) return [];
		const held = block.parts[first]?.target;
		return [
			{
				rule: 'stretch held briefly',
				weight: 'hint',
				title:
					short.length === 1
						? `${block.parts[first]?.exercise} is held ${held?.kind === 'seconds' ? held.seconds : 0} s`
						: `${short.length} stretches are held under ${house.stretchHold} s`,
				figure: `${house.stretchHold} s are the house rule.`,
				place: { block: b, part: first },
				source: 'ACSM’s Guidelines, from memory: 10 to 30 s, older adults 30 to 60 s',
				remedy: {
					label: `Hold ${house.stretchHold} s`,
					apply: () =>
						putBlock(session, b, {
							...block,
							parts: block.parts.map((part, p) =>
								short.includes(p)
									? { ...part, target: { kind: 'seconds', seconds: house.stretchHold } }
									: part
							)
						})
				}
			}
		];
	});

const oneSided: Check = ({ session, library }) =>
	session.blocks.flatMap((block, b): Finding[] =>
		block.parts.flatMap((part, p): Finding[] => {
			const exercise = library.find(part.exercise);
			if (!exercise?.perSide || part.perSide) return [];
			// Twice in a block is once a side, as some coaches write it.
			const times = block.parts.filter((other) => library.find(other.exercise) === exercise).length;
			if (times % 2 === 0) return [];
			return [
				{
					rule: 'one side only',
					weight: 'watch',
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

export const ROLE_CHECKS: readonly Check[] = [
	roleCheck('warm-up'),
	roleCheck('cool-down'),
	shortHolds,
	oneSided
];
