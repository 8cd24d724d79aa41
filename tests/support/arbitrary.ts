import fc from 'fast-check';
import {
	amountOf,
	compileSession,
	LIMITS,
	targetOf,
	type Block,
	type FormatName,
	type InsteadWhen,
	type Part,
	type PartialRule,
	type Repeat,
	type Role,
	type Session
} from '$core/session';
import { PRACTICE } from './practice';

const NAMES = ['Goblet squat', 'Push-up', 'One-arm row', 'Plank', 'Suitcase carry', 'Hut lift', 'Rope climb'];

const target = fc.oneof(
	fc.integer({ min: 1, max: 30 }).map((reps) => ({ kind: 'reps' as const, reps })),
	fc.integer({ min: 5, max: 90 }).map((seconds) => ({ kind: 'seconds' as const, seconds })),
	fc.integer({ min: 5, max: 200 }).map((metres) => ({ kind: 'metres' as const, metres }))
);
const tempo = fc.option(
	fc.tuple(
		fc.integer({ min: 1, max: 5 }),
		fc.integer({ min: 0, max: 3 }),
		fc.integer({ min: 1, max: 3 }),
		fc.integer({ min: 0, max: 2 })
	),
	{ nil: null }
);
/** A choice only between two ways to count. */
const OTHER = {
	reps: { kind: 'seconds' as const, seconds: 40 },
	seconds: { kind: 'reps' as const, reps: 12 },
	metres: { kind: 'seconds' as const, seconds: 45 }
};
const part: fc.Arbitrary<Part> = fc
	.record({
		exercise: fc.constantFrom(...NAMES),
		target,
		perSide: fc.boolean(),
		tempo,
		kg: fc.option(
			fc.integer({ min: 1, max: 80 }).map((half) => half / 2),
			{ nil: null }
		),
		choice: fc.boolean(),
		ways: fc.boolean(),
		range: fc.option(fc.integer({ min: 1, max: 10 }), { nil: null, freq: 3 }),
		load: fc.option(
			fc.constantFrom<Partial<Part>>({ weights: 2 }, { resistance: 'red band' }, { resistance: 'heavy' }),
			{
				nil: null,
				freq: 3
			}
		),
		levels: fc.option(
			fc
				.tuple(fc.integer({ min: 1, max: 80 }), fc.integer({ min: 1, max: 80 }))
				.map(([a, b]) => [a / 2, b / 2]),
			{ nil: null, freq: 4 }
		),
		effort: fc.option(
			fc.tuple(fc.integer({ min: 0, max: 10 }), fc.integer({ min: 0, max: 10 })).map(([a, b]) => ({
				low: Math.min(a, b),
				high: Math.max(a, b)
			})),
			{ nil: null, freq: 4 }
		),
		instead: fc.option(
			fc.uniqueArray(
				fc.record({
					when: fc.constantFrom<InsteadWhen>('choice', 'knee', 'back', 'wrist'),
					exercise: fc.constantFrom('Sit to chair', 'Band row', 'Floor press', 'Hut bench')
				}),
				{ minLength: 1, maxLength: 3, selector: ({ when }) => when }
			),
			{ nil: null, freq: 4 }
		),
		rule: fc.option(fc.constantFrom<PartialRule>('1¼', '1½', 'lower half', 'upper half'), {
			nil: null,
			freq: 4
		})
	})
	.map(({ choice, ways, rule, range, load, levels, effort, instead, ...p }) => ({
		...p,
		...(range && { target: { ...p.target, to: amountOf(p.target) + range } }),
		...(load && (load.resistance ? { ...load, kg: null } : { ...load, kg: p.kg ?? 8 })),
		...(levels &&
			p.kg !== null &&
			!load?.resistance && { kgByLevel: [levels[0]!, p.kg, levels[1]!] as [number, number, number] }),
		...(effort && { effort }),
		...(instead && { instead }),
		...(ways && p.target.kind === 'metres' && { eachWay: true as const, pace: 375 }),
		...(choice && { or: OTHER[p.target.kind] }),
		...(rule && { partial: rule })
	}));
const timed =
	(seconds: number) =>
	({ or, eachWay: _eachWay, pace: _pace, ...p }: Part): Part => ({
		...p,
		target: { kind: 'seconds', seconds },
		...(or && { or: OTHER.seconds })
	});
