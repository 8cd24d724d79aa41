-- Notifications on the channel cadrex_live, sent on commit to every process that listens.

-- A participant reported something: the id of the challenge.
create or replace function say_live() returns trigger language plpgsql as $$
begin
	perform pg_notify('cadrex_live', (select challenge_id::text from enrolment where id = new.enrolment_id));
	return null;
end $$;
create or replace trigger presence_said after insert or update on presence for each row execute function say_live();
create or replace trigger result_said after insert on result for each row when (new.kind = 'planned')
	execute function say_live();

-- A coach's part in a challenge ended or changed: open streams of that coach are closed.
create or replace function tell_part_ended() returns trigger language plpgsql as $$
begin
	perform pg_notify('cadrex_live', 'left ' || old.challenge_id || ' ' || old.coach_id);
	return null;
end $$;
create or replace trigger helper_left after delete or update of role on helper for each row execute function tell_part_ended();
