import { setImmediate as breath } from 'node:timers/promises';
import { array, number, object, string } from 'yup';
import { kitText } from '$core/kit';
import { ROSTER_FIELDS, type ColumnMatch, type RosterRow } from '$core/people';
import type { OwnedChallenge } from '../records/challenge';
import type { Queries } from '../platform/db/database';
import type { Context } from '../platform/context';
import type { CoachId } from '../platform/ids';
import { Refusal } from '../platform/errors';
import type { RosterRead } from './roster-file';
import type { Given } from '../platform/text-file';
import type { Threads } from '../platform/threads';
import { validate } from '../platform/validate';
import { enrol, type NewLink } from './enrol';
import { enrolledMails } from '../records/enrolments';
import { ROSTER_LIMITS } from './roster-file';

/** Something that a list says otherwise than the record of somebody known from another challenge; in words. */
export interface Difference {
	what: 'name' | 'time zone' | 'level' | 'equipment';
	known: string;
	listed: string;
}

export interface RosterPreview extends RosterRead {
	good: number;
	bad: number;
	/** Those whom the coach knows otherwise than the list has them. */
	known: { email: string; name: string; differences: Difference[] }[];
}

const column = () => number().integer().min(0).nullable().default(null);
const matchSchema = object(Object.fromEntries(ROSTER_FIELDS.map((field) => [field, column()])));

const fixesSchema = object({
	fixes: array(
		object({
			line: number().integer().min(1).required(),
			column: number().integer().min(0).max(ROSTER_LIMITS.columns).required(),
			value: string().max(2000, 'a cell has at most 2,000 letters').default('')
		}).noUnknown()
	)
		.max(ROSTER_LIMITS.lines, `at most ${ROSTER_LIMITS.lines} corrections at a time`)
		.required()
});

/** What reading a list takes beside it: threads, and how to tell them that nobody waits any more. */
type Reading = Pick<Context, 'db'> & { threads: Threads; gone?: AbortSignal };

/** What a list would enrol; writes nothing. @throws Refusal 400, 413 when it cannot be read as a list at all */
export async function previewRoster(
	{ db, threads, gone }: Reading,
	challenge: OwnedChallenge,
	given: Given,
	chosen: unknown,
	corrections: unknown = []
): Promise<RosterPreview> {
	const columns = chosen ? (validate(matchSchema, chosen) as ColumnMatch) : null;
	const { fixes } = validate(fixesSchema, { fixes: corrections });
	const enrolled = await enrolledMails(db, challenge.id);
	const read = await threads.run('roster', { given, columns, fixes, enrolled }, challenge.coachId, gone);
	// Two thousand people are a while at each step: others are answered in between.
	await breath();
	const rows = read.lines.flatMap(({ row }) => row ?? []);
	const known = await knownOf(db, challenge.coachId, rows);
	const differs = rows.flatMap((row) => {
		const before = known.get(row.email);
		const differences = before ? differencesOf(before, completed(row, before, read.match)) : [];
		return before && differences.length > 0 ? [{ email: row.email, name: before.name, differences }] : [];
	});
	return { ...read, good: rows.length, bad: read.lines.length - rows.length, known: differs };
}

/** A line of a list for somebody who is known: of what the list does not say, what is known stays. */
function completed(row: RosterRow, known: RosterRow, match: ColumnMatch): RosterRow {
	const saysKit = row.kit.length + row.unread.length > 0;
	return {
		...row,
		level: match.level === null ? known.level : row.level,
		...(!saysKit && { kit: known.kit, unread: known.unread })
	};
}

const equipmentText = ({ kit, unread }: RosterRow): string =>
	[kitText(kit), ...unread].filter(Boolean).join('; ') || 'nothing';

function differencesOf(known: RosterRow, listed: RosterRow): Difference[] {
	const all: Difference[] = [
		{ what: 'name', known: known.name, listed: listed.name },
		{ what: 'time zone', known: known.zone, listed: listed.zone },
		{ what: 'level', known: known.level, listed: listed.level },
		{ what: 'equipment', known: equipmentText(known), listed: equipmentText(listed) }
	];
	return all.filter((one) => one.known !== one.listed);
}

/** What a coach knows of people by their address already. */
export async function knownOf(
	db: Queries,
	coachId: CoachId,
	rows: readonly Pick<RosterRow, 'email'>[]
): Promise<ReadonlyMap<string, RosterRow>> {
	const found = await db.query<RosterRow>(
		`select name, email, zone, level, kit, kit_unread as unread from participant
		 where coach_id = $1 and email = any($2)`,
		[coachId, rows.flatMap(({ email }) => email || [])]
	);
	return new Map(found.map((row) => [row.email, row]));
}

/**
 * Enrols what a list holds. With lines that have faults nothing is written, unless the coach asked for the
 * good ones alone. Somebody known already stays as they are known, unless she asked for what the list says.
 * @param how.by who does
 * @throws Refusal 400, 409, 413
 */
export async function importRoster(
	context: Context & Reading,
	challenge: OwnedChallenge,
	given: Given,
	chosen: unknown,
	how: { goodOnly: boolean; updateKnown: boolean; by: CoachId }
): Promise<NewLink[]> {
	const preview = await previewRoster(context, challenge, given, chosen);
	if (preview.good === 0) throw new Refusal(400, 'No line of the list can be enrolled yet.');
	if (preview.bad > 0 && !how.goodOnly)
		throw new Refusal(
			400,
			`${preview.bad} of ${preview.lines.length} lines have problems. Fix them, or enrol the others alone.`
		);
	await breath();
	const rows = preview.lines.flatMap((line) => line.row ?? []);
	const known = await knownOf(context.db, challenge.coachId, rows);
	await breath();
	const wanted = rows.map((row) => {
		const before = known.get(row.email);
		if (!before) return row;
		const { note, isHealth } = row;
		return {
			...(how.updateKnown ? completed(row, before, preview.match) : before),
			...(note && { note, isHealth })
		};
	});
	return enrol(context, challenge, wanted, how.by);
}
