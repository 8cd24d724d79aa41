-- coach.revision: raised with every change of what all participants of a coach share.

create or replace function raise_own_revision() returns trigger language plpgsql as $$
begin
	if (new.name, new.zone, new.house) is distinct from (old.name, old.zone, old.house) then
		new.revision := old.revision + 1;
	end if;
	return new;
end $$;
create or replace trigger revision before update on coach for each row execute function raise_own_revision();

-- For tables with a coach_id.
create or replace function raise_revision_of_coach() returns trigger language plpgsql as $$
begin
	update coach set revision = revision + 1 where id in (select coach_id from changed);
	return null;
end $$;
create or replace trigger revision_new after insert on challenge referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_changed after update on challenge referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_gone after delete on challenge referencing old table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_new after insert on session referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_changed after update on session referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_gone after delete on session referencing old table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_new after insert on exercise referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_changed after update on exercise referencing new table as changed
	for each statement execute function raise_revision_of_coach();
create or replace trigger revision_gone after delete on exercise referencing old table as changed
	for each statement execute function raise_revision_of_coach();

-- For tables with a challenge_id.
create or replace function raise_revision_of_challenge() returns trigger language plpgsql as $$
begin
	update coach set revision = revision + 1
		where id in (select ch.coach_id from challenge ch where ch.id in (select challenge_id from changed));
	return null;
end $$;
create or replace trigger revision_new after insert on plan_day referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_changed after update on plan_day referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_gone after delete on plan_day referencing old table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_new after insert on announcement referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_changed after update on announcement referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_gone after delete on announcement referencing old table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_new after insert on shelf_session referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_changed after update on shelf_session referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_gone after delete on shelf_session referencing old table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_new after insert on poll referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_changed after update on poll referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create or replace trigger revision_gone after delete on poll referencing old table as changed
	for each statement execute function raise_revision_of_challenge();
