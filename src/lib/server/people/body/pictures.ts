/** Photographs that people take of themselves: kept as files beside the database, seen by them, and by their coach where they say so. */
import { pictureSchema, type View } from '$contracts/body';
import { dateIn } from '$core/calendar';
import type { Person } from '../../records/person';
import { instant, only, type Queries } from '../../platform/db/database';
import { refuseFull } from '../../platform/space';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import { refuseDay } from './measures';
import { keepFile, readFileOf, removeFilesOf, type FileKind, type Store } from '../../platform/row-files';
import type { ParticipantId } from '../../platform/ids';
import type { SentFile } from '../../platform/sent-file';
import type { Threads } from '../../platform/threads';
import { validate } from '../../platform/validate';

/** Bytes of one as it is sent, at most. */
export const PICTURE_BYTES = 30 * 1024 * 1024;
/** Of one person at most. */
const MOST = 60;

export interface Picture {
	id: string;
	view: View;
	/** `YYYY-MM-DD` */
	takenOn: string;
	width: number;
	height: number;
	shared: boolean;
}

type Where = Pick<Store, 'dataDirectory'>;

/** Photographs beside the database. */
export const PICTURE_FILES: FileKind<Pick<Picture, 'id'>> = {
	folder: 'pictures',
	nameOf: ({ id }) => `${id}.jpg`,
	rows: 'select id from picture'
};

/** Photographs of somebody, the oldest first. */
export const picturesOf = (db: Queries, id: ParticipantId): Promise<Picture[]> =>
	db.query(
		`select id, view, taken_on as "takenOn", width, height, shared from picture where participant_id = $1 order by taken_on, at, id`,
		[id]
	);

/** Those of them that their coach may see. */
export const sharedPicturesOf = async (db: Queries, id: ParticipantId): Promise<Picture[]> =>
	(await picturesOf(db, id)).filter(({ shared }) => shared);

/**
 * Keeps a photograph, small and without what the camera wrote into it.
 * @throws Refusal 400, 409 when there are too many, 413
 */
export async function addPicture(
	context: Context & { config: Store; threads: Pick<Threads, 'run'> },
	person: Person,
	raw: unknown,
	file: SentFile | null
): Promise<void> {
	const { db, clock, ids, config, threads } = context;
	const { view, on, shared } = validate(pictureSchema, raw);
	refuseDay(on, dateIn(person.zone, clock.now()));
	if (!file) throw new Refusal(400, 'Choose a photograph first.');
	if (file.size > PICTURE_BYTES) throw new Refusal(413, 'The file is larger than 30 MB. Nothing was kept.');
	const { n } = only(
		await db.query<{ n: number }>('select count(*)::int as n from picture where participant_id = $1', [
			person.participantId
		])
	);
	if (n >= MOST) throw new Refusal(409, `There are ${MOST} photographs already; delete one first.`);
	const { jpeg, width, height } = await threads.run('picture', file.path, person.participantId);
	await refuseFull(context, person.participantId, jpeg.length);
	const id = ids.uuid();
	await keepFile(config, PICTURE_FILES, { id }, jpeg, () =>
		db.query(
			'insert into picture (id, participant_id, view, taken_on, width, height, bytes, shared, at) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)',
			[id, person.participantId, view, on, width, height, jpeg.length, shared, instant(clock.now())]
		)
	);
}

/** Says whether a coach may see a photograph. @throws Refusal 404 */
export async function sharePicture(
	{ db }: Pick<Context, 'db'>,
	{ participantId }: Pick<Person, 'participantId'>,
	id: string,
	shared: boolean
): Promise<void> {
	const found = await db.query(
		'update picture set shared = $3 where participant_id = $1 and id = $2 returning id',
		[participantId, idOf(id, 'photograph'), shared]
	);
	if (found.length === 0) throw notFound('photograph');
}

/** Deletes a photograph for good. @throws Refusal 404 */
export async function removePicture(
	{ db, config }: Pick<Context, 'db'> & { config: Where },
	{ participantId }: Pick<Person, 'participantId'>,
	id: string
): Promise<void> {
	const gone = await db.query<{ id: string }>(
		'delete from picture where participant_id = $1 and id = $2 returning id',
		[participantId, idOf(id, 'photograph')]
	);
	if (gone.length === 0) throw notFound('photograph');
	await removeFilesOf(config, PICTURE_FILES, gone);
}

/** What is in a photograph of somebody. @param all whether those that they do not share are there too @throws Refusal 404 */
export async function readPicture(
	{ db, config }: Pick<Context, 'db'> & { config: Where },
	participantId: ParticipantId,
	id: string,
	all: boolean
): Promise<Blob> {
	const wanted = idOf(id, 'photograph');
	const found = (await picturesOf(db, participantId)).find((one) => one.id === wanted);
	const content = found && (all || found.shared) ? await readFileOf(config, PICTURE_FILES, found) : null;
	if (!content) throw notFound('photograph');
	return content;
}
