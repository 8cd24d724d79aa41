/**
 * Reads the tables beside this file: one line an exercise, parted by spaces after its name.
 *
 * | columns | values |
 * | --- | --- |
 * | neck shoulder elbow wrist back hip knee ankle, trunk pressure | 0 to 3 |
 * | arms | `down`, `shoulder`, `overhead` |
 * | balance | 0 to 3 |
 * | can hold on | `yes`, `no`; `-` where balance is 0 |
 * | impact | `none`, `low`, `high` |
 * | floor | `floor`: down to the floor and up; `up`: not |
 * | space | `spot`, `room`, `stairs`, `outdoors` |
 * | lever | `none`, `short`, `long` |
 * | relative load | against a goblet squat of 1; `-`: no weight is held |
 *
 * The ratings are ours, one movement at a time; common practice, no source.
 */
import {
	ARM_HEIGHTS,
	IMPACTS,
	LEVERS,
	RATED,
	RATINGS,
	SPACES,
	type Demands,
	type Rating
} from '../../demands';
import { LEG_DEMANDS } from './legs';
import { MOVING_DEMANDS } from './moving';
import { STRETCH_DEMANDS } from './stretches';
import { TRUNK_DEMANDS } from './trunk';
import { UPPER_DEMANDS } from './upper';

const one = <T>(values: readonly T[], text: string | undefined, line: string): T => {
	const found = values.find((value) => String(value) === text);
	if (found === undefined) throw new RangeError(`${line}: ${text} is none of ${values.join(', ')}`);
	return found;
};

function demandsOf(columns: readonly string[], line: string): Demands {
	const rated = RATED.map((field, i): [string, Rating] => [field, one(RATINGS, columns[i], line)]);
	const [arms, balance, hold, impact, floor, space, lever, load] = columns.slice(RATED.length);
	const rating = one(RATINGS, balance, line);
	one(rating === 0 ? ['-'] : ['yes', 'no'], hold, line);
	return {
		...(Object.fromEntries(rated) as Record<(typeof RATED)[number], Rating>),
		arms: one(ARM_HEIGHTS, arms, line),
		balance: rating,
		canHoldOn: hold !== 'no',
		impact: one(IMPACTS, impact, line),
		floorTransfer: one(['floor', 'up'], floor, line) === 'floor',
		space: one(SPACES, space, line),
		lever: one(LEVERS, lever, line),
		relativeLoad: load === '-' ? null : Number(load)
	};
}

const COLUMNS = RATED.length + 8;

/** Demands of every exercise that ships, by its name. */
export const DEMANDS: ReadonlyMap<string, Demands> = new Map(
	[LEG_DEMANDS, UPPER_DEMANDS, TRUNK_DEMANDS, MOVING_DEMANDS, STRETCH_DEMANDS]
		.flatMap((table) => table.split('\n').filter(Boolean))
		.map((line) => {
			const words = line.trim().split(/\s+/);
			const name = words.slice(0, -COLUMNS).join(' ');
			return [name, demandsOf(words.slice(-COLUMNS), line)] as const;
		})
);
