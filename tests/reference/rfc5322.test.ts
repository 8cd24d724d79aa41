/**
 * What goes out by SMTP, taken by another library's server (smtp-server) and read by another's reader (mailparser), against
 * RFC 5322 (messages), RFC 2047 (words in headers that are not ASCII) and RFC 5321 (replies).
 */
import { simpleParser, type ParsedMail } from 'mailparser';
import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest';
import { isFinal } from '$core/post';
import { randomIds } from '$lib/server/platform/ids';
import { openMail, type Letter, type Mail } from '$lib/server/platform/mail';

const got: { raw: Buffer; to: string[] }[] = [];
let code: number | null = null;
const server = new SMTPServer({
	disabledCommands: ['AUTH', 'STARTTLS'],
	onRcptTo: (_, __, done) => {
		done(code === null ? null : Object.assign(new Error('not now'), { responseCode: code }));
	},
	onData: (stream, session, done) => {
		const parts: Buffer[] = [];
		stream.on('data', (part: Buffer) => parts.push(part));
		stream.on('end', () => {
			got.push({ raw: Buffer.concat(parts), to: session.envelope.rcptTo.map(({ address }) => address) });
			done();
		});
	}
});
let mail: Mail;
beforeAll(async () => {
	await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
	const { port } = server.server.address() as AddressInfo;
	mail = openMail({ server: `smtp://127.0.0.1:${port}`, from: 'Cadrex <cadrex@huts.example>' }, 'unused', {
		clock: { now: () => 0 },
		ids: randomIds
	});
});
afterAll(() => new Promise<void>((closed) => server.close(closed)));
beforeEach(() => {
	got.length = 0;
	code = null;
});

const LETTER: Letter = {
	to: { name: 'Maarit Öllilä', address: 'maarit@huts.example' },
	subject: 'Halfway: 21 von 42 Tagen geschafft – und weiter geht’s, Schritt für Schritt, bis zur Hütte',
	text: `Hei Maarit,\n\n.\nFrom the start: 山小屋 ${'ö'.repeat(1200)}.\n`,
	once: { key: '7f2c', at: Date.parse('2026-11-25T12:00:00Z') }
};
const read = async (): Promise<ParsedMail> => simpleParser(got[0]!.raw);

it('arrives whole, with the headers that RFC 5322 asks for', async () => {
	await mail.send(LETTER);
	const message = await read();
	expect(message.subject).toBe(LETTER.subject);
	expect(message.text?.trimEnd()).toBe(LETTER.text.trimEnd());
	expect(message.from?.value).toEqual([{ name: 'Cadrex', address: 'cadrex@huts.example' }]);
	expect([message.to].flat()[0]?.value).toEqual([{ name: 'Maarit Öllilä', address: 'maarit@huts.example' }]);
	expect([message.messageId, message.date?.toISOString()]).toEqual([
		'<7f2c@huts.example>',
		'2026-11-25T12:00:00.000Z'
	]);
	expect(got[0]!.to).toEqual(['maarit@huts.example']);
	const lines = got[0]!.raw.toString('latin1').split('\r\n');
	expect(lines.every((line) => line.length <= 998 && /^[\t\x20-\x7e]*$/.test(line))).toBe(true);
});

it('goes as it was set and as text, of which a reader takes either (RFC 2046, 5.1.4)', async () => {
	await mail.send({
		...LETTER,
		text: 'Two things:\n\n- rest',
		html: '<p>Two <strong>things</strong>:</p><ul><li>rest</li></ul>'
	});
	const message = await read();
	expect(message.headers.get('content-type')).toMatchObject({ value: 'multipart/alternative' });
	expect(message.text?.trim()).toBe('Two things:\n\n- rest');
	expect(String(message.html).trim()).toBe('<p>Two <strong>things</strong>:</p><ul><li>rest</li></ul>');
});

it('sent again it has the same id, by which the other side knows it', async () => {
	await mail.send(LETTER);
	await mail.send(LETTER);
	const ids = await Promise.all(got.map(async ({ raw }) => (await simpleParser(raw)).messageId));
	expect(new Set(ids).size).toBe(1);
});

it('makes no header of a line end, and no recipient of what is in a name', async () => {
	await mail.send({
		...LETTER,
		to: { name: 'Bao\r\nBcc: all@huts.example, <x@huts.example>', address: 'bao@huts.example' },
		subject: 'x\r\nX-Evil: yes\r\n\r\nbody'
	});
	const message = await read();
	expect(got[0]!.to).toEqual(['bao@huts.example']);
	expect([message.headers.has('x-evil'), message.headers.has('bcc')]).toEqual([false, false]);
});

it.each([
	[550, true],
	[552, true],
	[452, false],
	[421, false]
])('a reply of %d is final: %s', async (reply, final) => {
	code = reply;
	const error = await mail.send(LETTER).then(
		() => null,
		(thrown: { responseCode?: number }) => thrown
	);
	expect(error?.responseCode).toBe(reply);
	expect(isFinal(error?.responseCode)).toBe(final);
	expect(got).toEqual([]);
});

it('no server at all is not final', async () => {
	const nobody = openMail({ server: 'smtp://127.0.0.1:1', from: 'a@b.example' }, 'unused', {
		clock: { now: () => 0 },
		ids: randomIds
	});
	const error = await nobody.send(LETTER).catch((thrown: { responseCode?: number }) => thrown);
	expect(error).toBeInstanceOf(Error);
	expect(isFinal((error as { responseCode?: number }).responseCode)).toBe(false);
});
