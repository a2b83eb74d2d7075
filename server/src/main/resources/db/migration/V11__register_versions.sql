-- A register as it was each time it was saved, with what that changed; the one in force stays in register.
create table register_version (
  name varchar(64) not null,
  version int not null,
  csv longtext not null,
  -- of a register saved before versions were kept nothing is known
  came int,
  went int,
  changed int,
  saved_by varchar(60) not null,
  saved_at datetime(6) not null,
  primary key (name, version)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

insert into register_version (name, version, csv, saved_by, saved_at)
  select name, 1, csv, saved_by, saved_at from register;
