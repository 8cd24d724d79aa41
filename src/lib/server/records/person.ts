/** Who a participant is, as each of their pages has them. */
import type { EarlierZone } from '$core/calendar';
import type { Units } from '$core/kit';
import type { Hold } from '$core/health';
import { type ChallengeId, type EnrolmentId, type ParticipantId } from '../platform/ids';
import type { Suited } from './suited';
import { type StandingRow } from './standing-row';

/** The person behind a personal link, as far as every page needs it. */
export interface Person {
	enrolmentId: EnrolmentId;
	challengeId: ChallengeId;
	name: string;
	zone: string;
	earlierZones: EarlierZone[];
	participantId: ParticipantId;
	/** In which they read loads. */
	units: Units;
	/** What decides which session suits them. */
	suited: Suited;
	/** Times at which nothing is released to them. */
	holds: Hold[];
	/** Whether the coach asked them to look over their answers, and they have not yet. */
	asksAgain: boolean;
	/** Their challenges that are not over, beside the one that this device shows, the latest first. */
	others: OtherChallenge[];
	/** Where they stood as this was read, for a request that changes nothing; else it is asked for. */
	standing?: StandingRow;
}

interface OtherChallenge {
	enrolmentId: EnrolmentId;
	name: string;
}
