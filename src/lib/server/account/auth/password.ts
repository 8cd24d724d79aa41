import { hash, verify } from '@node-rs/argon2';

/** argon2id, 19 MiB, two passes, one lane: the first choice of OWASP's Password Storage Cheat Sheet (from memory). */
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export const hashPassword = (password: string): Promise<string> => hash(password, OPTIONS);

let decoy: Promise<string> | null = null;

/** Compares a password with its hash; takes the same time when there is no hash to compare with. */
export async function passwordFits(password: string, stored: string | null): Promise<boolean> {
	decoy ??= hashPassword('nobody has this one');
	const fits = await verify(stored ?? (await decoy), password);
	return stored !== null && fits;
}
