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

-- Acts that were carried out, by the key of their request: one that is sent again is done once.
create table batch_request (
  batch_id bigint not null references batch (id),
  request varchar(200) not null,
  primary key (batch_id, request)
) character set ascii collate ascii_bin;
