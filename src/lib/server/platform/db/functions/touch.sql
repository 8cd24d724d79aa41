-- enrolment.touched: raised with every change of what triage reads about a person.

create or replace function touch_self() returns trigger language plpgsql as $$
begin
	new.touched := nextval('touch');
	return new;
end $$;
create or replace trigger enrolment_touched before update on enrolment for each row execute function touch_self();

create or replace function touch_enrolment() returns trigger language plpgsql as $$
begin
	update enrolment set touched = default where id = coalesce(new.enrolment_id, old.enrolment_id);
	return null;
end $$;
create or replace trigger result_touches after insert or update or delete on result for each row execute function touch_enrolment();
create or replace trigger reach_touches after insert or update or delete on reach for each row execute function touch_enrolment();
create or replace trigger incident_touches after insert or update or delete on incident for each row execute function touch_enrolment();

-- For rows of a participant rather than of one enrolment.
create or replace function touch_participant() returns trigger language plpgsql as $$
begin
	update enrolment set touched = default where participant_id = coalesce(new.participant_id, old.participant_id);
	return null;
end $$;
create or replace trigger health_touches after insert or update or delete on health for each row execute function touch_participant();
create or replace trigger suited_touches after insert or update or delete on suited for each row execute function touch_participant();
create or replace trigger measure_touches after insert or update or delete on measure for each row execute function touch_participant();

create or replace function touch_enrolments() returns trigger language plpgsql as $$
begin
	update enrolment set touched = default where participant_id = new.id;
	return null;
end $$;
create or replace trigger participant_touches after update on participant for each row execute function touch_enrolments();
