import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WELL } from '../../../tests/support/health';
import { LIMITATIONS, SUPPORT } from '../kit';
import {
	AGE_BANDS,
	conditionsOn,
	isRateGuide,
	limitsOn,
	pregnantWeekOn,
	SCREEN_KEYS,
	SORE_PLACES,
	SORENESS,
	weeksSinceBirthOn,
	type HealthAnswers
} from './answers';
import { screen } from './screen';

const TODAY = WELL.on;
const said = (more: Partial<HealthAnswers>): HealthAnswers => ({ ...WELL, ...more });
const keys = (more: Partial<HealthAnswers>, date = TODAY) =>
	screen(said(more), date).reasons.map(({ key }) => key);

describe('the screening', () => {
	it('lets begin whoever has nothing to say', () => {
		expect(screen(WELL, TODAY)).toEqual({ clearance: 'go', reasons: [], cautions: [] });
	});

	it.each(SCREEN_KEYS)('asks a doctor first after a yes to %s', (key) => {
		const { clearance, reasons } = screen(said({ yes: [key] }), TODAY);
		expect(clearance).toBe('ask first');
		expect(reasons).toMatchObject([{ key, ask: 'a doctor' }]);
	});

	it('names every reason, and who is asked for each', () => {
		const { reasons } = screen(
			said({
				yes: ['told', 'chest'],
				pregnantWeek: 17,
				age: '16 to 17',
				hurts: [{ place: 'knee', how: 'sharp' }]
			}),
			TODAY
		);
		expect(reasons.map(({ key, ask }) => [key, ask])).toEqual([
			['chest', 'a doctor'],
			['told', 'a doctor'],
			['pregnant', 'a doctor or midwife'],
			['sharp knee', 'a doctor'],
			['young', 'a parent or guardian']
		]);
		expect(reasons[2]?.text).toBe('pregnant, week 17');
		expect(reasons[3]?.text).toBe('the knee hurts sharply or more and more');
	});

	it('asks for the consent of a parent under 18, by the age that was said', () => {
		expect(screen(said({ age: 'under 16' }), TODAY).reasons).toMatchObject([
			{ key: 'young', text: 'under 16' }
		]);
		expect(screen(said({ age: '16 to 17' }), TODAY).reasons).toMatchObject([
			{ key: 'young', text: 'under 18' }
		]);
		for (const age of AGE_BANDS.slice(2)) expect(keys({ age })).toEqual([]);
	});

	it('holds nobody for a place that only hurts, or did once, and keeps it in mind', () => {
		for (const how of ['now', 'before'] as const)
			expect(keys({ hurts: [{ place: 'hip', how }] })).toEqual([]);
		expect(screen(said({ hurts: [{ place: 'hip', how: 'before' }] }), TODAY).cautions).toEqual([
			'The hip has hurt before: begin with a smaller range and watch it.'
		]);
		expect(screen(said({ hurts: [{ place: 'hip', how: 'now' }] }), TODAY).cautions).toEqual([
			'A smaller range without pain.',
			'See a professional if pain is sharp or lasts.'
		]);
	});

	it('says the same thing once, however many reasons there are for it', () => {
		const { cautions } = screen(
			said({ age: '65 or over', stance: 'with a support', balance: 'unsure' }),
			TODAY
		);
		expect(cautions.filter((one) => one === SUPPORT)).toHaveLength(1);
		expect(cautions.filter((one) => /chair|worktop/.test(one))).toEqual([SUPPORT]);
	});

	it('keeps in mind what was said in other words, poor balance, and who is not used to training', () => {
		expect(
			screen(said({ hurtsElsewhere: 'left big toenail', balance: 'unsure', active: false }), TODAY).cautions
		).toEqual([
			SUPPORT,
			'No single-leg work without something to hold.',
			'Also told: “left big toenail”',
			'Not used to training: easy at first, more week by week.'
		]);
	});

	it('says nothing twice', () => {
		const cautions = screen(
			said({ hurts: SORE_PLACES.map((place) => ({ place, how: 'now' as const })) }),
			TODAY
		).cautions;
		expect(new Set(cautions).size).toBe(cautions.length);
	});
});

describe('weeks', () => {
	it('of a pregnancy go on from the day on which they were told', () => {
		const answers = said({ pregnantWeek: 13, on: '2026-05-01' });
		expect(pregnantWeekOn(answers, '2026-05-01')).toBe(13);
		expect(pregnantWeekOn(answers, '2026-05-07')).toBe(13);
		expect(pregnantWeekOn(answers, '2026-05-08')).toBe(14);
		expect(conditionsOn(answers, '2026-05-07')).toEqual(['pregnant, first trimester']);
		expect(conditionsOn(answers, '2026-05-08')).toEqual(['pregnant, second trimester']);
		expect(conditionsOn(answers, '2026-08-13')).toEqual(['pregnant, second trimester']);
		expect(conditionsOn(answers, '2026-08-14')).toEqual(['pregnant, third trimester']);
	});

	it('end with a birth, and begin to count from it', () => {
		const answers = said({ pregnantWeek: 40, on: '2026-05-01' });
		expect(pregnantWeekOn(answers, '2026-05-15')).toBe(42);
		expect(weeksSinceBirthOn(answers, '2026-05-15')).toBeNull();
		expect(pregnantWeekOn(answers, '2026-05-22')).toBeNull();
		expect(weeksSinceBirthOn(answers, '2026-05-22')).toBe(1);
		expect(keys({ pregnantWeek: 40, on: '2026-05-01' }, '2026-05-22')).toEqual(['birth']);
	});

	it('since a birth hold for sixteen, and leave out less step by step', () => {
		const answers = said({ birthWeeks: 15, on: '2026-05-01' });
		expect(keys({ birthWeeks: 15, on: '2026-05-01' }, '2026-05-07')).toEqual(['birth']);
		expect(limitsOn(answers, '2026-05-07')).toEqual(['no jumps', 'no crunches', 'low trunk pressure']);
		expect(keys({ birthWeeks: 15, on: '2026-05-01' }, '2026-05-08')).toEqual([]);
		expect(limitsOn(answers, '2026-05-08')).toEqual(['no jumps', 'no crunches']);
		// Ten weeks later they are 26 after the birth.
		expect(limitsOn(answers, '2026-07-17')).toEqual([]);
		expect(limitsOn(said({ birthWeeks: 5, on: '2026-05-01' }), '2026-05-01')).toContain('gentle all over');
		expect(limitsOn(said({ birthWeeks: 5, on: '2026-05-01' }), '2026-05-08')).not.toContain(
			'gentle all over'
		);
		expect(screen(said({ birthWeeks: 1 }), TODAY).reasons[0]?.text).toBe('1 week after a birth');
		expect(screen(said({ birthWeeks: 2 }), TODAY).reasons[0]?.text).toBe('2 weeks after a birth');
	});

	it('say nothing of who told of neither', () => {
		expect([pregnantWeekOn(WELL, '2030-01-01'), weeksSinceBirthOn(WELL, '2030-01-01')]).toEqual([null, null]);
	});

	it('before the day on which they were told count as that day', () => {
		expect(pregnantWeekOn(said({ pregnantWeek: 20, on: '2026-05-10' }), '2026-05-01')).toBe(20);
	});
});

