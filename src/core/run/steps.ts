/** The steps of a course, from the timeline that the session is compiled to. */
import {
	askedOf,
	formatOf,
	passesOf,
	type PrescribedExercise,
	type Segment,
	type Session,
	type Timeline
} from '../session';
import type { Counting, Course, Step, StepCue, Task } from './course';

/** Rests from this length on end with a countdown (common practice, no source). */
const COUNTED_DOWN = 6;

type Span = Timeline['spans'][number];

const roundsOf = (segments: readonly Segment[]): Map<number, number> => {
	const rounds = new Map<number, number>();
	for (const { block, round } of segments) rounds.set(block, Math.max(rounds.get(block) ?? 1, round));
	return rounds;
};

/** Calls of a step that has a time of its own: begun, half of it, the last ten seconds, the last three. */
function callsOfTime(seconds: number): StepCue[] {
	const calls: StepCue[] = [{ kind: 'start', at: 0, from: 'beginning' }];
	if (seconds >= 20) calls.push({ kind: 'halfway', at: seconds / 2, from: 'beginning' });
	if (seconds > 20) calls.push({ kind: 'ten-left', at: 10, from: 'end' });
	if (seconds > 3) calls.push({ kind: 'three-two-one', at: 3, from: 'end' });
	return calls;
}

/** A course as somebody leads it for a group: every step goes by the clock, at the tempo given, and is counted down. */
export const ledCourse = (course: Course): Course => ({
	...course,
	steps: course.steps.map((step): Step => {
		const waits = step.ends === 'person';
		const called = waits ? callsOfTime(step.seconds).filter(({ kind }) => kind !== 'start') : [];
		return { ...step, ends: 'time', counting: null, cues: [...step.cues, ...called] };
	})
});

/** Calls of a stretch of the timeline; those that count down stay before its end also where the person puts that off. */
function callsOf({ kind, start, seconds }: Segment, cues: Timeline['cues']): StepCue[] {
	const calls = cues.map(({ time, kind: call }): StepCue => {
		const near = call === 'ten-left' || call === 'three-two-one';
		return near
			? { kind: call, at: start + seconds - time, from: 'end' }
			: { kind: call, at: time - start, from: 'beginning' };
	});
	return kind !== 'work' && seconds >= COUNTED_DOWN
		? [...calls, { kind: 'three-two-one', at: 3, from: 'end' }]
		: calls;
}

/**
 * Writes the steps of a session as one person gets it.
 *
 * @param asked what it asks for, in the order of its blocks and parts
 */
export function stepsOf(session: Session, timeline: Timeline, asked: readonly PrescribedExercise[]): Step[] {
	const { segments, spans, cues } = timeline;
	const rounds = roundsOf(segments);
	const placeOf = placesIn(session);
	const lastSet = new Map<number, number>();
	const cuesAt = new Map<number, Timeline['cues']>();
	for (const cue of cues) cuesAt.set(cue.segment, [...(cuesAt.get(cue.segment) ?? []), cue]);

	/** The set that a stretch of work is: its round, where rounds are sets; otherwise as they come, the second side with the first. */
	const setOf = ({ block, pass, round, side }: Segment, exercise: number): number => {
		const sets = asked[exercise]?.sets ?? 1;
		const perPass = sets / passesOf(session, block);
		const before = lastSet.get(exercise) ?? 0;
		const comes = side === 'right' ? Math.max(1, before) : before + 1;
		const set = Math.min(sets, rounds.get(block) === perPass ? (pass - 1) * perPass + round : comes);
		lastSet.set(exercise, set);
		return set;
	};
	const taskOf = (segment: Segment): Task[] => {
		if (segment.kind !== 'work' || segment.part === null) return [];
		const exercise = placeOf(segment.block, segment.part);
		const of = asked[exercise];
		if (!of) return [];
		const set = setOf(segment, exercise);
		return [{ block: of.block, part: of.part, set, side: segment.side, exercise, amount: askedOf(of, set) }];
	};
	const common = ({ block, round, pass }: Segment) => ({
		block,
		round,
		rounds: rounds.get(block) ?? 1,
		pass,
		passes: passesOf(session, block)
	});

	/** The steps of a going through of a block whose format keeps the clock for more than one stretch. */
	const ofSpan = (span: Span, within: readonly Segment[]): Step[] => {
		const block = session.blocks[span.block];
		const clock = block && formatOf(block).clock?.(block);
		const [first] = within;
		if (!block || !clock || !first) return [];
		const step = (at: Segment, seconds: number, tasks: Task[], counting: Counting): Step => ({
			kind: 'work',
			ends: 'time',
			seconds,
			...common(at),
			tasks,
			counting,
			cues: callsOfTime(seconds)
		});
		if (clock.kind === 'starts')
			return Array.from({ length: Math.round(span.seconds / clock.every) }, (_, i): Step[] => {
				const from = span.start + i * clock.every;
				const inIt = within.filter(({ start }) => start >= from && start < from + clock.every);
				const [at] = inIt;
				return at ? [step(at, clock.every, bothSides(inIt.flatMap(taskOf)), 'once')] : [];
			}).flat();
		const laps = clock.kind === 'limit' ? clock.rounds : 1;
		const tasks = Array.from({ length: laps }, (_, lap) =>
			block.parts.flatMap((_part, part): Task[] => {
				const exercise = placeOf(span.block, part);
				const of = asked[exercise];
				if (!of) return [];
				const set = Math.min(of.sets, (span.pass - 1) * (of.sets / passesOf(session, span.block)) + lap + 1);
				return [{ block: of.block, part: of.part, set, side: 'both', exercise, amount: askedOf(of, set) }];
			})
		).flat();
		return [step(first, span.seconds, tasks, clock.kind === 'limit' ? 'all' : 'again')];
	};

	const steps: Step[] = [];
	let at = 0;
	for (const span of [...spans, null]) {
		const begin = span === null ? Infinity : span.start;
		const end = span === null ? Infinity : span.start + span.seconds;
		const own = span !== null && session.blocks[span.block];
		const together = own ? formatOf(own).clock !== undefined : false;
		const within: Segment[] = [];
		for (let segment = segments[at]; segment && segment.start < end; segment = segments[++at]) {
			if (together && segment.start >= begin) {
				within.push(segment);
				continue;
			}
			steps.push({
				kind: segment.kind,
				ends: segment.kind === 'work' && segment.paced ? 'person' : 'time',
				seconds: segment.seconds,
				...common(segment),
				tasks: taskOf(segment),
				counting: null,
				cues: callsOf(segment, cuesAt.get(at) ?? [])
			});
		}
		if (span && within.length > 0) steps.push(...ofSpan(span, within));
	}
	return steps;
}

/** Sides of the same set, one after the other in one step, are one task. */
const bothSides = (tasks: readonly Task[]): Task[] =>
	tasks
		.filter((task, i) => task.side !== 'right' || tasks[i - 1]?.exercise !== task.exercise)
		.map((task) => ({ ...task, side: 'both' }));

/** Of each part of each block: its place among all parts, in order. */
function placesIn({ blocks }: Session): (block: number, part: number) => number {
	let before = 0;
	const begins = blocks.map(({ parts }) => {
		before += parts.length;
		return before - parts.length;
	});
	return (block, part) => (begins[block] ?? 0) + part;
}
