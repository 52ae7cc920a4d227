-- What the judgement said on the day of a reading: held later against what was found. Not made again from the journal: it is what
-- was said then.
create table verdict_said (
    hive_id       uuid not null,
    operation_id  uuid not null references operation,
    day           date not null,
    odds          jsonb not null,
    primary key (hive_id, day)
);
create index verdict_said_operation on verdict_said (operation_id, day);
alter table verdict_said enable row level security;
create policy own_operation on verdict_said to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on verdict_said to crown_app;
-- What was kept of colonies for a day has another shape now.
delete from colony_day;
