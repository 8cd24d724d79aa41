import { expect } from 'vitest';
import { parseSessionText, type Block, type Session } from '$core/session';
import { PRACTICE } from './practice';

/** A session as it is typed, line by line, without a fault. */
export function sessionOf(...lines: string[]): Session {
	const { session, faults } = parseSessionText(lines.join('\n'), PRACTICE, 'keep');
	expect(faults).toEqual([]);
	return session;
}

/** The first block of a session as it is typed. */
export function blockOf(text: string): Block {
	const [block] = sessionOf(text).blocks;
	if (!block) throw new Error(`no block in ${text}`);
	return block;
}
