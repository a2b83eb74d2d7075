-- What a stream learned, in versions; each batch is recognised by the one that was in force when it was read.
create table lesson (
  stream varchar(64) character set ascii not null,
  version int not null,
  made_at datetime(6) not null,
  -- so many confirmed documents were tried without being learned; so many came out right by the version before, and by this
  tried int not null,
  right_before int not null,
  right_now int not null,
  -- whether the version before was given up
  undone boolean not null,
  primary key (stream, version)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- A document whose type a person confirmed.
create table sample (
  id bigint auto_increment primary key,
  stream varchar(64) character set ascii not null,
  type varchar(64) character set ascii not null,
  -- the layout that a person gave it, or null where Jalon finds the layouts itself
  variant varchar(120),
  batch_id bigint not null references batch (id),
  first_page int not null,
  confirmed_by varchar(60) not null,
  confirmed_at datetime(6) not null,
  -- waiting until it is learned; known; refused, since others came out wrong with it; spare, when there are enough;
  -- takenOut by a person
  standing varchar(10) character set ascii not null default 'waiting',
  taken_out_by varchar(60),
  -- the type is shown by it
  picture boolean not null default false,
  index (stream, standing),
  index (batch_id, first_page)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What was seen on its pages: gzip of JSON.
create table sample_page (
  sample_id bigint not null references sample (id) on delete cascade,
  no int not null,
  facts mediumblob not null,
  primary key (sample_id, no)
);

create table lesson_sample (
  stream varchar(64) character set ascii not null,
  version int not null,
  sample_id bigint not null references sample (id) on delete cascade,
  primary key (stream, version, sample_id)
);

-- Null while pages are still to come: the newest one then. What was read before there were any stays as it is.
alter table batch add column lesson int;
update batch set lesson = 0 where stage <> 'intake';
