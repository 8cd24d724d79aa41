/** How a coach gets in, and back in, on the running application. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { simpleParser } from 'mailparser';
import { TOTP } from 'otpauth';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { admin } from '../support/admin';
import { makeCoach, PASSWORD } from '../support/context';
import { cookieIn, FORM, serveWorld, type Served } from '../support/served';

const NEXT = 'lantern rope cocoa ridge';
let served: Served;
beforeAll(async () => {
	// Under a name without a dot, as most people run it on their own machine.
	served = await serveWorld('account', { HOST: 'localhost' }, async (context) => {
		await makeCoach(context, 'Nila');
		await makeCoach(context, 'Maarit');
		await makeCoach(context, 'Bao');
	});
}, 180_000);
afterAll(() => served.server.stop());

const form = (fields: Record<string, string>): string => new URLSearchParams(fields).toString();
const post = (path: string, fields: Record<string, string>, cookie = '') =>
	served.post(path, form(fields), cookie, FORM);
const signedIn = async (name: string, password = PASSWORD): Promise<string> =>
	cookieIn(await served.signIn(`${name}@example.org`, password));
const pageOf = async (path: string, cookie = ''): Promise<string> => (await served.get(path, cookie)).text();
const leadsTo = (answer: Response): string | null => answer.headers.get('location');

/** The messages that were written in place of being sent, once there are as many. */
async function letters(count: number) {
	const outbox = join(served.directory, 'outbox');
	const names = () => {
		try {
			return readdirSync(outbox).filter((name) => name.endsWith('.eml'));
		} catch {
			return [];
		}
	};
	await expect.poll(() => names().length, { timeout: 20_000 }).toBe(count);
	return Promise.all(
		names()
			.sort()
			.map((name) => simpleParser(readFileSync(join(outbox, name))))
	);
}

it('a forgotten password: a message with a link that sets a new one, once; a stranger’s address is not told apart', async () => {
	const device = await signedIn('nila');
	const forgot = (email: string) => post('/sign-in/forgot', { email });
	const asked = await forgot('Nila@example.org');
	const stranger = await forgot('nobody@example.org');
	const said = async (answer: Response, email: string) => {
		const [, words] = /role="status">([^]*?)<\/p>/.exec(await answer.text()) ?? [];
		return [answer.status, words?.replaceAll(email, '…')];
	};
	const told = await said(asked, 'Nila@example.org');
	expect(told).toEqual([200, expect.stringContaining('on its way')]);
	expect(await said(stranger, 'nobody@example.org')).toEqual(told);

	const [letter] = await letters(1);
	expect([letter?.subject, letter?.to]).toEqual([
		'Set a new password for Cadrex',
		expect.objectContaining({ text: 'nila@example.org' })
	]);
	const link = new URL(/http\S+\/reset\/\S+/.exec(letter?.text ?? '')![0]);
	expect(await pageOf(link.pathname)).toContain('nila@example.org');
	const weak = await post(link.pathname, { password: 'password1234' });
	expect([weak.status, await weak.text()]).toEqual([400, expect.stringContaining('would be guessed soon')]);
	expect(leadsTo(await post(link.pathname, { password: NEXT }))).toBe('/sign-in?notice=reset');
	expect((await post(link.pathname, { password: PASSWORD })).status).toBe(404);
	expect((await served.get('/challenges', device)).status).toBe(303);
	expect((await served.signIn('nila@example.org', PASSWORD)).status).toBe(401);
	expect((await served.signIn('nila@example.org', NEXT)).status).toBe(303);
	expect((await letters(2))[1]?.text).toContain('The password of your Cadrex account was changed');
	expect(served.server.output()).not.toContain(link.pathname.split('/').at(-1));
});

it('the operator makes such a link on the command line, also while the application runs', async () => {
	const { status, stdout } = await admin(served.directory, ['reset-password', '--email', 'bao@example.org']);
	expect([status, stdout]).toEqual([0, expect.stringContaining(`${served.server.url}/reset/`)]);
	const { pathname } = new URL(/http\S+/.exec(stdout)![0]);
	expect(leadsTo(await post(pathname, { password: NEXT }))).toBe('/sign-in?notice=reset');
	expect(await admin(served.directory, ['reset-password', '--email', 'nobody@example.org'])).toEqual({
		status: 1,
		stdout: '',
		stderr: expect.stringContaining('No coach has the address nobody@example.org.') as string
	});
}, 60_000);