const role: fc.Arbitrary<Role> = fc.constantFrom('warm-up', 'main', 'cool-down');
const parts = (min: number, max: number) => fc.array(part, { minLength: min, maxLength: max });
const rest = fc.integer({ min: 0, max: 180 });
const rounds = fc.integer({ min: 1, max: 6 });

const sets = fc
	.record({
		format: fc.constant('straight-sets' as const),
		role,
		sets: rounds,
		rest,
		parts: parts(1, 1),
		drop: fc.option(
			fc.record({
				times: fc.integer({ min: 1, max: 5 }),
				percent: fc.integer({ min: 5, max: 60 }),
				on: fc.constantFrom('last' as const, 'every' as const)
			}),
			{ nil: null, freq: 4 }
		)
	})
	.map(({ drop, ...block }) =>
		drop
			? { ...block, drop, parts: block.parts.map(({ resistance: _, ...p }) => ({ ...p, kg: p.kg ?? 8 })) }
			: block
	);
/** Amounts set by set. */
const fallingSets = sets.map((block) => ({
	...block,
	sets: 3,
	parts: block.parts.map((p) => {
		const first = amountOf(p.target);
		return { ...p, target: targetOf(p.target.kind, first), each: [first, first + 3, 1] };
	})
}));
const anyRounds = fc.record({
	format: fc.constant('rep-rounds' as const),
	role,
	rounds,
	restInside: rest,
	restAfter: rest,
	parts: parts(2, 6)
});
const superset = fc.record({
	format: fc.constant('superset' as const),
	role,
	rounds,
	restInside: rest,
	restAfter: rest,
	parts: parts(2, 3)
});
const circuit = fc
	.record({
		format: fc.constant('interval-circuit' as const),
		role,
		rounds,
		work: fc.integer({ min: 10, max: 60 }),
		rest,
		roundRest: fc.option(rest, { nil: null }),
		keepLastRest: fc.boolean(),
		parts: parts(1, 8)
	})
	.map((block) => ({ ...block, parts: block.parts.map(timed(block.work)) }));
const holds = fc
	.record({ format: fc.constant('holds' as const), role, rounds, rest, parts: parts(1, 6) })
	.map((block) => ({ ...block, parts: block.parts.map(timed(30)) }));
/** Work that leaves some of every minute: two parts of ten seconds a group at most. */
const emom = fc
	.record({
		format: fc.constant('emom' as const),
		role,
		starts: fc.integer({ min: 1, max: 20 }),
		every: fc.constantFrom(60, 60, 90, 120),
		sizes: fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 1, maxLength: 3 }),
		pool: parts(6, 6)
	})
	.map(({ sizes, pool, ...block }) => {
		let next = 0;
		const groups = sizes.map((size) => Array.from({ length: size }, () => next++));
		return { ...block, groups, parts: pool.slice(0, next).map(timed(10)) };
	});

const forTime = fc.record({
	format: fc.constant('for-time' as const),
	role,
	rounds,
	limit: fc.integer({ min: 30, max: 1800 }),
	parts: parts(1, 5)
});
const amrap = fc.record({
	format: fc.constant('amrap' as const),
	role,
	length: fc.integer({ min: 30, max: 1800 }),
	parts: parts(1, 5)
});
const stations = fc
	.record({
		format: fc.constant('stations' as const),
		role,
		rounds: fc.integer({ min: 1, max: 3 }),
		seconds: fc.integer({ min: 20, max: 300 }),
		change: fc.integer({ min: 0, max: 60 }),
		people: fc.option(fc.integer({ min: 2, max: 40 }), { nil: null }),
		sizes: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 4 }),
		halves: fc.boolean(),
		pool: parts(12, 12)
	})
	.map(({ sizes, halves, pool, ...block }) => {
		let next = 0;
		const groups = [2, ...sizes].map((size) =>
			Array.from({ length: Math.min(size, 12 - next) }, () => next++)
		);
		return {
			...block,
			groups: groups.filter((group) => group.length > 0),
			parts: pool.slice(0, next),
			...(halves && { halves: true as const })
		};
	});
