-- The last number given for a name, by what is counted: SHA-256, in hex, of its text.
create table name_count (
  of char(64) character set ascii primary key,
  last bigint not null
);

-- Names that are taken are looked for before anything is filed.
alter table delivery add index name_idx (name);
