/**
 * Somebody asks to join and confirms it by mail. Until they do, what they typed is in the letter alone, sealed: nothing
 * is stored about them here, and nobody learns from the answer whether an address is known.
 */
import { randomBytes } from 'node:crypto';
import { EncryptJWT, errors, jwtDecrypt } from 'jose';
import type { InferType } from 'yup';
import { joinSchema } from '$contracts/join';
import { calledBy } from '$core/people';
import type { Queries } from '../platform/db/database';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import type { Mail } from '../platform/mail';
import { readSetting } from '../platform/settings';
import { validate } from '../platform/validate';
import { joinPage, type JoinPage } from './join';

export type JoinWish = InferType<typeof joinSchema>;

/** What somebody asks for. @throws Refusal 400 with faults */
export const wishFrom = (raw: unknown): JoinWish => validate(joinSchema, raw);

/** A letter can be answered for this long: seconds. */
const GOOD_FOR = 86_400;
const KEY = 'join key';

/** The key of this installation that seals what is in letters: made when it is first needed. */
async function sealingKey(db: Queries): Promise<Uint8Array> {
	const kept = () => readSetting<string>(db, KEY);
	let key = await kept();
	if (key === null) {
		await db.query('insert into setting (key, value) values ($1, $2) on conflict (key) do nothing', [
			KEY,
			JSON.stringify(randomBytes(32).toString('base64'))
		]);
		key = await kept();
	}
	return Buffer.from(key!, 'base64');
}

/** A wish to join as it stands in an address (RFC 7516: AES-256-GCM, key used as it is). */
export const sealWish = async (
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	code: string,
	{ name, email, zone }: JoinWish
): Promise<string> =>
	new EncryptJWT({ name, email, zone })
		.setProtectedHeader({ alg: 'dir', enc: 'A256GCM' })
		.setAudience(code.toUpperCase())
		.setExpirationTime(Math.floor(clock.now() / 1000) + GOOD_FOR)
		.encrypt(await sealingKey(db));

/** @throws Refusal 404 for a wish of another code, one that was changed or one that is older than a day */
export async function openWish(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	code: string,
	sealed: string
): Promise<JoinWish> {
	try {
		const { payload } = await jwtDecrypt(sealed, await sealingKey(db), {
			audience: code.toUpperCase(),
			currentDate: new Date(clock.now()),
			contentEncryptionAlgorithms: ['A256GCM'],
			requiredClaims: ['exp']
		});
		return wishFrom(payload);
	} catch (cause) {
		if (!(cause instanceof errors.JOSEError)) throw cause;
		throw new Refusal(
			404,
			'This link has run out, or is not whole. Ask to join once more: a new one is sent at once.'
		);
	}
}

/**
 * Sends somebody the letter with which they join. Known or not, they get the same.
 * @param origin where the application is reached
 * @throws Refusal 404 for a code that leads nowhere, 503 when no mail can be sent
 */
export async function askToJoin(
	context: Context,
	mail: Mail,
	code: string,
	wish: JoinWish,
	origin: string
): Promise<void> {
	const page = await joinPage(context, code);
	const sealed = await sealWish(context, code, wish);
	try {
		await mail.send(letterOf(page, wish, `${origin}/start/${code.toUpperCase()}/${sealed}`));
	} catch (cause) {
		throw Object.assign(
			new Refusal(503, 'We can’t send email just now. Try again in a few minutes; nothing was kept.'),
			{ cause }
		);
	}
}

const letterOf = ({ challenge, coach }: JoinPage, { name, email }: JoinWish, link: string) => ({
	to: email,
	subject: `Join ${challenge.name}?`.slice(0, 120),
	text: `Hello ${calledBy(name)},

Someone asked to join ${challenge.name} with ${coach}, with this address. If it was you, confirm it within a day:

${link}

If it wasn’t you, ignore this message. Nothing has been kept about you.
`
});
