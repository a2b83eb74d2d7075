-- Counts the readings of a page; 0 while it was never read. What is known of a page in memory is good while this stays.
alter table page add column facts_version int not null default 0;
update page set facts_version = 1 where facts is not null;
