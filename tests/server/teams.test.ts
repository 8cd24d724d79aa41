import { describe, expect, it } from 'vitest';
import { loadRoll } from '$lib/server/done/attendance/roll';
import { comeBack, leave } from '$lib/server/people/leave';
import { companyOf, saveTeams, teamsOf } from '$lib/server/people/teams';
import { matesOf } from '$lib/server/done/attendance/mates';
import { planOf } from '$lib/server/records/plan-days';
import { randomIds } from '$lib/server/platform/ids';
import { ownPersonOf, sharedWorld } from '../support/context';
import { refusal } from '../support/refusal';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo, auckland, bogota] = world.people.map(({ enrolmentId }) => enrolmentId) as [
	(typeof world.people)[number]['enrolmentId'],
	(typeof world.people)[number]['enrolmentId'],
	(typeof world.people)[number]['enrolmentId']
];
const { challenge } = world;
const now = () => teamsOf(context.db, challenge.id);
const save = async (more: object) =>
	saveTeams(context, challenge, {
		revision: (await now()).revision,
		teams: [],
		buddies: [],
		wishes: [],
		...more
	});
const wish = (kind: string, ...pair: string[]) => ({ kind, pair });

describe('teams', () => {
	it('are saved whole, with buddies and wishes, and saved again', async () => {
		await save({
			teams: [
				{ name: 'Ridge', people: [oslo, bogota] },
				{ name: 'Valley', people: [auckland] }
			],
			buddies: [[oslo, auckland]],
			wishes: [wish('apart', oslo, auckland)]
		});
		const first = await now();
		expect(first.teams.map(({ name, people }) => [name, [...people].sort()])).toEqual([
			['Ridge', [oslo, bogota].sort()],
			['Valley', [auckland]]
		]);
		expect(first.buddies.map((group) => [...group].sort())).toEqual([[oslo, auckland].sort()]);
		expect(first.wishes).toEqual([wish('apart', oslo, auckland)]);
		const { name } = world.people[0]!;
		expect(await companyOf(context.db, auckland)).toEqual({
			team: 'Valley',
			buddies: [{ id: oslo, name, shown: name.split(' ')[0] }]
		});
		expect(await companyOf(context.db, bogota)).toEqual({ team: 'Ridge', buddies: [] });
		await save({ teams: [{ name: 'Valley', people: [oslo] }] });
		expect((await now()).teams.map(({ name, people }) => [name, people])).toEqual([['Valley', [oslo]]]);
		expect(await companyOf(context.db, bogota)).toEqual({ team: null, buddies: [] });
	});

	it('saved by somebody else meanwhile are not written over', async () => {
		const { revision } = await now();
		await save({ teams: [{ name: 'Theirs', people: [] }] });
		expect(await refusal(save({ revision, teams: [{ name: 'Mine', people: [] }] }))).toMatchObject({
			status: 409
		});
		expect((await now()).teams.map(({ name }) => name)).toEqual(['Theirs']);
	});

	it('name what is wrong, and nothing is saved', async () => {
		await save({ teams: [{ name: 'Before', people: [oslo] }] });
		for (const [wrong, says] of [
			[{ teams: [{ name: ' ', people: [] }] }, 'a team needs a name'],
			[{ teams: [{ name: 'x'.repeat(41), people: [] }] }, '40 letters'],
			[
				{
					teams: [
						{ name: 'One', people: [oslo] },
						{ name: 'Two', people: [oslo] }
					]
				},
				'in a team twice'
			],
			[
				{
					teams: [
						{ name: 'One', people: [] },
						{ name: 'one', people: [] }
					]
				},
				'“one”'
			],
			[{ teams: [{ name: 'One', people: [randomIds.uuid()] }] }, 'not in the challenge'],
			[{ buddies: [[oslo]] }, 'at least two'],
			[
				{
					buddies: [
						[oslo, bogota],
						[oslo, auckland]
					]
				},
				'buddy twice'
			],
			[{ wishes: [wish('near', oslo, bogota)] }, 'together or apart'],
			[{ wishes: [wish('apart', oslo)] }, 'two people']
		] as const) {
			const { status, message, faults } = await refusal(save(wrong));
			expect([status, [message, ...faults.map((fault) => fault.message)].join(' ')]).toEqual([
				400,
				expect.stringContaining(says)
			]);
		}
		expect((await now()).teams.map(({ name }) => name)).toEqual(['Before']);
	});

	it('have nobody in them who has left; who comes back is where they were', async () => {
		await save({
			teams: [{ name: 'Ridge', people: [oslo, bogota] }],
			buddies: [[oslo, bogota]],
			wishes: [wish('together', oslo, bogota)]
		});
		await leave(context, await ownPersonOf(context, world, bogota));
		expect(await now()).toMatchObject({ teams: [{ people: [oslo] }], buddies: [], wishes: [] });
		expect(await companyOf(context.db, oslo)).toEqual({ team: 'Ridge', buddies: [] });
		await comeBack(context, await ownPersonOf(context, world, bogota));
		expect((await now()).buddies).toHaveLength(1);
	});

	it('are divided by where a day begins and when somebody trains, by the world’s clock', async () => {
		const plan = await planOf(context.db, challenge);
		const roll = async () => loadRoll(context.db, challenge, plan, context.clock.now());
		await context.db.query(
			`update participant set trains_at = 1110 where id = (select participant_id from enrolment where id = $1)`,
			[bogota]
		);
		const mates = matesOf(challenge, (await roll()).rows, context.clock.now());
		// 05:30 in Oslo is 04:30 UTC, in Auckland 16:30 of the day before; 18:30 in Bogota is 23:30.
		expect(Object.fromEntries(mates.map(({ id, dawn, trains }) => [id, [dawn, trains]]))).toEqual({
			[oslo]: [270, 270],
			[auckland]: [990, 990],
			[bogota]: [630, 1410]
		});
	});
});
