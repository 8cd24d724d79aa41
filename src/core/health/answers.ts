/** What people say of their health before they begin, as far as it decides what may be asked of them. */
import { JOINTS, type Joint } from '../exercise';
import type { Condition, Limitation } from '../kit';
import { limitsOf } from '../kit';
import { daysBetween } from '../calendar';
import { readPain } from './read-pain';

/** Where it can hurt; the places that exercises can be chosen around. */
export const SORE_PLACES = JOINTS;
export type SorePlace = Joint;

/** How a place is: it hurts now, it hurts sharply or more and more, or it did once. */
export const SORENESS = ['now', 'sharp', 'before'] as const;
export type Soreness = (typeof SORENESS)[number];

export const AGE_BANDS = ['under 16', '16 to 17', '18 to 39', '40 to 64', '65 or over'] as const;
export type AgeBand = (typeof AGE_BANDS)[number];

/** How somebody stands while training. */
export const STANCES = ['freely', 'with a support', 'seated'] as const;
/** How it is to get down to the floor and up again. */
export const FLOOR_WAYS = ['easy', 'with help', 'rather not'] as const;
export const BALANCES = ['steady', 'unsure'] as const;

/**
 * The questions of the screening, each answered with yes or no, in our words. Known disease, signs and symptoms: ACSM’s
 * preparticipation screening (Riebe and others 2015, Med Sci Sports Exerc 47:2473), from memory. Blood pressure, medication
 * and bones or joints: topics of the PAR-Q+ (Warburton and others 2011, Health & Fitness Journal of Canada 4:3), from
 * memory. Operation, advice and eating: common practice, no source.
 */
export const SCREEN_QUESTIONS = [
	{ key: 'disease', asks: 'Heart, blood vessel or kidney disease, or diabetes?' },
	{ key: 'pressure', asks: 'High blood pressure?' },
	{ key: 'medication', asks: 'Prescribed medicine for a long-term condition?' },
	{ key: 'bone', asks: 'Osteoporosis, arthritis or another condition that training could make worse?' },
	{ key: 'eating', asks: 'An eating disorder, now or before?' },
	{ key: 'operation', asks: 'In the last six months, an operation or a serious injury?' },
	{ key: 'chest', asks: 'Do you get pain or pressure in the chest, neck, jaw or arm, at rest or moving?' },
	{ key: 'breath', asks: 'Are you short of breath at rest, lying down, or with light effort?' },
	{ key: 'faint', asks: 'In the last year, have you fainted or felt dizzy enough to hold on to something?' },
	{ key: 'heartbeat', asks: 'Do you notice your heart racing or skipping without a reason?' },
	{ key: 'swelling', asks: 'Do your ankles swell, or do your calves hurt when you walk?' },
	{ key: 'told', asks: 'Has a doctor told you to hold back, or to train only with supervision?' }
] as const;
export type ScreenKey = (typeof SCREEN_QUESTIONS)[number]['key'];
export const SCREEN_KEYS = SCREEN_QUESTIONS.map(({ key }) => key);

/** Bounds that a week of pregnancy and the weeks since a birth can have. */
export const WEEKS = { pregnant: 42, sinceBirth: 104 } as const;

export interface HealthAnswers {
	age: AgeBand;
	hurts: readonly { place: SorePlace; how: Soreness }[];
	/** Anything else that hurts or did, in their words. */
	hurtsElsewhere: string | null;
	/** The week in which they were when they said so; null: not pregnant. */
	pregnantWeek: number | null;
	/** Weeks since a birth when they said so; null: none in the last two years. */
	birthWeeks: number | null;
	stance: (typeof STANCES)[number];
	balance: (typeof BALANCES)[number];
	floor: (typeof FLOOR_WAYS)[number];
	/** Whether they have trained on three days a week or more for three months. */
	active: boolean;
	/** Questions of the screening answered with yes. */
	yes: readonly ScreenKey[];
	/** The day on which they answered, `2026-05-13`. */
	on: string;
}

const weeksSince = (on: string, now: string): number => Math.max(0, Math.floor(daysBetween(on, now) / 7));

/** The week of a pregnancy on a date; null without one, or where it must be over by then. */
export function pregnantWeekOn({ pregnantWeek, on }: HealthAnswers, date: string): number | null {
	if (pregnantWeek === null) return null;
	const week = pregnantWeek + weeksSince(on, date);
	return week <= WEEKS.pregnant ? week : null;
}

