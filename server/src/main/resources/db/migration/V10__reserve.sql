-- What a unit stands by for, if for anything.
alter table hive add column reserved_for text not null default '';
