import { COMMON } from '../../findings';
import type { Practice } from '../../practice';
import { amountOf, withAmounts } from '../amount';
import { clockText } from '../clock-text';
import { LIMITS, type BlockBase } from '../parts';
import { lapSeconds } from '../timeline';

import { checkGroups, groupIndexes, groupsLine, partsOfGroup } from './groups';
import { spokenTime } from './grammar';
import type { Format, FormatFinding } from './format';

/**
 * Every minute on the minute, or every so many seconds: a fixed amount of work starts each time, what is left is rest.
 * `groups[i]` holds the indexes of the parts done together; the starts go through the groups in turn.
 */
export interface Emom extends BlockBase {
	format: 'emom';
	starts: number;
	/** Seconds from one start to the next. */
	every: number;
	groups: number[][];
}

/** Seconds that each group's work takes, and what it leaves of the minute (negative when it does not fit). */
export function minuteFill(block: Emom, practice: Practice): { work: number; left: number }[] {
	return block.groups.map((group) => {
		const work = lapSeconds(partsOfGroup(block, group), practice, 1);
		return { work, left: block.every - work };
	});
}

/** Repetitions taken off a minute one by one, from the exercise that has most, until enough rest is left. */
function lighterMinute(block: Emom, group: number, practice: Practice): Emom | null {
	let next = block;
	for (let tries = 0; tries < 200; tries++) {
		const left = minuteFill(next, practice)[group]?.left ?? 0;
		if (left >= practice.house.minuteLeft) return next;
		const amounts = (next.groups[group] ?? []).map((i) => {
			const part = next.parts[i];
			return { i, amount: part ? amountOf(part.target) : 0 };
		});
		const [most] = amounts.filter(({ amount }) => amount > 1).sort((a, b) => b.amount - a.amount);
		if (!most) return null;
		next = {
			...next,
			parts: next.parts.map((part, i) =>
				i === most.i ? withAmounts(part, (amount) => Math.max(1, amount - 1)) : part
			)
		};
	}
	return null;
}

export const emom: Format<Emom> = {
	name: 'emom',
	label: 'EMOM',
	keywords: ['emom'],
	starter: '8 min',
	fields: [
		{ key: 'starts', label: 'starts', unit: '', bounds: [1, LIMITS.minutes], knob: 'often' },
		{ key: 'every', label: 'every', unit: 's', says: 'seconds from start to start', bounds: [10, 600] }
	],
	met: { met: 4.3, code: '02035' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'on cardio days',
	lifting: true,
	inTurn: 'even',
	extras: [{ key: 'groups', kind: 'groups' }],
	picked: 'together',
	takes: [1, LIMITS.parts],

	check(block, faults) {
		checkGroups(block, faults, 'an EMOM');
		minuteFill(block, faults.practice).forEach((fill, i) => {
			if (fill.left <= 0)
				faults.add(
					`.groups[${i}]`,
					`the work of minute ${i + 1} takes ${Math.round(fill.work)} s and leaves no rest in the minute; ` +
						'fewer reps or one exercise less would fit'
				);
		});
	},

	write(block, out) {
		for (let minute = 0; minute < block.starts; minute++) {
			const group = block.groups[minute % block.groups.length];
			if (!group) return;
			const round = Math.floor(minute / block.groups.length) + 1;
			const end = out.now + block.every;
			for (const i of group) {
				const part = block.parts[i];
				if (part) out.workUntil(end, part, i, round);
			}
			out.put('rest', end - out.now, { round });
		}
	},

	clock: ({ every }) => ({ kind: 'starts', every }),
	timesDone(block, part) {
		const group = block.groups.findIndex((g) => g.includes(part));
		if (group < 0) return 0;
		return Math.floor((block.starts - group + block.groups.length - 1) / block.groups.length);
	},

	round: (block) => block.groups.length,
	findings(block, practice) {
		const { minuteLeft } = practice.house;
		return minuteFill(block, practice).flatMap((fill, g): FormatFinding[] => {
			if (fill.left <= 0 || fill.left >= minuteLeft) return [];
			const lighter = lighterMinute(block, g, practice);
			const changed = (block.groups[g] ?? []).flatMap((i) => {
				const [was, is] = [block.parts[i], lighter?.parts[i]];
				return was && is && was !== is
					? [`${amountOf(is.target)}${is.perSide ? ' per side' : ''} ${is.exercise}`]
					: [];
			});
			return [
				{
					rule: 'minute too full',
					severity: 'watch',
					title: `Minute ${g + 1} leaves ${Math.round(fill.left)} s`,
					figure: `${Math.round(fill.work)} of ${block.every} s are work; ${minuteLeft} s of rest are the house rule.`,
					part: block.groups[g]?.[0] ?? null,
					source: COMMON,
					remedy: lighter && { label: `Use ${changed.join(' and ')}`, block: lighter }
				}
			];
		});
	},
	full(block, practice) {
		const left = Math.min(...minuteFill(block, practice).map((fill) => fill.left));
		if (left >= practice.house.minuteLeft) return null;
		return {
			what: 'the minute is full',
			figure: `${Math.round(left)} s of rest are left in it; ${practice.house.minuteLeft} s are the house rule.`
		};
	},
	remark(block, part, practice) {
		const fill = minuteFill(block, practice)[block.groups.findIndex((group) => group[0] === part)];
		return fill && fill.left < practice.house.minuteLeft
			? `${Math.round(fill.work)} s of ${block.every}, ${Math.max(0, Math.round(fill.left))} s left`
			: null;
	},
	summary: (block) =>
		`${block.starts} ${block.every === 60 ? 'minutes' : `× every ${clockText(block.every)}`}` +
		(block.groups.length > 1 ? ` · ${block.groups.length} groups in turn` : ''),

	called: ({ starts, every }) =>
		`${spokenTime(starts * every)}, every ${every === 60 ? 'minute' : spokenTime(every)}`,

	ownTime: true,
	claims: (line) => line.has('every'),
	read(said, _parts, groups) {
		const every = said.take('every')?.seconds ?? 60;
		const length = said.seconds('min');
		const starts = length === null ? said.times() : length / every;
		if (starts === null)
			return {
				fault:
					every === 60
						? 'an EMOM needs its minutes, as in emom 12 min'
						: `how often? as in every ${every} s x 8, or every ${every} s for 12 min`
			};
		return { format: 'emom', starts, every, groups: groupIndexes(groups), parts: groups.flat() };
	},

	line: (block, part) =>
		`${block.every === 60 ? `emom ${block.starts} min` : `every ${block.every} s x ${block.starts}`}: ${groupsLine(block, part)}`
};