/** Weeks since a birth on a date, whether it was told or must have been since; null without one. */
export function weeksSinceBirthOn(answers: HealthAnswers, date: string): number | null {
	const since = weeksSince(answers.on, date);
	if (answers.birthWeeks !== null) return answers.birthWeeks + since;
	if (answers.pregnantWeek === null || pregnantWeekOn(answers, date) !== null) return null;
	return answers.pregnantWeek + since - WEEKS.pregnant;
}

/**
 * Weeks after a birth up to which each step lasts: gentle only, no planks and jumps, and no more than moderate pressure.
 * Common practice, no source; ACOG Committee Opinion 804 asks for a gradual return, from memory.
 */
const BIRTH_STEPS = [
	{ before: 6, condition: 'first weeks after birth' },
	{ before: 16, condition: 'after birth' },
	{ before: 26, condition: 'later after birth' }
] as const satisfies readonly { before: number; condition: Condition }[];

/** Weeks after a birth within which a doctor or midwife is asked first. */
export const EARLY_AFTER_BIRTH = 16;

/** First week of the second and of the third trimester, as ACOG counts them (14 and 28). */
const TRIMESTERS = [14, 28] as const;

/** What is true of somebody on a date, as far as it decides what must not be asked of them. */
export function conditionsOn(answers: HealthAnswers, date: string): Condition[] {
	const found: Condition[] = [];
	if (answers.stance === 'seated') found.push('seated');
	if (answers.stance === 'with a support') found.push('standing with a support');
	if (answers.floor === 'rather not') found.push('no getting down to the floor');
	const week = pregnantWeekOn(answers, date);
	if (week !== null)
		found.push(
			week < TRIMESTERS[0]
				? 'pregnant, first trimester'
				: week < TRIMESTERS[1]
					? 'pregnant, second trimester'
					: 'pregnant, third trimester'
		);
	const born = weeksSinceBirthOn(answers, date);
	const step = born === null ? undefined : BIRTH_STEPS.find(({ before }) => born < before);
	if (step) found.push(step.condition);
	const elsewhere = readPain(answers.hurtsElsewhere ?? '').areas;
	for (const place of SORE_PLACES)
		if (elsewhere.includes(place) || answers.hurts.some((one) => one.place === place && one.how !== 'before'))
			found.push(`sore ${place}`);
	if (answers.age === '65 or over') found.push('over 65');
	if (answers.balance === 'unsure') found.push('unsure balance');
	if (answers.yes.includes('operation')) found.push('after an operation');
	return found;
}

/**
 * What must not be asked of somebody on a date. Over 65 the floor is left out unless they said that it is easy; whoever is
 * unsure of their balance has something to hold.
 */
export function limitsOn(answers: HealthAnswers, date: string): Limitation[] {
	const conditions = conditionsOn(answers, date);
	const limits = new Set<Limitation>();
	for (const condition of conditions)
		for (const limit of limitsOf(condition)) {
			// Who sits has no easy floor, whatever they ticked.
			const chosen =
				(condition === 'over 65' || condition === 'unsure balance') &&
				limit === 'no floor' &&
				answers.floor === 'easy' &&
				answers.stance !== 'seated';
			if (!chosen) limits.add(limit);
		}
	return [...limits];
}

/**
 * The most effort that suits somebody on a date, 0…10; null if there is no bound of their own. In pregnancy 7 with the talk
 * test (ACOG Committee Opinion 804, from memory: moderate intensity), over 65 8 (common practice, no source).
 */
export function effortMostOn(answers: HealthAnswers, date: string): number | null {
	if (pregnantWeekOn(answers, date) !== null) return 7;
	return answers.age === '65 or over' ? 8 : null;
}

/**
 * Whether heart rates say how hard somebody works, by what is known of them. In pregnancy and the first weeks after a birth the
 * talk test does (ACOG Committee Opinion 804), with a heart that is ill or told of, what a doctor says, and under 18 the bands of
 * grown-ups do not hold.
 */
export function isRateGuide(answers: HealthAnswers | null, date: string): boolean {
	if (!answers) return true;
	const since = weeksSinceBirthOn(answers, date);
	const expecting = pregnantWeekOn(answers, date) !== null || (since !== null && since < 12);
	const heart = answers.yes.some((key) => key === 'disease' || key === 'chest' || key === 'heartbeat');
	const young = answers.age === 'under 16' || answers.age === '16 to 17';
	return !expecting && !heart && !young;
}
