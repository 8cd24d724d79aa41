import { createHash, randomBytes, randomUUID } from 'node:crypto';

declare const kind: unique symbol;
/** The id of one kind of thing: that of another does not fit where it is asked for. */
export type Id<Kind extends string> = string & { readonly [kind]: Kind };
export type CoachId = Id<'coach'>;
export type ChallengeId = Id<'challenge'>;
export type EnrolmentId = Id<'enrolment'>;
export type ParticipantId = Id<'participant'>;
export type SessionId = Id<'session'>;
export type VersionId = Id<'version'>;

/** Where ids and secrets come from: chance, or a seed for the demo data. */
export interface Ids {
	uuid(): string;
	/** 256 bits that cannot be guessed, as 43 letters that fit an address. */
	secret(): string;
}

/** A new id of a kind. */
export const newId = <Kind extends string>(ids: Ids): Id<Kind> => ids.uuid() as Id<Kind>;

export const randomIds: Ids = {
	uuid: () => randomUUID(),
	secret: () => randomBytes(32).toString('base64url')
};

/** The same ids in the same order for the same seed. For demo data and tests only. */
export function seededIds(seed: string): Ids {
	let count = 0;
	const next = () => createHash('sha256').update(`${seed}:${count++}`).digest();
	return {
		uuid: () => {
			const hex = next().toString('hex');
			return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
		},
		secret: () => next().toString('base64url')
	};
}

/** What is kept of a token. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex');
