/** Who looked at whose health answers. */
import { screen, type HealthAnswers, type Screening } from '$core/health';
import { dateIn } from '$core/calendar';
import type { OwnPerson } from '../../records/enrolments';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { notFound } from '../../platform/errors';
import type { ParticipantId } from '../../platform/ids';
import { clearancesOf } from './clearances';
import { answersOf } from '../../records/health';

/** Somebody's health answers for their coach, which the person sees that she looked at. @throws Refusal 404 without any */
export async function lookAtAnswers(
	{ db, clock, ids }: Context,
	person: OwnPerson,
	who: string
): Promise<{ answers: HealthAnswers; screening: Screening }> {
	const answers = await answersOf(db, person.participantId);
	if (!answers) throw notFound('answer');
	await db.query('insert into health_look (id, participant_id, who, at) values ($1, $2, $3, $4)', [
		ids.uuid(),
		person.participantId,
		who,
		instant(clock.now())
	]);
	return { answers, screening: screen(answers, dateIn(person.zone, clock.now())) };
}

/** What a coach has to mind with somebody, without what they answered. */
export async function mindOf({ db }: Pick<Context, 'db'>, person: OwnPerson, now: number) {
	const answers = await answersOf(db, person.participantId);
	return {
		cautions: answers ? screen(answers, dateIn(person.zone, now)).cautions : [],
		asked: person.askedAt !== null && person.answeredAt !== null && person.askedAt > person.answeredAt,
		clearances: await clearancesOf(db, person.participantId)
	};
}

/** Who looked, the newest first; a hundred at most. */
export const looksAt = (db: Queries, id: ParticipantId): Promise<{ id: string; who: string; at: number }[]> =>
	db.query('select id, who, at from health_look where participant_id = $1 order by at desc, id limit 100', [
		id
	]);
