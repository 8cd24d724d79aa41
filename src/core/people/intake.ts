/** What is asked of everybody before they begin, and where answers speak against each other. */
import { KIT_LIMITS, ownedText, type Owned } from '../kit';
import type { HealthAnswers } from '../health';
import type { Level } from './levels';

/** The sections in the order in which they are asked. */
export const INTAKE_SECTIONS = ['you', 'training', 'kit', 'body', 'health', 'consent'] as const;
export type IntakeSection = (typeof INTAKE_SECTIONS)[number];

export const WEIGHTS_USED = ['never', 'some', 'regularly'] as const;
export type WeightsUsed = (typeof WEIGHTS_USED)[number];

/** What somebody agrees to; the text that holds has the highest version, which is kept with their consent. */
export const CONSENT = {
	version: 1,
	text: [
		'Your answers are kept so that your coach can choose exercises that suit you.',
		'Health answers, what hurts and your check-ins are seen by the coaches of your challenge and by you, and by nobody else.',
		'You see here who has looked at your health answers. You can take all your data out, and have it deleted, at any time.',
		'Nothing here is medical advice. When in doubt, ask a doctor before you train.'
	]
} as const;

/** Something in some answers that cannot be meant, with the field where it is. */
export interface Contradiction {
	field: string;
	message: string;
}

export interface KitAnswers {
	/** They said that they have nothing. */
	none: boolean;
	owned: readonly Owned[];
	/** As they write it, what has no place of its own. */
	other: string;
}

/** What speaks against itself in what somebody owns. */
export function kitContradictions({ none, owned, other }: KitAnswers): Contradiction[] {
	const first = owned[0];
	if (none && (first || other.trim()))
		return [
			{
				field: 'none',
				message: `You said that you have nothing, and listed ${first ? ownedText(first) : `“${other.trim().slice(0, 60)}”`}. Which of the two is right?`
			}
		];
	if (!none && !first && !other.trim())
		return [{ field: 'none', message: 'Add what you have, or say that you have nothing. Both are fine.' }];
	return owned.flatMap((one, i) => weightTrouble(one).map((message) => ({ field: `owned[${i}]`, message })));
}

function weightTrouble(owned: Owned): string[] {
	const kgs = owned.kind === 'adjustable' ? [owned.from, owned.to] : 'kg' in owned ? [owned.kg] : [];
	const heavy = kgs.find((kg) => kg !== null && kg > KIT_LIMITS.kg);
	if (heavy !== undefined && heavy !== null)
		return [`${heavy} kg is more than anybody lifts at home. Did you mean ${Math.round(heavy) / 10} kg?`];
	if (owned.kind === 'adjustable' && owned.from >= owned.to)
		return [`From ${owned.from} to ${owned.to} kg: the second weight is the heavier one.`];
	if (owned.kind === 'adjustable' && owned.step > owned.to - owned.from)
		return [`Steps of ${owned.step} kg are more than there is between ${owned.from} and ${owned.to} kg.`];
	return [];
}

export const EXPECTING = ['no', 'pregnant', 'born'] as const;
/** Neither, pregnant, or after a birth. */
export type Expecting = (typeof EXPECTING)[number];

/** What speaks against itself in what somebody says of their body, and weeks that are not said. */
export function bodyContradictions(
	answers: Pick<HealthAnswers, 'pregnantWeek' | 'birthWeeks' | 'age' | 'hurts'> & { expecting: Expecting }
): Contradiction[] {
	const { expecting, pregnantWeek, birthWeeks, age, hurts } = answers;
	const found: Contradiction[] = [];
	if (expecting === 'pregnant' && pregnantWeek === null)
		found.push({ field: 'pregnantWeek', message: 'Which week is it? About is good enough.' });
	if (expecting === 'born' && birthWeeks === null)
		found.push({ field: 'birthWeeks', message: 'How many weeks ago was it? About is good enough.' });
	if (expecting !== 'pregnant' && pregnantWeek !== null)
		found.push({
			field: 'expecting',
			message: `You said week ${pregnantWeek} of a pregnancy. Are you pregnant?`
		});
	if (pregnantWeek !== null && birthWeeks !== null && birthWeeks < 4)
		found.push({
			field: 'birthWeeks',
			message: `You said pregnant in week ${pregnantWeek} and ${birthWeeks} weeks after a birth. Which of the two is right?`
		});
	if (pregnantWeek !== null && (age === '65 or over' || age === 'under 16'))
		found.push({ field: 'age', message: `You said pregnant and ${age}. Which of the two is right?` });
	const twice = hurts.find((one, i) => hurts.findIndex((other) => other.place === one.place) !== i);
	if (twice)
		found.push({ field: 'hurts', message: `The ${twice.place} has two answers. Which of them is right?` });
	return found;
}

/** What speaks against itself in how somebody has trained. */
export function trainingContradictions(answers: {
	level: Level;
	weights: WeightsUsed;
	active: boolean;
}): Contradiction[] {
	const { level, weights, active } = answers;
	if (level === 'trained' && weights === 'never' && !active)
		return [
			{
				field: 'level',
				message:
					'You said trained, never with weights and not three days a week. If you are coming back after a long time, “beginner” is the safer place to start.'
			}
		];
	return [];
}
