-- What was filed under the same name at the same destination before and this is a newer version of; null where there is nothing.
alter table delivery add column follows bigint unique;

-- Earlier files at the same place are found by it.
alter table delivery_file add index path_idx (path(200));

-- Names at destinations under which documents go on, and the delivery that did so last.
create table filing_name (
  place varchar(80) not null,
  -- SHA-256, in hex, of folder and name without regard to case
  name char(64) character set ascii not null,
  delivery_id bigint not null,
  primary key (place, name),
  index (delivery_id)
) character set utf8mb4 collate utf8mb4_bin;

-- The filed document that a batch brings more pages for.
alter table batch
  add column continues_batch bigint,
  add column continues_document int;

-- Pages of archived documents are counted in the document from now on: they may come from several batches. What stands in
-- archived_document is the number of the page in its batch, behind the batch's own number and a colon where it is another.
update archived_text t
  join (select d.id, p.place, p.no from archived_document d,
      json_table(d.pages, '$[*]' columns (place for ordinality, no int path '$')) p) p
    on p.id = t.document_id and p.no = t.page_no
  set t.page_no = -p.place;
update archived_text set page_no = -page_no where page_no < 0;

alter table archived_document add column version int not null default 1;

-- What archived documents were before they went on.
create table archived_version (
  document_id bigint not null references archived_document (id),
  version int not null,
  pages text not null,
  path text not null,
  filed_by varchar(60) not null,
  filed_at datetime(6) not null,
  primary key (document_id, version)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

-- What people corrected in filed documents: JSON of the values that are others now, by field name, null for one that is gone.
create table document_correction (
  batch_id bigint not null references batch (id),
  document_no int not null,
  correction int not null,
  fields mediumtext not null,
  why varchar(400) not null,
  who varchar(60) not null,
  at datetime(6) not null,
  primary key (batch_id, document_no, correction)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;

alter table delivery
  -- the correction that it brings; 0 for the document as it was filed first
  add column correction int not null default 0,
  add unique document_idx (batch_id, document_no, destination, correction),
  drop index batch_id;
