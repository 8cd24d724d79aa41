import type { Practice } from '../../practice';
import { formatOf, kgText, numberOf, type Block, type Field, type Part } from '../../session';

/** A number of a step, as the contract checks it and the form shows it. */
export interface StepField<Key extends string = string> {
	key: Key;
	/** In the form, after the number. */
	unit: string;
	/** In a fault. */
	says: string;
	most: number;
	/** Step of the form's input; whole numbers from 1 if it is a whole number, else any number above 0. */
	step: number;
}

/** A part before and after, in words. `stuck` says why no more of the step is possible. */
export interface SteppedPart {
	part: Part;
	what: string;
	from: string;
	to: string;
	stuck?: string;
}

/** A block whose numbers a step changes. */
export interface BlockTurn {
	readonly block: Block;
	/** Whether a number of the block has the knob. */
	has(knob: Field<Block>['knob']): boolean;
	/**
	 * Sets every number of the block that has a knob and is above 0.
	 * @returns whether there is one
	 */
	turn(knob: Field<Block>['knob'], to: (field: Field<Block>, now: number) => number): boolean;
	/** Records why no more of the step is possible. */
	stuck(why: string): void;
}

/**
 * A step of a progression rule, with everything that belongs to it. One file each in `steps/`, registered in its index.
 * It changes numbers of the block, parts of the block, or neither (then `isPlacement`).
 */
export interface StepDefinition<Step extends { kind: string }> {
	kind: Step['kind'];
	/** In the menu of steps. */
	label: string;
	fields: readonly StepField<Exclude<keyof Step, 'kind'> & string>[];
	/** With usual amounts. Common practice, no source. */
	initial: Step;
	/** In the sentence of a rule: `+2 kg`. */
	text(step: Step): string;
	/** Leaves its target out before the rule's first week, instead of changing it week by week. */
	isPlacement?: true;
	/** @returns whether the step applies to the block as a whole, or null if it is about its parts */
	changeBlock?(step: Step, times: number, block: BlockTurn): boolean | null;
	/** @returns null if the step does not apply to the part */
	changePart?(step: Step, times: number, part: Part, practice: Practice): SteppedPart | null;
}

/** A part before and after a step, as one text each. */
export const steppedPart = (
	before: Part,
	after: Part,
	what: string,
	text: (part: Part) => string,
	stuck?: string
): SteppedPart => ({ part: after, what, from: text(before), to: text(after), ...(stuck && { stuck }) });

/** Kilograms to a tenth. */
export const tenth = (kg: number): number => Math.round(kg * 10) / 10;

export const loadOf = (part: Part): string => kgText(part) ?? 'bodyweight';

/** Seconds of a round that has its length in minutes, or of one more minute. */
export const MINUTE = 60;

/** Amount that one more round adds: a minute for each group of an EMOM, a minute if the block has a length. */
export const roundOf = (block: Block, field: Field<Block>): number =>
	formatOf(block).round?.(block) ?? (field.unit === 'clock' ? MINUTE : 1);

export const fieldsOf = (block: Block, knob: Field<Block>['knob']): Field<Block>[] =>
	formatOf(block).fields.filter((field) => field.knob === knob);

export const valueOf = (block: Block, field: Field<Block>): number => numberOf(block, field.key) ?? 0;
