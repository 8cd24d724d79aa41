-- As a message was set, tidy; null: as text alone. Its text stands in `body` either way.
alter table message add column html text;
alter table letter add column html text;
