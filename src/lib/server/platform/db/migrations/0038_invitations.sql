-- A letter that brings somebody their own link: the address in front of it; null: it brings none.
alter table letter add column invite_base text;
-- The secret of that link while the letter is on its way, so that it is the same however often it is tried; gone when it is over.
alter table letter add column secret text;
create index letter_invites on letter (enrolment_id, due_at desc) where invite_base is not null;
