-- What a column of a register holds, where a supervisor says otherwise than its values do.
create table register_column (
  register varchar(64) not null,
  name varchar(191) not null,
  kind varchar(16) not null,
  said_by varchar(64) not null,
  said_at timestamp(6) not null,
  primary key (register, name)
) character set utf8mb4 collate utf8mb4_bin;
