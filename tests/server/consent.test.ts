import { beforeEach, describe, expect, it } from 'vitest';
import { finishIntake, isConsentTold, nothingChanged } from '$lib/server/people/intake';
import { asPerson, enrolmentById } from '$lib/server/records/enrolments';
import { randomIds } from '$lib/server/platform/ids';
import { sharedWorld } from '../support/context';
import { ANSWERS, unanswered } from '../support/intake';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo] = world.people;
const id = () => oslo!.participantId;
const me = async () => asPerson(await enrolmentById(context.db, oslo!.enrolmentId));
const finish = () => finishIntake(context, id(), 'participant', ANSWERS, randomIds.uuid());

beforeEach(async () => {
	context.at('2026-11-25T12:00:00Z');
	await unanswered(context.db, id());
});

describe('what a coach was told of consent', () => {
	const told = () => finishIntake(context, id(), 'coach', ANSWERS, randomIds.uuid());
	const givenBy = () =>
		context.db.query<{ by: string }>('select given_by as by from consent where participant_id = $1', [id()]);

	it('is marked, and the person is asked to look it over', async () => {
		await told();
		expect([await isConsentTold(context.db, id()), (await me()).asksAgain]).toEqual([true, true]);
		expect(await givenBy()).toEqual([{ by: 'coach' }]);
	});

	it.each([
		['say that nothing has changed', () => nothingChanged(context, id())],
		['answer themselves', () => finish()]
	])('is theirs once they %s', async (_, say) => {
		await told();
		context.at('2026-11-25T13:00:00Z');
		await say();
		expect([await isConsentTold(context.db, id()), (await me()).asksAgain]).toEqual([false, false]);
		expect(await givenBy()).toEqual([{ by: 'participant' }]);
	});

	it('takes nothing back that they said themselves', async () => {
		await finish();
		context.at('2026-11-25T13:00:00Z');
		await told();
		expect(await isConsentTold(context.db, id())).toBe(false);
	});
});
