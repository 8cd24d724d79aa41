/** Each rule: found where it should be, silent where not, and gone once its remedy is taken. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { DEFAULT_AUDIENCE } from '../people';
import { sessionFaults } from '../session';
import { checkSession, type CheckOptions } from './check-session';
import { minuteFill } from '../session/formats/emom';
import { lineOf, PRACTICE, practiceWith } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { runs } from '../../../tests/support/runs';

const WARM =
	'warm-up: circuit 2 rounds 40/10, 20 between: march on the spot + arm circles + squat to reach\n';
const COOL = '\ncool-down: holds 2 rounds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch';
const findings = (text: string, more: CheckOptions = {}) => checkSession(sessionOf(text), PRACTICE, more);
const rules = (text: string, more: CheckOptions = {}) => findings(text, more).map((finding) => finding.rule);
const one = (text: string, rule: string, more: CheckOptions = {}) => {
	const found = findings(text, more).find((finding) => finding.rule === rule);
	if (!found) throw new Error(`${rule} was not found, but ${rules(text, more).join(', ')}`);
	return found;
};
/** The session after the remedy, and whether the finding is gone. */
function mended(text: string, rule: string, more: CheckOptions = {}) {
	const { remedy } = one(text, rule, more);
	if (!remedy || !('apply' in remedy)) throw new Error('no remedy');
	const session = remedy.apply();
	expect(sessionFaults(session, PRACTICE)).toEqual([]);
	return {
		lines: session.blocks.map(lineOf),
		label: remedy.label,
		rules: checkSession(session, PRACTICE, more).map((f) => f.rule),
		session
	};
}

it('a balanced session with all its parts has nothing to say', () => {
	expect(
		rules(
			`${WARM}superset 3 rounds, rest 30 inside, 90 after: 10 goblet squat @ 12 kg + 10 bent-over row @ 8 kg\nsuperset 3 rounds: 10 push-up + 10 glute bridge${COOL}`
		)
	).toEqual([]);
});

describe('time', () => {
	it('over budget leads to the ways to fit', () => {
		const found = one('30 x 10 squat 3-1-1, rest 60', 'over budget', { budgetMinutes: 30 });
		// 30 × 50 + 29 × 60 = 3240 s
		expect(found.title).toBe('24:00 over the budget of 30 min');
		expect(found.remedy).toEqual({ label: 'Show ways to fit', opens: 'fit' });
		expect(rules('3 x 10 squat', { budgetMinutes: 30 })).not.toContain('over budget');
	});

	it('a full minute gets fewer repetitions until it has its rest', () => {
		// step-up and press: 2 × 6 × 3 s + 5 = 41; with 4 s a rep: 2 × 6 × 4 + 5 = 53, 7 left; 5 a side: 45, 15 left
		const text = 'emom 8 min: 6 per side step-up 2-0-2 @ 8 kg';
		expect(one(text, 'minute too full').title).toBe('Minute 1 leaves 7 s');
		const { lines, label } = mended(text, 'minute too full');
		expect(label).toBe('Use 5 per side Step-up');
		expect(lines[0]).toContain('5 reps per side Step-up');
		expect(rules('emom 8 min: 5 per side step-up 2-0-2 @ 8 kg')).not.toContain('minute too full');
	});

	it('work for time that most will not finish', () => {
		// 3 × 20 × 3 s = 180 s against 120: two rounds
		expect(mended('for time 3 rounds, limit 2 min: 20 squat 2-0-1', 'limit too short')).toMatchObject({
			label: 'Use 2 rounds'
		});
		expect(mended('for time 1 round, limit 1 min: 30 squat 2-0-1', 'limit too short').label).toBe(
			'Set the limit to 2:00'
		);
	});

	it('an AMRAP shorter than its round', () => {
		expect(mended('amrap 1 min: 30 squat 2-0-1', 'less than a round').label).toBe('Give it 2:00');
	});

	it('hard intervals after more than 20 minutes of lifting', () => {
		const lifting = '12 x 10 goblet squat 3-1-1 @ 12 kg, rest 60\n';
		expect(one(`${lifting}hiit 8 x 30/60: fast feet`, 'hard intervals after lifting').title).toBe(
			'4:00 of hard intervals after 21 min of lifting'
		);
		expect(mended(`${lifting}hiit 8 x 30/60: fast feet`, 'hard intervals after lifting').rules).not.toContain(
			'hard intervals after lifting'
		);
		expect(rules('3 x 10 goblet squat\nhiit 8 x 30/60: fast feet')).not.toContain(
			'hard intervals after lifting'
		);
	});
});

