-- Whether a token that was given in place of another has come back: until then its answer may have been lost on the way.
alter table coach_login add arrived boolean not null default true;
