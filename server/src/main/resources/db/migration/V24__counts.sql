-- The last number given for a name, by what is counted: SHA-256, in hex, of its text.
create table name_count (
  of char(64) character set ascii primary key,
  last bigint not null
);

-- Names that are taken are looked for before anything is filed.
alter table delivery add index name_idx (name);

-- The day on which a batch's deliveries ended, until it is told of with the others of that day.
alter table batch add column report_day date, add index report_day_idx (report_day);
