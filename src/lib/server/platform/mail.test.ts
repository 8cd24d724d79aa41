import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { simpleParser } from 'mailparser';
import { afterAll, expect, it } from 'vitest';
import { randomIds } from './ids';
import { forgetMailTo, openMail } from './mail';

const directory = mkdtempSync(join(tmpdir(), 'cadrex-mail-'));
afterAll(() => rmSync(directory, { recursive: true }));
const written = () => readdirSync(join(directory, 'outbox')).sort();

it('without a mail server messages become files that a mail program reads; the oldest go', async () => {
	let now = Date.parse('2026-11-25T12:00:00Z');
	const from = 'Cadrex <cadrex@huts.example>';
	const mail = openMail({ server: null, from }, directory, { clock: { now: () => now }, ids: randomIds }, 2);
	const send = (subject: string) =>
		mail.send({ to: 'maarit@huts.example', subject, text: `Hei Maarit,\n\n${'ö'.repeat(200)}\n.\nend\n` });
	for (const subject of ['first', 'second', 'third with an ümlaut']) {
		await send(subject);
		now += 1000;
	}
	const names = written();
	expect(names.map((name) => name.slice(0, 19))).toEqual(['2026-11-25T12-00-01', '2026-11-25T12-00-02']);
	const raw = readFileSync(join(directory, 'outbox', names[1]!));
	// RFC 5322, 2.1.1: lines end with CRLF and have at most 998 characters.
	expect(
		raw
			.toString('latin1')
			.split('\r\n')
			.every((line) => line.length <= 998 && !/[\r\n]/.test(line))
	).toBe(true);
	const read = await simpleParser(raw);
	expect([read.subject, read.from?.text, read.date?.toISOString(), read.text]).toEqual([
		'third with an ümlaut',
		'"Cadrex" <cadrex@huts.example>',
		'2026-11-25T12:00:02.000Z',
		`Hei Maarit,\n\n${'ö'.repeat(200)}\n.\nend\n`
	]);
});

it('a line end in a subject or an address makes no header of its own', async () => {
	const other = join(directory, 'other');
	const mail = openMail({ server: null, from: 'cadrex@huts.example' }, other, {
		clock: { now: () => 0 },
		ids: randomIds
	});
	await mail.send({ to: 'a@huts.example', subject: 'x\r\nBcc: b@huts.example', text: 'y' });
	const [name] = readdirSync(join(other, 'outbox'));
	const read = await simpleParser(readFileSync(join(other, 'outbox', name!)));
	expect([read.bcc, read.headers.has('bcc')]).toEqual([undefined, false]);
});

it('messages to somebody who is deleted go, and nobody else’s', async () => {
	const own = join(directory, 'own');
	const mail = openMail({ server: null, from: 'cadrex@huts.example' }, own, {
		clock: { now: () => 0 },
		ids: randomIds
	});
	const long = { name: `Tindra ${'Vesk '.repeat(30)}`.trim(), address: 'tindra@huts.example' };
	await mail.send({ to: 'tindra@huts.example', subject: 'one', text: 'x' });
	await mail.send({ to: long, subject: 'two', text: 'x' });
	await mail.send({ to: 'xtindra@huts.example', subject: 'other', text: 'To: tindra@huts.example' });
	await mail.send({ to: 'øy@fjell-ø.example', subject: 'letters', text: 'x' });
	await forgetMailTo(own, 'Tindra@huts.example');
	const subjects = async () =>
		Promise.all(
			readdirSync(join(own, 'outbox')).map(
				async (name) => (await simpleParser(readFileSync(join(own, 'outbox', name)))).subject
			)
		);
	expect((await subjects()).sort()).toEqual(['letters', 'other']);
	await forgetMailTo(own, 'øy@fjell-ø.example');
	expect(await subjects()).toEqual(['other']);
	// Where there is no outbox there is nothing to delete.
	await forgetMailTo(join(directory, 'none'), 'a@b.example');
});
