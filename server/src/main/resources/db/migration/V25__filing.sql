-- Documents that people hold back when the others of their batch are filed.
create table held_back (
  batch_id bigint not null references batch (id),
  -- the first page of the document
  page int not null,
  why varchar(400) not null,
  who varchar(60) not null,
  primary key (batch_id, page)
) character set utf8mb4 collate utf8mb4_bin;

-- A person's word about a delivery, that it is left out or held back.
alter table delivery rename column left_out_by to said_by, rename column left_out_why to said_why;

-- Growing lists of what is filed at destinations.
create table filing_list (
  id bigint auto_increment primary key,
  -- where it lies: a place of the organisation's, or else a folder destination
  place varchar(64) not null,
  own boolean not null,
  path varchar(1400) not null,
  -- SHA-256 of the path
  path_key char(64) character set ascii not null,
  -- it lies under another name where something else has its own
  number int not null default 1,
  -- counts its changes; what was written has the count of then
  revision bigint not null default 1,
  written bigint not null default 0,
  -- of what lies there, and of what was about to, in hex
  sha256 char(64) character set ascii,
  sha256_next char(64) character set ascii,
  tries int not null default 0,
  reason varchar(1000),
  next_at datetime(6),
  unique (place, own, path_key)
) character set utf8mb4 collate utf8mb4_bin;

create table filing_list_line (
  list_id bigint not null references filing_list (id),
  -- SHA-256 of where the document lies: a newer version in its place takes its line
  path_key char(64) character set ascii not null,
  delivery_id bigint not null,
  line mediumtext not null,
  primary key (list_id, path_key),
  index delivery_idx (delivery_id)
) character set utf8mb4 collate utf8mb4_bin;

-- Formats that have a file for each page.
alter table delivery_file
  add column part int not null default 0 after format,
  drop primary key,
  add primary key (delivery_id, format, part);
