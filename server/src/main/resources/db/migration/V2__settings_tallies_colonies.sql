-- What an operation does its own way; made from the journal.
create table settings (
    id            uuid primary key references operation,
    operation_id  uuid not null references operation,
    detail        jsonb not null
);

alter table queen add column mark_lost_on date;

-- Cups and queens of each batch at each step of loss: tried, and come through. Kept beside the queens they count, so
-- that nobody counts tens of thousands of queens to know a rate.
create table graft_tally (
    graft_id      uuid primary key references graft,
    operation_id  uuid not null references operation,
    counted       int not null,
    took          int not null,
    judged        int not null,
    sound         int not null,
    checked       int not null,
    emerged       int not null,
    settled       int not null,
    mated         int not null
);
create index graft_tally_operation on graft_tally (operation_id);

do $$
declare one text;
begin
    foreach one in array array['settings', 'graft_tally'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on settings, graft_tally to crown_app;

-- Wrong passwords of the last minutes, before anybody is known to belong anywhere.
create table sign_in_failure (
    email         text not null,
    failed_at     timestamptz not null
);
create index sign_in_failure_email on sign_in_failure (email, failed_at);
grant select, insert, delete on sign_in_failure to crown_app;

-- Production colonies; what was read in them stays in the journal and is judged for the day one asks.
create table colony (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    yard_id       uuid not null references yard,
    code          text not null,
    position      int not null,
    frames        int not null,
    format        text not null,
    -- its queen, where she has a record of her own
    queen_id      uuid,
    set_up_on     date not null,
    last_read_on  date,
    unique (operation_id, code)
);
create index colony_yard on colony (operation_id, yard_id, position);
alter table colony enable row level security;
create policy own_operation on colony to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on colony to crown_app;
