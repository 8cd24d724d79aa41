import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import {
	addDocument,
	documentsOf,
	DOCUMENT_LIMITS,
	kindOf,
	readDocument,
	removeDocument
} from '$lib/server/people/health/documents';
import { addNote, changeNote, notesOf, removeNote } from '$lib/server/people/notes';
import { randomIds } from '$lib/server/platform/ids';
import { ownPersonOf, sharedWorld } from '../support/context';
import { storeIn } from '../support/kept-files';
import { refusal } from '../support/refusal';
import { bytesOf, sent } from '../support/sent';

const { context: bare, world } = await sharedWorld('2026-11-25T12:00:00Z');
const dataDirectory = mkdtempSync(join(tmpdir(), 'cadrex-documents-'));
afterAll(() => rmSync(dataDirectory, { recursive: true }));
const context = { ...bare, config: storeIn(dataDirectory) };
const person = (i = 0) => ownPersonOf(bare, world, world.people[i]!.enrolmentId);
const PDF = Buffer.from('%PDF-1.7\nYes to all of it.');
const list = async (i = 0) => documentsOf(bare.db, (await person(i)).participantId);

describe('a document', () => {
	it('is what it begins with, whatever it is called', () => {
		expect(kindOf(PDF)).toBe('pdf');
		expect(kindOf(Buffer.from([0xff, 0xd8, 0xff, 0xe0]))).toBe('jpeg');
		expect(kindOf(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))).toBe('png');
		for (const other of ['<svg onload=alert(1)>', 'MZ', '%PD', ''])
			expect(kindOf(Buffer.from(other))).toBeNull();
	});

	it('is kept, read again as it was, and gone once deleted', async () => {
		const own = await person();
		await sent(PDF, (file) => addDocument(context, own, file), 'C:\\letters\\Ärztin\u0000.pdf');
		const [kept] = await list();
		expect(kept).toMatchObject({ name: 'Ärztin.pdf', kind: 'pdf', bytes: PDF.length });
		expect(await bytesOf((await readDocument(context, own, kept?.id ?? '')).content)).toEqual(PDF);
		// Somebody else's is not there.
		expect(await refusal(readDocument(context, await person(1), kept?.id ?? ''))).toMatchObject({
			status: 404
		});
		await removeDocument(context, await person(), kept?.id ?? '');
		expect(await list()).toEqual([]);
		expect(await refusal(readDocument(context, await person(), kept?.id ?? ''))).toMatchObject({
			status: 404
		});
		expect(await refusal(removeDocument(context, await person(), randomIds.uuid()))).toMatchObject({
			status: 404
		});
	});

	it.each([
		['nothing', Buffer.alloc(0), 400],
		['a page', Buffer.from('<html>'), 400],
		['too much', Buffer.concat([PDF, Buffer.alloc(DOCUMENT_LIMITS.bytes)]), 413]
	])('with %s in it is refused, and nothing is kept', async (_, content, status) => {
		const own = await person();
		const refused = await refusal(sent(content, (file) => addDocument(context, own, file)));
		expect(refused.status).toBe(status);
		expect(refused.faults.map(({ field }) => field)).toEqual(['file']);
		expect(await list()).toEqual([]);
	});

	it('of twenty of them is enough', async () => {
		const own = await person(1);
		const add = () => sent(PDF, (file) => addDocument(context, own, file), '');
		for (let i = 0; i < DOCUMENT_LIMITS.perPerson; i++) await add();
		expect((await list(1))[0]?.name).toBe('document');
		expect(await refusal(add())).toMatchObject({ status: 409 });
	});
});

it('a private note is kept for its coach, about one person, until it is deleted', async () => {
	await addNote(bare, await person(), { body: 'Likes the early hour.\nAsk about the wrist.' });
	const mine = async (i = 0) => notesOf(bare.db, (await person(i)).participantId);
	expect(await mine()).toMatchObject([{ body: 'Likes the early hour.\nAsk about the wrist.' }]);
	expect(await mine(1)).toEqual([]);
	expect((await refusal(addNote(bare, await person(), { body: '  ' }))).faults[0]?.message).toMatch(
		/write something/
	);
	expect((await refusal(addNote(bare, await person(), { body: 'x'.repeat(4001) }))).status).toBe(400);
	// What was set counts for its text; what sets it is tidied.
	const set = '<p>Ask the <b>midwife</b> &amp; wait</p><ul><li>knee</li></ul><script>alert(1)</scr' + 'ipt>';
	await changeNote(bare, await person(), (await mine())[0]!.id, { html: set });
	expect((await mine())[0]).toMatchObject({
		body: 'Ask the midwife & wait\nknee',
		html: '<p>Ask the <strong>midwife</strong> &amp; wait</p><ul><li>knee</li></ul>',
		changedAt: bare.clock.now()
	});
	const long = `<p>${'y'.repeat(4001)}</p>`;
	for (const html of ['<p> </p>', '<script>1</scr' + 'ipt>', long])
		expect((await refusal(addNote(bare, await person(), { html }))).faults[0]?.field).toBe('body');
	expect(
		await refusal(changeNote(bare, await person(1), (await mine())[0]!.id, { html: set }))
	).toMatchObject({
		status: 404
	});
	await changeNote(bare, await person(), (await mine())[0]!.id, {
		body: 'Likes the early hour.\nAsk about the wrist.'
	});
	const [note] = await mine();
	expect(await refusal(removeNote(bare, await person(1), note?.id ?? ''))).toMatchObject({ status: 404 });
	await removeNote(bare, await person(), note?.id ?? '');
	expect(await mine()).toEqual([]);
});
