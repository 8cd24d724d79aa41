/** Clearances by somebody qualified, as a coach records them. */
import { clearanceSchema } from '$contracts/intake';
import { addDays, dateIn, instantOf, isDate } from '$core/calendar';
import type { ScreenReason } from '$core/health';
import { screen } from '$core/health';
import type { OwnPerson } from '../../records/enrolments';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ParticipantId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { answersOf } from '../../records/health';
import { noteChange, projectHolds } from '../../changes/holds';

export interface RecordedClearance {
	id: string;
	who: string;
	note: string | null;
	/** The paper on which it was given. */
	document: { id: string; name: string } | null;
	/** Keys of the reasons that it is about. */
	covers: ScreenReason['key'][];
	from: number;
	until: number | null;
	takenBack: number | null;
}

/** Clearances of somebody, the newest first. */
export const clearancesOf = (db: Queries, id: ParticipantId): Promise<RecordedClearance[]> =>
	db.query(
		`select c.id, c.who, c.note, c.covers, c.from_at as "from", c.until_at as until, c.taken_back_at as "takenBack",
			case when d.id is not null then jsonb_build_object('id', d.id, 'name', d.name) end as document
		 from clearance c left join document d on d.id = c.document_id
		 where c.participant_id = $1 order by c.from_at desc, c.id`,
		[id]
	);

/**
 * Records that somebody qualified has said yes to what the newest answers asked about; sessions are released from now on.
 * @throws Refusal 400; 409 where nothing is asked
 */
export async function recordClearance(context: Context, person: OwnPerson, raw: unknown): Promise<void> {
	const { who, note, until, document } = validate(clearanceSchema, raw);
	const now = context.clock.now();
	const today = dateIn(person.zone, now);
	if (until && !isDate(until))
		throw new Refusal(400, `“${until}” is no day of the calendar.`, [
			{ field: 'until', message: 'a day of the calendar, or empty' }
		]);
	if (until && until < today)
		throw new Refusal(400, 'That clearance is over already; ask for a new one.', [
			{ field: 'until', message: 'a day from today on' }
		]);
	await context.db.transaction(async (tx) => {
		if (document) {
			const there = await tx.query('select 1 from document where participant_id = $1 and id = $2', [
				person.participantId,
				idOf(document, 'document')
			]);
			if (there.length === 0) throw notFound('document');
		}
		const answers = await answersOf(tx, person.participantId);
		const covers = answers ? screen(answers, today).reasons.map(({ key }) => key) : [];
		if (covers.length === 0)
			throw new Refusal(409, `${person.name}’s answers ask for no clearance. Nothing was recorded.`);
		await tx.query(
			'insert into clearance (id, participant_id, who, note, covers, from_at, until_at, document_id) values ($1, $2, $3, $4, $5, $6, $7, $8)',
			[
				context.ids.uuid(),
				person.participantId,
				who,
				note,
				covers,
				instant(now),
				until ? instant(instantOf(addDays(until, 1), 0, person.zone)) : null,
				document || null
			]
		);
		await noteChange(tx, person.participantId, 'coach', `Clearance recorded, by ${who}`, now);
		await projectHolds(tx, [person.participantId], now);
	});
}

/** Takes a clearance back; sessions are held again from now on. @throws Refusal 404 */
export async function takeBackClearance(
	{ db, clock }: Context,
	person: OwnPerson,
	id: string
): Promise<void> {
	await db.transaction(async (tx) => {
		const gone = await tx.query(
			`update clearance set taken_back_at = $3 where participant_id = $1 and id = $2 and taken_back_at is null
			 returning id`,
			[person.participantId, idOf(id, 'clearance'), instant(clock.now())]
		);
		if (gone.length === 0) throw notFound('clearance');
		await noteChange(tx, person.participantId, 'coach', 'Clearance taken back', clock.now());
		await projectHolds(tx, [person.participantId], clock.now());
	});
}
