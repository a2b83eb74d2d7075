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
