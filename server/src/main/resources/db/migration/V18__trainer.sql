-- What people practised. It is theirs and no part of the operation's record: nobody else sees it unless they wish.
create table training (
    id            uuid not null,
    operation_id  uuid not null references operation,
    person_id     uuid not null references person,
    done_at       timestamptz not null,
    day           date not null,
    skill         text not null,
    level         int not null,
    season        text not null,
    seed          bigint not null,
    quality       text not null,
    points        int not null,
    seconds       int not null,
    -- an id is made by whoever sends it: what another operation has says nothing
    primary key (operation_id, id)
);
create index training_of_person on training (operation_id, person_id, done_at);
create table training_shown (
    person_id     uuid primary key references person,
    operation_id  uuid not null references operation
);

do $$
declare one text;
begin
    foreach one in array array['training', 'training_shown'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on training, training_shown to crown_app;
