-- People who sign in by the organisation's directory, and groups that follow one there.
alter table person
  add column directory boolean not null default false,
  -- who it is there for good, whatever the name becomes: issuer and subject, by SHA-256 in hex; null until the first sign-in
  add column directory_id char(64) character set ascii unique;

alter table people_group add column directory_name varchar(200) unique;
