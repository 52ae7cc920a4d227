-- An archive that was sent in to be read back: the last one of an operation, and what became of it.
create table archive_upload (
    id            uuid not null,
    operation_id  uuid primary key references operation,
    size          bigint not null,
    -- bytes of it that were read so far
    read          bigint not null default 0,
    ended         boolean not null default false,
    -- entries that were brought back
    entries       bigint not null default 0,
    -- what is wrong with it, if anything
    faults        jsonb not null default '[]'
);

-- The file, a part a row, until it was read: whichever server reads it finds it here.
create table archive_part (
    upload_id     uuid not null,
    operation_id  uuid not null references operation,
    number        int not null,
    bytes         bytea not null,
    primary key (upload_id, number)
);

do $$
declare one text;
begin
    foreach one in array array['archive_upload', 'archive_part'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on archive_upload, archive_part to crown_app;
