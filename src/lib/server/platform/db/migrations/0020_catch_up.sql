-- Whoever joins late on the group's day may still do so many of the days before.
alter table challenge add catch_up_days int not null default 0 check (catch_up_days between 0 and 14);

-- The days before the one on which somebody joined, and until when they may do them: {before, until}; null: none.
alter table enrolment add catch_up jsonb;

-- Found by their group.
create index enrolment_buddies on enrolment (challenge_id, buddies) where buddies is not null;

-- The name that somebody chose for others to see, or the first of theirs.
create function shown_name(one participant) returns text language sql stable as $$
	select coalesce(one.display_name, split_part(one.name, ' ', 1))
$$;

-- With what there is to catch up, and with team and buddies by the names that those chose for others to see.
create or replace function standing_of(enrolment_id uuid) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('strip', e.strip, 'extras', e.extras, 'shiftDays', e.shift_days, 'fromDay', e.from_day,
			'catchUp', e.catch_up, 'company', jsonb_build_object('team', (select t.name from team t where t.id = e.team_id),
				'buddies', coalesce((select jsonb_agg(shown_name(p) order by p.name)
					from enrolment o join participant p on p.id = o.participant_id
					where o.challenge_id = e.challenge_id and o.buddies = e.buddies and o.id <> e.id and o.left_at is null), '[]')),
			'revision', co.revision, 'differs', exists (select from override o where o.enrolment_id = e.id))
		from enrolment e join challenge ch on ch.id = e.challenge_id join coach co on co.id = ch.coach_id
		where e.id = standing_of.enrolment_id
	);
end $$;
