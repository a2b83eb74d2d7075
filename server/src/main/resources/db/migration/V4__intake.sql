-- Batches: where they came from, how urgent they are, who has them, what is expected of them.
alter table batch
  add column channel varchar(20) not null default 'upload',
  -- the watched folder or mailbox that still adds files to it
  add column channel_id bigint,
  add column priority varchar(10) not null default 'NORMAL',
  add column raised boolean not null default false,
  add column expected_pages int,
  add column expected_documents int,
  -- when the person it is with last did something about it
  add column held_since datetime(6),
  -- why nobody is to work on it, or null
  add column on_hold varchar(400),
  add column withdrawn_by varchar(60),
  add column withdrawn_because varchar(400),
  -- in this stage somebody was told that it is late
  add column told_late boolean not null default false,
  add column sender varchar(400),
  add column subject varchar(400),
  add column sent_at datetime(6),
  -- fields and doubtful ones among them when it was first read, documents filed that nobody touched
  add column fields int not null default 0,
  add column field_doubts int not null default 0,
  add column untouched int not null default 0,
  add column filed_pages int not null default 0,
  add index (channel_id, arrived);

-- A scanned sheet has a front and may have a back; files have neither.
alter table page
  add column sheet int,
  add column side varchar(5),
  -- the waiting line is counted at every look
  add index (facts_version);

create table channel (
  id bigint auto_increment primary key,
  kind varchar(20) not null,
  name varchar(80) not null unique,
  stream varchar(64),
  settings text not null,
  paused boolean not null default false,
  saved_by varchar(60) not null,
  saved_at datetime(6) not null,
  looked_at datetime(6),
  next_at datetime(6),
  -- failures one after another; the pause before the next look grows with them
  failures int not null default 0,
  problem varchar(1000),
  problem_at datetime(6),
  taken int not null default 0,
  rejected int not null default 0,
  -- one worker at a time looks at a channel; a worker that died loses it at this instant
  claimed_until datetime(6)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- Programs that may send. Only a hash of the token is kept.
create table token (
  id bigint auto_increment primary key,
  name varchar(80) not null,
  hash char(64) not null unique,
  streams varchar(2000) not null,
  made_by varchar(60) not null,
  made_at datetime(6) not null,
  used_at datetime(6),
  revoked_at datetime(6)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What a program sent under a key of its own: sent again it is answered again, not taken again.
create table sending (
  token_id bigint not null references token (id),
  sending_key varchar(200) not null,
  batch_id bigint not null references batch (id),
  primary key (token_id, sending_key),
  index (batch_id)
) character set utf8mb4 collate utf8mb4_bin;

-- What a person chose last, by screen and device.
create table preference (
  sign_in varchar(60) not null,
  name varchar(120) not null,
  body varchar(4000) not null,
  primary key (sign_in, name)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