const steady = fc
	.record({
		format: fc.constant('steady-cardio' as const),
		role,
		minutes: fc.integer({ min: 1, max: 90 }),
		bpm: fc.option(
			fc.integer({ min: 90, max: 150 }).map((low) => ({ low, high: low + 10 })),
			{ nil: null }
		),
		parts: parts(1, 1)
	})
	.map((block) => ({ ...block, parts: block.parts.map(timed(block.minutes * 60)) }));
const hiit = fc
	.record({
		format: fc.constant('hard-intervals' as const),
		role,
		times: fc.integer({ min: 1, max: 12 }),
		hard: fc.integer({ min: 10, max: 60 }),
		easy: fc.integer({ min: 1, max: 90 }),
		parts: parts(1, 2)
	})
	.map((block) => ({
		...block,
		parts: block.parts.map((p, i) => timed(i === 0 ? block.hard : block.easy)(p))
	}));

/** Every format, so that a law that holds for these holds for a new one or says where it does not. */
const BLOCKS: { [F in FormatName]: fc.Arbitrary<Block> } = {
	'straight-sets': fc.oneof(sets, sets, fallingSets),
	superset,
	'interval-circuit': circuit,
	emom,
	'for-time': forTime,
	amrap,
	stations,
	'steady-cardio': steady,
	'hard-intervals': hiit,
	holds,
	'rep-rounds': anyRounds
};
export const anyBlock: fc.Arbitrary<Block> = fc.oneof(...Object.values(BLOCKS));

const line = fc.stringMatching(/^[a-z][a-z ]{0,20}[a-z]$/);
/** Addresses with all that RFC 3986 lets a path carry; fast-check's own take a second to set up. */
const address = fc
	.tuple(
		fc.domain(),
		fc.array(
			fc.string({ unit: fc.constantFrom(..."azAZ09-._~!$&'()*+,;=:@", '%20', '%C3%A9'), maxLength: 12 }),
			{ maxLength: 4 }
		)
	)
	.map(([host, segments]) => ['https:/', host, ...segments].join('/'));
const setup = fc.option(fc.record({ text: line, seconds: fc.integer({ min: 0, max: 90 }) }), {
	nil: null,
	freq: 3
});
const dayPart = fc.option(line, { nil: null, freq: 6 });
const optional = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: null, freq: 3 });

/** Repeats that do not overlap: each takes some blocks, then some are left out. */
const repeats = (count: number): fc.Arbitrary<Repeat[]> =>
	fc
		.array(
			fc.record({
				skip: fc.integer({ min: 0, max: 2 }),
				length: fc.integer({ min: 1, max: 3 }),
				times: fc.integer({ min: 2, max: 4 }),
				rest: fc.integer({ min: 0, max: 60 })
			}),
			{ maxLength: 3 }
		)
		.map((list) => {
			let from = 0;
			return list.flatMap(({ skip, length, times, rest: between }) => {
				const repeat = { from: from + skip, to: from + skip + length - 1, times, rest: between };
				from = repeat.to + 1;
				return repeat.to < count ? [repeat] : [];
			});
		});

export const anySession: fc.Arbitrary<Session> = fc
	.array(fc.tuple(anyBlock, setup, dayPart), { minLength: 1, maxLength: 8 })
	.chain((made) =>
		fc.record({
			blocks: fc.constant(
				made.map(([block, before, part]) => ({
					...block,
					...(before && { setup: before }),
					...(part && { dayPart: part })
				}))
			),
			repeats: repeats(made.length),
			pieces: fc.boolean(),
			note: optional(line),
			links: optional(
				fc.array(
					fc.record({
						title: line,
						url: address
					}),
					{
						minLength: 1,
						maxLength: 3
					}
				)
			),
			recovery: optional(fc.array(line, { minLength: 1, maxLength: 3 }))
		})
	)
	.map(({ blocks, repeats: again, pieces, note, links, recovery }) => ({
		blocks,
		...(again.length > 0 && { repeats: again }),
		...(note && { note }),
		...(links && { links }),
		...(recovery && { recovery }),
		...(pieces && { pieces: true as const })
	}))
	// One that ends on another day than it began is no session.
	.filter((session) => compileSession(session, PRACTICE).totals.upper <= LIMITS.session);
