/** Health answers as they are given, and what follows from them. */
import { dateIn } from '$core/calendar';
import { limitsOn, screen, type HealthAnswers, type Screening } from '$core/health';
import type { Limitation } from '$core/kit';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../db/database';
import type { ParticipantId } from '../platform/ids';
import type { Job } from '../platform/jobs';
import { noteSuited } from '../people/suited';
import { projectHolds, type MadeBy } from './records';

/**
 * Takes somebody's answers: what must not be asked of them follows, and whether they may begin. In a transaction.
 * @param sendId under which they are kept
 * @param date today, where they are
 */
export async function takeAnswers(
	{ clock }: Pick<Context, 'clock'>,
	tx: Queries,
	{ id, sendId }: { id: ParticipantId; sendId: string },
	answers: HealthAnswers,
	madeBy: MadeBy,
	date: string
): Promise<Screening> {
	const now = clock.now();
	const screening = screen(answers, date);
	await tx.query(
		`insert into screening (id, participant_id, answers, reasons, made_by, at) values ($1, $2, $3, $4, $5, $6)`,
		[sendId, id, JSON.stringify(answers), screening.reasons.map(({ key }) => key), madeBy, instant(now)]
	);
	await tx.query(
		`insert into health (participant_id, answers) values ($1, $2)
		 on conflict (participant_id) do update set answers = excluded.answers`,
		[id, JSON.stringify(answers)]
	);
	await settle(tx, id, answers, date, now);
	return screening;
}

/** Works out what must not be asked of somebody, and when they are held. */
async function settle(
	tx: Queries,
	id: ParticipantId,
	answers: HealthAnswers | null,
	date: string,
	now: number
): Promise<void> {
	await tx.query(
		`update health set limits = array(select distinct l from unnest(added || $2::text[]) as l order by l)
		 where participant_id = $1`,
		[id, answers ? limitsOn(answers, date) : []]
	);
	await noteSuited(tx, [id], now);
	await projectHolds(tx, [id], now);
}

/** Sets the limits that a coach knows of beside the answers. In a transaction. */
export async function setAddedLimits(
	{ clock }: Pick<Context, 'clock'>,
	tx: Queries,
	id: ParticipantId,
	added: readonly Limitation[],
	date: string
): Promise<void> {
	const [row] = await tx.query<{ answers: HealthAnswers | null }>(
		`insert into health (participant_id, added) values ($1, $2)
		 on conflict (participant_id) do update set added = excluded.added returning answers`,
		[id, [...new Set(added)]]
	);
	await settle(tx, id, row?.answers ?? null, date, clock.now());
}

/** Somebody whose answers mean something else by the day: who is pregnant, or was a while ago. */
interface Moving {
	id: ParticipantId;
	zone: string;
	answers: HealthAnswers;
	limits: Limitation[];
	reasons: string[];
}

/**
 * Brings up to date what follows from answers that change by the week: a trimester begins, sixteen weeks after a birth are
 * over. A reason that is gone holds nobody any longer. @returns how many it changed
 */
export async function followWeeks({ db, clock, ids }: Context): Promise<number> {
	const rows = await db.query<Moving>(
		`select p.id, p.zone, h.answers, h.limits, coalesce((select s.reasons from screening s where s.participant_id = p.id
			order by s.at desc limit 1), '{}') as reasons
		 from health h join participant p on p.id = h.participant_id
		 where h.answers ->> 'pregnantWeek' is not null or h.answers ->> 'birthWeeks' is not null`
	);
	let changed = 0;
	for (const { id, zone, answers, limits, reasons } of rows) {
		const date = dateIn(zone, clock.now());
		const now = screen(answers, date).reasons.map(({ key }): string => key);
		const moved =
			now.some((key) => !reasons.includes(key)) ||
			reasons.some((key) => !now.includes(key)) ||
			limitsOn(answers, date).some((limit) => !limits.includes(limit));
		if (!moved) continue;
		await db.transaction((tx) =>
			takeAnswers({ clock }, tx, { id, sendId: ids.uuid() }, answers, 'rule', date)
		);
		changed++;
	}
	return changed;
}

export const weeksJob = (context: Context): Job<object> => ({
	name: 'weeks',
	what: 'Follows pregnancies and births by the week, for what to leave out',
	every: '*/15 * * * *',
	run: async () => {
		await followWeeks(context);
	}
});
