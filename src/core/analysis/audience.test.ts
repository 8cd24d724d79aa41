/** What is said to a coach whose session is not for the people she made it for, and what she is offered. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { found } from '../../../tests/support/findings';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';
import { sessionOf } from '../../../tests/support/sessions';
import { STANDARD } from '../exercise';
import { brokenLimits, canDoWith, CONDITIONS, limitsOf, type Condition } from '../kit';
import { againstFor, DEFAULT_AUDIENCE, kitOf, limitsFor, type Audience } from '../people';
import type { Session } from '../session';
import { checkSession, type CheckOptions } from './check-session';

const forThem = (...conditions: Condition[]): CheckOptions => ({
	audience: { ...DEFAULT_AUDIENCE, conditions }
});

describe('not for this group', () => {
	const RULE = 'not for this group';

	it('says why, and puts the nearest that all can do in its place, wherever it stands', () => {
		expect(
			found('3 x 10 goblet squat @ 12 kg\n2 x 8 goblet squat @ 16 kg', RULE, forThem('sore knee'))
		).toEqual([
			{
				title: 'Goblet squat isn’t for this group',
				figure: 'Sore knee: no deep knee bend.',
				place: { block: 0, part: 0 },
				label: 'Use half squat',
				lines: ['3 x 10 reps Half squat, rest 60', '2 x 8 reps Half squat, rest 60']
			}
		]);
	});

	it('gives every reason, each for whom it holds', () => {
		const options = forThem('pregnant, third trimester', 'sore wrist');
		expect(found('3 x 10 push-up', RULE, options)[0]).toMatchObject({
			figure:
				'Pregnant, third trimester: no lying on the front, low trunk pressure. Sore wrist: no weight on the wrists.',
			label: 'Use band chest press'
		});
	});

	it('ten times twenty jump squats for beginners', () => {
		const options: CheckOptions = { audience: { ...DEFAULT_AUDIENCE, level: 'beginner' } };
		expect(found('10 x 20 jump squat', RULE, options)).toMatchObject([
			{ figure: 'Beginners: no jumps, support for hard balance.', label: 'Use pulse squat' }
		]);
		expect(found('10 x 20 jump squat', 'too many landings', options)).toMatchObject([
			{ title: '200 landings in one session', figure: 'Up to 100 are usual at this level (beginner).' }
		]);
	});

	it('counts the landings of jumps alone, by level', () => {
		const landings = (text: string, level: Audience['level']) =>
			found(text, 'too many landings', { audience: { ...DEFAULT_AUDIENCE, level } }).length;
		expect(landings('10 x 12 jump squat', 'some experience')).toBe(0);
		expect(landings('10 x 13 jump squat', 'some experience')).toBe(1);
		expect(landings('10 x 14 jump squat', 'trained')).toBe(0);
		expect(landings('10 x 15 jump squat', 'trained')).toBe(1);
		expect(landings('10 x 20 squat', 'beginner')).toBe(0);
		// Without an audience, whether beginners are enrolled decides.
		const group = { people: 3, beginners: 1, limits: [] };
		expect(found('10 x 11 jump squat', 'too many landings', { group })).toHaveLength(1);
		expect(found('10 x 11 jump squat', 'too many landings')).toHaveLength(0);
	});

	it('puts four and more together, and says what stands in for what', () => {
		const text = '3 x 10 push-up\n3 x 10 glute bridge\n3 x 20 s plank\n3 x 10 wide goblet squat @ 8 kg';
		const [one, ...more] = found(text, RULE, {
			audience: { level: 'trained', items: [], heaviestKg: null, conditions: ['seated'] }
		});
		expect(more).toEqual([]);
		expect(one?.title).toBe('4 exercises aren’t for this group: seated');
		expect(one?.figure).toMatch(
			/^In their place: Push-up: seated palm press, Glute bridge: seated heel dig, .*Wide goblet squat: seated knee squeeze\.$/
		);
		expect(one).toMatchObject({ place: null, label: 'Replace them' });
		expect(one?.lines?.[3]).toContain('Seated knee squeeze');
	});

	it('has nothing to say of an audience without conditions, or of none', () => {
		expect(found('3 x 10 jump squat', RULE, forThem())).toEqual([]);
		expect(found('3 x 10 jump squat', RULE)).toEqual([]);
		expect(found('3 x 10 "anvil lift"', RULE, forThem(...CONDITIONS))).toEqual([]);
	});
});

describe('a beginner', () => {
	const beginner: Audience = { ...DEFAULT_AUDIENCE, level: 'beginner' };
	const against = (name: string) => againstFor(STANDARD.find(name)!, beginner).map(({ limits }) => limits);

	it('may run, and is asked neither for a jump nor for balance without a hold', () => {
		expect(against('Run')).toEqual([]);
		expect(against('Jump squat')).toEqual([['no jumps', 'support for hard balance']]);
		expect(against('Single-leg hinge')).toEqual([]);
		expect(against('Step hop')).toEqual([['no jumps', 'support for hard balance']]);
		expect(againstFor(STANDARD.find('Jump squat')!, DEFAULT_AUDIENCE)).toEqual([]);
	});
});

/** Exercises that a session has and another has not. */
const added = (before: Session, after: Session): string[] => {
	const had = new Set(before.blocks.flatMap(({ parts }) => parts.map(({ exercise }) => exercise)));
	return [...new Set(after.blocks.flatMap(({ parts }) => parts.map(({ exercise }) => exercise)))].filter(
		(name) => !had.has(name)
	);
};

