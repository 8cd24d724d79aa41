import type { Severity } from '../../findings';
import type { Practice } from '../../practice';
import type { FaultList } from '../fault-list';
import type { BlockBase, Part, Target } from '../parts';
import type { Exercise } from '../../exercise';
import type { TimelineWriter } from '../timeline';
import type { PhraseKind } from '../phrase/phrase';
import type { Said } from '../phrase/said';

/** A block as its format gives it a name. */
export type FormatBlock = BlockBase & { format: string };

/** A number of a block that can be set in a field, turned by `fitToMinutes` and raised by progression rules. */
export interface Field<B> {
	key: keyof B & string;
	label: string;
	/** What a fault calls it; left out: its label. */
	says?: string;
	/** The least and the most it may be, both whole numbers. */
	bounds: readonly [least: number, most: number];
	/** `clock` is entered as minutes and seconds, `12:00`. */
	unit: '' | 's' | 'min' | 'clock' | '%';
	/** Null stands for “none of its own”. */
	nullable?: boolean;
	/** What turning it changes: how often, how long the work, how long the rest. Left out: not turned. */
	knob?: 'often' | 'work' | 'rest';
}

/** One value of what a format has beside its numbers. */
export type ExtraField =
	| {
			key: string;
			label: string;
			kind: 'number';
			says?: string;
			bounds: readonly [least: number, most: number];
	  }
	| { key: string; label: string; kind: 'choice'; options: readonly { value: string; label: string }[] };

/** What a block has beside numbers: contract, form and file know it from this. */
export type Extra =
	/** On or off; `without`: off is not written down. */
	| { key: string; kind: 'flag'; label: string; without?: 'omitted' }
	/** `groups[i]` holds the indexes of the parts that are done together. */
	| { key: 'groups'; kind: 'groups' }
	| {
			key: string;
			kind: 'record';
			label: string;
			/** How a block says that it has none: the field is null, or not there. */
			without: 'null' | 'omitted';
			/** What choosing none and choosing one is called. */
			none: string;
			some: string;
			/** What it begins as. */
			initial: Readonly<Record<string, number | string>>;
			fields: readonly ExtraField[];
	  };

/** Intensity of a format in the Compendium of Physical Activities. */
export interface Met {
	met: number;
	/** Code in the 2011 edition. */
	code: string;
}

/**
 * A clock that runs over more than one stretch of work: against a `limit` until so many rounds are done, over a fixed `time`, or
 * from one of the `starts` to the next, so many seconds later.
 */
export type BlockClock =
	{ kind: 'limit'; rounds: number } | { kind: 'time' } | { kind: 'starts'; every: number };

/** What a careful coach would see in a block of this format alone. */
export interface FormatFinding {
	rule: string;
	severity: Severity;
	title: string;
	figure: string;
	/** The exercise it is about; null: the block. */
	part: number | null;
	source: string;
	/** The block as it would be. */
	remedy: { label: string; block: FormatBlock } | null;
}

/** A typed line that names no format, or one of several: what can be told of it. */
export interface TypedLine {
	/** Whether something of a kind is said of the block. */
	has(kind: PhraseKind): boolean;
	/** Its exercises are marked A1, A2, … */
	labelled: boolean;
	/** Falling amounts stand before all its exercises, as in 21-15-9. */
	ladder: boolean;
	/** Its time on is called hard. */
	hard: boolean;
	/** The exercises as far as they are known, and for how long each is done, where that is said. */
	items: { exercise: Exercise | null; seconds: number | null }[];
}

/**
 * Everything that is known of a format: its grammar, faults, timeline, sets, effort, what can be turned in it, its words
 * and its fields. Nothing outside this folder names a format; a new one is one file and its line in `index.ts`.
 */
export interface Format<B extends FormatBlock> {
	/** Never there: ties the block's type to the format. */
	readonly block?: B;
	readonly name: B['format'];
	/** As the field calls it. */
	readonly label: string;

