import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { sessionFaults } from './faults';
import { formatSessionText, parseSessionText } from './text';
import { PRACTICE } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';

const WHOLE = `session: Ridge load
note: Weaker side first.
note: Stop when it hurts.
link: Warm-up film | https://films.example/warm-up
# by hand
warm-up: circuit 2 rounds 30/10: march with arms up
repeat 2 times, rest 60:
setup 20 s: swap to the heavy pair
3 x 10 goblet squat @ 12 kg, rest 90
end repeat
recovery: 10 min easy walk
`;

describe('parseSessionText', () => {
	it('reads blocks and what goes with them', () => {
		const { name, session, faults } = parseSessionText(WHOLE, PRACTICE);
		expect(faults).toEqual([]);
		expect(name).toBe('Ridge load');
		expect(session).toMatchObject({
			note: 'Weaker side first.\nStop when it hurts.',
			links: [{ title: 'Warm-up film', url: 'https://films.example/warm-up' }],
			repeats: [{ from: 1, to: 1, times: 2, rest: 60 }],
			recovery: ['10 min easy walk']
		});
		expect(session.blocks[1]?.setup).toEqual({ text: 'swap to the heavy pair', seconds: 20 });
	});

	it.each([
		['3 x nothing', 1, '“nothing” is not an exercise'],
		['# remark\n\n3 x', 3, 'name of an exercise is missing'],
		['end repeat', 1, 'no repeat is open'],
		['repeat 2 times:\n3 x 10 squat', 1, 'not closed'],
		['repeat 2 times:\nend repeat', 2, 'no block in this repeat'],
		['repeat 2 times:\n3 x 10 squat\nrepeat 2 times:\n3 x 10 curl\nend repeat', 3, 'line 1 is still open'],
		['repeat often:\n3 x 10 squat\nend repeat', 1, 'how often'],
		['link: film', 1, 'its title | https'],
		['setup 20 s:\n3 x 10 squat', 1, 'what is to be set up'],
		['3 x 10 squat\nsetup 20 s: the mat', 2, 'no block follows']
	])('%j: line %i', (text, line, says) => {
		const [fault] = parseSessionText(text, PRACTICE).faults;
		expect(fault?.line).toBe(line);
		expect(fault?.message).toContain(says);
	});

	it('says which exercises it does not know, and the nearest it knows', () => {
		expect(parseSessionText('3 x 10 goblet sqat', PRACTICE).faults).toMatchObject([
			{ line: 1, offers: [{ text: 'Goblet squat' }, { text: '"goblet sqat"' }] }
		]);
	});

	it('reads a paste of 10,000 lines as far as it makes sense and says where it stopped', () => {
		const { session, faults } = parseSessionText('3 x 10 squat\n'.repeat(10_000), PRACTICE);
		expect(session.blocks).toHaveLength(60);
		expect(faults).toEqual([
			expect.objectContaining({ line: 61, message: expect.stringContaining('at most 60 blocks') as string })
		]);
		expect(parseSessionText('nonsense\n'.repeat(10_000), PRACTICE).faults).toHaveLength(51);
	});
});

it('reads back what it wrote', () => {
	fc.assert(
		fc.property(anySession, (session) => {
			const {
				session: read,
				name,
				faults
			} = parseSessionText(formatSessionText(session, PRACTICE, 'Any'), PRACTICE);
			expect(faults).toEqual([]);
			expect(name).toBe('Any');
			expect(read).toEqual(session);
		}),
		{ numRuns: runs(300) }
	);
});

describe('sessionFaults of what goes with the blocks', () => {
	const base = parseSessionText('3 x 10 squat\n3 x 10 curl\n3 x 10 swing', PRACTICE).session;
	const says = (more: object): string =>
		sessionFaults({ ...base, ...more }, PRACTICE)
			.map((fault) => `${fault.path}: ${fault.message}`)
			.join('; ');

	it.each([
		[
			{
				repeats: [
					{ from: 0, to: 1, times: 2, rest: 0 },
					{ from: 1, to: 2, times: 2, rest: 0 }
				]
			},
			'block 2 stands in this repeat and in repeat 1'
		],
		[{ repeats: [{ from: 2, to: 0, times: 2, rest: 0 }] }, 'round and round'],
		[{ repeats: [{ from: 0, to: 7, times: 2, rest: 0 }] }, 'from 0 to 2'],
		[{ repeats: [{ from: 0, to: 0, times: 1000, rest: 0 }] }, '1,000 times'],
		[
			{ links: [{ title: 'Film', url: 'javascript:alert(1)' }] },
			'links[0].url: an address begins with https'
		],
		[{ links: [{ title: ' ', url: 'https://films.example/a' }] }, 'links[0].title'],
		[{ note: '' }, 'note: the note is empty'],
		[{ recovery: ['a'.repeat(200)] }, 'recovery[0]']
	])('%j', (more, message) => expect(says(more)).toContain(message));

	it('refuses what is far too much although every number is possible', () => {
		const huge = parseSessionText(
			'repeat 20 times, rest 0:\ncircuit 50 rounds 30/15: squat + curl + swing + plank + push-up + reverse lunge + one-arm row + dip + step-up + dead bug + plank\nend repeat',
			PRACTICE
		);
		expect(sessionFaults(huge.session, PRACTICE)[0]?.message).toMatch(/at most 20,000 steps|ends on the day/);
		const long = parseSessionText(
			'repeat 20 times, rest 7200:\n50 x 7200 s plank, rest 7200\nend repeat',
			PRACTICE
		);
		expect(sessionFaults(long.session, PRACTICE)[0]?.message).toContain('ends on the day it began');
	});
});
