/** Who works on the demo's challenge beside its coach, what each of them did, and its teams and buddies. */
import { divideInto, pairBuddies } from '$core/people';
import { createCoach } from '$lib/server/account/auth/coach';
import { type Coach } from '$lib/server/records/coach';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { invite, takeUp } from '$lib/server/training/challenge/coaches';
import { recordDeed } from '$lib/server/training/challenge/deeds';
import { fixedClock } from '$lib/server/platform/clock';
import type { Context } from '$lib/server/platform/context';
import type { CoachId, EnrolmentId } from '$lib/server/platform/ids';
import { loadRoll } from '$lib/server/done/attendance/roll';
import { matesOf } from '$lib/server/done/attendance/mates';
import { saveTeams } from '$lib/server/people/teams';
import { planOf } from '$lib/server/records/plan-days';

/** A coach who helps, and somebody of the association who looks on. Both sign in with the coach's password. */
export const DEMO_HELPERS = [
	{ name: 'Ravdna Okello', email: 'ravdna@hutseason.example', zone: 'Europe/Helsinki', role: 'coach' },
	{ name: 'Teodor Quintanar', email: 'teodor@hutseason.example', zone: 'Europe/Oslo', role: 'viewer' }
] as const;

/** Makes their accounts. Hashing a password takes a while: begun early, it is done beside everything else. */
export const makeHelpers = (context: Context, password: string): Promise<Coach[]> =>
	Promise.all(
		DEMO_HELPERS.map(({ name, email, zone }) => createCoach(context, { name, email, zone, password }, false))
	);

export async function inviteHelpers(
	context: Context,
	challenge: OwnedChallenge,
	owner: CoachId,
	helpers: readonly Coach[]
): Promise<void> {
	for (const [i, { name, role }] of DEMO_HELPERS.entries()) {
		const helper = helpers[i];
		if (helper)
			await takeUp(context, helper.id, await invite(context, challenge, owner, { forWhom: name, role }));
	}
}

/** Puts on record what a coach did at an instant, as the application does when it is done in a browser. */
export const noteDeed = (
	context: Context,
	{ id }: OwnedChallenge,
	coachId: CoachId,
	deed: { work: string; at: number; enrolmentId?: EnrolmentId }
): Promise<void> =>
	recordDeed(
		{ ...context, clock: fixedClock(deed.at) },
		{ work: deed.work, challengeId: id, coachId, enrolmentId: deed.enrolmentId ?? null, session: null }
	);

const NAMES = ['Lower hut', 'Ridge hut', 'Lake hut', 'Pass hut'];

/** Four teams, balanced, and buddies for everybody: two want to be together, two had better not. */
export async function writeTeams(context: Context, challenge: OwnedChallenge, at: number): Promise<void> {
	const plan = await planOf(context.db, challenge);
	const { rows } = await loadRoll(context.db, challenge, plan, at);
	const idOf = (name: string): string => rows.find(({ person }) => person.name === name)?.person.id ?? '';
	const wishes = [
		{ kind: 'together' as const, pair: [idOf('Tamsin Reeve-Adu'), idOf('Noor Bastani')] as const },
		{ kind: 'apart' as const, pair: [idOf('Oren Falkestad'), idOf('Ikenna Obiora')] as const }
	];
	const mates = matesOf(challenge, rows, at);
	const { teams } = divideInto(mates, 'balanced', { teams: NAMES.length, seed: '1', wishes });
	await saveTeams(context, challenge, {
		revision: 0,
		teams: teams.map((people, i) => ({ name: NAMES[i], people })),
		buddies: pairBuddies(mates, { seed: '1', wishes }).teams,
		wishes
	});
}
