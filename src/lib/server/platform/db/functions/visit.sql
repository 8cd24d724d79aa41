-- What a participant's page needs to know about its visitor, in one statement.

-- The display name of a participant, or the first name.
create or replace function shown_name(one participant) returns text language sql stable as $$
	select coalesce(one.display_name, split_part(one.name, ' ', 1))
$$;

-- The participant behind a device token, with their other current challenges; null if it has expired.
create or replace function person_behind(hash text, now timestamptz) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('enrolmentId', e.id, 'participantId', p.id, 'challengeId', e.challenge_id, 'name', p.name,
			'zone', p.zone, 'earlierZones', p.earlier_zones, 'units', p.units, 'holds', e.holds,
			'others', coalesce((select jsonb_agg(jsonb_build_object('enrolmentId', o.id, 'name', other.name) order by other.starts_on desc)
				from enrolment o join challenge other on other.id = o.challenge_id
				where o.participant_id = p.id and o.id <> e.id and o.left_at is null
					and other.starts_on + other.days >= (now at time zone 'utc')::date), '[]'),
			'asksAgain', coalesce(p.asked_at > p.answered_at, false), 'suited', jsonb_build_object(
				'since', (extract(epoch from coalesce((select max(s.since) from suited s where s.participant_id = p.id), p.created_at)) * 1000)::bigint,
				'level', p.level, 'kit', p.kit, 'limits', coalesce(to_jsonb(h.limits), '[]'), 'answered', p.answered_at is not null))
		from participant_login l
		join enrolment e on e.id = l.enrolment_id
		join participant p on p.id = e.participant_id
		left join health h on h.participant_id = p.id
		where l.token_hash = hash and l.expires_at > now
	);
end $$;

-- The enrolment as its own page shows it.
create or replace function standing_of(enrolment_id uuid, polls_since timestamptz) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('strip', e.strip, 'extras', e.extras, 'shiftDays', e.shift_days, 'fromDay', e.from_day,
			'catchUp', e.catch_up, 'company', jsonb_build_object('team', (select t.name from team t where t.id = e.team_id),
				'teamId', e.team_id,
				'buddies', coalesce((select jsonb_agg(shown_name(p) order by p.name)
					from enrolment o join participant p on p.id = o.participant_id
					where o.challenge_id = e.challenge_id and o.buddies = e.buddies and o.id <> e.id and o.left_at is null), '[]')),
			'votes', coalesce((select jsonb_object_agg(a.poll_id, a.choice) from poll_answer a where a.enrolment_id = e.id), '{}'),
			'counts', coalesce((select jsonb_object_agg(given.poll_id, given.counts) from (
				select one.poll_id, jsonb_object_agg(one.choice, one.n) as counts from (
					select a.poll_id, a.choice, count(*) as n
					from poll_answer mine join poll q on q.id = mine.poll_id join poll_answer a on a.poll_id = q.id
					where mine.enrolment_id = e.id and q.shown and q.closes_at > polls_since
					group by a.poll_id, a.choice) one
				group by one.poll_id) given), '{}'),
			'unread', (select count(*) from message m where m.enrolment_id = e.id and m.by_coach and m.read_at is null),
			'revision', co.revision,
			'pain', (select jsonb_build_object('areas', i.areas, 'said', i.said, 'at', (extract(epoch from i.at) * 1000)::bigint,
					'decidedAt', (extract(epoch from i.decided_at) * 1000)::bigint, 'decision', i.decision, 'note', i.note,
					'followUpOn', i.follow_up_on, 'overAt', (extract(epoch from i.over_at) * 1000)::bigint, 'by', c.name)
				from incident i left join coach c on c.id = i.decided_by
				where i.enrolment_id = e.id and i.kind = 'pain' order by i.at desc, i.id limit 1),
			'overrides', coalesce((select jsonb_agg(jsonb_build_object('id', o.id, 'target', o.target, 'change', o.change,
					'fromDay', o.from_day, 'toDay', o.to_day, 'why', o.why, 'origin', jsonb_build_object('kind', o.origin, 'id', o.origin_id),
					'madeAt', (extract(epoch from o.made_at) * 1000)::bigint,
					'removedAt', (extract(epoch from o.removed_at) * 1000)::bigint) order by o.made_at, o.id)
				from override o where o.enrolment_id = e.id), '[]'))
		from enrolment e join challenge ch on ch.id = e.challenge_id join coach co on co.id = ch.coach_id
		where e.id = standing_of.enrolment_id
	);
end $$;

-- Both of the above for one device token.
create or replace function visit_of(hash text, at timestamptz, polls_since timestamptz) returns jsonb language plpgsql stable as $$
declare
	person jsonb := person_behind(hash, at);
begin
	return jsonb_build_object('person', person,
		'standing', case when person is not null then standing_of((person ->> 'enrolmentId')::uuid, polls_since) end);
end $$;
