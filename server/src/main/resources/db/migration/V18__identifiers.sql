-- What a filed file is called at the place where it lies, where that has a name for it beside its path; and whether it still was
-- what was filed when that was looked at last.
alter table delivery_file
  add column identifier varchar(1000),
  add column checked varchar(10),
  add column checked_at datetime(6),
  add index checked_at_idx (checked_at);
update delivery_file f join delivery d on d.id = f.delivery_id set f.checked = 'same', f.checked_at = d.done_at
  where d.state = 'done' and f.sha256 is not null;

-- What people want of documents at destinations before a batch is filed.
create table filing_wish (
  batch_id bigint not null references batch (id),
  -- the first page of the document
  page int not null,
  destination varchar(64) not null,
  path varchar(1400),
  left_out varchar(400),
  who varchar(60) not null,
  primary key (batch_id, page, destination)
) character set utf8mb4 collate utf8mb4_bin;

-- Why a delivery is left out.
alter table delivery add column left_out_why varchar(400);

-- Reports of filing that were sent, so that each is sent once to each address.
create table filing_report (
  batch_id bigint not null references batch (id),
  address varchar(320) not null,
  sent_at datetime(6) not null,
  primary key (batch_id, address)
) character set utf8mb4 collate utf8mb4_bin;
