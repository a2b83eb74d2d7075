-- Which version of each register a filed document's values were looked up in.
create table filed_register (
  batch_id bigint not null,
  type varchar(64) not null,
  register varchar(64) not null,
  version int not null,
  primary key (batch_id, type, register)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
