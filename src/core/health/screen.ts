/** Whether somebody may begin, or a professional is asked first. Nothing here diagnoses. */
import { areaText } from './area-text';
import { adviceFor } from '../kit';
import {
	conditionsOn,
	EARLY_AFTER_BIRTH,
	pregnantWeekOn,
	weeksSinceBirthOn,
	type HealthAnswers,
	type ScreenKey,
	type SorePlace
} from './answers';

/** Who has to say yes first. */
export const ASKED = ['a doctor', 'a doctor or midwife', 'a parent or guardian'] as const;
export type Asked = (typeof ASKED)[number];

/** Why a professional, or a parent, is asked first. */
export interface ScreenReason {
	/** Of what the reason is: the same answer gives the same key. */
	key: ScreenKey | 'pregnant' | 'birth' | 'young' | `sharp ${SorePlace}`;
	text: string;
	ask: Asked;
	/** Where the rule is from. */
	source: string;
}

export interface Screening {
	clearance: 'go' | 'ask first';
	reasons: ScreenReason[];
	/** What to keep in mind, whether they may begin or not; sentences. */
	cautions: string[];
}

const ACSM =
	'ACSM preparticipation screening (Riebe and others 2015, Med Sci Sports Exerc 47:2473), from memory';
const ACOG = 'ACOG Committee Opinion 804 (2020), from memory';
const PAR_Q = 'PAR-Q+ (Warburton and others 2011, Health & Fitness Journal of Canada 4:3), from memory';
const PRACTICE = 'common practice, no source';

const YES: Readonly<Record<ScreenKey, { text: string; source: string }>> = {
	disease: { text: 'a heart, blood vessel, kidney or sugar disease', source: ACSM },
	chest: { text: 'pain or pressure in the chest, neck, jaw or arm', source: ACSM },
	breath: { text: 'short of breath at rest or with light effort', source: ACSM },
	faint: { text: 'fainting or dizziness', source: ACSM },
	heartbeat: { text: 'a heart that races or skips without a reason', source: ACSM },
	swelling: { text: 'swollen ankles, or calves that hurt when walking', source: ACSM },
	pressure: { text: 'high blood pressure', source: PAR_Q },
	medication: { text: 'medicine for a long-term condition', source: PAR_Q },
	bone: { text: 'a bone, joint or muscle condition', source: PAR_Q },
	eating: { text: 'an eating disorder, now or before', source: PRACTICE },
	operation: { text: 'an operation or a serious injury in the last six months', source: PRACTICE },
	told: { text: 'a doctor advised to hold back or to train with supervision', source: PRACTICE }
};

function reasonsOn(answers: HealthAnswers, date: string): ScreenReason[] {
	const reasons: ScreenReason[] = [];
	for (const key of Object.keys(YES) as ScreenKey[])
		if (answers.yes.includes(key)) reasons.push({ key, ...YES[key], ask: 'a doctor' });
	const week = pregnantWeekOn(answers, date);
	if (week !== null)
		reasons.push({
			key: 'pregnant',
			text: `pregnant, week ${week}`,
			ask: 'a doctor or midwife',
			source: ACOG
		});
	const born = weeksSinceBirthOn(answers, date);
	if (born !== null && born < EARLY_AFTER_BIRTH)
		reasons.push({
			key: 'birth',
			text: `${born} ${born === 1 ? 'week' : 'weeks'} after a birth`,
			ask: 'a doctor or midwife',
			source: ACOG
		});
	for (const { place, how } of answers.hurts)
		if (how === 'sharp')
			reasons.push({
				key: `sharp ${place}`,
				text: `the ${areaText(place)} hurts sharply or more and more`,
				ask: 'a doctor',
				source: PRACTICE
			});
	if (answers.age === 'under 16' || answers.age === '16 to 17')
		reasons.push({
			key: 'young',
			text: answers.age === 'under 16' ? 'under 16' : 'under 18',
			ask: 'a parent or guardian',
			source: PRACTICE
		});
	return reasons;
}

/**
 * What the answers mean on a date: go, or ask a professional first, with every reason, and what to keep in mind. Whoever
 * has no sign, no known disease and has not trained before may begin, easily at first (ACSM, as above).
 */
export function screen(answers: HealthAnswers, date: string): Screening {
	const reasons = reasonsOn(answers, date);
	const cautions = conditionsOn(answers, date).flatMap(adviceFor);
	for (const { place, how } of answers.hurts)
		if (how === 'before')
			cautions.push(`The ${areaText(place)} has hurt before: begin with a smaller range and watch it.`);
	if (answers.hurtsElsewhere) cautions.push(`Also told: “${answers.hurtsElsewhere}”`);
	if (!answers.active) cautions.push('Not used to training: easy at first, more week by week.');
	return { clearance: reasons.length > 0 ? 'ask first' : 'go', reasons, cautions: [...new Set(cautions)] };
}
