-- A document's files for one destination: what they are is written down before they get their names there.
create table delivery_file (
  delivery_id bigint not null references delivery (id),
  format varchar(10) not null,
  -- null for files filed before this was kept
  sha256 char(64) character set ascii,
  bytes bigint,
  -- where it lies, or is about to lie, below the destination
  path varchar(1500),
  primary key (delivery_id, format)
) character set utf8mb4 collate utf8mb4_nopad_bin;
insert into delivery_file (delivery_id, format, path)
  select d.id, substring_index(j.path, '.', -1), j.path
  from delivery d, json_table(d.files, '$[*]' columns (path varchar(1500) path '$')) j
  where d.files is not null;
alter table delivery drop column files;

-- A page that was turned waits to be read as it is turned now: how often that was asked, and which time was done.
alter table page
  add column asked int not null default 0,
  add column answered int not null default 0;

-- How many acts made a batch what it is; an act names the number that it was made on.
alter table batch add column revision int not null default 0;

-- Stacks from scanners, so that one whose server went down is told and gone on with.
create table scan (
  batch_id bigint primary key references batch (id),
  scanner_id bigint not null,
  who varchar(60) not null,
  settings text not null,
  -- where its sheets come to stand in a batch that was complete before
  place text,
  -- number of its first sheet in the batch
  first_sheet int not null,
  standing varchar(10) not null,
  trouble text,
  -- the server that feeds it, and when that last gave a sign, by the database's clock
  node char(36) character set ascii not null,
  seen_at datetime(6) not null
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What screens are told, for those of the other servers; kept for a minute.
create table news (
  id bigint auto_increment primary key,
  batch_no varchar(20) not null,
  node char(36) character set ascii not null,
  told_at datetime(6) not null,
  index told_at_idx (told_at)
);

-- Who is telling by mail that a batch is late, so that it is told once.
alter table batch add column telling_late_since datetime(6);

-- When a person changed the password last; sessions from before it have ended.
alter table person add column password_since datetime(6);

-- Acts that were carried out, by the key of their request: one that is sent again is done once.
create table batch_request (
  batch_id bigint not null references batch (id),
  request varchar(200) not null,
  primary key (batch_id, request)
) character set ascii collate ascii_bin;
