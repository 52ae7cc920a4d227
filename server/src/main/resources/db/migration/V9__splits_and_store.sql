-- Splits that were taken to the yard, and what lies in the store.
create table split (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    day           date not null,
    dropped       boolean not null
);
create index split_day on split (operation_id, day);
create table store (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    detail        jsonb not null
);

do $$
declare one text;
begin
    foreach one in array array['split', 'store'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on split, store to crown_app;
