import { describe, expect, it } from 'vitest';
import { TOTP } from 'otpauth';
import { stepOfCode } from '$lib/server/account/auth/second-factor';

/**
 * RFC 6238, appendix B: test vectors of HMAC-SHA-1 with the key “12345678901234567890”, written here from memory. The
 * standard gives eight digits; a code of six is their end, since both are taken from the same number.
 */
const VECTORS = [
	[59, '94287082'],
	[1111111109, '07081804'],
	[1111111111, '14050471'],
	[1234567890, '89005924'],
	[2000000000, '69279037'],
	[20000000000, '65353130']
] as const;
const KEY = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';

describe('time codes are those of RFC 6238', () => {
	it.each(VECTORS)('at %d s', (seconds, digits) => {
		expect(new TOTP({ secret: KEY, digits: 8 }).generate({ timestamp: seconds * 1000 })).toBe(digits);
		expect(stepOfCode(KEY, digits.slice(2), seconds * 1000)).toBe(Math.floor(seconds / 30));
	});

	it('takes the code of the step before and after (5.2), and no other', () => {
		const code = '287082'; // of the seconds 30 to 59
		const steps = [-60, -31, -30, 0, 30, 31, 60].map((off) => stepOfCode(KEY, code, (59 + off) * 1000));
		expect(steps).toEqual([null, 1, 1, 1, 1, null, null]);
		expect([
			stepOfCode(KEY, '287 082', 59_000),
			stepOfCode(KEY, '28708', 59_000),
			stepOfCode(KEY, 'abcdef', 59_000)
		]).toEqual([1, null, null]);
	});
});
