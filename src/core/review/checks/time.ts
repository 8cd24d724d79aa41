import {
	amountOf,
	clockText,
	expectedFinish,
	expectedRounds,
	minuteFill,
	LIMITS,
	passesOf,
	putBlock,
	putPart,
	targetOf,
	type Block,
	type Session
} from '../../session';
import { COMMON, type Check, type Finding, type Subject } from '../finding';

/** Repetitions taken off a minute one by one, from the exercise that has most, until enough rest is left. */
function lighterMinute(
	block: Extract<Block, { format: 'emom' }>,
	group: number,
	subject: Subject
): Block | null {
	let next: typeof block = block;
	for (let tries = 0; tries < 200; tries++) {
		const left = minuteFill(next, subject.options)[group]?.left ?? 0;
		if (left >= subject.house.minuteLeft) return next;
		const [most] = (next.groups[group] ?? [])
			.filter((i) => next.parts[i] !== undefined && amountOf(next.parts[i].target) > 1)
			.sort((a, b) => amountOf(next.parts[b]!.target) - amountOf(next.parts[a]!.target));
		const part = most === undefined ? undefined : next.parts[most];
		if (most === undefined || !part) return null;
		next = putPart(next, most, {
			...part,
			target: targetOf(part.target.kind, amountOf(part.target) - 1)
		}) as typeof block;
	}
	return null;
}

const fullMinutes: Check = (subject) =>
	subject.session.blocks.flatMap((block, b): Finding[] => {
		if (block.format !== 'emom') return [];
		return minuteFill(block, subject.options).flatMap((fill, g): Finding[] => {
			if (fill.left <= 0 || fill.left >= subject.house.minuteLeft) return [];
			const lighter = lighterMinute(block, g, subject);
			const changed = (block.groups[g] ?? []).flatMap((i) => {
				const [was, is] = [block.parts[i], lighter?.parts[i]];
				return was && is && was !== is
					? [`${amountOf(is.target)}${is.perSide ? ' per side' : ''} ${is.exercise}`]
					: [];
			});
			return [
				{
					rule: 'minute too full',
					weight: 'watch',
					title: `Minute ${g + 1} leaves ${Math.round(fill.left)} s`,
					figure: `${Math.round(fill.work)} of 60 s are work; ${subject.house.minuteLeft} s of rest are the house rule.`,
					place: { block: b, part: block.groups[g]?.[0] },
					source: COMMON,
					remedy: lighter && {
						label: `Use ${changed.join(' and ')}`,
						apply: () => putBlock(subject.session, b, lighter)
					}
				}
			];
		});
	});

const overBudget: Check = ({ timeline, budgetMinutes }) => {
	const over = timeline.totals.duration - (budgetMinutes ?? Infinity) * 60;
	if (!(over > 0)) return [];
	return [
		{
			rule: 'over budget',
			weight: 'watch',
			title: `${clockText(over)} over the budget of ${budgetMinutes} min`,
			figure: `${clockText(timeline.totals.duration)} as planned.`,
			place: null,
			source: 'the challenge’s own time budget',
			remedy: { label: 'Show ways to fit', opens: 'fit' }
		}
	];
};

const withinLimit: Check = ({ session, options }) =>
	session.blocks.flatMap((block, b): Finding[] => {
		if (block.format === 'for-time') {
			const expected = expectedFinish(block, options);
			if (expected <= block.limit) return [];
			const rounds = Math.floor((block.rounds * block.limit) / expected);
			const limit = Math.ceil(expected / 60) * 60;
			return [
				{
					rule: 'limit too short',
					weight: 'watch',
					title: `Expected at ${clockText(expected)}, the limit is ${clockText(block.limit)}`,
					figure: `Most would not finish ${block.rounds} ${block.rounds === 1 ? 'round' : 'rounds'} at the tempo given.`,
					place: { block: b },
					source: COMMON,
					remedy:
						rounds >= 1
							? {
									label: `Use ${rounds} ${rounds === 1 ? 'round' : 'rounds'}`,
									apply: () => putBlock(session, b, { ...block, rounds })
								}
							: limit > LIMITS.seconds
								? null
								: {
										label: `Set the limit to ${clockText(limit)}`,
										apply: () => putBlock(session, b, { ...block, limit })
									}
				}
			];
		}
		if (block.format !== 'amrap') return [];
		const rounds = expectedRounds(block, options);
		if (rounds >= 1) return [];
		const length = Math.ceil(block.length / rounds / 60) * 60;
		return [
			{
				rule: 'less than a round',
				weight: 'watch',
				title: `One round takes longer than the ${clockText(block.length)} there are`,
				figure: `${rounds.toFixed(1)} of a round at the tempo given.`,
				place: { block: b },
				source: COMMON,
				// One that takes longer than a block may last is not mended by time.
				remedy:
					length > LIMITS.seconds
						? null
						: {
								label: `Give it ${clockText(length)}`,
								apply: () => putBlock(session, b, { ...block, length })
							}
			}
		];
	});

/** Minutes of lifting after which hard intervals come too late. */
const LONG_LIFTING = 20;
const LIFTING = new Set(['straight-sets', 'superset', 'emom', 'for-time', 'amrap']);

const intervalsAfterLifting: Check = ({ session, timeline }) => {
	let lifted = 0;
	return session.blocks.flatMap((block, b): Finding[] => {
		const seconds = timeline.blocks[b]?.seconds ?? 0;
		if (block.role === 'main' && LIFTING.has(block.format)) lifted += seconds;
		if (block.format !== 'hard-intervals' || lifted < LONG_LIFTING * 60) return [];
		const hard = block.times * block.hard * passesOf(session, b);
		return [
			{
				rule: 'hard intervals after lifting',
				weight: 'watch',
				title: `${clockText(hard)} of hard intervals after ${Math.round(lifted / 60)} min of lifting`,
				figure: `From ${LONG_LIFTING} min of lifting on, hard intervals go to a day of their own.`,
				place: { block: b },
				source: COMMON,
				remedy: {
					label: 'Make them ten steady minutes',
					apply: (): Session =>
						putBlock(session, b, {
							format: 'steady-cardio',
							role: block.role,
							minutes: 10,
							bpm: null,
							parts: [
								{
									exercise: 'Brisk walk',
									target: { kind: 'seconds', seconds: 600 },
									perSide: false,
									tempo: null,
									kg: null
								}
							]
						})
				}
			}
		];
	});
};

export const TIME_CHECKS: readonly Check[] = [overBudget, fullMinutes, withinLimit, intervalsAfterLifting];
