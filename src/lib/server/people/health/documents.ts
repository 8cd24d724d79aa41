/** Papers of one person, kept as files beside the database: a clearance as PDF or picture. The coach alone sees them. */
import type { OwnPerson } from '../../records/enrolments';
import { refuseFull } from '../../platform/space';
import type { Context } from '../../platform/context';
import { instant, only, type Queries } from '../../platform/db/database';
import { idOf, notFound, Refusal } from '../../platform/errors';
import { keepFile, readFileOf, removeFilesOf, type FileKind, type Store } from '../../platform/row-files';
import type { ParticipantId } from '../../platform/ids';
import { beginningOf, type SentFile } from '../../platform/sent-file';
import { noteChange } from '../../changes/holds';
import { type MadeBy } from '../../records/standing-row';

export const DOCUMENT_LIMITS = { bytes: 8 * 1024 * 1024, perPerson: 20, name: 120 } as const;

export const DOCUMENT_KINDS = ['pdf', 'jpeg', 'png'] as const;
type Kind = (typeof DOCUMENT_KINDS)[number];

export interface Document {
	id: string;
	name: string;
	kind: Kind;
	bytes: number;
	/** Epoch milliseconds. */
	at: number;
}

export const TYPES: Readonly<Record<Kind, string>> = {
	pdf: 'application/pdf',
	jpeg: 'image/jpeg',
	png: 'image/png'
};

/** The first bytes of each (ISO 32000-2, 7.5.2; ISO/IEC 10918-1, B.1.1.3; ISO/IEC 15948, 5.2). */
const BEGINNINGS: readonly (readonly [Kind, readonly number[]])[] = [
	['pdf', [0x25, 0x50, 0x44, 0x46, 0x2d]],
	['jpeg', [0xff, 0xd8, 0xff]],
	['png', [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]]
];

/** What a file is, by what it begins with and not by what it is called; null: none of those that are taken. */
export const kindOf = (content: Uint8Array): Kind | null =>
	BEGINNINGS.find(([, first]) => first.every((byte, i) => content[i] === byte))?.[0] ?? null;

type Where = Pick<Store, 'dataDirectory'>;

/** Papers beside the database. */
export const DOCUMENT_FILES: FileKind<Pick<Document, 'id' | 'kind'>> = {
	folder: 'documents',
	nameOf: ({ id, kind }) => `${id}.${kind}`,
	rows: 'select id, kind from document'
};

/** Papers of somebody, the newest first. */
export const documentsOf = (db: Queries, id: ParticipantId): Promise<Document[]> =>
	db.query('select id, name, kind, bytes, at from document where participant_id = $1 order by at desc, id', [
		id
	]);

/** A name without what has no place in one. */
const tidyName = (name: string): string =>
	(name.split(/[\\/]/).at(-1) ?? '')
		// eslint-disable-next-line no-control-regex -- these are what is taken out
		.replace(/[\u0000-\u001f\u007f]/g, '')
		.trim()
		.slice(0, DOCUMENT_LIMITS.name) || 'document';

/**
 * Keeps a paper.
 * @param madeBy who adds it
 * @throws Refusal 400 for anything but PDF, JPEG or PNG, 409 for too many, 413 for too large
 */
export async function addDocument(
	context: Context & { config: Store },
	person: Pick<OwnPerson, 'participantId' | 'name'>,
	file: SentFile | null,
	madeBy: MadeBy = 'coach'
): Promise<void> {
	const { db, clock, ids, config } = context;
	const field = (message: string) => [{ field: 'file', message }];
	if (!file) throw new Refusal(400, 'Choose a file first.', field('choose a file'));
	if (file.size > DOCUMENT_LIMITS.bytes)
		throw new Refusal(413, 'The file is larger than 8 MB. Nothing was kept.', field('at most 8 MB'));
	const kind = kindOf(await beginningOf(file.path));
	if (!kind)
		throw new Refusal(
			400,
			`“${tidyName(file.name)}” is no PDF, JPEG or PNG. Nothing was kept.`,
			field('a PDF, JPEG or PNG')
		);
	const { n } = only(
		await db.query<{ n: number }>('select count(*)::int as n from document where participant_id = $1', [
			person.participantId
		])
	);
	if (n >= DOCUMENT_LIMITS.perPerson)
		throw new Refusal(409, `${person.name} has ${DOCUMENT_LIMITS.perPerson} documents; delete one first.`);
	await refuseFull(context, person.participantId, file.size);
	const id = ids.uuid();
	await keepFile(config, DOCUMENT_FILES, { id, kind }, file, () =>
		db.transaction(async (tx) => {
			await tx.query(
				'insert into document (id, participant_id, name, kind, bytes, at) values ($1, $2, $3, $4, $5, $6)',
				[id, person.participantId, tidyName(file.name), kind, file.size, instant(clock.now())]
			);
			await noteChange(tx, person.participantId, madeBy, 'A document was added', clock.now());
		})
	);
}

async function documentOf(db: Queries, person: OwnPerson, id: string): Promise<Document> {
	const wanted = idOf(id, 'document');
	const found = (await documentsOf(db, person.participantId)).find((one) => one.id === wanted);
	if (!found) throw notFound('document');
	return found;
}

/** A paper with what is in it. @throws Refusal 404, also for somebody else's and for one whose file is gone */
export async function readDocument(
	{ db, config }: Pick<Context, 'db'> & { config: Where },
	person: OwnPerson,
	id: string
): Promise<Document & { content: Blob }> {
	const found = await documentOf(db, person, id);
	const content = await readFileOf(config, DOCUMENT_FILES, found);
	if (!content) throw notFound('document');
	return { ...found, content };
}

/** Deletes a paper for good. @throws Refusal 404 */
export async function removeDocument(
	{ db, clock, config }: Context & { config: Where },
	person: OwnPerson,
	id: string
): Promise<void> {
	const found = await documentOf(db, person, id);
	await db.transaction(async (tx) => {
		await tx.query('delete from document where id = $1', [found.id]);
		await noteChange(tx, person.participantId, 'coach', 'A document was deleted', clock.now());
	});
	await removeFilesOf(config, DOCUMENT_FILES, [found]);
}
