-- What people wait for goes before pages that nobody has seen yet; what is in line already keeps its order.
update scheduled_tasks set priority = 50;
alter table scheduled_tasks drop index execution_time_idx, add index due_idx (priority, execution_time);

-- Whose word a batch was filed on; Jalon's own where nothing was in doubt.
alter table batch add column filed_by varchar(60) after filed_at;

-- What was read in zones, so that a batch that is opened again is not read again; kept for a while only.
create table zone_reading (
  id char(64) character set ascii primary key,
  words mediumtext not null,
  read_at datetime(6) not null,
  index read_at_idx (read_at)
);
