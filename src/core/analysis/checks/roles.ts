import { MUSCLES, type Exercise, type Library, type Muscle } from '../../exercise';
import { kitOfItems, type Limitation } from '../../kit';
import { canDo, substitute, type Fitting } from '../../substitution';
import {
	addBlock,
	clockText,
	compileSession,
	newCircuit,
	newHolds,
	putBlock,
	type Block,
	type Part,
	type Role,
	type Session
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

/** What a warm-up and a cool-down may take: a mat, beside what every home has. */
const HOME = kitOfItems(['mat']);

/** A session of seated work alone is for people who sit: what is added to it is done seated too. */
function limitsOf(session: Session, library: Library, limits: readonly Limitation[]): readonly Limitation[] {
	const main = session.blocks.filter(({ role }) => role === 'main').flatMap(({ parts }) => parts);
	const seated = main.every(({ exercise }) => library.find(exercise)?.position === 'seated');
	return main.length > 0 && seated ? [...new Set<Limitation>([...limits, 'seated only'])] : limits;
}

const offered =
	(fitting: Fitting) =>
	(e: Exercise): boolean =>
		!e.retired && canDo(e, fitting);

/** A warm-up for the work there is: steps, what loosens the muscles used most, an easy form of the first exercise. */
export function warmUpFor(
	session: Session,
	practice: Practice,
	minutes: number,
	limits: readonly Limitation[]
): Block {
	const { library } = practice;
	const fitting = { kit: HOME, limits: limitsOf(session, library, limits) };
	const fits = offered(fitting);
	const names = ['March on the spot', 'March with arms up'];
	const muscles = mostUsed(session, practice);
	const loosening = reaching(
		muscles,
		library.all.filter((e) => e.pattern === 'mobility' && fits(e)),
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

/** Stretches for the muscles used most, long enough to make the minutes. */
export function coolDownFor(
	session: Session,
	practice: Practice,
	minutes: number,
	limits: readonly Limitation[]
): Block {
	const { library, house } = practice;
	const fits = offered({ kit: HOME, limits: limitsOf(session, library, limits) });
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
	return newHolds(parts, 'cool-down');
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

function roleCheck(role: 'warm-up' | 'cool-down'): Check {
	const label = role === 'warm-up' ? 'warm-up' : 'cool-down';
	return (subject) => {
		const { session, practice, timeline, limits } = subject;
		const { house } = practice;
		if (!session.blocks.some((block) => block.role === 'main')) return [];
		const minutes = role === 'warm-up' ? house.warmUp : house.coolDown;
		const has = session.blocks.findIndex((block) => block.role === role);
		if (has < 0)
			return [
				{
					rule: `no ${label}`,
					severity: 'watch',
					title: `No ${label}`,
					figure: `${minutes} min are the house rule.`,
					place: null,
					source: ACSM_WARM_UP,
					remedy: {
						label: `Put one in that fits the work`,
						apply: () =>
							addBlock(
								session,
								role === 'warm-up'
									? warmUpFor(session, practice, minutes, limits)
									: coolDownFor(session, practice, minutes, limits)
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
				severity: 'hint',
				title: `A ${label} of ${clockText(seconds)}`,
				figure: `${minutes} min are the house rule.`,
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

const oneSided: Check = ({ session, practice: { library } }) =>
	session.blocks.flatMap((block, b): SessionFinding[] =>
		block.parts.flatMap((part, p): SessionFinding[] => {
			const exercise = library.find(part.exercise);
			if (!exercise?.perSide || part.perSide) return [];
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
