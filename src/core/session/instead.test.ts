/** What may be done in place of an exercise: typed, written, checked, said and taken by whoever needs it. */
import { describe, expect, it } from 'vitest';
import { found } from '../../../tests/support/findings';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { blockOf, sessionOf } from '../../../tests/support/sessions';
import { scaleSession } from '../substitution';
import { blockFaults } from './faults';
import { concerns, insteadWords } from './instead';
import { parseLine } from './line';
import { LIMITATIONS, limitsOf, type Limitation } from '../kit';
import { INSTEAD_WHEN, type Instead } from './parts';

const insteadOf = (line: string) => blockOf(line).parts.map(({ instead }) => instead);

describe('typed', () => {
	it.each<[string, Instead[]]>([
		['3 x 10 goblet squat @ 12 kg or band squat', [{ when: 'choice', exercise: 'Band squat' }]],
		['3 x 10 goblet squat if the knee hurts: sit to chair', [{ when: 'knee', exercise: 'Sit to chair' }]],
		['3x10 squats when the knee hurts: sit to chair', [{ when: 'knee', exercise: 'Sit to chair' }]],
		['3x10 squats, if your knees hurt sit to chair', [{ when: 'knee', exercise: 'Sit to chair' }]],
		['3 x 10 push-up (sore wrist: floor press)', [{ when: 'wrist', exercise: 'Floor press' }]],
		[
			'3 x 10 bent-over row or band row, if the back hurts: one-arm row',
			[
				{ when: 'choice', exercise: 'Band row' },
				{ when: 'back', exercise: 'One-arm row' }
			]
		],
		['3 x 10 squat or "hut squat"', [{ when: 'choice', exercise: 'hut squat' }]]
	])('%s', (line, instead) => {
		expect(insteadOf(line)).toEqual([instead]);
	});

	it('belongs to the exercise before it', () => {
		const line =
			'circuit 3 rounds 40/20: squat or band squat + push-up if the wrist hurts: floor press + plank';
		expect(insteadOf(line)).toEqual([
			[{ when: 'choice', exercise: 'Band squat' }],
			[{ when: 'wrist', exercise: 'Floor press' }],
			undefined
		]);
	});

	it('leaves the choice between reps and seconds what it is', () => {
		const [part] = blockOf('3 x 10 or 40 s squat or band squat').parts;
		expect(part).toMatchObject({
			or: { kind: 'seconds', seconds: 40 },
			instead: [{ exercise: 'Band squat' }]
		});
	});

	it('asks about what it does not know', () => {
		for (const line of ['3 x 10 squat or anvil lift', '3 x 10 squat if the knee hurts: anvil lift'])
			expect(parseLine(line, PRACTICE)).toHaveProperty('faults');
	});

	it('is written so that it is read back', () => {
		const line = '3 x 10 reps Goblet squat @ 12 kg or Band squat if the knee hurts: Sit to chair, rest 60';
		expect(lineOf(blockOf(line))).toBe(line);
	});
});

describe('concerns', () => {
	const knee = { when: 'knee', exercise: 'Sit to chair' } as const;

	it.each<[Limitation[], boolean]>([
		[['no deep knee bend'], true],
		[['no kneeling', 'no floor'], true],
		[[...limitsOf('sore knee')], true],
		// Many must not jump, and have good knees.
		[['no jumps'], false],
		[[...limitsOf('pregnant, third trimester')], false],
		[[...limitsOf('over 65')], false],
		[[...limitsOf('sore wrist')], false],
		[[], false]
	])('a sore knee: %j %s', (limits, meant) => {
		expect(concerns(knee, limits)).toBe(meant);
	});

	it('every sore joint has a limit that tells of it, and none is meant at will', () => {
		for (const when of INSTEAD_WHEN)
			expect(
				concerns({ when, exercise: 'Squat' }, when === 'choice' ? LIMITATIONS : limitsOf(`sore ${when}`))
			).toBe(when !== 'choice');
	});
});

describe('is wrong', () => {
	const faults = (...instead: Instead[]) => {
		const block = blockOf('3 x 10 squat');
		const parts = block.parts.map((part) => ({ ...part, instead }));
		return blockFaults({ ...block, parts }, '', PRACTICE).map(({ message }) => message);
	};

	it('as itself, named twice, with signs or too many', () => {
		expect(faults({ when: 'knee', exercise: 'Squat' })).toEqual(['Squat doesn’t stand in for itself']);
		const twice = { when: 'choice', exercise: 'Band squat' } as const;
		expect(faults(twice, twice)).toEqual(['Band squat is named twice']);
		expect(faults({ when: 'knee', exercise: 'Wall sit' }, { when: 'knee', exercise: 'Half squat' })).toEqual([
			'for a sore knee one exercise is enough'
		]);
		expect(faults({ when: 'choice', exercise: 'a + b' })[0]).toMatch(/none of the signs/);
		const many = Array.from({ length: 9 }, (_, i) => ({ when: 'choice' as const, exercise: `Own ${i}` }));
		expect(faults(...many)).toEqual(['at most 8 exercises stand in for another']);
		expect(faults(...many.slice(1))).toEqual([]);
	});
});

it('is said to whoever does it', () => {
	expect(insteadWords({ when: 'choice', exercise: 'Band row' })).toBe('Or: Band row');
	expect(insteadWords({ when: 'knee', exercise: 'Sit to chair' })).toBe('If your knee hurts: Sit to chair');
});

it('concerns those whose limits say so', () => {
	expect(concerns({ when: 'knee', exercise: 'Sit to chair' }, ['no deep knee bend'])).toBe(true);
	expect(concerns({ when: 'knee', exercise: 'Sit to chair' }, ['no overhead'])).toBe(false);
	expect(concerns({ when: 'choice', exercise: 'Sit to chair' }, ['no deep knee bend'])).toBe(false);
});

describe('for somebody who cannot do the exercise', () => {
	const LINE = '3 x 10 goblet squat @ 12 kg or band squat if the knee hurts: wall hinge';

	it('what the coach chose comes before what is nearest', () => {
		const { changes, session } = scaleSession(sessionOf(LINE), 'base', null, PRACTICE, ['no deep knee bend']);
		expect(changes).toMatchObject([{ to: 'Wall hinge', why: 'your coach’s choice for it' }]);
		// What is left to choose from stays.
		expect(session.blocks[0]?.parts[0]?.instead).toEqual([{ when: 'choice', exercise: 'Band squat' }]);
	});

	it('what is at will serves where the equipment is missing, what is for a knee does not', () => {
		const kit = [{ kind: 'band', rank: null, loop: false, count: 1 }] as const;
		expect(scaleSession(sessionOf(LINE), 'base', kit, PRACTICE).changes).toMatchObject([
			{ to: 'Band squat' }
		]);
		expect(
			scaleSession(sessionOf('3 x 10 goblet squat if the knee hurts: wall hinge'), 'base', [], PRACTICE)
				.changes
		).toMatchObject([{ to: 'Squat' }]);
	});
});

it('an alternative that hurts too is seen, and the nearest that does not is offered', () => {
	expect(
		found('3 x 10 goblet squat if the knee hurts: split squat', 'alternative that hurts too')
	).toMatchObject([
		{
			title: 'Split squat for a sore knee',
			figure: 'It goes against no deep knee bend.',
			label: 'Use short split squat',
			lines: ['3 x 10 reps Goblet squat if the knee hurts: Short split squat, rest 60']
		}
	]);
	expect(found('3 x 10 goblet squat or split squat', 'alternative that hurts too')).toEqual([]);
});
