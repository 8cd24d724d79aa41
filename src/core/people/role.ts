/** What somebody can be invited as: there is one owner. */
export const INVITED_ROLES = ['coach', 'viewer'] as const;
export type InvitedRole = (typeof INVITED_ROLES)[number];

/** What somebody may do in a challenge. */
export type Role = InvitedRole | 'owner';

/** What a viewer is told who asks for more. */
const VIEWERS_SEE =
	'This is for those who run the challenge. As a viewer you see the roll, the plan to print and the group.';

/** What somebody is told who may do less than they ask for. */
export const tooLittle = (role: Role): string =>
	role === 'viewer' ? VIEWERS_SEE : 'Only the owner of this challenge decides that.';

const RANK: Readonly<Record<Role, number>> = { viewer: 0, coach: 1, owner: 2 };
export const isAtLeast = (role: Role, least: Role): boolean => RANK[role] >= RANK[least];

/** What each of them can do, for whoever invites and whoever is invited. */
export const ROLE_SAYS: Record<Role, string> = {
	viewer:
		'Sees the roll, the plan to print and the group as a whole. No answers about health, and nothing that follows from them. Changes nothing.',
	coach:
		'Does everything in this challenge, with its sessions and exercises. Sees what people say about their health; they see who looked.',
	owner: 'Does everything, and decides who else does, on the house rules and on when health answers go.'
};
