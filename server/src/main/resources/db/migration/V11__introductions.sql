-- Queens on their way into colonies.
create table introduction (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    hive_id       uuid not null,
    queen_id      uuid,
    method        text not null,
    begun_on      date not null,
    closed_on     date,
    outcome       text,
    cause         text
);
create index introduction_hive on introduction (operation_id, hive_id);
create index introduction_open on introduction (operation_id, closed_on);
alter table introduction enable row level security;
create policy own_operation on introduction to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on introduction to crown_app;