describe('warm-up, cool-down, sides', () => {
	it('puts in a warm-up and a cool-down that fit the work', () => {
		const warm = mended('5 x 10 goblet squat @ 12 kg', 'no warm-up');
		expect(warm.session.blocks[0]?.role).toBe('warm-up');
		expect(warm.rules).not.toContain('warm-up too short');
		const cool = mended('5 x 10 goblet squat @ 12 kg', 'no cool-down');
		expect(cool.lines.at(-1)).toMatch(/thigh stretch|Thigh stretch/);
		expect(cool.rules).not.toContain('one side only');
	});

	it('finds a cool-down too short and goes through it again', () => {
		const text = `${WARM}3 x 10 squat\ncool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch`;
		expect(mended(text, 'cool-down too short').rules).not.toContain('cool-down too short');
		const brief = checkSession(sessionOf(text), practiceWith({ house: { coolDown: 2 } }));
		expect(brief.map(({ rule }) => rule)).not.toContain('cool-down too short');
	});

	it('holds stretches as long as the house wants', () => {
		const text = 'cool-down: holds, rest 5: 15 s per side calf stretch\n3 x 10 squat';
		expect(mended(text, 'stretch held briefly').lines[0]).toContain('30 s per side Calf stretch');
	});

	it('finds a stretch on one side only, but not one written once for each side', () => {
		expect(mended(`3 x 10 squat\ncool-down: holds: 30 s calf stretch`, 'one side only').lines[1]).toContain(
			'per side'
		);
		expect(rules('3 x 10 squat\ncool-down: holds: 30 s calf stretch + 30 s calf stretch')).not.toContain(
			'one side only'
		);
	});
});

describe('muscles', () => {
	it('the same muscle without recovery: another order, where there is one', () => {
		const text =
			'circuit 3 rounds 30/15, 60 between: squat + reverse lunge per side + push-up + bent-over row';
		expect(one(text, 'same muscle without recovery').title).toBe(
			'Squat, then Reverse lunge: quads and glutes again'
		);
		expect(mended(text, 'same muscle without recovery').rules).not.toContain('same muscle without recovery');
	});

	it('a pair on one muscle gets its rest inside', () => {
		expect(
			mended(
				'superset 3 rounds, rest 5 inside, 90 after: 10 squat + 10 goblet squat',
				'same muscle without recovery'
			).label
		).toBe('Rest 30 s inside');
	});

	it('push without pull: a row with what the pushes are done with', () => {
		expect(mended('3 x 10 overhead press @ 8 kg\n3 x 10 push-up', 'pull missing for push')).toMatchObject({
			label: 'Add 4 × 10 towel row'
		});
		const press = mended('4 x 10 overhead press @ 8 kg', 'pull missing for push');
		expect(press.lines[1]).toBe('4 x 10 reps Bent-over row @ 8 kg, rest 60');
		expect(press.rules).not.toContain('pull missing for push');
		expect(rules('3 x 10 push-up\n3 x 10 bent-over row')).not.toContain('pull missing for push');
	});

	it('the front of the shoulder three times in a row', () => {
		const text = 'circuit 3 rounds 30/30: push-up + overhead press + front raise + squat';
		expect(mended(text, 'front of the shoulder in a row').label).toBe('Put Squat between');
		expect(mended(text, 'front of the shoulder in a row').lines[0]).toContain(
			'Overhead press + Squat + Front raise'
		);
		expect(rules('circuit 3 rounds 30/30: push-up + squat + overhead press')).not.toContain(
			'front of the shoulder in a row'
		);
	});
});

