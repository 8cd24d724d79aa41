import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';
import { STANDARD, type Exercise, type Library } from '../exercise';
import { kitOfItems, LIMITATIONS, readKit, type Limitation } from '../kit';
import { parseSessionText, type Part } from '../session';
import { scaleSession } from './scaling';
import { canDo, likeness, obstacles, substitute } from './substitute';
import { substituteAt, substitutePart } from './substitute-part';

const find = (name: string) => STANDARD.find(name)!;
const instead = (name: string, kit: string | null, limits: Limitation[] = []) =>
	substitute(find(name), { kit: kit === null ? null : readKit(kit).kit, limits }, PRACTICE);

describe('substitute', () => {
	it('leaves alone what can be done', () => {
		expect(instead('Goblet squat', 'dumbbell 8 kg')).toEqual({ exercise: find('Goblet squat'), why: [] });
		expect(instead('Pull-up', null)).toMatchObject({ exercise: { name: 'Pull-up' } });
	});

	it.each<[string, string | null, Limitation[], string, string[]]>([
		['Goblet squat', 'band', [], 'Band squat', ['not at hand', 'band variation']],
		['Goblet squat', 'mat', [], 'Backpack squat', ['not at hand', 'household variation']],
		['Push-up', null, ['no floor'], 'Incline push-up', ['no floor', 'two steps easier']]
	])('%s with %s and %j: %s', (name, kit, limits, to, why) => {
		const found = instead(name, kit === 'mat' ? 'mat; backpack' : kit, limits);
		expect(found?.exercise.name).toBe(to);
		expect(found?.why).toEqual(why);
	});

	it('is null where nothing like it can be done', () => {
		expect(instead('Wide goblet squat', '', ['seated only'])).toBeNull();
	});

	it('never offers what goes against a limit or is not at hand, and always answers the same', () => {
		const kits = [
			null,
			[],
			kitOfItems(['mat']),
			kitOfItems(['band', 'mat']),
			readKit('dumbbell 8 kg; step').kit
		];
		fc.assert(
			fc.property(
				fc.constantFrom(...STANDARD.all),
				fc.constantFrom(...kits),
				fc.subarray([...LIMITATIONS]),
				(exercise, kit, limits) => {
					const found = substitute(exercise, { kit, limits }, PRACTICE);
					if (found) {
						expect(canDo(found.exercise, { kit, limits })).toBe(true);
						expect(found.why.length === 0).toBe(found.exercise === exercise);
					} else expect(obstacles(exercise, { kit, limits })).not.toEqual([]);
					expect(substitute(exercise, { kit, limits }, PRACTICE)).toEqual(found);
				}
			),
			{ numRuns: runs(400) }
		);
	});
});

/** An exercise of a small library: standing, steady, without equipment, for quads and glutes, unless it says otherwise. */
const made = (name: string, more: Partial<Exercise> = {}): Exercise => ({
	...find('Squat'),
	name,
	pattern: 'squat',
	primary: ['quads', 'glutes'],
	assisting: ['abs'],
	equipment: [],
	position: 'standing',
	impact: 'none',
	balance: 0,
	retired: false,
	...more
});
/** What cannot be done here: it wants a rope. */
const FROM = made('From', { equipment: [{ item: 'rope', count: 1 }] });
interface Small {
	others?: Exercise[];
	/** The nearest first. */
	easier?: Exercise[];
	family?: ReturnType<Library['alternatives']>;
	from?: Exercise;
	limits?: Limitation[];
}
/** What stands in for an exercise in a library of a few, for somebody who owns nothing. */
function among({ others = [], easier = [], family = [], from = FROM, limits = [] }: Small) {
	const line = [...easier].reverse();
	line.push(from);
	const library: Library = {
		all: [from, ...others],
		find: () => null,
		names: () => [],
		progressionOf: () => null,
		easier: (name) => line[line.findIndex((e) => e.name === name) - 1] ?? null,
		harder: () => null,
		alternatives: () => family
	};
	const found = substitute(from, { kit: [], limits }, { ...PRACTICE, library });
	return found && [found.exercise.name, ...found.why];
}

