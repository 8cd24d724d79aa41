/** Everything that is kept of somebody, with their photographs and clips, in one file. */
import { Zip, ZipPassThrough } from 'fflate';
import { picturesOf, readPicture } from '../../people/body/pictures';
import { readFormCheck } from '../../contact/messages/form-checks';
import type { Config } from '../../platform/config';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { chunksOf } from '../../platform/chunks';
import type { EnrolmentId, ParticipantId } from '../../platform/ids';
import { ownDataOf, type OwnData } from './own-data';

type Reading = Context & { config: Pick<Config, 'dataDirectory'> };

interface Entry {
	name: string;
	read: () => Promise<Blob>;
}

async function entriesOf(context: Reading, id: ParticipantId, data: OwnData): Promise<Entry[]> {
	const { db } = context;
	const pictures = (await picturesOf(db, id)).map(({ id: picture, takenOn, view }, i) => ({
		name: `photographs/${takenOn}-${view}-${i + 1}.jpg`,
		read: () => readPicture(context, id, picture, true)
	}));
	const checks = await db.query<{ id: string; enrolmentId: EnrolmentId; exercise: string; type: string }>(
		`select f.id, f.enrolment_id as "enrolmentId", f.exercise, f.type from form_check f join enrolment e on e.id = f.enrolment_id
		 where e.participant_id = $1 order by f.at, f.id`,
		[id]
	);
	const clips = checks.map(({ id: check, enrolmentId, exercise, type }, i) => ({
		// Names of exercises are the coach’s own words.
		name: `form-checks/${i + 1}-${exercise.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}.${type === 'image/jpeg' ? 'jpg' : type === 'video/quicktime' ? 'mov' : type.slice(6)}`,
		read: async () => (await readFormCheck(context, enrolmentId, check)).content
	}));
	return [
		{ name: 'my-data.json', read: () => Promise.resolve(new Blob([JSON.stringify(data, null, '\t')])) },
		...pictures,
		...clips
	];
}

/** A ZIP file (APPNOTE 6.3.10, stored), as it is made: what is gone from the disk is left out. */
async function* zipOf(entries: readonly Entry[]): AsyncGenerator<Uint8Array> {
	const made: Uint8Array[] = [];
	const zip = new Zip((error, chunk) => {
		if (error) throw error;
		if (chunk.length > 0) made.push(chunk);
	});
	for (const { name, read } of entries) {
		const content = await read().catch((error: unknown) => {
			if (error instanceof Refusal) return null;
			throw error;
		});
		if (!content) continue;
		const file = new ZipPassThrough(name);
		zip.add(file);
		for await (const chunk of chunksOf(content.stream().getReader())) {
			file.push(chunk);
			yield* made.splice(0);
		}
		file.push(new Uint8Array(), true);
		yield* made.splice(0);
	}
	zip.end();
	yield* made;
}

/** All of it in one file: no more than a piece of it is held at once, and nothing is read where nobody goes on reading. */
export async function ownFilesOf(context: Reading, id: ParticipantId): Promise<ReadableStream<Uint8Array>> {
	const chunks = zipOf(await entriesOf(context, id, await ownDataOf(context, id)));
	return new ReadableStream<Uint8Array>(
		{
			async pull(to) {
				const next = await chunks.next();
				if (next.done) to.close();
				else to.enqueue(next.value);
			},
			async cancel() {
				await chunks.return(undefined);
			}
		},
		{ highWaterMark: 0 }
	);
}
