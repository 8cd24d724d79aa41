import { LIMITS, type BlockBase, type Role } from '../parts';
import type { Format } from './format';
import { isLocomotion } from './locomotion';

/** Minutes at an even effort: within a band of heart rate, or by the talk test. */
export interface SteadyCardio extends BlockBase {
	format: 'steady-cardio';
	minutes: number;
	/** Beats a minute; null: able to speak, not to chat. */
	bpm: { low: number; high: number } | null;
}

/** The effort in words. */
export const effortWords = (block: SteadyCardio): string =>
	block.bpm ? `${block.bpm.low} to ${block.bpm.high} bpm` : 'able to speak, not to chat';

/** An easy walk of some minutes, by the talk test. */
export const newSteady = (minutes: number, role: Role = 'main'): SteadyCardio => ({
	format: 'steady-cardio',
	role,
	minutes,
	bpm: null,
	parts: [
		{
			exercise: 'Brisk walk',
			target: { kind: 'seconds', seconds: minutes * 60 },
			perSide: false,
			tempo: null,
			kg: null
		}
	]
});

/** Up to here most people can still speak (common practice, no source: 145 to 155). */
const EASY_BPM = 155;

/** A way on foot of so many seconds is steady cardio, whatever it is called (common practice, no source). */
const LEAST = 300;

export const steadyCardio: Format<SteadyCardio> = {
	name: 'steady-cardio',
	label: 'Steady cardio',
	keywords: ['steady', 'steady cardio', 'liss'],
	starter: '30 min, talk test',
	fields: [{ key: 'minutes', label: 'minutes', unit: '', bounds: [1, LIMITS.minutes], knob: 'work' }],
	met: { met: 4.3, code: '17200' },
	countedIn: 'minutes',
	cardio: 'steady',
	effort: 4,
	aerobic: 'always',
	lifting: false,
	inTurn: 'always',
	rate: ({ bpm }) => bpm,
	easy: ({ bpm }) => bpm === null || bpm.high <= EASY_BPM,
	extras: [
		{
			key: 'bpm',
			kind: 'record',
			label: 'effort',
			without: 'null',
			none: 'by talk test',
			some: 'by heart rate',
			initial: { low: 145, high: 155 },
			fields: [
				{
					key: 'low',
					label: 'from, bpm',
					kind: 'number',
					says: 'bpm at the lower end',
					bounds: LIMITS.heartRate
				},
				{
					key: 'high',
					label: 'to, bpm',
					kind: 'number',
					says: 'bpm at the upper end',
					bounds: LIMITS.heartRate
				}
			]
		}
	],
	takes: [1, 1],

	check(block, faults) {
		if (!block.bpm) return;
		if (block.bpm.low >= block.bpm.high)
			faults.add(
				'.bpm',
				`the lower end of ${block.bpm.low} bpm lies under the upper one of ${block.bpm.high}`
			);
	},

	write(block, out) {
		out.put('work', block.minutes * 60, { part: 0 });
	},

	timesDone: () => 1,
	target: (block) => ({ kind: 'seconds', seconds: block.minutes * 60 }),
	summary: (block) => `${block.minutes} minutes · ${effortWords(block)}`,

	ownTime: true,
	claims(line) {
		const [only, ...others] = line.items;
		if (!only?.exercise || others.length > 0 || !isLocomotion(only.exercise)) return false;
		return line.has('bpm') || line.has('talk-test') || (!line.has('times') && (only.seconds ?? 0) >= LEAST);
	},
	read(said, parts) {
		const seconds = said.seconds('min');
		if (seconds === null) return { fault: 'steady cardio needs its minutes, as in steady 30 min' };
		const band = said.take('bpm');
		if (!band) said.take('talk-test');
		const minutes = seconds / 60;
		return {
			format: 'steady-cardio',
			minutes,
			bpm: band && { low: band.low, high: band.high },
			parts: parts.map((part) => ({ ...part, target: { kind: 'seconds', seconds } }))
		};
	},

	line: (block, part) =>
		`steady ${block.minutes} min, ${block.bpm ? `${block.bpm.low}-${block.bpm.high} bpm` : 'talk test'}: ` +
		block.parts.map(part).join(' + ')
};
