-- What a batch was when filing began: gzip of the JSON of BatchView. From then on this is shown and delivered, whatever
-- becomes of rules and registers later.
create table filed_view (
  batch_id bigint primary key references batch (id),
  body mediumblob not null
);
