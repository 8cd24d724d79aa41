import { expect, it } from 'vitest';
import { networkOf } from './limits';

it.each([
	['203.0.113.7', '203.0.113.7'],
	['::ffff:203.0.113.7', '203.0.113.7'],
	['2001:db8:1:2:3:4:5:6', '2001:db8:1:2::/64'],
	['2001:db8:1:2:ffff::1', '2001:db8:1:2::/64'],
	['2001:DB8:0001:0002::1', '2001:db8:1:2::/64'],
	['2001:db8:1:3::1', '2001:db8:1:3::/64'],
	['2001:db8::1', '2001:db8:0:0::/64'],
	['::1', '0:0:0:0::/64'],
	['fe80::1%eth0', 'fe80:0:0:0::/64'],
	['unknown', 'unknown']
])('tries from %s are counted at %s', (address, network) => expect(networkOf(address)).toBe(network));
