-- What people wait for goes before pages that nobody has seen yet; what is in line already keeps its order.
update scheduled_tasks set priority = 50;
alter table scheduled_tasks drop index execution_time_idx, add index due_idx (priority, execution_time);