describe('people', () => {
	const long = '8 x 10 goblet squat 3-1-2-2 @ 12 kg, rest 60\n';

	it('jumps after ten minutes of work, where there are beginners', () => {
		expect(one(`${long}1 x 10 jump squat`, 'jumps when tired')).toMatchObject({ severity: 'safety' });
		expect(mended(`${long}1 x 10 jump squat`, 'jumps when tired').label).toBe('Use pulse squat');
		expect(
			rules(`${long}1 x 10 jump squat`, { group: { people: 5, beginners: 0, limits: [] } })
		).not.toContain('jumps when tired');
		expect(rules('1 x 10 jump squat')).not.toContain('jumps when tired');
	});

	it('overhead right after grip work', () => {
		const text =
			'superset 3 rounds, rest 15 inside, 90 after: 40 m suitcase carry @ 16 kg + 10 overhead press @ 8 kg';
		expect(one(text, 'overhead after grip work').severity).toBe('safety');
		expect(mended(text, 'overhead after grip work').lines[0]).toMatch(/Overhead press.*Suitcase carry/);
	});

	it('too many ways to the floor: floor work together', () => {
		const text = 'circuit 3 rounds 30/15: squat + push-up + calf raise + plank';
		const unsteady: CheckOptions = { audience: { ...DEFAULT_AUDIENCE, conditions: ['sore hip'] } };
		expect(one(text, 'down to the floor and up', unsteady).title).toBe('Down to the floor and up 6 times');
		expect(mended(text, 'down to the floor and up', unsteady).rules).not.toContain(
			'down to the floor and up'
		);
	});
});

describe('exercises', () => {
	it('asks about a name that is not in the library', () => {
		expect(mended('3 x 10 goblet sqat', 'not in the library').label).toBe('Use Goblet squat');
	});
	it('names those without an easier form', () => {
		expect(one('3 x 10 donkey kick per side', 'no easier form').title).toBe('No easier form of Donkey kick');
	});
	it('loaded work faster than the house tempo', () => {
		expect(mended('3 x 10 curl 1-0-1 @ 8 kg', 'faster than the house tempo').label).toBe('Use 3-0-1-0');
	});
});

describe('laws', () => {
	it('every finding of every session has a figure, a source and a remedy that leaves a sound session', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				fc.pre(sessionFaults(session, PRACTICE).length === 0);
				for (const finding of checkSession(session, PRACTICE, { budgetMinutes: 20 })) {
					expect(finding.title && finding.figure && finding.source).toBeTruthy();
					if (finding.remedy && 'apply' in finding.remedy)
						expect(sessionFaults(finding.remedy.apply(), PRACTICE), finding.rule).toEqual([]);
				}
			}),
			{ numRuns: runs(60) }
		);
	});

	it('no remedy asks a block to last longer than one may', () => {
		const long = '100 reps 1¼ per side squat 9-9-9-9';
		expect(one(`for time 1 round, limit 1 min: ${long}`, 'limit too short').remedy).toBeNull();
		expect(one(`amrap 1 min: ${long}`, 'less than a round').remedy).toBeNull();
	});

	it('the lighter minute never leaves less than the house asks', () => {
		const { remedy } = one('emom 8 min: 12 squat 2-0-1 + 6 push-up 2-0-1', 'minute too full', {});
		if (!remedy || !('apply' in remedy)) throw new Error('no remedy');
		const [block] = remedy.apply().blocks;
		if (block?.format !== 'emom') throw new Error('EMOM expected');
		expect(minuteFill(block, PRACTICE)[0]?.left).toBeGreaterThanOrEqual(15);
	});
});
