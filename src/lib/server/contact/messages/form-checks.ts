/** Photographs and clips of an exercise, for the coach to look at: kept as files beside the database. */
import { formAnswerSchema, formCheckSchema } from '$contracts/body';
import type { Person } from '../../records/person';
import { instant, type Queries } from '../../platform/db/database';
import { refuseFull } from '../../platform/space';
import type { OwnPerson } from '../../records/enrolments';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId, ParticipantId } from '../../platform/ids';
import { keepFile, readFileOf, removeFilesOf, type FileKind, type Store } from '../../platform/row-files';
import { beginningOf, type SentFile } from '../../platform/sent-file';
import { noteReach } from '../reach/reaches';
import { withTransaction } from '../../platform/context';
import type { OwnedChallenge } from '../../records/challenge';
import type { ClipType } from './bare-clip';
import type { Threads } from '../../platform/threads';
import { validate } from '../../platform/validate';

/** Bytes of one as it is sent, at most. */
export const FORM_BYTES = 30 * 1024 * 1024;
/** Of one person in one challenge: open at once, and altogether. */
const MOST_OPEN = 5;
const MOST = 20;

export type FormType = 'image/jpeg' | ClipType;
const ENDINGS: Readonly<Record<FormType, string>> = {
	'image/jpeg': 'jpg',
	'video/mp4': 'mp4',
	'video/webm': 'webm',
	'video/quicktime': 'mov'
};

export interface FormCheck {
	id: string;
	exercise: string;
	type: FormType;
	note: string | null;
	at: number;
	answeredAt: number | null;
	/** Who answered; null: nobody yet, or somebody whose account is gone. */
	by: string | null;
	cue: string | null;
	/** A place, in shares of width and height, and in a clip the second of it. */
	mark: { x: number; y: number; at: number } | null;
	/** When the answer was seen. */
	seenAt: number | null;
}

const COLUMNS = `f.id, f.exercise, f.type, f.note, f.at, f.answered_at as "answeredAt", c.name as by, f.cue, f.mark, f.seen_at as "seenAt"`;

/** What somebody sent in, the newest first. */
export const formChecksOf = (db: Queries, id: EnrolmentId): Promise<FormCheck[]> =>
	db.query(
		`select ${COLUMNS} from form_check f left join coach c on c.id = f.answered_by where f.enrolment_id = $1 order by f.at desc, f.id`,
		[id]
	);

export interface ChallengeFormCheck extends FormCheck {
	person: { id: EnrolmentId; name: string };
}

/** Shown at once. */
const SHOWN = 60;

/** What was sent in of a challenge: open ones first, the first to wait first; then those that were answered last. */
export const formChecksIn = (db: Queries, challengeId: ChallengeId): Promise<ChallengeFormCheck[]> =>
	db.query(
		`select ${COLUMNS}, jsonb_build_object('id', e.id, 'name', p.name) as person
		 from form_check f join enrolment e on e.id = f.enrolment_id join participant p on p.id = e.participant_id
		 left join coach c on c.id = f.answered_by where e.challenge_id = $1
		 order by f.answered_at is not null, case when f.answered_at is null then f.at end, f.answered_at desc, f.id limit ${SHOWN}`,
		[challengeId]
	);

/** How many of a challenge wait for an answer. */
export async function openFormChecks(db: Queries, challengeId: ChallengeId): Promise<number> {
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>(
		`select count(*)::int as n from form_check f join enrolment e on e.id = f.enrolment_id
		 where e.challenge_id = $1 and f.answered_at is null`,
		[challengeId]
	);
	return n;
}

/** What a clip is, by what it begins with (ISO/IEC 14496-12, 4.3; RFC 8794, 8.1); null: none of those that are played. */
export function clipTypeOf(bytes: Uint8Array): ClipType | null {
	const text = (from: number, to: number) => String.fromCharCode(...bytes.subarray(from, to));
	if (text(4, 8) === 'ftyp') return text(8, 10) === 'qt' ? 'video/quicktime' : 'video/mp4';
	return [0x1a, 0x45, 0xdf, 0xa3].every((byte, i) => bytes[i] === byte) ? 'video/webm' : null;
}

type Where = Pick<Store, 'dataDirectory'>;
type FormFile = Pick<FormCheck, 'id' | 'type'>;

/** What is sent in, beside the database. */
export const FORM_FILES: FileKind<FormFile> = {
	folder: 'form',
	nameOf: ({ id, type }) => `${id}.${ENDINGS[type]}`,
	rows: 'select id, type from form_check'
};

