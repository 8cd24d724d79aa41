import { array, mixed, object, string } from 'yup';
import type { TeamWish } from '$core/people';
import { name, whole } from './values';

/** Bounds of what is saved at once: as many people as a challenge takes. */
export const TEAM_LIMITS = { teams: 100, people: 2000, wishes: 200, name: 40 } as const;

const ids = (most: number) =>
	array(string().required().max(36)).max(most, `at most ${most} people`).required();

/** Teams with who is in them, groups of buddies, and wishes for both: all of it, as it is to be. */
export const teamsSchema = object({
	revision: whole('the revision', 0, 2 ** 31 - 1),
	teams: array(
		object({
			name: name(
				TEAM_LIMITS.name,
				'a team needs a name',
				`a name of a team has at most ${TEAM_LIMITS.name} letters`
			),
			people: ids(TEAM_LIMITS.people)
		})
	)
		.max(TEAM_LIMITS.teams, `at most ${TEAM_LIMITS.teams} teams`)
		.required(),
	buddies: array(
		array(string().required().max(36))
			.min(2, 'buddies are at least two')
			.max(4, 'at most four are buddies')
			.required()
	)
		.max(TEAM_LIMITS.people)
		.required(),
	wishes: array(
		object({
			kind: mixed<TeamWish['kind']>().oneOf(['together', 'apart'], 'together or apart').required(),
			pair: array(string().required().max(36)).length(2, 'a wish is about two people').required()
		})
	)
		.max(TEAM_LIMITS.wishes, `at most ${TEAM_LIMITS.wishes} wishes`)
		.required()
});
