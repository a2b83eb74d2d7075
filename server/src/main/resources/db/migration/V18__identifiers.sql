-- What a filed file is called at the place where it lies, where that has a name for it beside its path.
alter table delivery_file add column identifier varchar(1000);