describe('two-step sign-in', () => {
	it('is set up with a code, asked for at sign-in, and cannot be tried through', async () => {
		const cookie = await signedIn('maarit');
		expect((await post('/account?/offer', {}, cookie)).status).toBe(200);
		const key = /clock text-sm break-all">([A-Z2-7 ]+)</
			.exec(await pageOf('/account', cookie))![1]!
			.replaceAll(' ', '');
		const code = () => new TOTP({ secret: key }).generate();
		const on = await post('/account?/turnOn', { code: code() }, cookie);
		const recovery = [...(await on.text()).matchAll(/<li>([a-z2-9-]{19})<\/li>/g)].map(([, found]) => found!);
		expect([on.status, recovery.length]).toEqual([200, 10]);

		const first = await served.signIn('maarit@example.org', PASSWORD);
		expect(leadsTo(first)).toBe('/sign-in/code?then=%2Fchallenges');
		const waiting = cookieIn(first);
		for (const path of ['/challenges', '/account', `/c/${served.world.challenge.id}/roll`])
			expect(leadsTo(await served.get(path, waiting))).toMatch(/^\/sign-in\?then=/);
		const entered = await post('/sign-in/code', { code: recovery[0]! }, waiting);
		expect([entered.status, leadsTo(entered)]).toEqual([303, '/challenges']);
		expect(cookieIn(entered)).not.toBe(waiting);
		expect((await served.get('/challenges', cookieIn(entered))).status).toBe(200);
		expect((await served.get('/challenges', waiting)).status).toBe(303);

		// The code that turned it on is used up; the recovery code too.
		const again = cookieIn(await served.signIn('maarit@example.org', PASSWORD));
		const statuses = [];
		for (let i = 0; i < 12; i++)
			statuses.push((await post('/sign-in/code', { code: i === 0 ? recovery[0]! : '000000' }, again)).status);
		expect(statuses).toEqual([...Array<number>(10).fill(401), 429, 429]);
		const held = await post('/sign-in/code', { code: recovery[1]! }, again);
		expect([held.status, Number(held.headers.get('retry-after')) > 0]).toEqual([429, true]);
		// Others are not held up by it.
		expect((await served.signIn('runa@example.org', PASSWORD)).status).toBe(303);
	});

	it('ends by the operator’s command', async () => {
		expect(
			(await admin(served.directory, ['second-factor-off', '--email', 'maarit@example.org'])).stdout
		).toContain('is off for maarit');
		expect(leadsTo(await served.signIn('maarit@example.org', PASSWORD))).toBe('/challenges');
	}, 60_000);

	it('without a sign-in that waits there is nothing to enter a code for', async () => {
		for (const cookie of ['', served.coach, served.me]) {
			const answer = await post('/sign-in/code', { code: '123456' }, cookie);
			expect([answer.status, leadsTo(answer)]).toEqual([303, '/sign-in?notice=late']);
		}
	});
});

it('a device ends another, and a stranger’s is not there', async () => {
	const [here, there] = [await signedIn('runa'), await signedIn('runa')];
	const ids = [...(await pageOf('/account', here)).matchAll(/name="device" value="([^"]+)"/g)].map(
		([, id]) => id!
	);
	expect(ids.length).toBeGreaterThanOrEqual(2);
	const stranger = await signedIn('maarit');
	expect((await post('/account?/endDevice', { device: ids[0]! }, stranger)).status).toBe(404);
	for (const device of ids) expect((await post('/account?/endDevice', { device }, here)).status).toBe(200);
	expect((await served.get('/account', here)).status).toBe(200);
	expect((await served.get('/account', there)).status).toBe(303);
	served.coach = here;
});

it('a quarter of an hour after the password it is asked for again before what is sensitive', async () => {
	const cookie = await signedIn('runa');
	const person = `/c/${served.world.challenge.id}/people/${served.world.people[2]!.enrolmentId}`;
	await served.restartAt('2026-11-25T12:16:00Z');
	for (const action of ['offer', 'turnOff', 'codes', 'turnOn'])
		expect(leadsTo(await post(`/account?/${action}`, {}, cookie))).toBe(
			'/account/confirm?then=%2Faccount%3Fconfirmed'
		);
	const confirm = `/account/confirm?then=${encodeURIComponent(person)}`;
	expect(leadsTo(await post(`${person}?/unenrol`, {}, cookie))).toBe(confirm);
	expect((await served.get(person, cookie)).status).toBe(200);
	expect((await post(confirm, { password: 'wrong' }, cookie)).status).toBe(401);
	expect(leadsTo(await post(confirm, { password: PASSWORD }, cookie))).toBe(person);
	expect(leadsTo(await post(`${person}?/unenrol`, {}, cookie))).toBe(
		`/c/${served.world.challenge.id}/people`
	);
	expect((await served.get(person, cookie)).status).toBe(404);
	expect(await pageOf('/account', cookie)).toContain('Password confirmed');
}, 180_000);
