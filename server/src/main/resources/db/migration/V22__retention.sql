-- For how long each filed document is kept, counted from what its stream says now, and what became of it then.
create table kept_document (
  id bigint auto_increment primary key,
  batch_id bigint not null references batch (id),
  document_no int not null,
  stream varchar(64) not null,
  type varchar(64) not null,
  -- the field counted from, null for the day of filing; all null where nothing says for how long
  counted_field varchar(64),
  counted_from date,
  last_day date,
  -- whether a person settled the value counted from
  settled boolean not null default false,
  -- on a supervisor's word
  erase_by varchar(60),
  erase_why varchar(400),
  erase_asked_at datetime(6),
  -- the document that it is erased together with, since they lie in one file somewhere: the first of them
  erase_with bigint,
  -- why not all of it is gone yet, or null
  trouble text,
  erased_at datetime(6),
  unique (batch_id, document_no),
  index (last_day),
  index (erase_asked_at),
  index (erase_with)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- Reasons why documents are not erased, whatever their time.
create table retention_hold (
  id bigint auto_increment primary key,
  name varchar(120) not null,
  why varchar(400) not null,
  who varchar(60) not null,
  since datetime(6) not null,
  ended_by varchar(60),
  ended_why varchar(400),
  ended_at datetime(6)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table held_document (
  hold_id bigint not null references retention_hold (id),
  batch_id bigint not null,
  document_no int not null,
  primary key (hold_id, batch_id, document_no),
  index (batch_id, document_no)
);

-- Whether it was counted for how long a filed batch's documents are kept.
alter table batch
  add column keeping_counted boolean not null default false,
  add index keeping_idx (keeping_counted, filed_at);

-- What became of a filed file when its document was erased.
alter table delivery_file add column erased varchar(10);

-- When its bytes were erased.
alter table received_file add column erased_at datetime(6), add index sha256_idx (sha256);

-- Whether it belonged to a document that was erased.
alter table page add column erased boolean not null default false;
