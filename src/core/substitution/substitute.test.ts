import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';
import { STANDARD, type Demands, type Exercise, type Library } from '../exercise';
import { kitOfItems, LIMITATIONS, readKit, type Limitation } from '../kit';
import { parseSessionText, type Part } from '../session';
import { scaleSession } from './scaling';
import { likeness } from './candidates';
import { canDo, obstacles, substitute } from './substitute';
import { substituteAt, substitutePart } from './substitute-part';

const find = (name: string) => STANDARD.find(name)!;
const instead = (name: string, kit: string | null, limits: Limitation[] = []) =>
	substitute(find(name), { kit: kit === null ? null : readKit(kit).kit, limits }, PRACTICE);

describe('substitute', () => {
	it('leaves alone what can be done', () => {
		expect(instead('Goblet squat', 'dumbbell 8 kg')).toEqual({
			exercise: find('Goblet squat'),
			causes: [],
			how: ''
		});
		expect(instead('Pull-up', null)).toMatchObject({ exercise: { name: 'Pull-up' } });
	});

	it.each<[string, string | null, Limitation[], string, string[], string]>([
		['Goblet squat', 'band', [], 'Band squat', ['no dumbbells'], 'same movement'],
		['Goblet squat', 'mat; backpack', [], 'Backpack squat', ['no dumbbells'], 'same movement'],
		['Overhead press', 'dumbbell 8 kg', [], 'One-arm press', ['no pair of dumbbells'], 'same movement'],
		['Push-up', 'mat', ['no floor'], 'Incline push-up', ['no floor'], 'two steps easier'],
		['Band pull-apart', 'pair of dumbbells 4 kg', [], 'Dumbbell pull-apart', ['no band'], 'same movement']
	])('%s with %s and %j: %s', (name, kit, limits, to, causes, how) => {
		expect(instead(name, kit, limits)).toEqual({ exercise: find(to), causes, how });
	});

	it('has a form of every main movement with dumbbells only, bands only and nothing, standing and seated', () => {
		const main = [
			'Goblet squat',
			'Romanian deadlift',
			'Push-up',
			'Overhead press',
			'Bent-over row',
			'Band pull-down'
		]
			.concat(['Lateral raise', 'Curl', 'Overhead triceps press', 'Plank', 'Russian twist', 'Calf raise'])
			.concat([
				'March on the spot',
				'Band pull-apart',
				'Clamshell',
				'Glute bridge',
				'Suitcase carry',
				'Reverse lunge'
			]);
		const without = ['pair of dumbbells 6 kg', 'medium band', ''].flatMap((kit) =>
			[[], ['seated only'] as Limitation[]].flatMap((limits) =>
				main
					.filter((name) => instead(name, kit, limits) === null)
					.map((name) => `${name}: ${kit} ${limits.join()}`)
			)
		);
		expect(without).toEqual([]);
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
						expect(found.causes.length === 0).toBe(found.exercise === exercise);
					} else expect(obstacles(exercise, { kit, limits })).not.toEqual([]);
					expect(substitute(exercise, { kit, limits }, PRACTICE)).toEqual(found);
				}
			),
			{ numRuns: runs(400) }
		);
	});
});

/** An exercise of a small library: standing, steady, without equipment, for quads and glutes, unless it says otherwise. */
const made = (
	name: string,
	{ demands, ...more }: Omit<Partial<Exercise>, 'demands'> & { demands?: Partial<Demands> } = {}
): Exercise => ({
	...find('Squat'),
	name,
	pattern: 'squat',
	primary: ['quads', 'glutes'],
	assisting: ['abs'],
	equipment: [],
	position: 'standing',
	retired: false,
	...more,
	demands: { ...find('Squat').demands, ...demands }
});
/** What cannot be done here: it wants a rope. */
const FROM = made('From', { equipment: [{ item: 'rope', count: 1 }] });
interface Small {
	others?: Exercise[];
	/** The nearest first. */
	easier?: Exercise[];
	family?: Exercise[];
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
		alternatives: () => family.map((exercise) => ({ form: 'bodyweight', exercise }))
	};
	const found = substitute(from, { kit: [], limits }, { ...PRACTICE, library });
	return found && [found.exercise.name, ...found.causes, found.how];
}