/**
 * Somebody sends in a photograph, which is kept small, or a clip: without what the camera wrote into either.
 * @throws Refusal 400, 409 when too many wait, 413
 */
export async function sendFormCheck(
	context: Context & { config: Store; threads: Pick<Threads, 'run'> },
	{ enrolmentId, participantId }: Person,
	raw: unknown,
	file: SentFile | null
): Promise<void> {
	const { db, clock, ids, config, threads } = context;
	const { exercise, note } = validate(formCheckSchema, raw);
	if (!file) throw new Refusal(400, 'Choose a photograph or a clip first.');
	if (file.size > FORM_BYTES) throw new Refusal(413, 'The file is larger than 30 MB. Send a shorter clip.');
	const before = await formChecksOf(db, enrolmentId);
	if (before.filter(({ answeredAt }) => answeredAt === null).length >= MOST_OPEN)
		throw new Refusal(
			409,
			`${MOST_OPEN} are waiting for your coach already. Send more once they are answered.`
		);
	if (before.length >= MOST) throw new Refusal(409, `You have sent in ${MOST} already; delete one first.`);
	const type = clipTypeOf(await beginningOf(file.path)) ?? 'image/jpeg';
	if (type !== 'image/jpeg') await threads.run('clip', { path: file.path, type }, participantId);
	const content =
		type === 'image/jpeg' ? (await threads.run('picture', file.path, participantId)).jpeg : file;
	const bytes = content instanceof Uint8Array ? content.length : content.size;
	await refuseFull(context, participantId, bytes);
	const id = ids.uuid();
	await keepFile(config, FORM_FILES, { id, type }, content, () =>
		db.query(
			'insert into form_check (id, enrolment_id, exercise, type, bytes, note, at) values ($1, $2, $3, $4, $5, $6, $7)',
			[id, enrolmentId, exercise, type, bytes, note, instant(clock.now())]
		)
	);
}

async function formCheckOf(db: Queries, enrolmentId: EnrolmentId, id: string): Promise<FormCheck> {
	const wanted = idOf(id, 'form check');
	const found = (await formChecksOf(db, enrolmentId)).find((one) => one.id === wanted);
	if (!found) throw notFound('form check');
	return found;
}

/** What somebody sent in, with the file. @throws Refusal 404 */
export async function readFormCheck(
	{ db, config }: Pick<Context, 'db'> & { config: Where },
	enrolmentId: EnrolmentId,
	id: string
): Promise<{ type: FormType; content: Blob }> {
	const found = await formCheckOf(db, enrolmentId, id);
	const content = await readFileOf(config, FORM_FILES, found);
	if (!content) throw notFound('form check');
	return { type: found.type, content };
}

/** A coach says what to mind, and where; once more it takes the place of what was said. @throws Refusal 400, 404 */
export async function answerFormCheck(
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	coach: CoachId,
	id: string,
	raw: unknown
): Promise<void> {
	const { cue, mark } = validate(formAnswerSchema, raw);
	const found = await formCheckOf(context.db, person.id, id);
	await context.db.transaction(async (tx) => {
		await tx.query(
			'update form_check set answered_at = $2, answered_by = $3, cue = $4, mark = $5, seen_at = null where id = $1',
			[found.id, instant(context.clock.now()), coach, cue, mark && JSON.stringify(mark)]
		);
		if (found.answeredAt === null)
			await noteReach(withTransaction(context, tx), challenge, person, coach, [], {
				way: 'adjusted',
				note: `Form check: ${found.exercise}`
			});
	});
}

/** Marks answers as seen by whom they are for. */
export const markFormSeen = async ({ db, clock }: Context, id: EnrolmentId): Promise<void> => {
	await db.query(
		'update form_check set seen_at = $2 where enrolment_id = $1 and answered_at is not null and seen_at is null',
		[id, instant(clock.now())]
	);
};

/** Deletes what somebody sent in, for good. @throws Refusal 404 */
export async function removeFormCheck(
	{ db, config }: Pick<Context, 'db'> & { config: Where },
	enrolmentId: EnrolmentId,
	id: string
): Promise<void> {
	const found = await formCheckOf(db, enrolmentId, id);
	await db.query('delete from form_check where id = $1', [found.id]);
	await removeFilesOf(config, FORM_FILES, [found]);
}

/** Files of somebody in all their challenges. */
export const formCheckFilesOf = (db: Queries, id: ParticipantId): Promise<FormFile[]> =>
	db.query(
		'select f.id, f.type from form_check f join enrolment e on e.id = f.enrolment_id where e.participant_id = $1',
		[id]
	);
