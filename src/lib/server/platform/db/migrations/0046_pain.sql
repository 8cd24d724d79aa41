-- Pain limits the joint: every place that a report names, and how much it hurts. A coach may keep a place spared or hold
-- somebody until she says that it is over; a report that was taken back is withdrawn and decided by nobody.
alter table incident
	add column areas text[] not null default '{}',
	add column intensity smallint check (intensity between 0 and 10),
	-- When sparing or a hold that was decided ended; null: it goes on, or nothing of the kind was decided.
	add column over_at timestamptz,
	drop constraint incident_decision_check,
	add constraint incident_decision_check
		check (decision in ('give back', 'replace', 'keep off', 'cleared', 'spare', 'hold', 'withdrawn'));
update incident set areas = array[area] where area is not null and area <> 'elsewhere';
create index incident_sparing on incident (enrolment_id) where kind = 'pain' and over_at is null;

-- What an audit sees in a day ahead; all of them are looked at again, since what fits follows other rules now.
alter table fit_day add column audit jsonb not null default '[]';
delete from fit_day;

-- The newest pain that somebody reported and what was decided about it, on their own page.
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
					'fromDay', o.from_day, 'toDay', o.to_day, 'why', o.why, 'madeBy', o.made_by,
					'madeAt', (extract(epoch from o.made_at) * 1000)::bigint,
					'removedAt', (extract(epoch from o.removed_at) * 1000)::bigint) order by o.made_at, o.id)
				from override o where o.enrolment_id = e.id), '[]'))
		from enrolment e join challenge ch on ch.id = e.challenge_id join coach co on co.id = ch.coach_id
		where e.id = standing_of.enrolment_id
	);
end $$;
