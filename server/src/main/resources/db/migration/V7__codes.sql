-- The log keeps codes with their values; entries from before keep their words in act and detail.
alter table log_entry
  modify act varchar(400),
  modify detail varchar(2000),
  add column step varchar(20) not null default 'DONE',
  add column code varchar(40),
  -- JSON: values by the names of the code's parts
  add column parts text,
  -- JSON: why something was not read, where the entry is about that
  add column because text;

-- What kind of decision it is, so that it can be looked for.
alter table decision
  add column kind varchar(40) not null default '',
  add index (kind, state);
update decision set kind = json_unquote(json_extract(body, '$.act'));

-- Lists in one column are JSON.
alter table delivery add column files text;
update delivery
  set files = concat('["', replace(replace(replace(path, '\\', '\\\\'), '"', '\\"'), '\n', '","'), '"]')
  where path is not null;
alter table delivery drop column path;
update archived_document set pages = concat('["', replace(pages, ',', '","'), '"]');
update token set streams = concat('["', replace(streams, ',', '","'), '"]');

-- What was sent under a key: other files under the same key are refused.
alter table sending add column content char(64);

-- What is wrong with a channel is a code with its values, as JSON.
alter table channel modify problem text;

-- Why something was not read, and how it stands with a delivery, are codes with their values too.
alter table received_file modify rejected text;
alter table page modify rejected text;
alter table delivery modify reason text;
