-- With how many messages of a coach somebody has not seen: their page is made of this one statement.
create index message_unread on message (enrolment_id) where by_coach and read_at is null;

create or replace function standing_of(enrolment_id uuid) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('strip', e.strip, 'extras', e.extras, 'shiftDays', e.shift_days, 'fromDay', e.from_day,
			'catchUp', e.catch_up, 'company', jsonb_build_object('team', (select t.name from team t where t.id = e.team_id),
				'buddies', coalesce((select jsonb_agg(shown_name(p) order by p.name)
					from enrolment o join participant p on p.id = o.participant_id
					where o.challenge_id = e.challenge_id and o.buddies = e.buddies and o.id <> e.id and o.left_at is null), '[]')),
			'unread', (select count(*) from message m where m.enrolment_id = e.id and m.by_coach and m.read_at is null),
			'revision', co.revision, 'differs', exists (select from override o where o.enrolment_id = e.id))
		from enrolment e join challenge ch on ch.id = e.challenge_id join coach co on co.id = ch.coach_id
		where e.id = standing_of.enrolment_id
	);
end $$;
