-- Streams that are being made or changed, one draft each, kept by itself while somebody works on it.
create table stream_draft (
  stream varchar(64) primary key,
  title varchar(120) not null,
  definition longtext not null,
  -- the version that it changes; 0 for a stream that has none yet
  base_version int not null,
  -- grows with every change: who has an older one is told
  revision int not null,
  kept_by varchar(60) not null,
  kept_at datetime(6) not null
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- The pages by which a stream is made and tried: a batch that is never filed.
create table stream_samples (
  stream varchar(64) primary key,
  batch_id bigint not null references batch (id)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What whoever saved a version says of it.
alter table stream add column note varchar(400);