	/** Words that begin a typed line of this format. */
	readonly keywords: readonly string[];
	/** The numbers before the exercises as one types them, for a block that is picked. */
	readonly starter: string;
	/** Whether a line that does not name its format is of this one; the first that says so has it. */
	claims?(line: TypedLine): boolean;
	/** What a line says before its exercises is said of the block, and not of each of them. */
	readonly ownTime?: boolean;
	/** Makes a block of parts and what was typed, taking what it has a use for; or says what is missing. */
	read(said: Said, parts: Part[], groups: Part[][]): Omit<B, 'role'> | { fault: string };
	/** The block as a line that `read` reads back. `part` writes one exercise. */
	line(block: B, part: (part: Part) => string): string;

	/** Heart rates that it asks for, beats a minute; left out or null: none. */
	rate?(block: B): { low: number; high: number } | null;

	readonly fields: readonly Field<B>[];
	readonly extras?: readonly Extra[];
	/** What else changes when one number was set: a circuit's exercises go along with its slot. */
	follow?(block: B, key: string): B;
	/** How a picked block begins when exercises are in groups: all together, or each on its own. */
	readonly picked?: 'together' | 'apart';

	/** How many exercises it takes, inclusive; and what to do with more. */
	readonly takes: readonly [min: number, max: number];
	readonly tooMany?: string;
	/** Names faults beyond the bounds of single numbers; left out: there are none. */
	check?(block: B, faults: FaultList): void;

	/** Writes the block's segments in order. */
	write(block: B, out: TimelineWriter): void;
	/** The clock by which it is done, where that is not the one of each stretch of work. */
	clock?(block: B): BlockClock;
	/** How often each part is expected to be done. */
	timesDone(block: B, part: number, practice: Practice): number;
	/** How often the log asks for it, where that is not how often it is expected. */
	timesOwed?(block: B, part: number): number;
	/** What one go at a part asks for, where the format says other than the part itself. */
	target?(block: B, part: Part): Target;
	/** Exercises are counted in seconds, whatever the library says. */
	readonly timed?: boolean;
	/** How many of its `often` number make one round more; left out: one. */
	round?(block: B): number;

	readonly met: Met;
	/** Sets for the muscles, or minutes for the breath. */
	readonly countedIn: 'sets' | 'minutes';
	/** What kind of cardio it is; null for none. */
	readonly cardio: 'steady' | 'hard' | null;
	/** Effort of a session, 0…10, whose main work is this alone; null: as the kind of day has it. */
	readonly effort: number | null;
	/** Whether it raises the breath: always, on days meant as cardio, or not to speak of. */
	readonly aerobic: 'always' | 'on cardio days' | 'never';
	/** Whether it is so easy that it warms up by itself; left out: it is not. */
	easy?(block: B): boolean;
	/** When sides are done in turns without being asked for: always, or in an even number of repetitions; left out: never. */
	readonly inTurn?: 'always' | 'even';
	/** Lifting, after which hard intervals come too late. */
	readonly lifting: boolean;

	/** What a careful coach would see in it. */
	findings?(block: B, practice: Practice): FormatFinding[];
	/** Where no more work goes into it: what is full, and by what figures. */
	full?(block: B, practice: Practice): { what: string; figure: string } | null;
	/** The block with a longer rest between its exercises, where that is a number of its own. */
	withRestInside?(block: B, seconds: number): B;
	/** Its rounds and rests as part of a superset; left out: it cannot be one. */
	asPair?(block: B, practice: Practice): { rounds: number; restInside: number; restAfter: number } | null;

	/** The numbers of the block in words, as shown beside its title: `3 rounds · rest 30 inside, 90 after`. */
	summary(block: B, practice: Practice): string;
	/** The rule of the block as it is said aloud before it begins; left out: its exercises say all of it. */
	called?(block: B): string;
	/** The mark before an exercise: A1 in a superset; left out: its number, or that of its group. */
	mark?(block: B, part: number): string;
	/** What is said of an exercise at its place, such as the rest that its minute leaves. */
	remark?(block: B, part: number, practice: Practice): string | null;
	/** How an exercise done per side shares a time that the block gives. */
	readonly sides?: string;
}
