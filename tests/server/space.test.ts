import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { spaceIn, spaceOf } from '$lib/server/platform/space';
import { addDocument } from '$lib/server/people/health/documents';
import { sendFormCheck } from '$lib/server/contact/messages/form-checks';
import { ownPersonOf, sharedWorld } from '../support/context';
import { CLIP, storeIn } from '../support/kept-files';
import { refusal } from '../support/refusal';
import { sent } from '../support/sent';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const dataDirectory = mkdtempSync(join(tmpdir(), 'cadrex-space-'));
afterAll(() => rmSync(dataDirectory, { recursive: true }));
const [me, other] = world.people;
const within = (person: number, challenge: number) => ({
	...context,
	config: { ...storeIn(dataDirectory), space: { person, challenge } }
});
const paper = (bytes: number) => Buffer.concat([Buffer.from('%PDF-1.7'), Buffer.alloc(bytes - 8)]);
const add = async (bytes: number, space: ReturnType<typeof within>, of = me!) => {
	const own = await ownPersonOf(context, world, of.enrolmentId);
	return sent(paper(bytes), (file) => addDocument(space, own, file));
};
beforeEach(async () => {
	await context.db.query('delete from document');
	await context.db.query('delete from form_check');
});

describe('room for files', () => {
	it('is counted in bytes, over papers and clips, of each person and of a challenge', async () => {
		const roomy = within(1e9, 1e9);
		await add(1000, roomy);
		await add(500, roomy, other);
		await sent(CLIP, (file) => sendFormCheck(roomy, me!, { exercise: 'Squat', note: '' }, file));
		expect(await spaceOf(context.db, me!.participantId)).toBe(1000 + CLIP.length);
		expect(await spaceOf(context.db, other!.participantId)).toBe(500);
		expect(await spaceIn(context.db, world.challenge.id)).toBe(1500 + CLIP.length);
	});

	it('ends for one person, not for the others', async () => {
		const small = within(1000, 1e9);
		await add(600, small);
		expect(await refusal(add(401, small))).toMatchObject({ status: 409 });
		expect(
			await refusal(
				sent(Buffer.concat([CLIP, Buffer.alloc(500)]), (file) =>
					sendFormCheck(small, me!, { exercise: 'Squat', note: '' }, file)
				)
			)
		).toMatchObject({ status: 409 });
		await add(400, small);
		await add(600, small, other);
	});

	it('ends for a challenge as a whole', async () => {
		const small = within(1e9, 1000);
		await add(600, small);
		const refused = await refusal(add(401, small, other));
		expect(refused).toMatchObject({ status: 409 });
		expect(refused.message).toContain('Hut weeks');
	});
});
