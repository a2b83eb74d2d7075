-- Instants are UTC.

create table person (
  id bigint auto_increment primary key,
  sign_in varchar(60) not null unique,
  name varchar(120) not null,
  role varchar(20) not null,
  password_hash varchar(200) not null
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- Versions of stream definitions; the highest one is in force for new batches.
create table stream (
  id bigint auto_increment primary key,
  name varchar(64) not null,
  version int not null,
  title varchar(120) not null,
  definition longtext not null,
  saved_by varchar(60) not null,
  saved_at datetime(6) not null,
  unique (name, version)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table register (
  name varchar(64) primary key,
  csv longtext not null,
  saved_by varchar(60) not null,
  saved_at datetime(6) not null
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table batch (
  id bigint auto_increment primary key,
  stream varchar(64) not null,
  stream_version int not null,
  source varchar(200) not null,
  made_by varchar(60) not null,
  made_at datetime(6) not null,
  due_at datetime(6) not null,
  stage varchar(20) not null,
  stage_since datetime(6) not null,
  -- set when all files of the batch are here
  arrived boolean not null default false,
  filed_at datetime(6),
  with_person varchar(60),
  documents int not null default 0,
  doubts int not null default 0,
  index (stage)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table received_file (
  id bigint auto_increment primary key,
  batch_id bigint not null references batch (id),
  name varchar(400) not null,
  sha256 char(64) not null,
  bytes bigint not null,
  pages int not null,
  -- why nothing of it could be read, or null
  rejected varchar(1000),
  received_at datetime(6) not null,
  -- where a watched folder had it, so that it is not taken twice
  origin varchar(700),
  index (batch_id),
  index (origin)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- A page keeps its number. Facts are what the machine saw: gzip of the JSON of PageFacts; null until it was read.
create table page (
  id bigint auto_increment primary key,
  batch_id bigint not null references batch (id),
  no int not null,
  file_id bigint not null references received_file (id),
  file_page int not null,
  facts mediumblob,
  rejected varchar(1000),
  unique (batch_id, no),
  unique (file_id, file_page)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What people decided, never deleted: state is active, undone (can be done again) or dropped (another act came after).
create table decision (
  id bigint auto_increment primary key,
  batch_id bigint not null references batch (id),
  body text not null,
  decided_by varchar(60) not null,
  decided_at datetime(6) not null,
  state varchar(10) not null default 'active',
  index (batch_id)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table delivery (
  id bigint auto_increment primary key,
  batch_id bigint not null references batch (id),
  document_no int not null,
  destination varchar(64) not null,
  folder varchar(1000) not null,
  name varchar(300) not null,
  state varchar(10) not null default 'planned',
  -- where it came to lie, below the destination's root, files parted by line breaks
  path text,
  reason varchar(1000),
  done_at datetime(6),
  unique (batch_id, document_no, destination)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table archived_document (
  id bigint auto_increment primary key,
  batch_id bigint not null references batch (id),
  document_no int not null,
  stream varchar(64) not null,
  type varchar(64) not null,
  title varchar(300) not null,
  -- numbers of its pages in the batch, parted by commas
  pages text not null,
  path text not null,
  filed_by varchar(60) not null,
  filed_at datetime(6) not null,
  unique (batch_id, document_no),
  index (filed_at)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table archived_field (
  document_id bigint not null references archived_document (id),
  name varchar(64) not null,
  value varchar(1000) not null,
  primary key (document_id, name),
  index (name, value(100))
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table archived_text (
  document_id bigint not null references archived_document (id),
  page_no int not null,
  words mediumtext not null,
  primary key (document_id, page_no),
  fulltext (words)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table log_entry (
  id bigint auto_increment primary key,
  at datetime(6) not null,
  who varchar(60) not null,
  batch_id bigint,
  act varchar(60) not null,
  detail varchar(2000) not null default '',
  index (batch_id)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- The scheduler library's own table.
create table scheduled_tasks (
  task_name varchar(100) not null,
  task_instance varchar(100) not null,
  task_data blob,
  execution_time timestamp(6) not null,
  picked boolean not null,
  picked_by varchar(50),
  last_success timestamp(6) null,
  last_failure timestamp(6) null,
  consecutive_failures int,
  last_heartbeat timestamp(6) null,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance),
  index execution_time_idx (execution_time),
  index last_heartbeat_idx (last_heartbeat)
);
