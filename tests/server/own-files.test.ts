/** What somebody takes out with their photographs and clips, read back by another library than the one that writes it. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { afterAll, expect, it } from 'vitest';
import { fromBufferPromise } from 'yauzl';
import { addPicture } from '$lib/server/people/body/pictures';
import { sendFormCheck } from '$lib/server/contact/messages/form-checks';
import { filesIn } from '$lib/server/platform/files';
import { ownFilesOf } from '$lib/server/account/privacy/own-files';
import { bareClip } from '$lib/server/contact/messages/bare-clip';
import { clip } from '../support/clips';
import { sharedWorld } from '../support/context';
import { storeIn } from '../support/kept-files';
import { sent } from '../support/sent';

const { context, world } = await sharedWorld('2026-11-23T12:00:00Z');
const [me, other] = world.people;
const config = storeIn(mkdtempSync(join(tmpdir(), 'cadrex-own-files-')));
afterAll(async () => {
	await context.threads.close();
	rmSync(config.dataDirectory, { recursive: true });
});
const own = { ...context, config };
const image = (colour: string) =>
	sharp({ create: { width: 300, height: 400, channels: 3, background: colour } })
		.jpeg()
		.toBuffer();
/** As it is kept: without what the camera wrote. */
const CLIP = Buffer.from(bareClip(new Uint8Array(clip('isom', 500_000)), 'video/mp4'));
const photograph = async (person = me!, on = '2026-11-22') =>
	sent(await image('teal'), (file) => addPicture(own, person, { view: 'front', on, shared: false }, file));

async function unzipped(): Promise<Map<string, Buffer>> {
	const zip = await fromBufferPromise(
		Buffer.from(await new Response(await ownFilesOf(own, me!.participantId)).arrayBuffer())
	);
	const found = new Map<string, Buffer>();
	for await (const entry of zip.eachEntry())
		found.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
	return found;
}

it('has data, photographs and clips, whole, and nobody else’s', async () => {
	await photograph();
	await photograph(me, '2026-11-23');
	await photograph(other);
	await sent(CLIP, (file) => sendFormCheck(own, me!, { exercise: 'Squat/../x', note: null }, file));
	const files = await unzipped();
	expect([...files.keys()]).toEqual([
		'my-data.json',
		'photographs/2026-11-22-front-1.jpg',
		'photographs/2026-11-23-front-2.jpg',
		'form-checks/1-squat-x.mp4'
	]);
	expect(files.get('form-checks/1-squat-x.mp4')!.equals(CLIP)).toBe(true);
	expect((await sharp(files.get('photographs/2026-11-22-front-1.jpg')).metadata()).format).toBe('jpeg');
	expect(JSON.parse(files.get('my-data.json')!.toString())).toMatchObject({ records: { picture: [{}, {}] } });
});

it('leaves out what is gone from the disk, and says the rest', async () => {
	const [first] = await context.db.query<{ id: string }>(
		'select id from picture where participant_id = $1 order by taken_on',
		[me!.participantId]
	);
	await filesIn(join(config.dataDirectory, 'pictures')).remove(`${first!.id}.jpg`);
	expect([...(await unzipped()).keys()]).toEqual([
		'my-data.json',
		'photographs/2026-11-23-front-2.jpg',
		'form-checks/1-squat-x.mp4'
	]);
});
