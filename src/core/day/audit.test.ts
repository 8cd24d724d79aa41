import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { PEOPLE } from '../../../tests/support/judged/people';
import { SEEN } from '../../../tests/support/judged/sessions';
import { sessionOf } from '../../../tests/support/sessions';
import type { FitProfile } from '../fit';
import { readKit } from '../kit';
import { newSets, sessionSeconds, type Session } from '../session';
import { auditSession } from './audit';
import { personalSession, type PersonalSession } from './personal';

const NOBODY: FitProfile = { level: 'some experience', planFor: 'some experience', kit: null, limits: [] };
const NONE = new Set<string>();
const lengthsOf = (planned: Session, own: Session) => ({
	own: sessionSeconds(own, PRACTICE),
	planned: sessionSeconds(planned, PRACTICE)
});
/** What an audit sees where somebody got a session that nobody fitted to them. */
const audit = (planned: Session, got: Session, profile: Partial<FitProfile> = {}, decided = NONE) => {
	const own: PersonalSession = {
		...personalSession(got, 1, { profile: null, overrides: [] }, PRACTICE)!,
		session: got
	};
	return auditSession(planned, own, { ...NOBODY, ...profile }, lengthsOf(planned, got), decided, PRACTICE);
};
const rules = (...of: Parameters<typeof audit>) => audit(...of).map(({ rule }) => rule);

describe('an audit', () => {
	it('finds nothing in what was fitted, whoever it is for', () => {
		const people = PEOPLE.filter((_, i) => i % (process.env.FEW_RUNS ? 29 : 3) === 0);
		const wrong = Object.entries(SEEN).flatMap(([name, lines]) => {
			const planned = sessionOf(...lines);
			return people.flatMap(({ profile, kit, condition }) => {
				const own = personalSession(planned, 1, { profile, overrides: [] }, PRACTICE);
				const lengths = lengthsOf(planned, own?.session ?? planned);
				return auditSession(planned, own, profile, lengths, NONE, PRACTICE).map(
					({ says }) => `${name}, ${kit}, ${condition}: ${says}`
				);
			});
		});
		expect(wrong.slice(0, 5)).toEqual([]);
	});

	it('sees what breaks a limit, and says where a coach decided it', () => {
		const session = sessionOf('3 x 10 push-up');
		const [finding] = audit(session, session, { limits: ['no weight on the wrists'] });
		expect(finding).toEqual({
			rule: 'breaks a limit',
			exercise: 'Push-up',
			says: 'Push-up goes against no weight on the wrists.',
			isDecided: false
		});
		expect(audit(session, session, { limits: ['no floor'] }, new Set(['Push-up']))[0]?.isDecided).toBe(true);
	});

	it('sees what is not at hand', () => {
		const session = sessionOf('3 x 10 curl @ 8 kg');
		expect(rules(session, session, { kit: readKit('mat').kit })).toEqual(['not at hand']);
	});

	it('sees a load above the planned one, unless there are fewer repetitions', () => {
		const planned = sessionOf('3 x 10 curl @ 8 kg');
		expect(rules(planned, sessionOf('3 x 10 curl @ 9 kg'))).toEqual(['too heavy']);
		expect(rules(planned, sessionOf('3 x 7 curl @ 9 kg'))).toEqual([]);
		expect(rules(planned, sessionOf('3 x 10 curl @ 8 kg'))).toEqual([]);
		expect(rules(sessionOf('3 x 10 lateral raise'), sessionOf('3 x 10 lateral raise @ 20 kg'))).toEqual([
			'too heavy'
		]);
	});

	it('sees what comes twice, what needs more space and what takes longer', () => {
		const planned = sessionOf('circuit 2 rounds 30/10: squat + fast feet');
		expect(rules(planned, sessionOf('circuit 2 rounds 30/10: squat + squat'))).toContain('twice in a block');
		expect(rules(planned, sessionOf('circuit 2 rounds 30/10: squat + brisk walk'))).toContain('out of place');
		const [part] = sessionOf('3 x 10 squat').blocks[0]!.parts;
		const long = { blocks: [newSets(part!, 9, 'main')] };
		expect(rules(sessionOf('3 x 10 squat'), long)).toEqual(['longer']);
	});

	it('has nothing to say where nothing is left', () => {
		expect(
			auditSession(sessionOf('3 x 10 squat'), null, NOBODY, { own: 0, planned: 300 }, NONE, PRACTICE)
		).toEqual([]);
	});
});
