-- What a device tells of a session that was led step by step, and when it was done.
alter table checkin add column started_at timestamptz;
alter table checkin add column done_at timestamptz;
-- { seconds, scores, hurts, extra }: how long it took, results against the clock, where it hurt in which exercise, and work
-- beyond the plan, which counts nothing.
alter table checkin add column run jsonb;
-- Done in time, come in too late to count by itself: the coach decides.
alter table checkin add column offered boolean not null default false;

alter table set_log add column left_side double precision check (left_side >= 0);
alter table set_log add column right_side double precision check (right_side >= 0);
alter table set_log add column effort int check (effort between 0 and 10);
-- The form that was done in place of the exercise asked for.
alter table set_log add column used text check (length(used) between 1 and 80);
