-- The coach who made a link: as it was shown to them, or as they had it mailed. It ends with their part in the challenge.
-- Null: the person joined by themselves, or it is not known.
alter table enrolment add link_made_by uuid references coach (id) on delete set null;
create index enrolment_link_made_by on enrolment (link_made_by) where link_made_by is not null;
-- Of links that there are, the last coach who is on record for one; else the owner.
update enrolment e set link_made_by = coalesce(
	(select d.coach_id from deed d where d.enrolment_id = e.id
		and d.work in ('/people/[person]?link', '/people/[person]?mailLink') order by d.at desc limit 1),
	(select ch.coach_id from challenge ch where ch.id = e.challenge_id))
where link_hash is not null;

-- Pages that listen to a challenge stop doing so when the coach's part in it ends or changes.
create function tell_part_ended() returns trigger language plpgsql as $$
begin
	perform pg_notify('cadrex_live', 'left ' || old.challenge_id || ' ' || old.coach_id);
	return null;
end $$;
create trigger helper_left after delete or update of role on helper for each row execute function tell_part_ended();
