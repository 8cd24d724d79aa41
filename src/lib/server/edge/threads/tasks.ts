/**
 * Work that is done apart from the thread that answers requests: what takes long, or as long as somebody else likes.
 * Each takes and gives plain values, so that both can be handed to another thread.
 */
import { isZone } from '$core/calendar';
import { fitDays, type FitCase } from '$core/day';
import { libraryOf, type Exercise } from '$core/exercise';
import type { FitProfile } from '$core/fit';
import type { ColumnMatch } from '$core/people';
import { checkRoster, isHeadings, matchByContent, matchColumns } from '$core/people/roster';
import { practiceFrom, type PlainPractice } from '$core/practice';
import type { Session } from '$core/session';
import { shrink } from '../../people/body/shrink';
import { refuseWeak, type NewPassword } from '../../account/auth/strength';
import { readExercisesCsv } from '../../training/exercise/exercise-file';
import { readBundle } from '../exports/bundle/read-bundle';
import { pdfOf, type Paper } from '../exports/pdf/pdf';
import { bareClipAt, type ClipType } from '../../contact/messages/bare-clip';
import { correctedRoster, readRosterText, type RosterFix } from '../../people/roster-file';
import { readSessionFile } from '../../training/session/session-file';
import type { Nature } from '../../platform/threads';
import { decodeText, type Given } from '../../platform/text-file';

const textOf = ({ bytes, pasted }: Given): { text: string; notes: string[] } =>
	bytes ? decodeText(bytes) : { text: pasted, notes: [] };

let zones: string[] | null = null;

export const TASKS = {
	paper: (paper: Paper) => pdfOf(paper),

	/** Whether a password may be taken. @throws Refusal 400 for a weak one */
	password: (wish: NewPassword) => refuseWeak(wish),

	/** A list of people. @throws Refusal 400, 413 */
	roster: ({
		given,
		columns,
		fixes,
		enrolled
	}: {
		given: Given;
		columns: ColumnMatch | null;
		fixes: readonly RosterFix[];
		enrolled: Set<string>;
	}) => {
		const { text: whole, notes } = textOf(given);
		zones ??= Intl.supportedValuesOf('timeZone');
		const known = { zones, isZone };
		const asGiven = readRosterText(whole, (cells) => isHeadings(cells, known));
		const { file: read, text } = correctedRoster(asGiven, whole, fixes);
		const { headings } = read;
		const match =
			columns ??
			(headings.some(Boolean)
				? matchColumns(headings)
				: matchByContent(
						read.lines.map(({ cells }) => cells),
						known
					));
		const lines = checkRoster(read.lines, match, { ...known, headings, enrolled });
		return { text, headings: read.headings, match, lines, notes: [...notes, ...read.notes] };
	},

	/** Exercises of a coach's own. @throws Refusal 400, 413 */
	exercises: ({ given, own }: { given: Given; own: readonly Exercise[] }) => {
		const { text } = textOf(given);
		return { text, ...readExercisesCsv(text, libraryOf(own)) };
	},

	/** A session as a file or as text. @throws Refusal 400, 413 */
	session: (of: { given: Given; practice: PlainPractice; renamed: Readonly<Record<string, string>> }) => {
		const { text } = textOf(of.given);
		return { text, ...readSessionFile(text, practiceFrom(of.practice), of.renamed) };
	},

	/** What many people get of many sessions. */
	fit: (of: {
		sessions: readonly (readonly [string, Session])[];
		profile: readonly FitProfile[];
		cases: readonly FitCase[];
		practice: PlainPractice;
	}) => fitDays(new Map(of.sessions), of.profile, of.cases, practiceFrom(of.practice)),

	/** A photograph as it is kept, from the one at a path. @throws Refusal 400, 413 */
	picture: (path: string) => shrink(path),

	/** Makes a clip what is kept of it. @throws Refusal 400 */
	clip: ({ path, type }: { path: string; type: ClipType }) => bareClipAt(path, type),

	/** A challenge as a file. @throws Refusal 400, 413 */
	bundle: ({ given, practice }: { given: Given; practice: PlainPractice }) => {
		const { text } = textOf(given);
		return { text, ...readBundle(text, practiceFrom(practice)) };
	}
};

declare module '../../platform/threads' {
	// oxlint-disable-next-line typescript/no-empty-object-type -- merges the tasks into the list of the layer below
	interface Tasks extends Offered {}
}
type Offered = typeof TASKS;

const FILE = 'This takes more time or memory than is given to one file. Send it in smaller parts.';
const PICTURE = 'This takes more time or memory than is given to one picture or clip. Send a smaller one.';

/** What each is like. */
export const NATURES: Readonly<Record<keyof Offered, Nature>> = {
	paper: { alone: false, tooMuch: 'This paper takes more time or memory than is given to one.' },
	password: { alone: false, tooMuch: 'This password takes too long to judge. Choose a shorter one.' },
	roster: { alone: false, tooMuch: FILE },
	exercises: { alone: false, tooMuch: FILE },
	session: { alone: false, tooMuch: FILE },
	fit: {
		alone: false,
		tooMuch: 'These days of these people take more time or memory than is given to them.'
	},
	picture: { alone: true, tooMuch: PICTURE },
	clip: { alone: true, tooMuch: PICTURE },
	bundle: { alone: false, tooMuch: FILE }
};
