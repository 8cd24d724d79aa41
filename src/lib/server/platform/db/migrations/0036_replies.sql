-- A message about something that came in: which, and of which day; null for what was taken from the shelf.
alter table message add column about uuid, add column about_day int;
create index message_about on message (about) where about is not null;
