-- What is right on the sample pages of a stream, as a person said it: a row for each paper.
create table sample_answer (
  batch_id bigint not null references batch (id),
  first_page int not null,
  -- pages, type and values
  answer longtext not null,
  said_by varchar(60) not null,
  said_at datetime(6) not null,
  primary key (batch_id, first_page)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What a draft did better and worse than the saved version on batches that people confirmed.
create table stream_replay (
  stream varchar(64) not null,
  -- SHA-256 of the draft as it was then
  draft_hash char(64) not null,
  batch_id bigint not null references batch (id),
  better int not null,
  worse int not null,
  replayed_by varchar(60) not null,
  replayed_at datetime(6) not null,
  primary key (stream, draft_hash, batch_id)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
