/** The clock of the machine is put back or forward, as it is when it was wrong and is set right. */
import { beforeEach, describe, expect, it } from 'vitest';
import { coachOf, provenLately, signIn } from '$lib/server/account/auth/login';
import { openLink, personOf } from '$lib/server/account/auth/link';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { standingOf } from '$lib/server/done/day/own-day';
import { wake } from '$lib/server/contact/delivery/morning';
import { makeWorld, PASSWORD, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
const NOON = Date.parse('2026-11-25T12:00:00Z');
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const to = (ms: number) => context.at(new Date(NOON + ms).toISOString());
beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	to(0);
	return () => context.db.close();
});

describe('a coach who is signed in', () => {
	const signedIn = async () => {
		const { token } = await signIn(context, 'runa@example.org', PASSWORD);
		await coachOf(context, token);
		return token;
	};

	it.each([-7 * DAY, -DAY, -HOUR, HOUR, DAY])(
		'stays so when the clock is off by %i ms and right again',
		async (by) => {
			let token = await signedIn();
			for (const at of [by, 0, by, 0]) {
				to(at);
				const found = await coachOf(context, token);
				expect(found?.coach.name).toBe('Runa');
				token = found?.newToken ?? token;
			}
		}
	);

	it('has not proven the password lately by a clock that is put back afterwards', async () => {
		to(365 * DAY);
		const token = await signedIn();
		const lately = async () => {
			const { coach } = (await coachOf(context, token))!;
			return provenLately(coach, context.clock.now());
		};
		expect(await lately()).toBe(true);
		to(0);
		expect(await lately()).toBe(false);
	});

	it('gets a new token soon after the clock was put back, too', async () => {
		to(30 * DAY);
		const token = await signedIn();
		to(0);
		const found = await coachOf(context, token);
		expect(found?.newToken).toBeTruthy();
	});
});

it('a device of a person stays known, and a result keeps its day', async () => {
	const token = (await openLink(context, world.secrets[0]!))!;
	const me = (await personOf(context, token))!;
	await checkIn(context, me, { id: context.ids.uuid(), day: 3, done: 'all' });
	for (const by of [-DAY, 30 * DAY, -30 * DAY, 0]) {
		to(by);
		expect(await personOf(context, token)).not.toBeNull();
	}
	const { days } = await standingOf(context, me);
	expect(days[2]).toMatchObject({ day: 3, state: 'done' });
});

it('a morning comes once, whichever way the clock goes', async () => {
	const sent: string[] = [];
	const jobs = {
		send: (_: unknown, { name }: { name: string }, data: object) => {
			sent.push(`${name} ${(data as { date: string }).date}`);
			return Promise.resolve();
		}
	};
	const wakeAt = async (ms: number) => {
		// Six in the morning in Oslo.
		to(ms - 7 * HOUR);
		await wake({ ...context, jobs });
	};
	await wakeAt(0);
	await wakeAt(-DAY);
	await wakeAt(0);
	await wakeAt(3 * DAY);
	await wakeAt(2 * DAY);
	await wakeAt(3 * DAY);
	expect(sent.length).toBe(new Set(sent).size);
	expect(sent.length).toBeGreaterThan(0);
});
