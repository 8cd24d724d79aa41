/** What follows from pain that somebody reports: limits of the place, and what is proposed to the coach. */
import { DAY_MS } from '../calendar';
import { JOINTS } from '../exercise';
import { limitsOf, type Limitation } from '../kit';

/** Limits of the places that hurt; places that are not known bring none. */
export function painLimits(areas: readonly string[]): Limitation[] {
	const places = JOINTS.filter((joint) => areas.includes(joint));
	return [...new Set(places.flatMap((place) => limitsOf(`sore ${place}`)))];
}

/** A report as far as it decides what is proposed. */
export interface PainReport {
	/** Epoch milliseconds. */
	at: number;
	areas: readonly string[];
	/** 0…10; null if it was not said. */
	intensity: number | null;
	/** Whether it is called sharp. */
	isSharp: boolean;
	/** Whether it is said to get worse. */
	isRising: boolean;
}

export interface PainAdvice {
	/** `hold`: nothing is released until the coach has spoken to them; `spare`: the place is spared. */
	propose: 'hold' | 'spare';
	/** Why a hold is proposed, in words; empty for sparing. */
	why: string[];
}

/** Days after which a coach asks again about pain if she says nothing else. Common practice, no source. */
export const ASK_AGAIN_DAYS = 3;

/** Days within which a second report about the same place counts as repeated. Common practice, no source. */
const REPEATED_DAYS = 14;
/** From this intensity on a hold is proposed. Common practice, no source. */
const SEVERE = 7;

/**
 * What is proposed about a report: sharp, severe, repeated or rising pain asks for a hold, anything else for sparing the place.
 *
 * @param before earlier reports of the same person, in any order
 */
export function adviseOn(report: PainReport, before: readonly PainReport[]): PainAdvice {
	const same = before.filter(
		(one) =>
			one.at < report.at &&
			report.at - one.at <= REPEATED_DAYS * DAY_MS &&
			one.areas.some((area) => report.areas.includes(area))
	);
	const highest = Math.max(-1, ...same.flatMap(({ intensity }) => intensity ?? []));
	const why = [
		report.isSharp ? 'it is sharp' : '',
		report.intensity !== null && report.intensity >= SEVERE ? `it is ${report.intensity} of 10` : '',
		same.length > 0
			? `reported ${same.length === 1 ? 'twice' : `${same.length + 1} times`} in ${REPEATED_DAYS} days`
			: '',
		report.isRising || (report.intensity !== null && highest >= 0 && report.intensity > highest)
			? 'it is getting worse'
			: ''
	].filter(Boolean);
	return { propose: why.length > 0 ? 'hold' : 'spare', why };
}