describe('what must not be asked of somebody', () => {
	it('is nothing of who is well', () => {
		expect(limitsOn(WELL, TODAY)).toEqual([]);
	});

	it('is the floor over 65, unless they say that it is easy', () => {
		const over = (floor: HealthAnswers['floor']) => limitsOn(said({ age: '65 or over', floor }), TODAY);
		expect(over('easy')).toEqual(['no jumps', 'no balance without support', 'lighter loads']);
		expect(over('with help')).toContain('no floor');
		expect(over('rather not')).toContain('no floor');
	});

	it('is the floor for whoever would rather not, whatever their age', () => {
		expect(limitsOn(said({ floor: 'rather not' }), TODAY)).toEqual(['no floor']);
		expect(limitsOn(said({ floor: 'with help' }), TODAY)).toEqual([]);
	});

	it('is what has nothing to hold for whoever is unsure of their balance, and the floor unless it is easy', () => {
		expect(limitsOn(said({ balance: 'unsure' }), TODAY)).toEqual(['no balance without support']);
		expect(limitsOn(said({ balance: 'unsure', floor: 'with help' }), TODAY)).toContain('no floor');
	});

	it('takes the stricter of answers that contradict each other', () => {
		const seated = said({ age: '65 or over', stance: 'seated', floor: 'easy', balance: 'unsure' });
		expect(limitsOn(seated, TODAY)).toEqual(expect.arrayContaining(['seated only', 'no floor']));
	});

	it('follows what they write, in any order', () => {
		expect(limitsOn(said({ hurtsElsewhere: 'the ankle, since Monday, and my neck' }), TODAY)).toEqual(
			expect.arrayContaining(['easy on the ankles', 'easy on the neck'])
		);
		expect(limitsOn(said({ hurtsElsewhere: 'ow' }), TODAY)).toEqual([]);
		expect(limitsOn(said({ yes: ['operation'] }), TODAY)).toContain('gentle all over');
	});

	it('follows how they train, and each place that hurts', () => {
		expect(limitsOn(said({ stance: 'seated' }), TODAY)).toEqual(['seated only']);
		expect(limitsOn(said({ stance: 'with a support' }), TODAY)).toContain('no balance without support');
		const by = (how: HealthAnswers['hurts'][number]['how']) =>
			limitsOn(said({ hurts: [{ place: 'wrist', how }] }), TODAY);
		expect([by('now'), by('sharp'), by('before')]).toEqual([
			['no weight on the wrists'],
			['no weight on the wrists'],
			[]
		]);
	});

	it('is never less after one more thing that hurts', () => {
		fc.assert(
			fc.property(
				fc.uniqueArray(
					fc.record({ place: fc.constantFrom(...SORE_PLACES), how: fc.constantFrom(...SORENESS) }),
					{ selector: ({ place }) => place, maxLength: 4 }
				),
				fc.constantFrom(...SORE_PLACES),
				(hurts, place) => {
					const before = limitsOn(said({ hurts }), TODAY);
					const more = hurts.filter((one) => one.place !== place);
					const after = limitsOn(said({ hurts: [...more, { place, how: 'now' }] }), TODAY);
					expect(after).toEqual(expect.arrayContaining(before));
					expect(new Set(after).size).toBe(after.length);
					expect(LIMITATIONS).toEqual(expect.arrayContaining(after));
				}
			)
		);
	});
});

describe('the heart rate as a guide', () => {
	const guides = (more: Partial<HealthAnswers>, date = TODAY) => isRateGuide(said(more), date);
	it('is one for who is well, and for who has said nothing', () => {
		expect([guides({}), isRateGuide(null, TODAY), guides({ yes: ['operation'] })]).toEqual([
			true,
			true,
			true
		]);
	});
	it('is none in pregnancy, soon after a birth, with a heart that is told of, and under 18', () => {
		expect(guides({ pregnantWeek: 20 })).toBe(false);
		expect([guides({ birthWeeks: 11 }), guides({ birthWeeks: 12 })]).toEqual([false, true]);
		for (const key of ['disease', 'chest', 'heartbeat'] as const)
			expect(guides({ yes: [key] }), key).toBe(false);
		expect(AGE_BANDS.map((age) => guides({ age }))).toEqual([false, false, true, true, true]);
	});
});
