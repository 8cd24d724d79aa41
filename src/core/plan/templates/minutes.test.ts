import { expect, it } from 'vitest';
import { PRACTICE } from '../../../../tests/support/practice';
import { minutesOf } from './minutes';
import { TEMPLATES } from './templates';

it.each(TEMPLATES.map((template) => [template.key, template] as const))(
	'%s: the longest session is within the minutes that a challenge gets, and not under half of them',
	(_, template) => {
		const { least, most } = minutesOf(template, PRACTICE);
		expect(least).toBeGreaterThan(0);
		expect(most).toBeLessThanOrEqual(template.budgetMinutes);
		expect(most).toBeGreaterThanOrEqual(template.budgetMinutes / 2);
	}
);
