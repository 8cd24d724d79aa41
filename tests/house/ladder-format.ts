import type { Format } from '$core/session';
import type { BlockBase } from '$core/session/parts';
import { workOnOneSide } from '$core/session/rep-time';

/** A format that ships with nothing: twice, four times, six times … as much of each exercise, a rest after each rung. */
interface Rungs extends BlockBase {
	format: 'rungs';
	rungs: number;
	rest: number;
}

export const ladder: Format<Rungs> = {
	name: 'rungs',
	label: 'Rungs',
	keywords: ['rungs'],
	starter: '5 up, rest 30',
	fields: [
		{ key: 'rungs', label: 'rungs', unit: '', bounds: [1, 20], knob: 'often' },
		{ key: 'rest', label: 'rest', unit: 's', says: 'seconds of rest', bounds: [0, 600], knob: 'rest' }
	],
	met: { met: 3.5, code: '02054' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'never',
	lifting: true,
	takes: [1, 3],

	write(block, out) {
		for (let rung = 1; rung <= block.rungs; rung++) {
			block.parts.forEach((part, i) => {
				const { seconds, reps, paced } = workOnOneSide(part, out.practice);
				out.put('work', rung * seconds, { part: i, round: rung, reps: rung * reps, paced, free: false });
			});
			if (rung < block.rungs) out.put('rest', block.rest, { round: rung });
		}
	},
	timesDone: (block) => block.rungs,
	findings: (block) =>
		block.rungs < 5
			? [
					{
						rule: 'few rungs',
						severity: 'hint',
						title: `${block.rungs} rungs`,
						figure: '5 are usual.',
						part: null,
						source: 'for this test alone',
						remedy: { label: 'Use 5', block: { ...block, rungs: 5 } }
					}
				]
			: [],
	summary: (block) => `${block.rungs} up · rest ${block.rest}`,
	ownTime: true,
	read(said, parts) {
		const rungs = said.take('amount')?.each[0]?.low ?? null;
		said.take('word', ({ text }) => text === 'up');
		if (rungs === null) return { fault: 'rungs need their number, as in rungs 5 up' };
		return { format: 'rungs', rungs, rest: said.rest(null) ?? 30, parts };
	},
	line: (block, part) => `rungs ${block.rungs} up, rest ${block.rest}: ${block.parts.map(part).join(' + ')}`
};
