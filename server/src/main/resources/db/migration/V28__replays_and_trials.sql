-- Which drafts were tried, and on how many pages: what was tried on none does not go live.
create table draft_trial (
  stream varchar(64) not null,
  -- SHA-256 of the draft as it was then
  draft_hash char(64) not null,
  pages int not null,
  tried_at datetime(6) not null,
  primary key (stream, draft_hash)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- A draft that is being held, or was held last, against batches that people confirmed: one of each stream.
create table replay_run (
  stream varchar(64) primary key,
  -- another one with each asking: work that was put down for the one before comes to nothing
  no int not null,
  definition longtext not null,
  draft_hash char(64) not null,
  -- ids of the batches, in the order in which they are replayed
  batches longtext not null,
  -- how many more there would be if nothing of them had been erased
  erased int not null,
  asked_by varchar(60) not null,
  asked_at datetime(6) not null,
  -- why it goes no further, in words; null where nothing is wrong
  trouble varchar(1000),
  ended_at datetime(6)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What was found, as it is told.
alter table stream_replay add column result longtext;
