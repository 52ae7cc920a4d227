-- People come by a link that works once, and leave; what they recorded stays theirs.
alter table person add column left_at timestamptz;

create table invitation (
    -- SHA-256 of the secret in the link
    key           bytea primary key,
    operation_id  uuid not null references operation,
    name          text not null,
    role          text not null check (role in ('OWNER', 'CREW')),
    made_by       uuid not null references person,
    expires_at    timestamptz not null,
    used_at       timestamptz
);
alter table invitation enable row level security;
create policy own_operation on invitation to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on invitation to crown_app;

-- Whoever holds a link belongs nowhere yet.
create function invitation_for(asked_key bytea, at timestamptz)
    returns table (operation_id uuid, operation text, name text, role text)
    language sql stable security definer set search_path = public as
$$ select i.operation_id, o.name, i.name, i.role from invitation i join operation o on o.id = i.operation_id
    where i.key = asked_key and i.used_at is null and i.expires_at > at $$;

create or replace function person_signing_in(asked_email text)
    returns table (id uuid, operation_id uuid, name text, email text, password text, role text)
    language sql stable security definer set search_path = public as
$$ select id, operation_id, name, email, password, role from person
    where email = lower(asked_email) and left_at is null $$;
