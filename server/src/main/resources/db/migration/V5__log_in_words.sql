-- The log speaks of pages by number, and a decision may name many.
alter table log_entry modify act varchar(400) not null;
