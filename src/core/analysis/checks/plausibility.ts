/** Numbers that are sound and yet hardly meant: asked about, never forbidden. */
import type { Exercise, Pattern } from '../../exercise';
import { KG_PER_LB, talksRatherThanCounts } from '../../kit';
import { COMMON } from '../../findings';
import {
	clockText,
	formatOf,
	loadsOf,
	putBlock,
	putPart,
	withLoads,
	type Block,
	type Part
} from '../../session';
import { listed } from '../../text/words';
import type { Check, Place, SessionFinding } from '../finding';

/** The heaviest single weight, in kilograms, that strong people use in a movement at home (common practice, no source). */
const BEARS: Readonly<Record<Pattern, number>> = {
	squat: 120,
	lunge: 80,
	hinge: 160,
	bridge: 160,
	'push forward': 60,
	'push up': 50,
	'pull back': 70,
	'pull down': 60,
	raise: 20,
	curl: 35,
	'elbow extension': 35,
	'knee extension': 40,
	carry: 100,
	trunk: 40,
	calf: 100,
	'hip side': 20,
	jump: 20,
	step: 40,
	combination: 40,
	mobility: 5,
	stretch: 5
};
/** What is called a light dumbbell. */
const LIGHT = 15;

const bears = ({ pattern, equipment }: Exercise): number =>
	equipment.some(({ item }) => item === 'light dumbbell') ? Math.min(LIGHT, BEARS[pattern]) : BEARS[pattern];

/** One finding for each part that something is seen in. */
const inParts =
	(
		see: (
			part: Part,
			exercise: Exercise | null,
			block: Block
		) => (Omit<SessionFinding, 'place' | 'remedy'> & { better?: { label: string; part: Part } }) | null
	): Check =>
	({ session, practice }) =>
		session.blocks.flatMap((block, b): SessionFinding[] =>
			block.parts.flatMap((part, p): SessionFinding[] => {
				const found = see(part, practice.library.find(part.exercise), block);
				if (!found) return [];
				const { better, ...finding } = found;
				const place: Place = { block: b, part: p };
				return [
					{
						...finding,
						place,
						remedy: better
							? { label: better.label, apply: () => putBlock(session, b, putPart(block, p, better.part)) }
							: null
					}
				];
			})
		);

const tooHeavy = inParts((part, exercise) => {
	const kg = Math.max(...loadsOf(part));
	if (!exercise || !(kg > bears(exercise))) return null;
	const most = bears(exercise);
	const inPounds = (amount: number) => Math.round(amount * KG_PER_LB * 2) / 2;
	return {
		rule: 'load beyond reason',
		severity: 'watch',
		title: `${exercise.name} with ${kg} kg: is that meant?`,
		figure: `Up to ${most} kg in one weight is what strong people use in it.`,
		source: COMMON,
		...(inPounds(kg) <= most && {
			better: { label: `It was pounds: use ${inPounds(kg)} kg`, part: withLoads(part, inPounds) }
		})
	};
});

/** Repetitions of one set, and seconds of one hold, beyond which a slip of the finger is likelier than a plan. */
const MOST_REPS = 100;
const MOST_HELD = 300;

const tooMany = inParts((part, exercise, block) => {
	const { target } = part;
	if (formatOf(block).countedIn === 'minutes' || exercise?.pattern === 'step') return null;
	if (target.kind === 'reps' && target.reps > MOST_REPS)
		return {
			rule: 'count beyond reason',
			severity: 'watch',
			title: `${target.reps} reps of ${part.exercise.toLowerCase()} in one go: is that meant?`,
			figure: `More than ${MOST_REPS} in a set is rarely planned.`,
			source: COMMON
		};
	if (target.kind === 'seconds' && target.seconds > MOST_HELD && exercise?.countedIn === 'seconds')
		return {
			rule: 'count beyond reason',
			severity: 'watch',
			title: `${part.exercise} for ${clockText(target.seconds)} in one go: is that meant?`,
			figure: `More than ${clockText(MOST_HELD)} at a time is rarely planned.`,
			source: COMMON
		};
	return null;
});

