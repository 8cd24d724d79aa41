/** Everything that is kept of somebody, with their photographs and clips, in one file. */
import { Zip, ZipPassThrough, type FlateError } from 'fflate';
import { picturesOf, readPicture } from '../body/pictures';
import { readFormCheck } from '../messages/form-checks';
import type { Config } from '../platform/config';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import type { EnrolmentId, ParticipantId } from '../platform/ids';
import { ownDataOf, type OwnData } from './own-data';

type Reading = Context & { config: Pick<Config, 'dataDirectory'> };

interface Entry {
	name: string;
	read(): Promise<Uint8Array>;
}

/** One file after the other; those that are gone from the disk are left out. */
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
		{ name: 'my-data.json', read: () => Promise.resolve(Buffer.from(JSON.stringify(data, null, '\t'))) },
		...pictures,
		...clips
	];
}

/**
 * A ZIP file (APPNOTE 6.3.10, stored) made as it is read: no more than one of its files is held at once, and none where
 * nobody goes on reading.
 */
export async function ownFilesOf(context: Reading, id: ParticipantId): Promise<ReadableStream<Uint8Array>> {
	const entries = await entriesOf(context, id, await ownDataOf(context, id));
	let put: (chunk: Uint8Array) => void = () => undefined;
	let failed: FlateError | null = null;
	const zip = new Zip((error, chunk) => {
		if (error) failed = error;
		else put(chunk);
	});
	return new ReadableStream<Uint8Array>(
		{
			async pull(to) {
				put = (chunk) => {
					if (chunk.length > 0) to.enqueue(chunk);
				};
				const entry = entries.shift();
				if (!entry) {
					zip.end();
					return to.close();
				}
				const content = await entry.read().catch((error: unknown) => {
					if (error instanceof Refusal) return null;
					throw error;
				});
				if (content) {
					const file = new ZipPassThrough(entry.name);
					zip.add(file);
					file.push(content, true);
				}
				if (failed) throw failed;
				// Whoever reads asks again as long as nothing has come.
				if (!content) await this.pull?.(to);
			},
			cancel() {
				entries.length = 0;
				zip.terminate();
			}
		},
		{ highWaterMark: 0 }
	);
}
