-- A number that rises whenever something about somebody in a challenge changes: what was read under it still holds while it stays.
create sequence touch;
alter table enrolment add column touched bigint not null default nextval('touch');

create function touch_self() returns trigger language plpgsql as $$
begin
	new.touched := nextval('touch');
	return new;
end $$;
create trigger enrolment_touched before update on enrolment for each row execute function touch_self();

create function touch_enrolment() returns trigger language plpgsql as $$
begin
	update enrolment set touched = default where id = coalesce(new.enrolment_id, old.enrolment_id);
	return null;
end $$;
create trigger checkin_touches after insert or update or delete on checkin for each row execute function touch_enrolment();
create trigger reach_touches after insert or update or delete on reach for each row execute function touch_enrolment();
create trigger incident_touches after insert or update or delete on incident for each row execute function touch_enrolment();

-- What is of a person, and not of one of their challenges.
create function touch_participant() returns trigger language plpgsql as $$
begin
	update enrolment set touched = default where participant_id = coalesce(new.participant_id, old.participant_id);
	return null;
end $$;
create trigger health_touches after insert or update or delete on health for each row execute function touch_participant();
create trigger suited_touches after insert or update or delete on suited for each row execute function touch_participant();
create trigger measure_touches after insert or update or delete on measure for each row execute function touch_participant();

create function touch_enrolments() returns trigger language plpgsql as $$
begin
	update enrolment set touched = default where participant_id = new.id;
	return null;
end $$;
create trigger participant_touches after update on participant for each row execute function touch_enrolments();
