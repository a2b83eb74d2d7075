-- What became of archived documents, in the order in which it did: search indexes follow it. A server may find a number
-- before a lower one is there, so these say when they were made.
create table archive_change (
  id bigint auto_increment primary key,
  document_id bigint not null,
  at datetime(6) not null
);
insert into archive_change (document_id, at) select id, filed_at from archived_document order by id;

-- Words are found by the search indexes, which are made of this.
alter table archived_text drop index words;
