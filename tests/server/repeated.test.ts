/** What is sent twice, as a proxy or a device that got no answer does, counts once. */
import { expect, it } from 'vitest';
import type { Person } from '$lib/server/records/person';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { keepMeasure } from '$lib/server/people/body/measures';
import { keepWeekly } from '$lib/server/people/body/weekly';
import { STOP_SIGN_KEYS } from '$core/health';
import { reportStop } from '$lib/server/contact/incidents/incidents';
import { tellOk } from '$lib/server/contact/incidents/own-hold';
import { writeToCoach } from '$lib/server/contact/messages/messages';
import { randomIds } from '$lib/server/platform/ids';
import { sharedWorld } from '../support/context';
import { storeIn } from '../support/kept-files';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const me = world.people[0]!;
const store = { ...context, config: storeIn('/nonexistent') };

it.each<[string, string, (id: string, person: Person) => Promise<unknown>]>([
	['a check-in', 'result', (id, person) => checkIn(context, person, { id, day: 3, done: 'all' })],
	['a message', 'message', (id, person) => writeToCoach(context, person, { id, text: 'Better today.' })],
	[
		'a measure',
		'measure',
		(id, person) => keepMeasure(context, person, { id, kind: 'weight', value: '80', on: '2026-11-25' })
	],
	[
		'a week',
		'weekly',
		(id, person) => keepWeekly(context, person, { week: 1, begun: 1 }, { id, favourite: 'Squat' })
	],
	[
		'a stop',
		'incident',
		(id, person) =>
			reportStop(context, person, {
				id,
				sign: STOP_SIGN_KEYS[0],
				note: '',
				stoppedAt: context.clock.now(),
				sentAt: context.clock.now()
			})
	],
	[
		'the OK of a doctor',
		'message',
		(id, person) => tellOk(store, person, { id, who: 'Dr Sand', on: '2026-11-24', note: '' }, null)
	]
])('%s sent four times, twice at once, is there once', async (_, table, send) => {
	const count = async () =>
		(await context.db.query<{ n: number }>(`select count(*)::int as n from ${table}`))[0]!.n;
	const before = await count();
	const id = randomIds.uuid();
	// A refusal as “already there” is an answer as good as the first.
	const sent = () => send(id, me).catch((error: { status?: number }) => expect(error.status).toBe(409));
	await Promise.all([sent(), sent()]);
	await sent();
	context.at('2026-11-25T12:05:00Z');
	await sent();
	expect((await count()) - before).toBe(1);
	context.at('2026-11-25T12:00:00Z');
});
