-- What the machine made of each field of a filed document, beside what people made of it: how often sure is right.
create table field_outcome (
  batch_id bigint not null,
  document int not null,
  stream varchar(64) not null,
  type varchar(64) not null,
  field varchar(64) not null,
  filed_on date not null,
  finder varchar(20) not null,
  value text,
  certainty double not null,
  sure boolean not null,
  -- in doubt under any limit
  held boolean not null,
  -- whether the machine was right; null where nobody looked
  correct boolean,
  -- codes of what spoke against it
  reasons text not null,
  primary key (batch_id, document, field),
  key (stream, filed_on)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- Values of filed documents that a register did not have then.
create table register_newcomer (
  register varchar(64) not null,
  batch_id bigint not null,
  document int not null,
  field varchar(64) not null,
  title varchar(80) not null,
  value text not null,
  settled_by varchar(60) not null,
  filed_at datetime(6) not null,
  primary key (register, batch_id, document, field)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
