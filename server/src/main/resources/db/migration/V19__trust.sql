-- Who tried to sign in, from where. A try is written down before its password is looked at, so that many at once are counted.
drop table sign_in_failure;
create table sign_in_try (
    id            bigint generated always as identity primary key,
    email         text not null,
    -- the address it came from; of version 6 its network
    source        text not null,
    -- SHA-256 of what a device carries on which this person signed in before; none from any other
    device        bytea,
    tried_at      timestamptz not null
);
create index sign_in_try_email on sign_in_try (email, tried_at);
create index sign_in_try_source on sign_in_try (source, tried_at) where device is null;
create index sign_in_try_tried_at on sign_in_try (tried_at);
grant select, insert, delete on sign_in_try to crown_app;

-- Devices on which somebody signed in: nobody's wrong guesses elsewhere keep them out.
create table known_device (
    -- SHA-256 of what the device carries
    key           bytea not null,
    operation_id  uuid not null references operation,
    person_id     uuid not null references person,
    last_used_at  timestamptz not null,
    primary key (key, person_id)
);
create index known_device_person on known_device (person_id);

-- Who came in, who tried in vain, who was let in, made what, or left: for the owner to look at.
create table access_event (
    -- version 7: in the order of time
    id            uuid not null,
    operation_id  uuid not null references operation,
    happened_at   timestamptz not null,
    what          text not null,
    -- whom it concerns
    person_id     uuid references person,
    -- who did it; the same one for what people do themselves
    by_id         uuid references person,
    -- a name where there is no person yet
    name          text,
    source        text not null,
    device        text not null,
    primary key (operation_id, id)
);
create index access_event_happened_at on access_event (happened_at);

do $$
declare one text;
begin
    foreach one in array array['known_device', 'access_event'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on known_device to crown_app;
grant select, insert, delete on access_event to crown_app;

-- Before the operation is known: whether this device is one of theirs.
create function is_known_device(asked_key bytea, asked_email text) returns boolean
    language sql stable security definer set search_path = public as
$$ select exists (select from known_device d join person p on p.id = d.person_id
    where d.key = asked_key and p.email = lower(asked_email) and p.left_at is null) $$;

-- Before the operation is known: to whom a password that was wrong would have belonged.
create function person_at(asked_email text) returns table (id uuid, operation_id uuid)
    language sql stable security definer set search_path = public as
$$ select id, operation_id from person where email = lower(asked_email) and left_at is null $$;
