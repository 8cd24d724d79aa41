/** A session as somebody goes through it, step by step. Plain data: a device keeps it, and needs nothing else to lead and to log. */
import type { CueKind, PrescribedExercise, Role, SegmentKind, Side } from '../session';
import { JOINTS, type Tempo } from '../exercise';

/** Where the log has a set. Block and part as in `PrescribedExercise`; sets from 1. */
export interface SetPlace {
	block: number;
	part: number;
	set: number;
}

/** One thing that is done in a step. */
export interface Task extends SetPlace {
	/** Which side of it; `both` also where sides are no matter. */
	side: Side;
	/** Place of the exercise in the course. */
	exercise: number;
	/** In the unit of the exercise, on this side. */
	amount: number;
}

/** How a step ends: by itself when its seconds are over, or when whoever does it says so. */
export type Ending = 'time' | 'person';

/**
 * How the tasks of a step are counted as they are done: `all` one after the other, and the step is over with the last of them;
 * `again` over and over; `once` all of them together.
 */
export type Counting = 'all' | 'again' | 'once';

/** A call of a step. Seconds from its beginning; `end`: before its end, which the person may put off. */
export interface StepCue {
	kind: CueKind;
	at: number;
	from: 'beginning' | 'end';
}

export interface Step {
	kind: SegmentKind;
	ends: Ending;
	/** As planned: its length, or what it is expected to take. */
	seconds: number;
	/** Place of its block in the course. */
	block: number;
	round: number;
	/** Rounds of its block. */
	rounds: number;
	pass: number;
	/** Going through of repeated blocks. */
	passes: number;
	tasks: Task[];
	counting: Counting | null;
	cues: StepCue[];
}

/** An exercise of the session, as it stands beside the clock. */
export interface CourseExercise {
	block: number;
	part: number;
	name: string;
	/** Whose figure stands for it. */
	figure: string;
	/** `10 reps per side`, as asked of each set; empty where the block's own time says it. */
	much: string;
	/** With what, and how hard; null where nothing is said of either. */
	load: string | null;
	kg: number | null;
	unit: 'reps' | 's' | 'm';
	sets: number;
	/** What each set asks for; per side where it is. */
	amounts: number[];
	perSide: boolean;
	tempo: Tempo;
	/** Seconds of a repetition at that tempo. */
	repSeconds: number;
	cues: string[];
	cautions: string[];
	/** What may be done in its place, in the moment. */
	easier: Variation | null;
	harder: Variation | null;
	/** By what hurts; null: nothing like it is safe then. */
	ifHurts: Record<BodyArea, Variation | null>;
}

export interface Variation {
	name: string;
	figure: string;
	cue: string | null;
}

/** Where it can hurt, as asked in the moment. */
export const BODY_AREAS = [...JOINTS, 'elsewhere'] as const;
export type BodyArea = (typeof BODY_AREAS)[number];

export interface CourseBlock {
	role: Role;
	title: string;
	summary: string;
	setup: string | null;
	dayPart: string | null;
	/** Its rule as it is said aloud before it begins; null: its exercises say all of it. */
	called: string | null;
	/** Heart rates that it asks for, beats a minute; null: none. */
	rate: { low: number; high: number } | null;
}

export interface Course {
	name: string;
	/** What to have ready. */
	ready: string[];
	blocks: CourseBlock[];
	exercises: CourseExercise[];
	steps: Step[];
	/** Expected, from the first step to the end. */
	seconds: number;
}

export const unitsOf = ({ target }: Pick<PrescribedExercise, 'target'>): CourseExercise['unit'] =>
	target.kind === 'reps' ? 'reps' : target.kind === 'seconds' ? 's' : 'm';

/** Whether nothing is left of a step of which something is to be done. */
export const isLeftOut = ({ tasks }: Step, leftOut: ReadonlySet<number>): boolean =>
	tasks.length > 0 && tasks.every(({ exercise }) => leftOut.has(exercise));

/** Seconds between the start and the first exercise: time to put the phone down (common practice, no source). */
const LEAD_IN = 10;

/** A course from one of its steps on, with a lead-in where that is work: no exercise begins at the tap that starts it. */
export function beginningAt(course: Course, from: number): Course {
	const steps = course.steps.slice(from);
	const [first] = steps;
	if (first?.kind !== 'work') return { ...course, steps };
	const leadIn: Step = {
		...first,
		kind: 'setup',
		ends: 'time',
		seconds: LEAD_IN,
		tasks: [],
		counting: null,
		cues: [
			{ kind: 'next-up', at: 0, from: 'beginning' },
			{ kind: 'three-two-one', at: 3, from: 'end' }
		]
	};
	return { ...course, steps: [leadIn, ...steps] };
}

/** A course in which another side goes first: the weaker one does, and the other does no more. */
export function withFirstSide(course: Course, first: 'left' | 'right'): Course {
	if (first === 'left') return course;
	const other = { left: 'right', right: 'left', both: 'both' } as const;
	return {
		...course,
		steps: course.steps.map((step) => ({
			...step,
			tasks: step.tasks.map((task) => ({ ...task, side: other[task.side] }))
		}))
	};
}
