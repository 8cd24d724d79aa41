import { LIMITS, type BlockBase } from '../model';
import { DEFAULT_OPTIONS, lapSeconds, type TimelineOptions } from '../timeline';
import { numberBefore, type Format } from './format';
import { checkGroups, groupIndexes, groupsLine, partsOfGroup } from './groups';

/**
 * Every minute on the minute: a fixed amount of work starts on each full minute, what is left of it is rest.
 * `groups[i]` holds the indexes of the parts done together; minutes go through the groups in turn.
 */
export interface Emom extends BlockBase {
	format: 'emom';
	minutes: number;
	groups: number[][];
}

/** Seconds that each group's work takes, and what it leaves of the minute (negative when it does not fit). */
export function minuteFill(
	block: Emom,
	options: TimelineOptions = DEFAULT_OPTIONS
): { work: number; left: number }[] {
	return block.groups.map((group) => {
		const work = lapSeconds(partsOfGroup(block, group), options);
		return { work, left: 60 - work };
	});
}

export const emom: Format<Emom> = {
	name: 'emom',
	label: 'EMOM',
	keywords: ['emom', 'every minute'],
	starter: '8 min',
	fields: [{ key: 'minutes', label: 'minutes', unit: '', knob: 'often' }],
	met: { met: 4.3, code: '02035' },
	takes: [1, LIMITS.parts],

	check(block, faults) {
		faults.whole('.minutes', 'minutes', block.minutes, 1, LIMITS.minutes);
		checkGroups(block, faults, 'an EMOM');
		minuteFill(block, faults.options).forEach((fill, i) => {
			if (fill.left <= 0)
				faults.add(
					`.groups[${i}]`,
					`the work of minute ${i + 1} takes ${Math.round(fill.work)} s and leaves no rest in the minute; ` +
						'fewer reps or one exercise less would fit'
				);
		});
	},

	write(block, out) {
		for (let minute = 0; minute < block.minutes; minute++) {
			const group = block.groups[minute % block.groups.length];
			if (!group) return;
			const round = Math.floor(minute / block.groups.length) + 1;
			const end = out.now + 60;
			for (const i of group) {
				const part = block.parts[i];
				if (part) out.workUntil(end, part, i, round);
			}
			out.put('rest', end - out.now, { round });
		}
	},

	timesDone(block, part) {
		const group = block.groups.findIndex((g) => g.includes(part));
		if (group < 0) return 0;
		return Math.floor((block.minutes - group + block.groups.length - 1) / block.groups.length);
	},

	summary: (block) =>
		`${block.minutes} minutes` + (block.groups.length > 1 ? ` · ${block.groups.length} groups in turn` : ''),

	read(head, _parts, groups) {
		const minutes = numberBefore(head, /min(?:utes?)?\b|'/) ?? numberBefore(head, /(?=\s|,|$)/);
		if (minutes === null) return { fault: 'an EMOM needs its minutes, as in emom 12 min' };
		return { format: 'emom', minutes, groups: groupIndexes(groups), parts: groups.flat() };
	},

	line: (block, part) => `emom ${block.minutes} min: ${groupsLine(block, part)}`
};
