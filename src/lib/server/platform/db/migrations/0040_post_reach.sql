-- What goes to several at once is written down of each, and is no turning to any of them.
alter table reach drop constraint reach_way_check;
alter table reach add constraint reach_way_check
	check (way in ('wrote', 'called', 'talked', 'praised', 'adjusted', 'asked', 'settled', 'later', 'post'));
