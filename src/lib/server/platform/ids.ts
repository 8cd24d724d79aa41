import { createHash, randomBytes, randomUUID } from 'node:crypto';

/** Where ids and secrets come from: chance, or a seed for the demo data. */
export interface Ids {
	uuid(): string;
	/** 256 bits that cannot be guessed, as 43 letters that fit an address. */
	secret(): string;
}

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
