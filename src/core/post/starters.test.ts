import { expect, it } from 'vitest';
import { STARTERS } from './starters';
import { fillTemplate, readTemplate, type FieldValues } from '../text/template';

const VALUES = {
	name: 'Noor',
	coach: 'Runa',
	challenge: 'Hut Season',
	'days left': '21',
	'sessions done': '14'
} as unknown as FieldValues;

it.each(STARTERS.map((one) => [one.name, one] as const))(
	'“%s” asks for nothing that there is not',
	(_, { subject, text }) => {
		for (const part of [subject, text]) {
			const read = readTemplate(part);
			expect(read.faults).toEqual([]);
			expect(fillTemplate(read, VALUES).text).not.toMatch(/[{}]|undefined|null/);
		}
		expect(text).toMatch(/^Hi \{name\},/);
		expect(text).toMatch(/\{coach\}$/);
	}
);
