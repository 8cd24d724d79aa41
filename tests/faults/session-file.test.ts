/** Files of sessions and exercises as they come from elsewhere: broken, huge, hostile, of another time. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STANDARD } from '$core/exercise';
import { readExercisesCsv } from '$lib/server/training/exercise/exercise-file';
import { readSessionFile, sessionJson } from '$lib/server/training/session/session-file';
import { decodeText } from '$lib/server/platform/text-file';
import { anySession } from '../support/arbitrary';
import { body } from '../support/context';
import { PRACTICE } from '../support/practice';

const read = (text: string) => readSessionFile(text, PRACTICE);
const whole = JSON.parse(
	sessionJson({ name: 'Any', tags: [], body: body('3 x 10 squat\n2 x 30 s plank') })
) as Record<string, unknown> & {
	session: { blocks: Record<string, unknown>[] };
};
const changed = (change: (file: typeof whole) => void): string => {
	const file = structuredClone(whole);
	change(file);
	return JSON.stringify(file);
};

describe('a session file', () => {
	it.each([
		['', 'the file', 'nothing in it'],
		['   \n ', 'the file', 'nothing in it'],
		['{', 'line 1', 'not whole JSON'],
		['{\n"kind": "cadrex session",\n"name": "A" "B"}', 'line 3', 'not whole JSON'],
		['[]', 'kind', 'not a session'],
		['{"kind":"cadrex plan"}', 'kind', 'not a session'],
		[changed((f) => (f.version = 9)), 'version', 'version 1 is the newest'],
		[changed((f) => delete f.name), 'name', 'no name'],
		[changed((f) => delete (f as { session?: unknown }).session), 'session', 'is missing'],
		[changed((f) => (f.session.blocks[1]!.sets = '2')), 'blocks[1].sets', 'number'],
		[changed((f) => (f.session.blocks[0]!.format = 'ladder')), 'blocks[0].format', 'no format “ladder”'],
		[changed((f) => (f.session.blocks[0]!.sets = 1e9)), 'blocks[0].sets', 'from 1 to 50'],
		[changed((f) => (f.session.blocks = [])), 'blocks', 'at least one block'],
		[
			changed(
				(f) => ((f.session as Record<string, unknown>).repeats = [{ from: 1, to: 0, times: 2, rest: 0 }])
			),
			'repeats[0]',
			'round and round'
		],
		['3 x 10 squat\n3 x\n4 x nothing', 'line 2', 'missing here']
	])('%s: %s', (text, place, says) => {
		const { faults, body: found } = read(text);
		const fault = faults.find((one) => one.place === place);
		expect(fault?.message, JSON.stringify(faults)).toContain(says);
		if (place.startsWith('blocks') || place === 'kind')
			expect(found === null || faults.length > 0).toBe(true);
	});

	it('lists every fault, not only the first', () => {
		const text = changed((f) => {
			f.session.blocks[0]!.sets = 0;
			f.session.blocks[1]!.rest = -5;
		});
		expect(read(text).faults.map((fault) => fault.place)).toEqual(['blocks[0].sets', 'blocks[1].rest']);
	});

	it('of half a million letters and more is refused before it is read', () => {
		expect(read('a'.repeat(500_001)).faults[0]?.message).toContain('500,000 letters');
	});

	it('that is no text is refused; one with a byte-order mark, or in UTF-16, is read', () => {
		expect(() => decodeText(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]))).toThrow(/no text/);
		expect(read('\uFEFF3 x 10 squat').faults).toEqual([]);
		const utf16 = Buffer.from('\uFEFF3 x 10 squat', 'utf16le');
		expect(read(decodeText(utf16).text).faults).toEqual([]);
	});

	it('cannot bring in a prototype', () => {
		const text = changed(
			(f) => ((f.session.blocks[0] as Record<string, unknown>).parts = [{ ['__proto__']: { admin: true } }])
		);
		expect(read(text.replace('{}', '{"__proto__":{"admin":true}}')).faults.length).toBeGreaterThan(0);
		expect(({} as { admin?: boolean }).admin).toBeUndefined();
	});

	it.each(['valueOf', 'constructor', 'toString', 'hasOwnProperty'])(
		'with a field called %s, as every object inherits one, is refused',
		(name) => {
			expect(read(`{"${name}":null}`).faults.length).toBeGreaterThan(0);
			expect(
				read(changed((f) => ((f.session as unknown as Record<string, unknown>)[name] = 1))).faults
			).not.toEqual([]);
		}
	);

	it('whatever it holds, there is an answer', () => {
		fc.assert(
			fc.property(fc.oneof(fc.string({ maxLength: 400 }), fc.json()), (text) => {
				const { faults, body: found } = read(text);
				expect(faults.length > 0 || found !== null).toBe(true);
			}),
			{ numRuns: 300 }
		);
	});

	it('of a sound session comes in as it went out', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				const file = { name: 'Any', tags: ['a'], body: session };
				expect(readSessionFile(sessionJson(file), PRACTICE)).toMatchObject({ ...file, faults: [] });
			}),
			{ numRuns: 60 }
		);
	});
});

describe('a list of exercises', () => {
	const HEAD =
		'name,counted in,per side,tempo,pattern,muscles,assisting,equipment,position,impact,balance,cues';
	const faults = (text: string) => readExercisesCsv(text, STANDARD).faults;

	it.each([
		['', 1, 'the first line names the columns'],
		['a,b,c\n1,2,3', 1, 'the first line names the columns'],
		[`${HEAD}\n"Beam lift,reps`, 2, 'not closed'],
		[`${HEAD}\n,reps,no,,hinge,glutes,,,standing,none,0,Hips back`, 2, 'needs a name'],
		[`${HEAD}\nBeam lift,reps,no,,flight,glutes,,,standing,none,0,Hips back`, 2, 'there is no “flight”'],
		[`${HEAD}\nBeam lift,reps,no,,hinge,wings,,,standing,none,0,Hips back`, 2, 'there is no “wings”'],
		[`${HEAD}\nBeam lift,reps,perhaps,,hinge,glutes,,,standing,none,0,Hips back`, 2, 'per side'],
		[`${HEAD}\nBeam lift,reps,no,fast,hinge,glutes,,,standing,none,0,Hips back`, 2, 'four numbers'],
		[
			`${HEAD}\nBeam lift,reps,no,,hinge,glutes,,3 anvils,standing,none,0,Hips back`,
			2,
			'there is no “3 anvils”'
		],
		[`${HEAD}\nBeam lift,reps,no,,hinge,glutes,,,standing,none,0,`, 2, 'at least one cue'],
		[
			`${HEAD}\nBeam lift,reps,no,,hinge,glutes,,,standing,none,0,Hips back\nbeam lift,reps,no,,hinge,glutes,,,standing,none,0,Hips`,
			3,
			'stands twice'
		]
	])('%j: line %i', (text, line, says) => {
		const fault = faults(text).find((one) => one.line === line);
		expect(fault?.message, JSON.stringify(faults(text))).toContain(says);
	});

	it('takes semicolons and a byte-order mark, and passes over what is there already', () => {
		const row = [
			'Beam lift',
			'reps',
			'no',
			'3-1-1-0',
			'hinge',
			'"glutes; hamstrings"',
			'',
			'"2 dumbbell; mat"',
			'standing',
			'none',
			'0',
			'Hips back | Stand tall'
		];
		const read = readExercisesCsv(
			`\uFEFF${HEAD.replaceAll(',', ';')}\n${row.join(';')}\nSquat;reps;no;;squat;quads;;;standing;none;0;Sit`,
			STANDARD
		);
		expect(read.faults).toEqual([]);
		expect(read.known).toEqual(['Squat']);
		expect(read.inputs[0]).toMatchObject({
			name: 'Beam lift',
			primary: ['glutes', 'hamstrings'],
			equipment: [
				{ item: 'dumbbell', count: 2 },
				{ item: 'mat', count: 1 }
			],
			cues: ['Hips back', 'Stand tall']
		});
	});

	it('cells that would run in a spreadsheet go out harmless', async () => {
		const { exercisesCsv } = await import('$lib/server/training/exercise/exercise-file');
		const { libraryOf } = await import('$core/exercise');
		const own = { ...STANDARD.find('Squat')!, name: '=HYPERLINK("x")', ownId: 'x' };
		expect(exercisesCsv(libraryOf([own]))).not.toMatch(/(^|,)"?=HYPERLINK/m);
	});
});
