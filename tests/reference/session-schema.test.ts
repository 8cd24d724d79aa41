/** The published JSON Schema, read by ajv (an independent validator), against what the application itself takes. */
import { readFileSync } from 'node:fs';
import Ajv from 'ajv';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { publishedSchemas } from '$contracts/json-schema';
import { soundSession } from '$lib/server/training/session/sessions';
import { readSessionFile, sessionJson } from '$lib/server/training/session/session-file';
import { anySession } from '../support/arbitrary';
import { body, SMALL } from '../support/context';
import { PRACTICE } from '../support/practice';

const schema = JSON.parse(readFileSync('docs/formats/session.schema.json', 'utf8')) as object;
const fits = new Ajv({ strict: true, allErrors: true }).compile(schema);

const taken = (input: unknown): boolean => {
	try {
		soundSession(input, PRACTICE);
		return true;
	} catch {
		return false;
	}
};

/** A sound session with one thing changed. */
interface LooseBlock extends Record<string, unknown> {
	parts: Record<string, unknown>[];
}
interface LooseSession extends Record<string, unknown> {
	blocks: [LooseBlock, ...LooseBlock[]];
}
function changed(change: (session: LooseSession) => void): unknown {
	const session = structuredClone(body(SMALL)) as unknown as LooseSession;
	change(session);
	return session;
}

describe('docs/formats/session.schema.json', () => {
	it('takes every session that the application takes', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				expect(taken(session)).toBe(true);
				expect(fits(session), JSON.stringify(fits.errors)).toBe(true);
			}),
			{ numRuns: 200 }
		);
	});

	it.each([
		['nothing', null],
		['no blocks', { blocks: [] }],
		['a word for blocks', { blocks: 'squat' }],
		['a stray field', changed((s) => (s.blocks[0].colour = 'red'))],
		['an unknown format', changed((s) => (s.blocks[0].format = 'ladder'))],
		['an unknown role', changed((s) => (s.blocks[0].role = 'finale'))],
		['10,000 sets', changed((s) => (s.blocks[0].sets = 10_000))],
		['zero sets', changed((s) => (s.blocks[0].sets = 0))],
		['half a set', changed((s) => (s.blocks[0].sets = 2.5))],
		['sets as text', changed((s) => (s.blocks[0].sets = '3'))],
		['no rest', changed((s) => delete s.blocks[0].rest)],
		['no parts', changed((s) => (s.blocks[0].parts = []))],
		['a negative load', changed((s) => (s.blocks[0].parts[0]!.kg = -5))],
		['a tempo of two', changed((s) => (s.blocks[0].parts[0]!.tempo = [2, 1]))],
		['a target in miles', changed((s) => (s.blocks[0].parts[0]!.target = { kind: 'miles', miles: 3 }))],
		['a choice of nothing', changed((s) => (s.blocks[0].parts[0]!.or = { kind: 'reps' }))],
		['a partial rule of one’s own', changed((s) => (s.blocks[0].parts[0]!.partial = 'a third'))],
		['a drop of 90 %', changed((s) => (s.blocks[0].drop = { times: 1, percent: 90, on: 'last' }))],
		['a set-up without its seconds', changed((s) => (s.blocks[0].setup = { text: 'the bench' }))],
		['a repeat of once', changed((s) => (s.repeats = [{ from: 0, to: 0, times: 1, rest: 0 }]))],
		['an address that runs', changed((s) => (s.links = [{ title: 'Film', url: 'javascript:alert(1)' }]))],
		['an empty note', changed((s) => (s.note = ' '))],
		['fifty things after it', changed((s) => (s.recovery = Array.from({ length: 50 }, () => 'walk')))],
		['a colon in a name', changed((s) => (s.blocks[0].parts[0]!.exercise = 'a: b'))]
	])('refuses %s, and so does the application', (_, input) => {
		expect(fits(input)).toBe(false);
		expect(taken(input)).toBe(false);
	});
});

describe('docs/formats/session-file.schema.json', () => {
	const fileSchema = JSON.parse(readFileSync('docs/formats/session-file.schema.json', 'utf8')) as object;
	const fitsFile = new Ajv({ strict: true, allErrors: true, schemas: [schema] }).compile(fileSchema);

	it('takes every file that goes out', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				const file: unknown = JSON.parse(sessionJson({ name: 'Any', tags: ['legs'], body: session }));
				expect(fitsFile(file), JSON.stringify(fitsFile.errors)).toBe(true);
			}),
			{ numRuns: 100 }
		);
	});

	it.each([
		['of another kind', { kind: 'plan' }],
		['of a later version', { version: 2 }],
		['without a name', { name: '' }],
		['with a stray field', { colour: 'red' }]
	])('refuses one %s, and so does the application', (_, wrong) => {
		const file = {
			...(JSON.parse(sessionJson({ name: 'Any', tags: [], body: body(SMALL) })) as object),
			...wrong
		};
		expect(fitsFile(file)).toBe(false);
		const taken = readSessionFile(JSON.stringify(file), PRACTICE);
		// A field that nobody knows is passed over by the reader; everything else is said.
		expect(taken.faults.length > 0 || 'colour' in wrong).toBe(true);
	});
});

describe('every published schema', () => {
	it.each(Object.entries(publishedSchemas()))(
		'%s says what the contracts say; npm run schemas renews it',
		(file, schema) => {
			expect(JSON.parse(readFileSync(`docs/formats/${file}`, 'utf8'))).toEqual(schema);
		}
	);
});