describe('which one it is', () => {
	const NEAREST = ['no rope', 'nearest movement'];

	it('the nearest muscles, whatever the order of the library', () => {
		const near = made('Near', { assisting: [] });
		const far = made('Far', { primary: ['quads'], assisting: ['calves'] });
		expect(among({ others: [far, near] })).toEqual(['Near', ...NEAREST]);
		expect(among({ others: [near, far] })).toEqual(['Near', ...NEAREST]);
		expect(among({ others: [made('Same 1'), made('Same 2')] })).toEqual(['Same 1', ...NEAREST]);
	});

	it('of another movement only where there is none of the same, with a quarter in common', () => {
		const hinge = made('Hinge', { pattern: 'hinge' });
		expect(among({ others: [hinge] })).toEqual(['Hinge', 'no rope', 'nearest muscles']);
		const same = made('Same', { primary: ['quads', 'lats'], assisting: ['abs'] });
		expect(among({ others: [hinge, same] })?.[0]).toBe('Same');
		// Quads 2 in common of 5 and three others that assist make 8.
		const just = made('Just', {
			pattern: 'hinge',
			primary: ['quads'],
			assisting: ['calves', 'lats', 'biceps']
		});
		expect(likeness(FROM, just)).toBe(0.25);
		expect(among({ others: [just] })?.[0]).toBe('Just');
		const less = made('Less', { ...just, assisting: [...just.assisting, 'shins'] });
		expect(among({ others: [less] })).toBeNull();
		expect(among({ others: [made('Loose', { pattern: 'stretch' })] })).toBeNull();
	});

	it('never what lands harder, hangs, or asks two points more of a joint or of balance', () => {
		const demands: Partial<Demands>[] = [
			{ impact: 'low' },
			{ impact: 'high' },
			{ balance: 2 },
			{ shoulder: 2 },
			{ trunkPressure: 3 }
		];
		for (const more of demands)
			expect(among({ others: [made('More', { demands: more })] }), JSON.stringify(more)).toBeNull();
		expect(among({ others: [made('Hang', { position: 'hanging' })] })).toBeNull();
		// A declared equivalent may: a push-up stands for a floor press.
		expect(among({ family: [made('Wrists', { demands: { wrist: 3 } })] })?.[0]).toBe('Wrists');
	});

	it('nothing that needs more space', () => {
		for (const space of ['room', 'stairs', 'outdoors'] as const)
			expect(among({ others: [made('Far', { demands: { space } })] })).toBeNull();
		const walk = made('From', { ...FROM, demands: { space: 'outdoors' } });
		expect(among({ from: walk, others: [made('Near', { demands: { space: 'room' } })] })?.[0]).toBe('Near');
	});

	it('only offered and possible', () => {
		expect(among({ others: [made('Old', { retired: true })] })).toBeNull();
		expect(among({ others: [made('With rope', { equipment: FROM.equipment })] })).toBeNull();
		expect(among({})).toBeNull();
	});

	it('the same position before another, the less demanding before the more', () => {
		const same = made('Same');
		const first = (other: Exercise) => among({ others: [other, same] })?.[0];
		expect(first(made('Seated', { position: 'seated' }))).toBe('Same');
		expect(first(made('Wobbly', { demands: { balance: 1 } }))).toBe('Same');
		expect(first(made('Knees', { demands: { knee: 3 } }))).toBe('Same');
		// Less demanding is no nearer: the first stays the first.
		expect(first(made('Easy', { demands: { knee: 0 } }))).toBe('Easy');
	});

	it('what is lifted is replaced by what is lifted, and bottles come last', () => {
		const weight = made('From', { equipment: [{ item: 'dumbbell', count: 2 }] });
		const bottles = made('Bottles', { equipment: [{ item: 'water bottle', count: 2 }] });
		const bare = made('Bare', { primary: ['quads'], assisting: [] });
		expect(among({ from: weight, others: [bare, bottles] })?.[0]).toBe('Bottles');
		expect(among({ from: FROM, others: [made('Bare again'), bottles] })?.[0]).toBe('Bare again');
	});

	it('its family first, then easier steps, then the nearest', () => {
		const [house, easy, other] = [made('House', { assisting: [] }), made('Easy'), made('Other')];
		expect(among({ family: [house], easier: [easy], others: [other] })).toEqual([
			'House',
			'no rope',
			'same movement'
		]);
		expect(among({ easier: [made('Roped', { equipment: FROM.equipment }), easy], others: [other] })).toEqual([
			'Easy',
			'no rope',
			'two steps easier'
		]);
		expect(among({ family: [made('No', { retired: true })], others: [other] })?.[0]).toBe('Other');
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
		expect(stuck).toEqual([]);
		expect(seen.blocks.map(({ parts }) => parts[0]?.exercise)).toEqual([
			'Pulse squat',
			'Table row',
			'Bottle curl'
		]);
	});

	it('says both where a step easier is not at hand either', () => {
		const { changes } = scaleSession(of('3 x 10 one-arm row @ 12 kg'), 'easier', [], PRACTICE);
		expect(changes).toHaveLength(1);
		expect(changes[0]?.why).toMatch(/^one step easier; no band; /);
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