describe('which one it is', () => {
	const NEAREST = ['not at hand', 'same movement, nearest muscles'];

	it('the nearest muscles, whatever the order of the library', () => {
		const near = made('Near', { assisting: [] });
		const far = made('Far', { primary: ['quads'], assisting: ['calves'] });
		expect(among({ others: [far, near] })).toEqual(['Near', ...NEAREST]);
		expect(among({ others: [near, far] })).toEqual(['Near', ...NEAREST]);
		expect(among({ others: [made('Same 1'), made('Same 2')] })).toEqual(['Same 1', ...NEAREST]);
	});

	it('of another movement only where there is none of the same, with four tenths in common', () => {
		const hinge = made('Hinge', { pattern: 'hinge' });
		expect(among({ others: [hinge] })).toEqual(['Hinge', 'not at hand', 'another movement, nearest muscles']);
		const same = made('Same', { primary: ['quads', 'lats'], assisting: ['abs'] });
		expect(among({ others: [hinge, same] })?.[0]).toBe('Same');
		// Quads 2 in common of 5; of 6 with one that assists.
		const just = { pattern: 'hinge', primary: ['quads'], assisting: [] } as const;
		expect(among({ others: [made('Just', just)] })?.[0]).toBe('Just');
		expect(among({ others: [made('Less', { ...just, assisting: ['calves'] })] })).toBeNull();
		expect(among({ others: [made('Loose', { pattern: 'stretch' })] })).toBeNull();
	});

	it('never what lands hard or hangs where the other does not', () => {
		expect(among({ others: [made('Hop', { impact: 'high' })] })).toBeNull();
		expect(among({ others: [made('Hang', { position: 'hanging' })] })).toBeNull();
	});

	it('only offered and possible', () => {
		expect(among({ others: [made('Old', { retired: true })] })).toBeNull();
		expect(among({ others: [made('With rope', { equipment: FROM.equipment })] })).toBeNull();
		expect(among({})).toBeNull();
	});

	it('from three tenths of the muscles in common on', () => {
		// Quads 2 and abs 1 of its 5 in common; 5 others make 3 of 10.
		const just = made('Just', { primary: ['quads', 'lats', 'biceps'], assisting: ['abs', 'forearms'] });
		expect(likeness(FROM, just)).toBe(0.3);
		expect(among({ others: [just] })).toEqual(['Just', ...NEAREST]);
		const less = made('Less', { primary: ['quads', 'lats', 'biceps'], assisting: ['forearms'] });
		expect(likeness(FROM, less)).toBeLessThan(0.3);
		expect(among({ others: [less] })).toBeNull();
	});

	it('the same position before another, the steadier before what asks for balance, no harder landing', () => {
		const same = made('Same');
		const first = (other: Exercise, from = FROM) => among({ others: [other, same], from })?.[0];
		expect(first(made('Seated', { position: 'seated' }))).toBe('Same');
		expect(first(made('Wobbly', { balance: 1 }))).toBe('Same');
		expect(first(made('Jump', { impact: 'high' }))).toBe('Same');
		// None of these is worse than the other, so that the first stays the first.
		expect(first(made('Low', { impact: 'low' }))).toBe('Low');
		const jump = { ...FROM, impact: 'high', balance: 2 } as const;
		expect(first(made('Jump', { impact: 'high' }), jump)).toBe('Jump');
		expect(first(made('Wobbly', { balance: 1 }), jump)).toBe('Wobbly');
	});

	it('weighs one against another: position 0.1, a step of balance 0.05, a hard landing 0.3', () => {
		// 4 of 5 shares of muscle in common are a distance of 0.2; without the abs.
		const muscles = made('Without abs', { assisting: [] });
		const against = (other: Partial<Exercise>) => among({ others: [muscles, made('Other', other)] })?.[0];
		expect(against({ position: 'seated' })).toBe('Other');
		expect(against({ balance: 2 })).toBe('Other');
		expect(against({ position: 'seated', balance: 1 })).toBe('Other');
		expect(against({ impact: 'high' })).toBe('Without abs');
	});

	it('its family first where something is not at hand, the form without equipment last', () => {
		const body = { form: 'bodyweight', exercise: made('Body') } as const;
		const house = (exercise: Exercise) => ({ form: 'household', exercise }) as const;
		expect(
			among({ family: [body, house(made('House', { assisting: [] }))], easier: [made('Easier')] })
		).toEqual(['House', 'not at hand', 'household variation']);
		const far = made('Far', { primary: ['quads'], assisting: [] });
		expect(likeness(FROM, far)).toBe(0.4);
		expect(among({ family: [house(far), body] })?.[0]).toBe('Body');
		expect(among({ family: [body, house(made('No', { retired: true }))] })?.[0]).toBe('Body');
	});

	it('the nearest easier one that can be done where there is no family', () => {
		const easier = [made('Roped', { equipment: FROM.equipment }), made('Easy'), made('Easiest')];
		expect(among({ easier, others: [made('Other')] })).toEqual(['Easy', 'not at hand', 'two steps easier']);
	});

	it('an easier one first where a limit speaks against it, its family next', () => {
		const from = made('From', { impact: 'high' });
		const family = [{ form: 'bodyweight', exercise: made('Body') } as const];
		const limits: Limitation[] = ['no jumps'];
		expect(among({ from, limits, family, easier: [made('Easy')] })).toEqual([
			'Easy',
			'no jumps',
			'one step easier'
		]);
		expect(among({ from, limits, family })).toEqual(['Body', 'no jumps', 'bodyweight variation']);
	});
});

