-- When coaches were told by mail that somebody wrote, or it was seen that none of them wants to be; those from before are over.
alter table message add column told_at timestamptz;
update message set told_at = at where not by_coach;
create index message_untold on message (at) where not by_coach and told_at is null;
