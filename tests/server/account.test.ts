import { beforeEach, describe, expect, it } from 'vitest';
import { TOTP } from 'otpauth';
import { changePassword, makeReset, resetOf, resetPassword } from '$lib/server/account/auth/account';
import { coachById, passwordChangedAt } from '$lib/server/records/coach';
import { registerCoach } from '$lib/server/account/auth/coach';
import { deviceName } from '$lib/server/account/auth/device';
import { eventsOf, recordEvent } from '$lib/server/account/auth/events';
import {
	coachOf,
	devicesOf,
	endDevice,
	letIn,
	provenLately,
	prove,
	signIn,
	waitingLogin,
	type SignedInCoach
} from '$lib/server/account/auth/login';
import { endSecondFactorFor, resetLinkFor } from '$lib/server/account/auth/operator';
import {
	answerCode,
	offerSecondFactor,
	renewRecoveryCodes,
	secondFactorOf,
	turnOffSecondFactor,
	turnOnSecondFactor
} from '$lib/server/account/auth/second-factor';
import { refuseWeak } from '$lib/server/account/auth/strength';
import { purgeSignIns } from '$lib/server/edge/upkeep/purge';
import { PASSWORD, sharedWorld } from '../support/context';

const NOON = '2026-11-25T12:00:00Z';
const NEXT = 'lantern rope cocoa ridge';
const { context, world } = await sharedWorld(NOON);
const { coach } = world;

beforeEach(async () => {
	context.at(NOON);
	await turnOffSecondFactor(context, coach.id);
	await context.db.query('update coach set second_factor_step = 0');
	await context.db.query('delete from coach_login');
});

const tokenOf = async (password = PASSWORD, device?: string): Promise<string> =>
	(await signIn(context, coach.email, password, device)).token;
const coachWith = async (token: string): Promise<SignedInCoach> => (await coachOf(context, token))!.coach;

describe('passwords (ASVS 2.1)', () => {
	const weak = (password: string) =>
		refuseWeak({ password, about: ['runa@hutseason.example', 'Runa Hallgren'] });

	it.each(['password1234', 'aaaaaaaaaaaaaaaa', 'qwertyuiop123', 'runahallgren1', 'abcdefghijkl'])(
		'%s is refused with the reason',
		async (password) => {
			await expect(weak(password)).rejects.toMatchObject({
				status: 400,
				faults: [{ field: 'password', message: expect.stringMatching(/would be guessed soon: \w/) as string }]
			});
		}
	);

	it('takes four words, in any letters', async () => {
		await expect(weak(NEXT)).resolves.toBeUndefined();
		await expect(weak('снег лавина котёл тропа')).resolves.toBeUndefined();
	});

	it('has 12 to 128 letters, and a good one makes a coach', async () => {
		const of = (password: string, email: string) =>
			registerCoach(context, { email, name: 'Maarit', zone: 'Europe/Helsinki', password }, refuseWeak);
		await expect(of('abcdefghijk', 'a@huts.example')).rejects.toMatchObject({ status: 400 });
		await expect(of('ab '.repeat(43), 'a@huts.example')).rejects.toMatchObject({ status: 400 });
		await expect(of('password1234', 'a@huts.example')).rejects.toMatchObject({ status: 400 });
		const made = await of(NEXT, 'a@huts.example');
		expect(await coachById(context, made.id)).toMatchObject({ name: 'Maarit' });
	});

	it('are changed with the current one; other devices are signed out, this one is not (ASVS 3.3.3)', async () => {
		const here = await tokenOf();
		const elsewhere = await tokenOf();
		const link = await makeReset(context, coach.id);
		const me = await coachWith(here);
		await expect(changePassword(context, me, { current: 'wrong', password: NEXT })).rejects.toMatchObject({
			status: 401,
			faults: [{ field: 'current' }]
		});
		await expect(
			changePassword(context, me, { current: PASSWORD, password: 'password1234' })
		).rejects.toMatchObject({ status: 400, faults: [{ field: 'password' }] });
		expect(await passwordChangedAt(context, coach.id)).toBeNull();
		await changePassword(context, me, { current: PASSWORD, password: NEXT });
		expect([
			await coachOf(context, here),
			await coachOf(context, elsewhere),
			await resetOf(context, link)
		]).toEqual([expect.objectContaining({ newToken: null }), null, null]);
		expect(await passwordChangedAt(context, coach.id)).toBe(Date.parse(NOON));
		await expect(tokenOf()).rejects.toMatchObject({ status: 401 });
		await changePassword(context, me, { current: NEXT, password: PASSWORD });
	});

	it('hold as given for a quarter of an hour (ASVS 3.7.1)', async () => {
		const token = await tokenOf();
		const at = async (instant: string) => {
			context.at(instant);
			return provenLately(await coachWith(token), context.clock.now());
		};
		expect([await at('2026-11-25T12:14:59Z'), await at('2026-11-25T12:15:00Z')]).toEqual([true, false]);
		const me = await coachWith(token);
		await expect(prove(context, me, 'wrong')).rejects.toMatchObject({ status: 401 });
		expect(await at('2026-11-25T12:15:00Z')).toBe(false);
		await prove(context, me, PASSWORD);
		expect(await at('2026-11-25T12:29:00Z')).toBe(true);
	});
});

