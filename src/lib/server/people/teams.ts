/** Teams and buddies of a challenge: what there is to divide by, and what was decided. */
import { teamsSchema } from '$contracts/teams';
import type { TeamWish } from '$core/people';
import type { OwnedChallenge } from '../records/challenge';
import { only, type Queries } from '../platform/db/database';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import type { ChallengeId, EnrolmentId } from '../platform/ids';
import { validate } from '../platform/validate';

export interface Team {
	id: string;
	name: string;
}

/** Everything that is decided about teams and buddies. */
export interface Teams {
	revision: number;
	teams: (Team & { people: EnrolmentId[] })[];
	buddies: EnrolmentId[][];
	wishes: TeamWish[];
}

/** Teams by their order. */
export const teamsIn = (db: Queries, id: ChallengeId): Promise<Team[]> =>
	db.query('select id, name from team where challenge_id = $1 order by position', [id]);

interface Placed {
	id: EnrolmentId;
	team: string | null;
	buddies: number | null;
}

/** Who is in which team and has which buddies; those who left are in none. */
const placesIn = (db: Queries, id: ChallengeId): Promise<Placed[]> =>
	db.query(
		`select e.id, e.team_id as team, e.buddies from enrolment e join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and e.left_at is null order by p.name, e.id`,
		[id]
	);

/** What was decided in a challenge. */
export async function teamsOf(db: Queries, id: ChallengeId): Promise<Teams> {
	const { revision, wishes } = only(
		await db.query<Pick<Teams, 'revision' | 'wishes'>>(
			'select teams_revision as revision, team_wishes as wishes from challenge where id = $1',
			[id]
		)
	);
	const placed = await placesIn(db, id);
	const groups = new Map<number, EnrolmentId[]>();
	for (const { id: one, buddies } of placed)
		if (buddies !== null) groups.set(buddies, [...(groups.get(buddies) ?? []), one]);
	const here = new Set<string>(placed.map((one) => one.id));
	return {
		revision,
		teams: (await teamsIn(db, id)).map((team) => ({
			...team,
			people: placed.filter((one) => one.team === team.id).map((one) => one.id)
		})),
		// Somebody whose buddy has left has none.
		buddies: [...groups.values()].filter((group) => group.length > 1),
		wishes: wishes.filter(({ pair }) => pair.every((one) => here.has(one)))
	};
}

/**
 * Saves teams, buddies and wishes as they are to be.
 * @throws Refusal 400; 409 when somebody saved others meanwhile
 */
export async function saveTeams({ db, ids }: Context, { id }: OwnedChallenge, raw: unknown): Promise<void> {
	const { revision, teams, buddies, wishes } = validate(teamsSchema, raw);
	const names = teams.map(({ name }) => name.toLowerCase());
	const twice = names.find((name, i) => names.indexOf(name) !== i);
	if (twice !== undefined)
		throw new Refusal(400, `Two teams are called “${twice}”. Give each a name of its own.`);
	await db.transaction(async (tx) => {
		const [mine] = await tx.query(
			'update challenge set teams_revision = teams_revision + 1, team_wishes = $3 where id = $1 and teams_revision = $2 returning id',
			[id, revision, JSON.stringify(wishes)]
		);
		if (!mine)
			throw new Refusal(
				409,
				'Somebody saved the teams after you opened them. Open the page anew to see theirs; yours stay on this page until then.'
			);
		const here = new Set<string>((await placesIn(tx, id)).map((one) => one.id));
		requireOnce(teams.map(({ people }) => people).flat(), here, 'in a team');
		requireOnce(buddies.flat(), here, 'somebody’s buddy');
		await tx.query('delete from team where challenge_id = $1', [id]);
		const made = teams.map(({ name, people }, position) => ({ id: ids.uuid(), name, people, position }));
		await tx.query(
			`insert into team (id, challenge_id, position, name)
			 select t.id, $1, t.position, t.name from jsonb_to_recordset($2::jsonb) as t(id uuid, position int, name text)`,
			[id, JSON.stringify(made)]
		);
		const of = [...here].map((person) => ({
			id: person,
			team: made.find(({ people }) => people.includes(person))?.id ?? null,
			buddies: buddies.findIndex((group) => group.includes(person)) + 1 || null
		}));
		await tx.query(
			`update enrolment e set team_id = p.team, buddies = p.buddies
			 from jsonb_to_recordset($1::jsonb) as p(id uuid, team uuid, buddies int)
			 where e.id = p.id and (e.team_id is distinct from p.team or e.buddies is distinct from p.buddies)`,
			[JSON.stringify(of)]
		);
	});
}

/** @throws Refusal 400 for somebody who is named twice or is not in the challenge (any more) */
function requireOnce(people: readonly string[], here: ReadonlySet<string>, what: string): void {
	if (new Set(people).size < people.length)
		throw new Refusal(400, `Somebody is ${what} twice. Nothing was saved.`);
	if (people.some((one) => !here.has(one)))
		throw new Refusal(400, `Somebody who is ${what} is not in the challenge any more. Open the page anew.`);
}

export interface Company {
	team: string | null;
	buddies: {
		id: EnrolmentId;
		name: string;
		/** The name that they chose for others to see, or the first of theirs. */
		shown: string;
	}[];
}

/** Their team and buddies as somebody sees them themselves: by the names that those chose for others to see. */
export async function ownCompany(
	db: Queries,
	id: EnrolmentId
): Promise<{ team: string | null; buddies: string[] }> {
	const { team, buddies } = await companyOf(db, id);
	return { team, buddies: buddies.map(({ shown }) => shown) };
}

/** Whom somebody is with. */
export async function companyOf(db: Queries, id: EnrolmentId): Promise<Company> {
	return only(
		await db.query<Company>(
			`select t.name as team, coalesce((select jsonb_agg(jsonb_build_object('id', o.id, 'name', p.name,
					'shown', shown_name(p)) order by p.name)
				from enrolment o join participant p on p.id = o.participant_id
				where o.challenge_id = e.challenge_id and o.buddies = e.buddies and o.id <> e.id and o.left_at is null), '[]') as buddies
			 from enrolment e left join team t on t.id = e.team_id where e.id = $1`,
			[id]
		)
	);
}
