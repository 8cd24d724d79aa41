/** What a coach gets in her morning, and what goes out by her rules. */
import { beforeEach, expect, it } from 'vitest';
import { REASON_KINDS, type ReasonKind } from '$core/triage';
import { threadOf, writeToCoach } from '$lib/server/contact/messages/messages';
import type { Letter } from '$lib/server/platform/mail';
import { digestFor, morning, wake, writeByRule } from '$lib/server/contact/delivery/morning';
import { postSettingsOf, savePostSettings } from '$lib/server/contact/post/settings';
import { reachesIn } from '$lib/server/contact/reach/reaches';
import { makeWorld, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
/** What the other side took. */
let taken: Letter[];
const mail = { send: (letter: Letter) => Promise.resolve(void taken.push(letter)) };

beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	taken = [];
	return () => context.db.close();
});

const thread = (i: number) => threadOf(context.db, world.people[i]!.enrolmentId, context.clock.now());
const sent: { name: string; data: object }[] = [];
const jobs = {
	send: (_: unknown, { name }: { name: string }, data: object) => {
		sent.push({ name, data });
		return Promise.resolve();
	}
};
const settings = (raw: object) => savePostSettings(context.db, world.coach.id, raw);
const config = { origin: null };

it('comes once a day, at her hour by her clock', async () => {
	sent.length = 0;
	context.at('2026-11-26T04:59:00Z');
	await wake({ ...context, jobs });
	sent.length = 0;
	context.at('2026-11-27T04:59:00Z');
	expect(await wake({ ...context, jobs }), '05:59 in Oslo').toBe(0);
	context.at('2026-11-27T05:00:00Z');
	expect(await wake({ ...context, jobs })).toBe(1);
	expect(await wake({ ...context, jobs })).toBe(0);
	expect(sent).toEqual([{ name: 'morning', data: { coachId: world.coach.id, date: '2026-11-27' } }]);
});

it('brings a letter that names nobody whose reason is about safety', async () => {
	context.at('2026-11-27T05:00:00Z');
	const letter = await digestFor({ ...context, config }, world.coach);
	expect(letter!.text).toMatch(/^Good morning Runa,\n\nHut weeks, day 5 of 14\n/);
	expect(letter!.text).toMatch(/- May drop out: Person \d \(hasn’t started\), Person \d \(hasn’t started\)/);
	expect(letter!.text).toContain('- 0 of 3 checked in within the last 24 hours.');
	expect(letter!.text).not.toMatch(/undefined|null|NaN/);
});

it('is not written to who turned it off, nor when nothing runs', async () => {
	const data = { coachId: world.coach.id, date: '2026-11-27' };
	await morning({ ...context, config }, mail, data);
	expect(taken).toMatchObject([
		{ to: { address: 'runa@example.org' }, once: { key: `morning-2026-11-27-${world.coach.id}` } }
	]);
	await settings({ digest: false });
	await morning({ ...context, config }, mail, data);
	expect(taken).toHaveLength(1);
	await settings({});
	context.at('2027-03-01T05:00:00Z');
	await morning({ ...context, config }, mail, data);
	expect(taken).toHaveLength(1);
});

it('has drafts sent for the reasons that she set a rule for, once each, and for no other', async () => {
	context.at('2026-11-28T05:00:00Z');
	const set = async (automatic: ReasonKind[]) => {
		await settings({ automatic, greeting: 'Hei {name},', style: 'brief' });
		return writeByRule(context, world.coach, await postSettingsOf(context.db, world.coach.id));
	};
	expect(await set([])).toBe(0);
	expect(await set(['full week'])).toBe(0);
	expect(await set(['never started'])).toBe(3);
	expect((await thread(0))[0]!.text).toMatch(/^Hei Person,\n\nWe have begun/);
	expect(await set(['never started']), 'they have been written to').toBe(0);
	expect((await reachesIn(context.db, world.challenge.id, context.clock.now()))[0]).toMatchObject({
		way: 'wrote',
		reasons: ['never started'],
		note: 'sent by your rule'
	});
	await expect(settings({ automatic: ['pain'] })).rejects.toMatchObject({ status: 400 });
	for (const [kind, group] of Object.entries(REASON_KINDS))
		if (group === 'safety' || group === 'adaptation')
			await expect(settings({ automatic: [kind] })).rejects.toMatchObject({ status: 400 });
});

it('nobody who waits for an answer is written to by a rule, nor twice in the same words', async () => {
	context.at('2026-11-28T05:00:00Z');
	await writeToCoach(context, world.people[1]!, {
		id: context.ids.uuid(),
		text: 'Is there a chair-free way?'
	});
	await settings({ automatic: ['never started'] });
	const byRule = async () =>
		writeByRule(context, world.coach, await postSettingsOf(context.db, world.coach.id));
	expect(await byRule()).toBe(2);
	expect((await thread(1)).map(({ byCoach }) => byCoach)).toEqual([false]);
	expect(await thread(0)).toMatchObject([{ byCoach: true, toSeveral: false }]);
	// Comes up again after three days, and as many later.
	context.at('2026-12-02T05:00:00Z');
	expect(await byRule()).toBe(2);
	const [first, second] = await thread(0);
	expect(first!.text).toContain('We have begun');
	expect(second!.text).toContain('I wrote to you 4 days ago and would like to know how you are.');
});

it('settings say what is wrong with them', async () => {
	await expect(settings({ quietFrom: '9 pm' })).rejects.toThrow(/A time of day/);
	await expect(settings({ greeting: 'Hi {nam},' })).rejects.toThrow(/did you mean \{name\}/);
	await expect(settings({ style: 'shouting' })).rejects.toMatchObject({ status: 400 });
	expect(await postSettingsOf(context.db, world.coach.id)).toMatchObject({
		quietFrom: '21:00',
		digest: true
	});
});
