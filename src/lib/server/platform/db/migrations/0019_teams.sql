-- Teams of a challenge in their order; who is in which, and who is whose buddy: those with the same number.
create table team (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	position int not null,
	name text not null check (length(name) between 1 and 40),
	unique (challenge_id, name),
	unique (challenge_id, position)
);
alter table enrolment
	add team_id uuid references team on delete set null,
	add buddies int check (buddies > 0);
create index enrolment_team on enrolment (team_id) where team_id is not null;

-- Who is to be in one team and who in two: pairs of enrolments. And how often all of it was saved.
alter table challenge
	add team_wishes jsonb not null default '[]',
	add teams_revision int not null default 0;
