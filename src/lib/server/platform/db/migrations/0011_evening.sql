-- A second session on a day, done in the evening. What a day sends is then made of both, and `version_id` is a row of its
-- own as when rules change it; `name` is what such a row is called, where that is not the name of its session.
alter table plan_day
	add column evening_id uuid references session_version,
	add check (evening_id is null or base_id is not null);
create index plan_day_evening on plan_day (evening_id) where evening_id is not null;
alter table session_version add column name text;
