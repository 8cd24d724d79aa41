/** The guards of a coach's routes: what the address names, when it is hers. */
import { challengeOf, type OwnedChallenge } from '../challenge/challenge';
import { enrolmentOf, type OwnPerson } from '../people/enrolments';
import { orError } from './http';
import { once } from './once';
import { coachIn } from './viewer';

interface ChallengeEvent {
	locals: App.Locals;
	params: { challenge: string };
}

/** The challenge of the address; read once a request. Answers 404 for another coach's. */
export const ownChallenge = ({ locals, params }: ChallengeEvent): Promise<OwnedChallenge> =>
	once(locals, `challenge ${params.challenge}`, () =>
		orError(challengeOf(locals.app.db, coachIn(locals).id, params.challenge))
	);

/** Somebody of that challenge, by the id in the address or in a form. */
export async function ownPerson(event: ChallengeEvent, id: string): Promise<OwnPerson> {
	const challenge = await ownChallenge(event);
	return orError(enrolmentOf(event.locals.app.db, challenge, id));
}