/** A light dumbbell is one of another weight. */
const plain = (item: string): string => item.replace('light ', '');

/** What is offered against a limit of the audience or without its equipment, over everything that is offered. */
function wrongOffers(session: Session, audience: Audience | null, practice = PRACTICE): string[] {
	const limits = audience ? limitsFor(audience) : [];
	const own = session.blocks.flatMap(({ parts }) =>
		parts.flatMap(({ exercise }) => STANDARD.find(exercise) ?? [])
	);
	const seated = own.every(({ position }) => position === 'seated');
	return checkSession(session, practice, { audience }).flatMap(({ title, remedy }) =>
		remedy && 'apply' in remedy
			? added(session, remedy.apply()).flatMap((name) => {
					const exercise = practice.library.find(name)!;
					const broken = brokenLimits(exercise, seated ? [...limits, 'seated only'] : limits);
					const kit = audience ? kitOf(audience) : [];
					const items = own.flatMap(({ equipment }) => equipment.map(({ item }) => item));
					const missing = exercise.equipment.filter(
						(need) => !items.map(plain).includes(plain(need.item)) && !canDoWith(kit, { equipment: [need] })
					);
					return broken.length + missing.length > 0
						? [`${title}: ${name} (${[...broken, ...missing.map(({ item }) => item)].join(', ')})`]
						: [];
				})
			: []
	);
}

describe('whatever is offered', () => {
	const line = (name: string): string => {
		const { countedIn, perSide } = STANDARD.find(name)!;
		const amount = countedIn === 'reps' ? '10' : countedIn === 'metres' ? '40 m' : '30 s';
		return `3 x ${amount} ${perSide ? 'per side ' : ''}${name}`;
	};

	it.each(CONDITIONS)('keeps to it, whatever exercise of the library is asked for: %s', (condition) => {
		const audience: Audience = { ...DEFAULT_AUDIENCE, items: ['band'], conditions: [condition] };
		// Every exercise meets every second condition; chance brings the others together below.
		const half = CONDITIONS.indexOf(condition) % 2;
		const wrong = STANDARD.all
			.filter((_, i) => i % 2 === half)
			.flatMap(({ name }) => wrongOffers(sessionOf(line(name)), audience));
		expect(wrong).toEqual([]);
	});

	it('keeps to everything at once, for any session of the library', () => {
		const names = STANDARD.all.map(({ name }) => name);
		fc.assert(
			fc.property(
				fc.array(fc.constantFrom(...names), { minLength: 1, maxLength: 6 }),
				fc.option(
					fc.record({
						level: fc.constantFrom<Audience['level']>('beginner', 'trained'),
						items: fc.subarray<Audience['items'][number]>(['dumbbell', 'band', 'mat', 'step']),
						heaviestKg: fc.constant(null),
						conditions: fc.subarray([...CONDITIONS])
					})
				),
				(chosen, audience) => {
					expect(wrongOffers(sessionOf(...chosen.map(line)), audience)).toEqual([]);
				}
			),
			{ numRuns: runs(60) }
		);
	});

	it('sends nobody who sits to the floor, and nobody with a chair beside them to lie or kneel', () => {
		for (const text of ['3 x 10 seated press @ 4 kg', '3 x 10 sit to chair\n3 x 10 wall push-up']) {
			const session = sessionOf(text);
			for (const { remedy } of checkSession(session, PRACTICE))
				if (remedy && 'apply' in remedy)
					for (const name of added(session, remedy.apply()))
						expect(brokenLimits(STANDARD.find(name)!, ['no floor'])).toEqual([]);
		}
	});

	it('is checked even where a rule forgets to', () => {
		// Her library has a row that only lies on its front: nothing is left to offer for the pushes.
		const lying = { ...STANDARD.find('Bent-over row')!, position: 'front lying', ownId: '1' } as const;
		const practice = practiceWith({ exercises: [lying] });
		const audience: Audience = { ...DEFAULT_AUDIENCE, items: [], conditions: [] };
		expect(wrongOffers(sessionOf('3 x 10 seated press @ 4 kg'), audience, practice)).toEqual([]);
	});
});

it('every limit is some condition’s', () => {
	const used = new Set(CONDITIONS.flatMap((condition) => limitsOf(condition)));
	expect(used.size).toBeGreaterThan(10);
});
