import { amrap } from './amrap';
import { emom } from './emom';
import { forTime } from './for-time';
import type { Format, FormatBlock } from './format';
import { hardIntervals } from './hard-intervals';
import { holds } from './holds';
import { intervalCircuit } from './interval-circuit';
import { repRounds } from './rep-rounds';
import { stations } from './stations';
import { steadyCardio } from './steady-cardio';
import { straightSets } from './straight-sets';
import { superset } from './superset';

/** Every format that ships, in the order in which they are offered. A new one is a file beside these and a line here. */
const SHIPPED = [
	straightSets,
	superset,
	emom,
	forTime,
	hardIntervals,
	intervalCircuit,
	amrap,
	stations,
	steadyCardio,
	holds,
	repRounds
] as const;

export type Block = NonNullable<(typeof SHIPPED)[number]['block']>;
export type FormatName = Block['format'];

const registered = new Map<string, Format<Block>>(
	SHIPPED.map((format) => [format.name, format as unknown as Format<Block>])
);

/**
 * Makes a further format known to everything that reads, times, counts, checks and draws blocks.
 *
 * @returns takes it away again
 * @throws RangeError when there is one of that name
 */
export function registerFormat<B extends FormatBlock>(format: Format<B>): () => void {
	if (registered.has(format.name)) throw new RangeError(`format: there is a ${format.name} already`);
	registered.set(format.name, format as unknown as Format<Block>);
	return () => void registered.delete(format.name);
}

/** What a typed line is in that names no format. */
export const PLAIN_FORMAT: FormatName = straightSets.name;

export const formatNames = (): FormatName[] => [...registered.keys()] as FormatName[];

/** Whether there is a format of a name. */
export const isFormat = (name: unknown): name is FormatName =>
	typeof name === 'string' && registered.has(name);

/** @throws RangeError for a name that no format has */
export function formatNamed(name: FormatName): Format<Block> {
	const format = registered.get(name);
	if (!format) throw new RangeError(`format: there is no ${name}; there are ${formatNames().join(', ')}`);
	return format;
}

/** The format of a block, typed so that it takes that block. */
export function formatOf<B extends Block>(block: B): Format<B> {
	return formatNamed(block.format) as unknown as Format<B>;
}

/** Whether the block says how much of each exercise there is, so that its parts need not. */
export const saysHowMuch = (format: FormatName): boolean => formatNamed(format).target !== undefined;

export { newCircuit } from './interval-circuit';
export { newHolds } from './holds';
export { newSets } from './straight-sets';
export { newSteady } from './steady-cardio';
export { newSuperset } from './superset';
