-- A number that rises with whatever a coach changes of what all her people are shown alike: their challenge, its plan and
-- notices, her sessions, exercises and house rules. What was read under one number is kept and read again under the next.
-- It is raised here and not by the program, so that no way of writing can forget it.
alter table coach add column revision bigint not null default 0;

create function raise_own_revision() returns trigger language plpgsql as $$
begin
	if (new.name, new.zone, new.house) is distinct from (old.name, old.zone, old.house) then
		new.revision := old.revision + 1;
	end if;
	return new;
end $$;
create trigger revision before update on coach for each row execute function raise_own_revision();

-- For rows that belong to a coach.
create function raise_revision_of_coach() returns trigger language plpgsql as $$
begin
	update coach set revision = revision + 1 where id in (select coach_id from changed);
	return null;
end $$;

-- For rows that belong to a challenge.
create function raise_revision_of_challenge() returns trigger language plpgsql as $$
begin
	update coach set revision = revision + 1
		where id in (select ch.coach_id from challenge ch where ch.id in (select challenge_id from changed));
	return null;
end $$;

create trigger revision_new after insert on challenge referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create trigger revision_changed after update on challenge referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create trigger revision_gone after delete on challenge referencing old table as changed
	for each statement execute function raise_revision_of_coach();

create trigger revision_new after insert on session referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create trigger revision_changed after update on session referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create trigger revision_gone after delete on session referencing old table as changed
	for each statement execute function raise_revision_of_coach();

create trigger revision_new after insert on exercise referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create trigger revision_changed after update on exercise referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create trigger revision_gone after delete on exercise referencing old table as changed
	for each statement execute function raise_revision_of_coach();

create trigger revision_new after insert on plan_day referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_changed after update on plan_day referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_gone after delete on plan_day referencing old table as changed
	for each statement execute function raise_revision_of_challenge();

create trigger revision_new after insert on announcement referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_changed after update on announcement referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_gone after delete on announcement referencing old table as changed
	for each statement execute function raise_revision_of_challenge();