describe('links that set a new password (ASVS 2.5)', () => {
	it('work once, within half an hour, and sign every device out', async () => {
		const device = await tokenOf();
		const secret = await makeReset(context, coach.id);
		expect(await resetOf(context, secret)).toMatchObject({ email: coach.email });
		await expect(resetPassword(context, secret, { password: 'short' })).rejects.toMatchObject({
			status: 400
		});
		await resetPassword(context, secret, { password: NEXT });
		expect(await coachOf(context, device)).toBeNull();
		await expect(resetPassword(context, secret, { password: PASSWORD })).rejects.toMatchObject({
			status: 404
		});
		expect(await tokenOf(NEXT)).toBeTruthy();
		await resetPassword(context, await makeReset(context, coach.id), { password: PASSWORD });

		const late = await makeReset(context, coach.id);
		context.at('2026-11-25T12:29:59Z');
		expect(await resetOf(context, late)).not.toBeNull();
		context.at('2026-11-25T12:30:00Z');
		expect(await resetOf(context, late)).toBeNull();
	});

	it('are one at a time, and only their hash is kept', async () => {
		const [first, second] = [await makeReset(context, coach.id), await makeReset(context, coach.id)];
		expect([await resetOf(context, first), (await resetOf(context, second))?.name]).toEqual([null, 'Runa']);
		expect(JSON.stringify(await context.db.query('select * from password_reset'))).not.toContain(second);
	});

	it('of two at once one sets the password', async () => {
		const secret = await makeReset(context, coach.id);
		const done = await Promise.allSettled(
			[NEXT, PASSWORD].map((password) => resetPassword(context, secret, { password }))
		);
		expect(done.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
		await resetPassword(context, await makeReset(context, coach.id), { password: PASSWORD });
	});

	it('are made by the operator for an address that is somebody’s', async () => {
		const link = await resetLinkFor(context, ' RUNA@example.org', 'https://huts.example');
		expect(link).toMatch(/^https:\/\/huts\.example\/reset\/[\w-]{43}$/);
		expect(await resetOf(context, link.split('/').at(-1)!)).not.toBeNull();
		await expect(resetLinkFor(context, 'nobody@example.org', '')).rejects.toMatchObject({ status: 404 });
	});
});

describe('two-step sign-in (ASVS 2.8)', () => {
	const AT = Date.parse(NOON);
	const MINUTE = 60_000;
	const keyOf = async (): Promise<string> =>
		(
			await context.db.query<{ second_factor: string }>('select second_factor from coach where id = $1', [
				coach.id
			])
		)[0]!.second_factor;
	const codeAt = async (at: number): Promise<string> =>
		new TOTP({ secret: await keyOf() }).generate({ timestamp: at });
	/** Turned on at noon. @returns recovery codes */
	async function turnedOn(): Promise<string[]> {
		await offerSecondFactor(context, coach);
		return turnOnSecondFactor(context, coach.id, await codeAt(AT), AT);
	}

	it('asks for nothing before a first code has come of what was offered', async () => {
		await offerSecondFactor(context, coach);
		const { since, offer } = await secondFactorOf(context, coach);
		expect([since, offer?.uri]).toEqual([
			null,
			expect.stringMatching(/^otpauth:\/\/totp\/Cadrex:runa%40example\.org\?.*secret=[A-Z2-7]{32}/)
		]);
		expect((await signIn(context, coach.email, PASSWORD)).awaitsCode).toBe(false);
		const wrong = String((Number(await codeAt(AT)) + 1) % 1_000_000).padStart(6, '0');
		await expect(turnOnSecondFactor(context, coach.id, wrong, AT)).rejects.toMatchObject({ status: 400 });
		await turnOnSecondFactor(context, coach.id, await codeAt(AT), AT);
		expect(await secondFactorOf(context, coach)).toEqual({ since: AT, offer: null, codesLeft: 10 });
		await expect(offerSecondFactor(context, coach)).rejects.toMatchObject({ status: 409 });
		await expect(turnOnSecondFactor(context, coach.id, await codeAt(AT), AT)).rejects.toMatchObject({
			status: 409
		});
	});

	it('lets nobody in with the password alone', async () => {
		await turnedOn();
		const { token, awaitsCode } = await signIn(context, coach.email, PASSWORD);
		expect([awaitsCode, await coachOf(context, token)]).toEqual([true, null]);
		expect(await devicesOf(context, coach.id)).toEqual([]);
		expect(await waitingLogin(context, token)).toEqual({ coachId: coach.id, email: coach.email });
		const fresh = await letIn(context, token);
		expect(fresh).not.toBe(token);
		expect([await coachOf(context, token), (await coachWith(fresh)).name]).toEqual([null, 'Runa']);
		await expect(letIn(context, token)).rejects.toMatchObject({ status: 401 });
	});

	it('waits for ten minutes', async () => {
		await turnedOn();
		const { token } = await signIn(context, coach.email, PASSWORD);
		context.at('2026-11-25T12:10:00Z');
		expect(await waitingLogin(context, token)).toBeNull();
		await expect(letIn(context, token)).rejects.toMatchObject({ status: 401 });
	});

	it('takes each code once (RFC 6238, 5.2), the one it was turned on with included', async () => {
		await turnedOn();
		const answer = (code: string, at: number) =>
			answerCode(context, coach.id, code, at).catch(() => 'refused');
		const next = await codeAt(AT + MINUTE);
		expect([
			await answer(await codeAt(AT), AT),
			await answer(next, AT + MINUTE),
			await answer(next, AT + MINUTE),
			// An older one than was taken is no good any more, though its time is near.
			await answer(await codeAt(AT + MINUTE - 30_000), AT + MINUTE),
			await answer('000000000', AT + 2 * MINUTE)
		]).toEqual(['refused', 'code', 'refused', 'refused', 'refused']);
	});

	it('takes each recovery code once, however it is written', async () => {
		const codes = await turnedOn();
		expect(codes).toHaveLength(10);
		expect(codes[0]).toMatch(/^([a-z2-9]{4}-){3}[a-z2-9]{4}$/);
		expect(JSON.stringify(await context.db.query('select * from recovery_code'))).not.toContain(
			codes[0]!.replaceAll('-', '')
		);
		const answer = (code: string) => answerCode(context, coach.id, code, AT).catch(() => 'refused');
		expect([
			await answer(codes[0]!.toUpperCase().replaceAll('-', ' ')),
			await answer(codes[0]!),
			await answer(codes[1]!)
		]).toEqual(['recovery code', 'refused', 'recovery code']);
		expect((await secondFactorOf(context, coach)).codesLeft).toBe(8);
		const fresh = await renewRecoveryCodes(context, coach.id);
		expect([await answer(codes[2]!), await answer(fresh[0]!)]).toEqual(['refused', 'recovery code']);
	});

	it('stays on when a link sets a new password, and the operator turns it off', async () => {
		await turnedOn();
		await resetPassword(context, await makeReset(context, coach.id), { password: PASSWORD });
		expect((await signIn(context, coach.email, PASSWORD)).awaitsCode).toBe(true);
		await endSecondFactorFor(context, coach.email);
		expect((await signIn(context, coach.email, PASSWORD)).awaitsCode).toBe(false);
		expect(await secondFactorOf(context, coach)).toEqual({ since: null, offer: null, codesLeft: 0 });
		await expect(renewRecoveryCodes(context, coach.id)).rejects.toMatchObject({ status: 409 });
	});
});

describe('devices (ASVS 3.3.4)', () => {
	it('are listed and ended one by one, by their own coach alone', async () => {
		const [phone, desk] = [
			await tokenOf(PASSWORD, 'Firefox on Android'),
			await tokenOf(PASSWORD, 'Safari on macOS')
		];
		context.at('2026-11-25T14:00:00Z');
		await coachOf(context, desk);
		const devices = await devicesOf(context, coach.id);
		expect(devices.map(({ name, usedAt }) => [name, new Date(usedAt).toISOString().slice(11, 16)])).toEqual([
			['Safari on macOS', '14:00'],
			['Firefox on Android', '12:00']
		]);
		const other = await registerCoach(
			context,
			{ email: `other-${devices[0]!.id}@huts.example`, name: 'Bao', zone: 'Asia/Tokyo', password: NEXT },
			refuseWeak
		);
		await expect(endDevice(context, other.id, devices[1]!.id)).rejects.toMatchObject({ status: 404 });
		await endDevice(context, coach.id, devices[1]!.id);
		expect([await coachOf(context, phone), (await devicesOf(context, coach.id)).length]).toEqual([null, 1]);
		for (const id of [devices[1]!.id, 'x'])
			await expect(endDevice(context, coach.id, id)).rejects.toMatchObject({ status: 404 });
	});

	it.each([
		['Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0', 'Firefox on Linux'],
		[
			'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Mobile/15E148 Safari/604.1',
			'Safari on iPhone phone'
		],
		['curl/8.0', 'Unknown device'],
		['<script>'.repeat(100), 'Unknown device'],
		[null, 'Unknown device']
	])('are called by browser and system: %s', (agent, name) => {
		expect(deviceName(agent)).toBe(name);
	});
});

describe('security events (ASVS 7.1.3)', () => {
	it('are kept for ninety days, of each coach their own', async () => {
		context.at('2026-11-25T12:30:00Z');
		await recordEvent(context, { kind: 'signed-in', coachId: coach.id, network: '198.51.100.7' });
		context.at('2026-11-25T13:00:00Z');
		await recordEvent(context, { kind: 'device-ended', coachId: coach.id });
		await recordEvent(context, { kind: 'sign-in-failed' });
		await recordEvent(context, { kind: 'link-opened', enrolmentId: world.people[0]!.enrolmentId });
		const kinds = async () => (await eventsOf(context, coach.id)).map(({ kind }) => kind);
		expect((await kinds()).slice(0, 2)).toEqual(['device-ended', 'signed-in']);
		const count = async () => (await context.db.query('select 1 from security_event')).length;
		const before = await count();
		context.at('2027-02-23T12:45:00Z');
		await purgeSignIns(context);
		expect(await kinds()).toEqual(['device-ended']);
		expect(await count()).toBeLessThan(before);
	});

	it('an old token that turns up again is one, and signs that device out', async () => {
		const first = await tokenOf();
		context.at('2026-11-25T13:30:00Z');
		const { newToken } = (await coachOf(context, first))!;
		await coachOf(context, newToken!);
		context.at('2026-11-25T13:40:00Z');
		expect(await coachOf(context, first)).toBeNull();
		expect((await eventsOf(context, coach.id)).some(({ kind }) => kind === 'token-reused')).toBe(true);
	});
});
