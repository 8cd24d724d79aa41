-- The units in which a coach reads loads.
alter table coach add units text not null default 'kg' check (units in ('kg', 'lb'));
