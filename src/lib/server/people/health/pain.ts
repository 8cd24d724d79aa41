/** Pain that people report: on record, the place spared and what it was in off, until a coach decides. */
import { DAY_MS } from '$core/calendar';
import type { CheckinInput } from '$contracts/check-in';
import type { OwnPain } from '$contracts/incident';
import { STANDARD, type Library } from '$core/exercise';
import { painLimits, readPain } from '$core/health';
import { withinLimits } from '$core/kit';
import type { Session } from '$core/session';
import type { Person } from '../../records/person';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { revokeOverrides } from '../../changes/overrides';
import { settlePain } from './answers';

/** Pain as somebody told of it. */
interface Told {
	/** Of the challenge; null: beside it. */
	day: number | null;
	hurts: string | null;
	run?: CheckinInput['run'];
	pain?: CheckinInput['well']['pain'];
}

/** What hurts, as it is planned: the exercises in which it was told of, each once. */
function hurtIn({ run, pain }: Told, planned: Session): string[] {
	const places = [...(run?.hurts ?? []), ...(pain?.at ? [pain.at] : [])];
	const names = places.flatMap(({ block, part }) => planned.blocks[block]?.parts[part]?.exercise ?? []);
	return [...new Set(names)];
}

/** Exercises that are taken out for one report, at most. */
const MOST_OFF = 10;

/**
 * Puts pain that somebody reports on record. From the next session on the place is spared, by the thresholds of its joint, and
 * what it was in is off, until a coach decides. A report that is open for the day is told anew and not doubled; one that is
 * sent again without any pain is withdrawn. In the transaction in which it is told.
 * @param planned the session as it is planned; null: it was in none
 * @param library of the coach; by default the one that ships
 * @param corrects whether it is sent in place of an earlier report of the day
 */
export async function notePain(
	tx: Queries,
	{ ids }: Pick<Context, 'ids'>,
	{ enrolmentId, participantId }: Pick<Person, 'enrolmentId' | 'participantId'>,
	{
		told,
		planned,
		library = STANDARD,
		corrects = false,
		now
	}: { told: Told; planned: Session | null; library?: Library; corrects?: boolean; now: number }
): Promise<void> {
	const { day, hurts, run, pain } = told;
	const said = (hurts ?? run?.hurts.map(({ area, exercise }) => `${area}, in ${exercise}`).join('; '))?.slice(
		0,
		2000
	);
	if (!said) return corrects ? withdrawPain(tx, { enrolmentId, participantId }, day, now) : undefined;
	const read = readPain(said);
	const places = [pain?.area, ...(run?.hurts ?? []).map(({ area }) => area)].filter(
		(area) => area !== 'elsewhere'
	);
	const areas = [...new Set([...places.flatMap((area) => area ?? []), ...read.areas])];
	const intensity = pain?.intensity ?? read.intensity;
	const exercises = planned === null ? [] : hurtIn(told, planned).slice(0, MOST_OFF);
	const [last] = await tx.query<{ id: string; said: string; exercises: string[]; decided: boolean }>(
		`select id, said, exercises, decided_at is not null as decided from incident
		 where enrolment_id = $1 and day = $2 and kind = 'pain' order by decided_at is not null, at desc, id limit 1`,
		[enrolmentId, day]
	);
	// Sent again with something else corrected, it is no news to whoever has decided about it.
	if (last?.decided && last.said === said) return;
	const open = last?.decided === false ? last : null;
	const added = exercises.filter((name) => !open?.exercises.includes(name));
	// What the limits of the joint replace anyway needs nothing more; anything else that hurt is left out.
	const spared = painLimits(areas);
	const off = added
		.filter((name) => {
			const exercise = library.find(name);
			return exercise === null || withinLimits(exercise, spared);
		})
		.map((name) => ({ id: ids.uuid(), name }));
	const incidentId = open?.id ?? ids.uuid();
	const values = [said, pain?.area ?? null, pain?.kind ?? (read.isSharp ? 'sharp' : null), areas, intensity];
	if (open)
		await tx.query(
			`update incident set said = $2, area = coalesce($3, area), feels = coalesce($4, feels), areas = $5, intensity = $6,
				exercises = exercises || $7::text[] where id = $1`,
			[incidentId, ...values, added]
		);
	else
		await tx.query(
			`insert into incident (id, enrolment_id, kind, day, said, area, feels, areas, intensity, exercises, at)
			 values ($1, $2, 'pain', $3, $4, $5, $6, $7, $8, $9, $10)`,
			[incidentId, enrolmentId, day, ...values, exercises, instant(now)]
		);
	// One override for each report: withdrawing one leaves the others in force.
	await tx.query(
		`insert into override (id, enrolment_id, target, change, from_day, to_day, why, origin, origin_id, made_at)
		 select r.id, $2, jsonb_build_object('kind', 'exercise', 'exercise', r.name), '{"kind": "leave out"}', $3, null, $4, 'incident', $5, $6
		 from jsonb_to_recordset($1) as r(id uuid, name text)`,
		// From the next day on: the result of this one can still be corrected.
		[
			JSON.stringify(off),
			enrolmentId,
			(day ?? 0) + 1,
			'it hurt; off until your coach has decided',
			incidentId,
			instant(now)
		]
	);
	// A moment later: what was done of this day stays what it was.
	await settlePain(tx, participantId, now + 1);
}

/** Takes back what was reported for a day and nobody has decided about. */
async function withdrawPain(
	tx: Queries,
	{ enrolmentId, participantId }: Pick<Person, 'enrolmentId' | 'participantId'>,
	day: number | null,
	now: number
): Promise<void> {
	if (day === null) return;
	const withdrawn = await tx.query<{ id: string }>(
		`update incident set decided_at = $3, decision = 'withdrawn', over_at = $3
		 where enrolment_id = $1 and day = $2 and kind = 'pain' and decided_at is null returning id`,
		[enrolmentId, day, instant(now)]
	);
	if (withdrawn.length === 0) return;
	for (const { id } of withdrawn) await revokeOverrides(tx, enrolmentId, { kind: 'incident', id }, now);
	await settlePain(tx, participantId, now);
}

/** Days for which a decision is news on the page of the person. */
const NEWS_DAYS = 14;

/** Pain as the person’s own page shows it: as long as it waits, is spared or held, and a fortnight after; null otherwise. */
export function recentPain(pain: OwnPain | null, now: number): OwnPain | null {
	if (!pain || pain.decision === 'withdrawn') return null;
	const goesOn = (pain.decision === 'spare' || pain.decision === 'hold') && pain.overAt === null;
	const newest = Math.max(pain.at, pain.decidedAt ?? 0, pain.overAt ?? 0);
	return pain.decidedAt === null || goesOn || now - newest < NEWS_DAYS * DAY_MS ? pain : null;
}
