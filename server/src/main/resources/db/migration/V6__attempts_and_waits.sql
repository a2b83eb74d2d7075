-- Attempts to read a page: begun, and those of them that failed. Three that failed, or ten that were begun and never
-- ended (the machine stopped each time), and the page is told as not readable.
alter table page
  add column attempts int not null default 0,
  add column failures int not null default 0;

-- Names and contents are told apart letter by letter; an origin is where a channel had a file, and what was in it.
alter table received_file
  modify origin varchar(700) character set utf8mb4 collate utf8mb4_nopad_bin;

-- Decisions that were made together are undone together; null for a decision by itself.
alter table decision
  add column act bigint;

-- A delivery is planned, retrying, refused (a person has to say what is to become of it), done or leftOut.
alter table delivery
  modify state varchar(20) not null default 'planned',
  -- tries that failed, one after another
  add column tries int not null default 0,
  -- when it is tried again
  add column next_at datetime(6),
  -- what is done when the name is taken, as a person said for this one; null: as the stream says
  add column taken varchar(10),
  -- who left it out
  add column left_out_by varchar(60);
update delivery set state = 'retrying' where state = 'failed';

-- What of a channel could not be taken, and how often that was tried.
create table channel_try (
  channel_id bigint not null,
  item varchar(700) not null,
  tries int not null,
  reason varchar(1000) not null,
  last_at datetime(6) not null,
  primary key (channel_id, item)
) character set utf8mb4 collate utf8mb4_nopad_bin;

-- Sign-ins that failed, one after another, by name and by address; until then the next one has to wait.
create table sign_in_wait (
  kind varchar(10) not null,
  who varchar(200) not null,
  failures int not null,
  last_at datetime(6) not null,
  until datetime(6) not null,
  primary key (kind, who)
) character set utf8mb4 collate utf8mb4_nopad_bin;
