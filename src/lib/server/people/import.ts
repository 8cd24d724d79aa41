import { number, object } from 'yup';
import { checkRoster, matchColumns, ROSTER_FIELDS, type ColumnMatch, type RosterLine } from '$core/people';
import { isZone } from '$core/calendar';
import type { OwnedChallenge } from '../challenge/challenge';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import { validate } from '../web/validate';
import { enrol, enrolledMails, type NewLink } from './enrolments';
import { readRosterText } from './roster-file';

export interface RosterPreview {
	headings: string[];
	match: ColumnMatch;
	lines: RosterLine[];
	good: number;
	bad: number;
	notes: string[];
}

const ZONES = Intl.supportedValuesOf('timeZone');

const column = () => number().integer().min(0).nullable().default(null);
const matchSchema = object(Object.fromEntries(ROSTER_FIELDS.map((field) => [field, column()])));

/** What a list would enrol; writes nothing. @throws Refusal 400, 413 when it cannot be read as a list at all */
export async function previewRoster(
	{ db }: Pick<Context, 'db'>,
	challenge: OwnedChallenge,
	text: string,
	chosen: unknown
): Promise<RosterPreview> {
	const { headings, lines, notes } = readRosterText(text);
	const match = chosen ? (validate(matchSchema, chosen) as ColumnMatch) : matchColumns(headings);
	const checked = checkRoster(lines, match, {
		zones: ZONES,
		isZone,
		enrolled: await enrolledMails(db, challenge.id)
	});
	const good = checked.filter((line) => line.row !== null).length;
	return { headings, match, lines: checked, good, bad: checked.length - good, notes };
}

/**
 * Enrols what a list holds. With lines that have faults nothing is written, unless the coach asked for the
 * good ones alone.
 * @throws Refusal 400, 409, 413
 */
export async function importRoster(
	context: Context,
	challenge: OwnedChallenge,
	text: string,
	chosen: unknown,
	goodOnly: boolean
): Promise<NewLink[]> {
	const preview = await previewRoster(context, challenge, text, chosen);
	if (preview.good === 0) throw new Refusal(400, 'No line of the list can be enrolled yet.');
	if (preview.bad > 0 && !goodOnly)
		throw new Refusal(
			400,
			`${preview.bad} of ${preview.lines.length} lines have faults. Mend them, or enrol the good ones alone.`
		);
	return enrol(
		context,
		challenge,
		preview.lines.flatMap((line) => line.row ?? [])
	);
}
