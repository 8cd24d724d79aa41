import { simpleParser } from 'mailparser';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { randomIds } from './ids';
import { openMail } from './mail';

describe('the stand-in for a mail server', () => {
	const directory = mkdtempSync(join(tmpdir(), 'cadrex-post-'));
	afterAll(() => rmSync(directory, { recursive: true }));
	const files = () => readdirSync(join(directory, 'outbox')).filter((name) => name.endsWith('.eml'));
	const open = () =>
		openMail({ server: null, from: 'Cadrex <cadrex@huts.example>' }, directory, {
			clock: { now: () => Date.parse('2026-11-25T12:00:00Z') },
			ids: randomIds
		});
	const letter = (address: string, key = 'k1') => ({
		to: { name: 'Söl, "Bao"\r\nBcc: x@y.example', address },
		subject: 'Grüße',
		text: 'x',
		once: { key, at: Date.parse('2026-11-25T11:00:00Z') }
	});

	it('writes one message for one key, however often and by whomever it is sent', async () => {
		await open().send(letter('a@huts.example'));
		await open().send(letter('a@huts.example'));
		expect(files()).toHaveLength(1);
		const read = await simpleParser(readFileSync(join(directory, 'outbox', files()[0]!)));
		expect([read.messageId, read.date?.toISOString(), read.subject]).toEqual([
			'<k1@huts.example>',
			'2026-11-25T11:00:00.000Z',
			'Grüße'
		]);
		expect(read.headers.has('bcc')).toBe(false);
		expect([read.to].flat()[0]!.value).toMatchObject([{ address: 'a@huts.example' }]);
	});

	it('plays mailboxes that bounce, are full, or take their time', async () => {
		const mail = open();
		await expect(mail.send(letter('b+bounces@huts.example', 'k2'))).rejects.toMatchObject({
			responseCode: 550
		});
		for (let i = 0; i < 4; i++)
			await expect(mail.send(letter('b+full@huts.example', 'k3'))).rejects.toMatchObject({
				responseCode: 452
			});
		for (let i = 0; i < 2; i++)
			await expect(mail.send(letter('b+slow@huts.example', 'k4'))).rejects.toMatchObject({
				responseCode: 451
			});
		await mail.send(letter('b+slow@huts.example', 'k4'));
		expect(files()).toHaveLength(2);
	});
});
