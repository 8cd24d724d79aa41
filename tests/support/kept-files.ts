/** Somebody with a paper, a photograph and a clip. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { addPicture, PICTURE_FILES, picturesOf } from '$lib/server/people/body/pictures';
import { addDocument, DOCUMENT_FILES, documentsOf } from '$lib/server/people/health/documents';
import { FORM_FILES, formChecksOf, sendFormCheck } from '$lib/server/contact/messages/form-checks';
import { migrate } from '$lib/server/platform/db/migrate';
import type { Database } from '$lib/server/platform/db/database';
import type { Store } from '$lib/server/platform/row-files';
import { clip } from './clips';
import { sent } from './sent';
import { contextOn, makeWorld, ownPersonOf, type TestContext, type World } from './context';

export const PAPER = Buffer.from('%PDF-1.7 yes');
export const CLIP = new Uint8Array(clip());

export const smallPicture = (): Promise<Buffer> =>
	sharp({ create: { width: 40, height: 60, channels: 3, background: '#3a5' } })
		.jpeg()
		.toBuffer();

export const storeIn = (dataDirectory: string): Store => ({
	dataDirectory,
	diskReserve: 0,
	space: { person: Infinity, challenge: Infinity }
});

export interface Keeper {
	context: TestContext & { config: Store };
	world: World;
	/** Of each kind, the path from the data directory. */
	paths: { document: string; picture: string; clip: string };
}

/** Writes one of each kind for the first person of a new world. */
export async function keeperIn(db: Database, config: Store): Promise<Keeper> {
	await migrate(db);
	const bare = contextOn(db);
	const context = { ...bare, config };
	const world = await makeWorld(bare);
	const [person] = world.people;
	if (!person) throw new Error('nobody is in this world');
	const own = await ownPersonOf(context, world, person.enrolmentId);
	const on = new Date(context.clock.now()).toISOString().slice(0, 10);
	await sent(PAPER, (file) => addDocument(context, own, file), 'letter.pdf');
	await sent(await smallPicture(), (file) =>
		addPicture(context, person, { view: 'front', on, shared: false }, file)
	);
	await sent(CLIP, (file) => sendFormCheck(context, person, { exercise: 'Squat', note: '' }, file));
	const [document] = await documentsOf(db, person.participantId);
	const [photo] = await picturesOf(db, person.participantId);
	const [clip] = await formChecksOf(db, person.enrolmentId);
	if (!document || !photo || !clip) throw new Error('something was not kept');
	return {
		context,
		world,
		paths: {
			document: join(DOCUMENT_FILES.folder, DOCUMENT_FILES.nameOf(document)),
			picture: join(PICTURE_FILES.folder, PICTURE_FILES.nameOf(photo)),
			clip: join(FORM_FILES.folder, FORM_FILES.nameOf(clip))
		}
	};
}

/** What is in the files, by kind. */
export const contentsOf = (directory: string, { paths }: Pick<Keeper, 'paths'>): Buffer[] =>
	Object.values(paths).map((path) => readFileSync(join(directory, path)));