it('likeness of two exercises without muscles is none', () => {
	const nothing = made('Nothing', { primary: [], assisting: [] });
	expect(likeness(nothing, nothing)).toBe(0);
});

describe('substitutePart', () => {
	const part = (text: string): Part => {
		const [found] = parseSessionText(`1 x ${text}`, PRACTICE).session.blocks[0]?.parts ?? [];
		if (!found) throw new Error(text);
		return found;
	};
	const counted = (text: string, countedIn: Exercise['countedIn'], more: Partial<Exercise> = {}) =>
		substitutePart(part(text), made('To', { countedIn, perSide: false, ...more }), PRACTICE);

	it('keeps what is counted alike, and repetitions that are timed', () => {
		expect(counted('12 squat', 'reps').target).toEqual({ kind: 'reps', reps: 12 });
		expect(counted('45 s squat', 'reps').target).toEqual({ kind: 'seconds', seconds: 45 });
		expect(counted('45 s plank', 'seconds').target).toEqual({ kind: 'seconds', seconds: 45 });
	});

	it('counts otherwise for about as long: 3 s a repetition, 1 s a metre, in figures that are easy to say', () => {
		// Ten squats of 3 s; thirteen take 39 s.
		expect(counted('10 squat', 'seconds').target).toEqual({ kind: 'seconds', seconds: 30 });
		expect(counted('13 squat', 'seconds').target).toEqual({ kind: 'seconds', seconds: 40 });
		expect(counted('13 squat', 'metres').target).toEqual({ kind: 'metres', metres: 40 });
		expect(counted('1 squat', 'seconds').target).toEqual({ kind: 'seconds', seconds: 10 });
		expect(counted('1 squat', 'metres').target).toEqual({ kind: 'metres', metres: 10 });
		expect(counted('45 s plank', 'metres').target).toEqual({ kind: 'metres', metres: 50 });
		// A metre in 1 s: forty of them last as long as thirteen repetitions.
		expect(counted('40 m suitcase carry', 'reps').target).toEqual({ kind: 'reps', reps: 13 });
		expect(counted('1 m suitcase carry', 'reps').target).toEqual({ kind: 'reps', reps: 1 });
	});

	it('leaves out what said how repetitions are done where there are none any more', () => {
		const half = { ...part('10 squat'), partial: '1½', or: { kind: 'seconds', seconds: 60 } } as const;
		expect(substitutePart(half, made('To', { countedIn: 'reps' }), PRACTICE)).toMatchObject({
			partial: '1½',
			or: { kind: 'seconds', seconds: 60 }
		});
		const held = substitutePart(half, made('To', { countedIn: 'seconds' }), PRACTICE);
		expect(held.target).toEqual({ kind: 'seconds', seconds: 45 });
		expect(held).not.toHaveProperty('partial');
		expect(held).not.toHaveProperty('or');
	});

	it('takes the sides of the new one, its own pace, and the weight only where there is something to load', () => {
		const slow = part('10 per side one-arm row @ 12 kg tempo 3-1-1-0');
		expect(slow).toMatchObject({ perSide: true, kg: 12, tempo: [3, 1, 1, 0] });
		const to = (more: Partial<Exercise>) =>
			substitutePart(slow, made('To', { perSide: false, ...more }), PRACTICE);
		expect(to({})).toMatchObject({ exercise: 'To', perSide: false, tempo: null, kg: null });
		for (const item of ['dumbbell', 'light dumbbell', 'loaded backpack', 'water bottle'] as const)
			expect(
				to({
					equipment: [
						{ item: 'mat', count: 1 },
						{ item, count: 1 }
					]
				}).kg
			).toBe(12);
		expect(to({ equipment: [{ item: 'band', count: 1 }] }).kg).toBeNull();
	});
});

