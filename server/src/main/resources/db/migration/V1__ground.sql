-- Everything belongs to an operation. The application connects as crown_app, which owns nothing here and is held by
-- row-level security; migrations run as the owner.

do $$ begin
    if not exists (select from pg_roles where rolname = 'crown_app') then
        create role crown_app nologin;
    end if;
end $$;

create table operation (
    id            uuid primary key,
    name          text not null,
    zone          text not null,
    -- the day shown as today in demo mode; null in normal mode
    demo_today    date,
    calendar_key  bytea unique
);

create table person (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    name          text not null,
    email         text not null unique check (email = lower(email)),
    password      text not null,
    role          text not null check (role in ('OWNER', 'CREW'))
);

-- The record: what people saw and did. Append only.
create sequence journal_sequence;
create table journal_entry (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    happened_at   timestamptz not null,
    -- the day by the clock of the place, so that no later change of zone moves it
    happened_on   date not null,
    zone          text not null,
    recorded_at   timestamptz not null,
    recorded_by   uuid not null references person,
    kind          text not null,
    version       int not null,
    payload       jsonb not null,
    corrects      uuid references journal_entry,
    -- order of recording
    sequence      bigint not null unique
);
create index journal_entry_corrects on journal_entry (corrects) where corrects is not null;

-- Which things an entry touches, and as what; the things touched by an entry that it corrects, too.
create table journal_subject (
    entry_id      uuid not null references journal_entry,
    subject_id    uuid not null,
    role          text not null,
    operation_id  uuid not null references operation,
    subject_kind  text not null,
    sequence      bigint not null,
    primary key (entry_id, subject_id, role)
);
create index journal_subject_thing on journal_subject (subject_id, sequence);
create index journal_subject_kind on journal_subject (operation_id, subject_kind, subject_id);

create function journal_is_append_only() returns trigger language plpgsql as $$
begin
    raise exception 'The journal is append only: record a correction instead';
end $$;
create trigger journal_entry_append_only before update or delete or truncate on journal_entry
    for each statement execute function journal_is_append_only();
create trigger journal_subject_append_only before update or delete or truncate on journal_subject
    for each statement execute function journal_is_append_only();

-- Entries that clash with what was known. Kept and flagged, never dropped. The clash is a key with its arguments.
create table contradiction (
    entry_id      uuid not null references journal_entry,
    subject_id    uuid not null,
    -- which part of the job found it
    found_in      text not null,
    operation_id  uuid not null references operation,
    clash         jsonb not null,
    primary key (entry_id, subject_id, found_in)
);
create index contradiction_subject on contradiction (subject_id, found_in);

-- Sessions live in the database, so any node can answer and a restart signs nobody out.
create table spring_session (
    primary_id char(36) primary key, session_id char(36) not null unique, creation_time bigint not null,
    last_access_time bigint not null, max_inactive_interval int not null, expiry_time bigint not null,
    principal_name varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);
create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session on delete cascade,
    attribute_name varchar(200) not null, attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);

-- Wrong passwords of the last minutes, before anybody is known to belong anywhere.
create table sign_in_failure (
    email         text not null,
    failed_at     timestamptz not null
);
create index sign_in_failure_email on sign_in_failure (email, failed_at);

-- Long work that is not done yet: any node may tell how far it is, and go on with it.
create table long_job (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    kind          text not null,
    done          int not null,
    total         int not null,
    unique (operation_id, kind)
);

-- Files of queens and nucs that are being imported, or were. What comes of them is in the record.
create table queen_import (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    asked_by      uuid not null references person,
    asked_at      timestamptz not null,
    -- the good rows
    csv           text not null,
    -- rows taken up so far
    done          int not null,
    total         int not null,
    queens        int not null,
    hives         int not null,
    ended         boolean not null
);
create index queen_import_open on queen_import (operation_id) where not ended;

-- The second lock: rows of another operation do not exist for this connection.
create function current_operation() returns uuid language sql stable as
$$ select nullif(current_setting('crown.operation', true), '')::uuid $$;

alter table operation enable row level security;
create policy own_operation on operation to crown_app using (id = current_operation());

-- The two doors that must open before the operation is known: signing in, and the secret calendar link.
create function person_signing_in(asked_email text)
    returns table (id uuid, operation_id uuid, name text, email text, password text, role text)
    language sql stable security definer set search_path = public as
$$ select id, operation_id, name, email, password, role from person where email = lower(asked_email) $$;

create function operation_of_calendar(asked_key bytea) returns uuid
    language sql stable security definer set search_path = public as
$$ select id from operation where calendar_key = asked_key $$;

grant usage on schema public to crown_app;
grant usage on sequence journal_sequence to crown_app;
grant select, insert on journal_entry, journal_subject to crown_app;
grant select, insert, update, delete on contradiction, spring_session, spring_session_attributes, long_job, queen_import to crown_app;
grant select, insert, delete on sign_in_failure to crown_app;
grant select, update on operation to crown_app;
grant select on person to crown_app;
