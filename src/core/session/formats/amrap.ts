import { LIMITS, type BlockBase } from '../model';
import { DEFAULT_OPTIONS, lapSeconds, type TimelineOptions } from '../timeline';
import { firstTime, timeWords, type Format } from './format';

/** A fixed time, as many rounds as possible in it. */
export interface Amrap extends BlockBase {
	format: 'amrap';
	/** Seconds. */
	length: number;
}

/** Rounds that fit into the time at the tempo given, with their fraction. */
export function expectedRounds(block: Amrap, options: TimelineOptions = DEFAULT_OPTIONS): number {
	const lap = lapSeconds(block.parts, options);
	return lap > 0 ? block.length / lap : 0;
}

export const amrap: Format<Amrap> = {
	name: 'amrap',
	label: 'AMRAP',
	keywords: ['amrap', 'as many rounds as possible'],
	starter: '10 min',
	fields: [{ key: 'length', label: 'length', unit: 'clock', knob: 'often' }],
	met: { met: 8, code: '02040' },
	takes: [1, LIMITS.parts],

	check(block, faults) {
		faults.whole('.length', 'seconds of work', block.length, 10, LIMITS.seconds);
	},

	write(block, out) {
		const end = out.now + block.length;
		// A lap of no length would never end; faults name it, the timeline stays empty.
		if (lapSeconds(block.parts, out.options) <= 0) return;
		for (let round = 1; out.now < end; round++)
			block.parts.forEach((part, i) => out.workUntil(end, part, i, round));
	},

	timesDone: (block, _part, options) => Math.max(1, Math.floor(expectedRounds(block, options))),
	// The time is what is asked for; how many rounds go into it is the result.
	timesOwed: () => 1,

	summary(block, options) {
		const rounds = expectedRounds(block, options);
		return `${timeWords(block.length)} · about ${rounds < 10 ? rounds.toFixed(1) : Math.round(rounds)} rounds expected`;
	},

	read(head, parts) {
		const length = firstTime(head, 'min');
		if (length === null) return { fault: 'an AMRAP needs its time, as in amrap 10 min' };
		return { format: 'amrap', length, parts };
	},

	line: (block, part) => `amrap ${timeWords(block.length)}: ${block.parts.map(part).join(' + ')}`
};
