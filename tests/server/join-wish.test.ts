import { beforeEach, describe, expect, it } from 'vitest';
import { EncryptJWT, jwtDecrypt } from 'jose';
import { TryLimit } from '$lib/server/account/auth/limits';
import { joinSettingOf, openJoin, waitingOf } from '$lib/server/people/join';
import { askToJoin, openWish, sealWish, wishFrom } from '$lib/server/people/join-wish';
import { enrolmentsOf } from '$lib/server/records/enrolments';
import { readSetting } from '$lib/server/platform/settings';
import type { Letter } from '$lib/server/platform/mail';
import { sharedWorld } from '../support/context';
import { refusal } from '../support/refusal';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const ORIGIN = 'https://hut.example';
const NEW = { name: 'Tindra Vesk', email: 'Tindra@example.org', zone: 'Europe/Riga' };
let code: string;
let sent: Letter[];
const mail = { send: (letter: Letter) => Promise.resolve(void sent.push(letter)) };
beforeEach(async () => {
	context.at('2026-11-25T12:00:00Z');
	sent = [];
	await openJoin(context, world.challenge, { capacity: '' });
	code = (await joinSettingOf(context.db, world.challenge.id)).code!;
});

const ask = async (raw: object = NEW) => {
	const wish = wishFrom(raw);
	await askToJoin(context, mail, code, wish, ORIGIN);
	return wish;
};
const sealedIn = ({ text }: Letter) => /\/start\/[A-Z2-9]{8}\/([\w.-]+)/.exec(text)![1]!;
/** Everything that the database holds of tables, as text. */
async function everything(): Promise<string> {
	const tables = await context.db.query<{ name: string }>(
		`select format('%I.%I', table_schema, table_name) as name from information_schema.tables
		 where table_type = 'BASE TABLE' and table_schema not in ('pg_catalog', 'information_schema')`
	);
	const rows = await Promise.all(
		tables.map(({ name }) => context.db.query<{ all: string }>(`select t::text as all from ${name} t`))
	);
	return rows
		.flat()
		.map(({ all }) => all)
		.join('\n');
}

describe('a wish to join', () => {
	it('is in the letter alone: nothing is stored about somebody before they confirm', async () => {
		await ask();
		const stored = await everything();
		expect(stored).toContain('Hut weeks');
		expect(/tindra|vesk/i.exec(stored)).toBeNull();
		expect(sent.map(({ to }) => to)).toEqual(['tindra@example.org']);
		// Sealed: nobody who sees the address reads a name in it.
		expect(Buffer.from(sealedIn(sent[0]!), 'base64url').toString('latin1')).not.toMatch(/tindra/i);
		expect(await openWish(context, code.toLowerCase(), sealedIn(sent[0]!))).toEqual({
			...NEW,
			email: 'tindra@example.org'
		});
	});

	it('is the same letter, and the same answer, for an address that is known', async () => {
		const known = world.people[0]!;
		const { email } = (await enrolmentsOf(context.db, world.challenge.id)).find(
			({ id }) => id === known.enrolmentId
		)!;
		const answers = [await ask({ ...NEW, email }), await ask()];
		expect(answers.map((answer) => Object.keys(answer).sort())).toEqual(
			Array(2).fill(Object.keys(NEW).sort())
		);
		const texts = sent.map(({ subject, text }) => [
			subject,
			text.replace(sealedIn({ to: '', subject, text }), '')
		]);
		expect(texts[0]).toEqual(texts[1]);
		expect(await waitingOf(context.db, world.challenge)).toEqual([]);
	});

	it('is good for a day, for its own code, and as it was written', async () => {
		await ask();
		const sealed = sealedIn(sent[0]!);
		const other = code.startsWith('A') ? `B${code.slice(1)}` : `A${code.slice(1)}`;
		const none = (wish: string, of = code) => refusal(openWish(context, of, wish));
		expect(await none(sealed, other)).toMatchObject({ status: 404 });
		for (const changed of [
			sealed.slice(0, -10) + (sealed.at(-10) === 'A' ? 'B' : 'A') + sealed.slice(-9),
			'',
			'a.b.c.d.e',
			sealed.slice(9)
		])
			expect(await none(changed)).toMatchObject({ status: 404 });
		context.at('2026-11-26T12:01:00Z');
		expect(await none(sealed)).toMatchObject({ status: 404 });
	});

	it('sealed by anybody else is none, and one without an end neither (RFC 7516)', async () => {
		const [header, claims] = [{ alg: 'dir', enc: 'A256GCM' } as const, { ...NEW, aud: code }];
		const foreign = await new EncryptJWT(claims)
			.setProtectedHeader(header)
			.setExpirationTime('1d')
			.encrypt(Buffer.alloc(32, 7));
		expect(await refusal(openWish(context, code, foreign))).toMatchObject({ status: 404 });
		await sealWish(context, code, NEW);
		const key = Buffer.from((await readSetting<string>(context.db, 'join key'))!, 'base64');
		const endless = await new EncryptJWT(claims).setProtectedHeader(header).encrypt(key);
		expect((await jwtDecrypt(endless, key)).payload.name, 'it is whole').toBe(NEW.name);
		expect(await refusal(openWish(context, code, endless))).toMatchObject({ status: 404 });
	});

	it('that cannot be mailed says so', async () => {
		const broken = { send: () => Promise.reject(new Error('no server')) };
		expect(await refusal(askToJoin(context, broken, code, NEW, ORIGIN))).toMatchObject({ status: 503 });
	});

	it.each([
		[{ name: '' }, 'name'],
		[{ email: 'tindra at home' }, 'email'],
		[{ zone: 'Mars/Base' }, 'zone']
	])('with %j is asked about, and nothing is sent', async (more, field) => {
		const refused = await refusal(ask({ ...NEW, ...more }));
		expect(refused.faults.map((fault) => fault.field)).toEqual([field]);
		expect(sent).toEqual([]);
	});
});

it('five an hour are taken from one address', async () => {
	const limit = new TryLimit(context.db, 'join-test', 5, 3600);
	for (let i = 0; i < 5; i++) await limit.take('net');
	expect(await refusal(limit.take('net'))).toMatchObject({ status: 429 });
	await limit.take('other');
});
