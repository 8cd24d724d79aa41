-- How somebody is, as far as their coach has it asked: { mood, soreness, waterLitres, fuelMet, win, pain }.
alter table checkin add column well jsonb not null default '{}';
-- What is asked at a check-in beside how much was done, how hard it was and whether anything hurts.
alter table challenge add column questions text[] not null default '{energy,mood,sleep,soreness,note}';
