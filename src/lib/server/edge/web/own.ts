/** The guards of a coach's routes: what the address names, when it is hers, or she was invited to it. */
import { challengeOf, type OwnedChallenge } from '../../records/challenge';
import { enrolmentOf, type OwnPerson } from '../../records/enrolments';
import type { CoachId } from '../../platform/ids';
import { orError } from './http';
import { once } from '../../platform/once';
import { coachIn } from './viewer';

export interface ChallengeEvent {
	locals: App.Locals;
	params: { challenge: string };
}

/** The challenge of the address; read once a request. Answers 404 for one that the coach has no part in. */
export const ownChallenge = ({ locals, params }: ChallengeEvent): Promise<OwnedChallenge> =>
	once(locals, `challenge ${params.challenge}`, () =>
		orError(challengeOf(locals.app.db, coachIn(locals).id, params.challenge, 'viewer'))
	);

/** Whose library, sessions and house rules hold on these pages: the owner’s of the challenge, whoever asks. */
export const practiceOwner = async (event: ChallengeEvent): Promise<CoachId> =>
	(await ownChallenge(event)).coachId;

/** Somebody of that challenge, by the id in the address or in a form: whom the work of the request is about. */
export async function ownPerson(event: ChallengeEvent, id: string): Promise<OwnPerson> {
	const challenge = await ownChallenge(event);
	const person = await orError(enrolmentOf(event.locals.app.db, challenge, id));
	event.locals.about = person.id;
	return person;
}
