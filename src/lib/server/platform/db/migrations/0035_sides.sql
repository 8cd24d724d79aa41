-- What triage asks of a check-in's sets, worked out as it comes in: each side by itself, and what a test brought.
alter table checkin add column sides jsonb not null default '[]', add column best jsonb;