/**
 * Few repetitions with much weight, or close to the last one possible, want two minutes and more (NSCA, Essentials of
 * Strength Training and Conditioning: 2 to 5 min for strength; from memory). Asked about below one.
 */
const HEAVY_REPS = 6;
const HEAVY_SHARE = 0.4;
const HEAVY_EFFORT = 9;
const LEAST_REST = 60;
const USUAL_REST = 120;
const NSCA_REST =
	'NSCA, Essentials of Strength Training and Conditioning: 2 to 5 min of rest for strength, from memory';

const isHeavy = (part: Part, exercise: Exercise | null): boolean =>
	(part.effort?.low ?? 0) >= HEAVY_EFFORT ||
	(exercise !== null &&
		part.kg !== null &&
		part.target.kind === 'reps' &&
		(part.target.to ?? part.target.reps) <= HEAVY_REPS &&
		part.kg >= HEAVY_SHARE * bears(exercise));

const restTooShort: Check = ({ session, goes }) => {
	const seen = new Set<Part>();
	return goes.flatMap((go, i): SessionFinding[] => {
		const block = session.blocks[go.block];
		if (!block || go.rested === null || go.rested >= LEAST_REST || goes[i - 1]?.part !== go.part) return [];
		if (!isHeavy(go.part, go.exercise) || seen.has(go.part)) return [];
		seen.add(go.part);
		return [
			{
				rule: 'rest too short for the load',
				severity: 'watch',
				title: `${Math.round(go.rested)} s of rest between heavy sets of ${go.part.exercise.toLowerCase()}`,
				figure: `About ${USUAL_REST} s are usual, so that the next set can be as good.`,
				place: { block: go.block, part: go.partIndex },
				source: NSCA_REST,
				remedy:
					'rest' in block
						? {
								label: `Rest ${USUAL_REST} s`,
								apply: () => putBlock(session, go.block, { ...block, rest: USUAL_REST })
							}
						: null
			}
		];
	});
};

/** Of the highest rate there is: at it nobody speaks any more. */
const TALKING_SHARE = 0.85;
const AGE_BOUND = '220 − age, a rule of thumb for the highest rate';

/** The youngest that an audience is taken to be: adults, or over 65. */
const youngestOf = (over65: boolean): number => (over65 ? 65 : 20);

const heartRate: Check = ({ session, audience }) => {
	const conditions = audience?.conditions ?? [];
	const most = 220 - youngestOf(conditions.includes('over 65'));
	const talking = Math.floor(most * TALKING_SHARE);
	const talkers = conditions.filter(talksRatherThanCounts);
	return session.blocks.flatMap((block, b): SessionFinding[] => {
		const bpm = 'bpm' in block ? block.bpm : null;
		if (!bpm) return [];
		const finding = (title: string, figure: string, source: string): SessionFinding => ({
			rule: 'heart rate',
			severity: 'watch',
			title,
			figure,
			place: { block: b },
			source,
			remedy: {
				label: 'Go by the talk test',
				apply: () => putBlock(session, b, { ...block, bpm: null } as Block)
			}
		});
		if (talkers.length > 0)
			return [
				finding(
					`${bpm.low} to ${bpm.high} bpm for ${listed(talkers)}`,
					'Heart rate is no guide in pregnancy; being able to talk is.',
					'ACOG Committee Opinion 804, 2020, from memory'
				)
			];
		if (bpm.high > most)
			return [finding(`${bpm.high} bpm is more than ${most}`, `No age of this group reaches it.`, AGE_BOUND)];
		if (bpm.high > talking)
			return [
				finding(
					`${bpm.high} bpm can’t be talked through`,
					`Steady cardio is talked through; above ${talking} bpm hardly anybody of this group still can.`,
					AGE_BOUND
				)
			];
		return [];
	});
};

export const PLAUSIBILITY_CHECKS: readonly Check[] = [tooHeavy, tooMany, restTooShort, heartRate];
