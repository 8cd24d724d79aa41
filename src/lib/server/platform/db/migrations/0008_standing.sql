-- Somebody who moves counts by their new zone from then on: zones they were in before, each with the end of its time
-- ({"zone": "Europe/Oslo", "until": epoch milliseconds}, the earliest first).
alter table participant add earlier_zones jsonb not null default '[]';

-- An announcement of a day is shown to each person as that day opens for them; null: at `at` for everybody.
alter table announcement add day int check (day >= 1);

-- What somebody did keeps the standing that it was given, and its day the time at which something first came in for it.
update enrolment e set strip = s.strip
from (
	select x.id, jsonb_object_agg(d.key, case
		when c.id is null then d.value
		else jsonb_build_array('c', d.value -> 1,
			(select (extract(epoch from min(f.received_at)) * 1000)::bigint from checkin f
				where f.enrolment_id = x.id and f.day = c.day), d.value -> 3)
			|| case c.standing when 'late' then '["l"]'::jsonb when 'after close' then '["a"]'::jsonb else '[]'::jsonb end
	end) as strip
	from enrolment x cross join lateral jsonb_each(x.strip) d
	left join checkin c on c.enrolment_id = x.id and c.day = d.key::int and c.replaced_at is null
		and d.value ->> 0 = 'c'
	group by x.id
) s
where e.id = s.id;
