/** Health answers as they are given, and what follows from them. */
import { dateIn } from '$core/calendar';
import { limitsOn, painLimits, screen, type HealthAnswers, type Screening } from '$core/health';
import type { Limitation } from '$core/kit';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import type { ParticipantId } from '../../platform/ids';
import type { Job } from '../../platform/jobs';
import { noteSuited } from '../../changes/suited';
import { projectHolds } from '../../changes/holds';
import { type MadeBy } from '../../records/standing-row';

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
	const spared = painLimits(await sparedAreas(tx, id));
	await tx.query(
		`update health set limits = array(select distinct l from unnest(added || $2::text[]) as l order by l)
		 where participant_id = $1`,
		[id, [...(answers ? limitsOn(answers, date) : []), ...spared]]
	);
	await noteSuited(tx, [id], now);
	await projectHolds(tx, [id], now);
}

/** Places that are spared for a person: those of pain that nobody has decided about, and those that a coach keeps spared. */
async function sparedAreas(tx: Queries, id: ParticipantId): Promise<string[]> {
	const rows = await tx.query<{ area: string }>(
		`select distinct unnest(i.areas) as area from incident i join enrolment e on e.id = i.enrolment_id
		 where e.participant_id = $1 and i.kind = 'pain' and i.over_at is null
			and (i.decided_at is null or i.decision in ('spare', 'hold'))`,
		[id]
	);
	return rows.map(({ area }) => area);
}

/** Works out the limits and holds of a person anew after pain was reported, decided about or is over. In a transaction. */
export async function settlePain(tx: Queries, id: ParticipantId, now: number): Promise<void> {
	const [row] = await tx.query<{ answers: HealthAnswers | null; zone: string }>(
		`with known as (insert into health (participant_id) values ($1) on conflict do nothing)
		 select (select answers from health where participant_id = $1) as answers, zone from participant where id = $1`,
		[id]
	);
	if (row) await settle(tx, id, row.answers, dateIn(row.zone, now), now);
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
	added: Limitation[];
	areas: string[];
	reasons: string[];
}

/**
 * Brings up to date what follows from answers that change by the week: a trimester begins, sixteen weeks after a birth are
 * over. A reason that is gone holds nobody any longer. @returns how many it changed
 */
export async function followWeeks({ db, clock, ids }: Context): Promise<number> {
	const rows = await db.query<Moving>(
		`select p.id, p.zone, h.answers, h.limits, h.added,
			array(select unnest(i.areas) from incident i join enrolment e on e.id = i.enrolment_id where e.participant_id = p.id
				and i.kind = 'pain' and i.over_at is null and (i.decided_at is null or i.decision in ('spare', 'hold'))) as areas, coalesce((select s.reasons from screening s where s.participant_id = p.id
			order by s.at desc limit 1), '{}') as reasons
		 from health h join participant p on p.id = h.participant_id
		 where h.answers ->> 'pregnantWeek' is not null or h.answers ->> 'birthWeeks' is not null`
	);
	let changed = 0;
	for (const { id, zone, answers, limits, added, areas, reasons } of rows) {
		const date = dateIn(zone, clock.now());
		const now = screen(answers, date).reasons.map(({ key }): string => key);
		const moved =
			now.some((key) => !reasons.includes(key)) ||
			reasons.some((key) => !now.includes(key)) ||
			!isSame(limits, [...added, ...limitsOn(answers, date), ...painLimits(areas)]);
		if (!moved) continue;
		await db.transaction((tx) =>
			takeAnswers({ clock }, tx, { id, sendId: ids.uuid() }, answers, 'rule', date)
		);
		changed++;
	}
	return changed;
}

const isSame = (a: readonly Limitation[], b: readonly Limitation[]): boolean => {
	const [one, other] = [new Set(a), new Set(b)];
	return one.size === other.size && [...one].every((limit) => other.has(limit));
};

export const weeksJob = (context: Context): Job<object> => ({
	name: 'weeks',
	what: 'Follows pregnancies and births by the week, for what to leave out',
	every: '*/15 * * * *',
	run: async () => {
		await followWeeks(context);
	}
});