describe('a session for others', () => {
	const of = (text: string) => parseSessionText(text, PRACTICE).session;

	it('keeps the level of stretches, of mobility and of what is not the main part', () => {
		const session = of(
			'warm-up: 2 x 10 push-up\n3 x 10 push-up\n2 x 30 s hip flexor stretch\n2 x 8 cat-camel\ncool-down: 1 x 10 push-up'
		);
		expect(session.blocks.map(({ role }) => role)).toEqual(['warm-up', 'main', 'main', 'main', 'cool-down']);
		const { changes, stuck } = scaleSession(session, 'easier', null, PRACTICE);
		expect(changes.map(({ block, to }) => [block, to])).toEqual([[1, 'Knee push-up']]);
		expect(stuck).toEqual([]);
	});

	it('changes what a limit speaks against in every part, and says what it found nothing for', () => {
		const session = of('warm-up: 1 x 10 jump squat\n3 x 5 pullover\n3 x 10 curl');
		const {
			changes,
			stuck,
			session: seen
		} = scaleSession(session, 'base', [], PRACTICE, ['no jumps', 'no overhead']);
		expect(changes.map(({ block }) => block)).toContain(0);
		expect(changes.find(({ block }) => block === 0)?.why).toMatch(/^no jumps; /);
		expect(stuck).toEqual([
			{ block: 1, part: 0, exercise: 'Pullover', why: 'nothing like it with this equipment and these limits' }
		]);
		expect(seen.blocks[1]).toEqual(session.blocks[1]);
	});

	it('says both where a step easier is not at hand either', () => {
		const { changes } = scaleSession(of('3 x 10 one-arm row @ 12 kg'), 'easier', [], PRACTICE);
		expect(changes).toHaveLength(1);
		expect(changes[0]?.why).toMatch(/^one step easier; not at hand; /);
	});

	it('leaves what the library does not know', () => {
		const session = of('3 x 10 squat');
		const strange = {
			blocks: session.blocks.map((block) => ({
				...block,
				parts: block.parts.map((part) => ({ ...part, exercise: 'Anvil lift' }))
			}))
		} as typeof session;
		expect(scaleSession(strange, 'easier', [], PRACTICE, ['no floor'])).toEqual({
			session: strange,
			changes: [],
			stuck: []
		});
	});
});

it('puts an exercise in place of one part, and leaves the rest as it is', () => {
	const { session } = parseSessionText('3 x 10 squat\n3 x 10 squat', PRACTICE);
	const to = STANDARD.find('Sit to chair')!;
	const next = substituteAt(session, 1, 0, to, PRACTICE);
	expect(next.blocks.map(({ parts }) => parts[0]?.exercise)).toEqual(['Squat', 'Sit to chair']);
	expect(next.blocks[0]).toBe(session.blocks[0]);
	expect(substituteAt(session, 2, 0, to, PRACTICE)).toBe(session);
	expect(substituteAt(session, 0, 1, to, PRACTICE)).toBe(session);
});
