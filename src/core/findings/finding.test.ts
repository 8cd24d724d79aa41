import { expect, it } from 'vitest';
import { bySeverity, keyOfFinding } from './finding';

it('puts safety first, hints last and the rest as they came', () => {
	const found = (['hint 1', 'watch 1', 'safety 1', 'watch 2', 'hint 2', 'safety 2'] as const).map(
		(title) => ({
			title,
			severity: title.split(' ')[0] as 'hint' | 'watch' | 'safety'
		})
	);
	expect(bySeverity(found).map(({ title }) => title)).toEqual([
		'safety 1',
		'safety 2',
		'watch 1',
		'watch 2',
		'hint 1',
		'hint 2'
	]);
	expect(found[0]?.title).toBe('hint 1');
});

it('takes two findings for one by their rule and title', () => {
	expect(keyOfFinding({ rule: 'a', title: 'b' })).toBe(keyOfFinding({ rule: 'a', title: 'b' }));
	expect(keyOfFinding({ rule: 'a', title: 'b' })).not.toBe(keyOfFinding({ rule: 'b', title: 'a' }));
});
