import type { Block, FormatName } from '../model';
import { amrap } from './amrap';
import { emom } from './emom';
import { forTime } from './for-time';
import type { Format } from './format';
import { hardIntervals } from './hard-intervals';
import { holds } from './holds';
import { intervalCircuit } from './interval-circuit';
import { stations } from './stations';
import { steadyCardio } from './steady-cardio';
import { straightSets } from './straight-sets';
import { superset } from './superset';

/** Every format there is. A new one is a file beside these and a line here. */
export const FORMATS: { [N in FormatName]: Format<Extract<Block, { format: N }>> } = {
	'straight-sets': straightSets,
	superset,
	'interval-circuit': intervalCircuit,
	emom,
	'for-time': forTime,
	amrap,
	stations,
	'steady-cardio': steadyCardio,
	'hard-intervals': hardIntervals,
	holds
};

export const FORMAT_NAMES = Object.keys(FORMATS) as FormatName[];

/** The format of a block, typed so that it takes that block. */
export function formatOf<B extends Block>(block: B): Format<B> {
	return FORMATS[block.format] as unknown as Format<B>;
}

/** Whether the block says how much of each exercise there is, so that its parts need not. */
export const saysHowMuch = (format: FormatName): boolean => FORMATS[format].target !== undefined;
