-- Where a register comes from by itself, and how that went; the last good copy stays in register whatever happens there.
create table register_source (
  name varchar(64) not null primary key,
  settings longtext not null,
  saved_by varchar(60) not null,
  saved_at datetime(6) not null,
  next_at datetime(6) not null,
  looked_at datetime(6),
  -- when what is in force was last found to be what the source has
  good_at datetime(6),
  -- of what was taken last, in hex
  sha256 char(64),
  failures int not null default 0,
  problem longtext,
  problem_at datetime(6)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
