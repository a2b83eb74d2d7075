-- Places of the organisation's that documents are filed in; secrets in their settings are sealed.
create table filing_place (
  name varchar(64) not null primary key,
  settings mediumtext not null,
  saved_by varchar(64) not null,
  saved_at timestamp(6) not null
) character set utf8mb4 collate utf8mb4_bin;
