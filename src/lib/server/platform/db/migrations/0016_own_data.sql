-- Somebody whose data were deleted: what stays of them has no name.
alter table participant add forgotten_at timestamptz;

-- From this day on the health answers of a challenge are not needed any more; null: until somebody deletes them.
alter table challenge add health_until date;
