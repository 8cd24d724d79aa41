import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fillTemplate, readTemplate, TEMPLATE_FIELDS, type FieldValues } from './template';

const MAARIT: FieldValues = {
	name: 'Maarit',
	'full name': 'Maarit Ollila',
	coach: 'Runa',
	challenge: 'Carrying weeks',
	day: '23',
	'days left': '19',
	'sessions done': '14',
	done: '84 %',
	streak: '6',
	team: null
};
const fill = (text: string) => fillTemplate(readTemplate(text), MAARIT);

describe('a template', () => {
	it('is filled for one person, each field as often as it stands there', () => {
		expect(fill('Hi {name},\n{days left} days left, {name}: {done} done.')).toEqual({
			text: 'Hi Maarit,\n19 days left, Maarit: 84 % done.',
			missing: []
		});
	});

	it('takes fields in any case and spacing', () => {
		expect(fill('{ Name } {DAYS   left}').text).toBe('Maarit 19');
	});

	it('leaves out what somebody does not have, and says which', () => {
		expect(fill('Team {team}, {team}!')).toEqual({ text: 'Team , !', missing: ['team'] });
	});

	it('does not fill what a value brings', () => {
		const values = { ...MAARIT, name: '{coach}' };
		expect(fillTemplate(readTemplate('{name}'), values).text).toBe('{coach}');
	});

	it('says where an unknown field stands, and which was meant', () => {
		expect(readTemplate('Hi {nam},\nday {daay} of {weather report}').faults).toEqual([
			{ line: 1, column: 4, message: 'there is no field {nam}; did you mean {name}?' },
			{ line: 2, column: 5, message: 'there is no field {daay}; did you mean {day}?' },
			{
				line: 2,
				column: 15,
				message: expect.stringMatching(
					/^there is no field \{weather report\}; there are \{name\}, /
				) as string
			}
		]);
		expect(readTemplate('{}').faults).toHaveLength(1);
	});

	it('says of braces that have no other', () => {
		expect(readTemplate('{name').faults).toEqual([
			{ line: 1, column: 1, message: '“{name” has no } at its end' }
		]);
		expect(readTemplate('a }').faults).toEqual([
			{ line: 1, column: 3, message: 'a } without a { before it' }
		]);
		expect(readTemplate('{name\n}').faults).toHaveLength(2);
	});

	it('knows all its fields by their own names', () => {
		for (const field of Object.keys(TEMPLATE_FIELDS)) expect(readTemplate(`{${field}}`).faults).toEqual([]);
	});

	it('leaves every text without braces as it is', () => {
		fc.assert(
			fc.property(fc.string({ unit: 'grapheme' }), (raw) => {
				const text = raw.replaceAll(/[{}]/g, '');
				expect(fill(text)).toEqual({ text, missing: [] });
			})
		);
	});
});
