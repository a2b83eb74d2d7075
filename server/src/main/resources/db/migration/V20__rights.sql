-- Groups of people, and who may do what with which documents.
create table people_group (
  id bigint auto_increment primary key,
  name varchar(80) not null unique
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

create table group_member (
  group_id bigint not null references people_group (id) on delete cascade,
  person_id bigint not null references person (id),
  primary key (group_id, person_id)
);

-- A right over the documents of a stream, or of one of its types, that only these groups have. One that has no line here is had
-- by all whose role has it.
create table right_line (
  stream varchar(64) not null,
  -- empty for all types
  type varchar(64) not null default '',
  what varchar(20) not null,
  -- one that is named here cannot be removed: nobody would be left, or everybody
  group_id bigint not null references people_group (id),
  primary key (stream, type, what, group_id)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

alter table person
  -- who may no longer sign in, but did things that are kept
  add column locked boolean not null default false,
  -- after a supervisor gave a password
  add column must_change boolean not null default false;

-- What was shown of archived documents, to whom: once for each day.
create table archive_seen (
  document_id bigint not null,
  who varchar(60) not null,
  day date not null,
  what varchar(10) not null,
  -- 0 where it was no single page
  page int not null default 0,
  first_at datetime(6) not null,
  last_at datetime(6) not null,
  times int not null default 1,
  primary key (document_id, who, day, what, page)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

alter table log_entry add index who_idx (who, id);
alter table archived_document add index stream_idx (stream, id);
