-- At which revision anything but single values was last changed: values of different documents are settled side by side.
alter table batch add column cut_revision int not null default 0;
update batch set cut_revision = revision;

-- Documents that somebody has open to index; given up when it was not said again for a while.
create table document_claim (
  batch_id bigint not null,
  page int not null,
  person varchar(60) not null,
  since datetime(6) not null,
  primary key (batch_id, page)
) character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
