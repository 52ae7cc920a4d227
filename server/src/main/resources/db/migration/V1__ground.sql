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
create table journal_entry (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    happened_at   timestamptz not null,
    -- the day by the clock of the place, so that no later change of zone moves it
    happened_on   date not null,
    zone          text not null,
    recorded_at   timestamptz not null,
    recorded_by   uuid not null references person,
    subject_kind  text not null,
    subject_id    uuid not null,
    kind          text not null,
    detail        jsonb not null,
    corrects      uuid references journal_entry,
    sequence      bigint generated always as identity
);
create index journal_entry_subject on journal_entry (operation_id, subject_id, sequence);
create index journal_entry_corrects on journal_entry (corrects) where corrects is not null;
create index journal_entry_day on journal_entry (operation_id, happened_on, kind);
create index journal_entry_sequence on journal_entry (operation_id, sequence);

create function journal_is_append_only() returns trigger language plpgsql as $$
begin
    raise exception 'The journal is append only: record a correction instead';
end $$;
create trigger journal_entry_append_only before update or delete or truncate on journal_entry
    for each statement execute function journal_is_append_only();

-- Projections: computed from the journal, made again by "crown rebuild".
create table yard (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    name          text not null,
    prefix        text not null,
    walk_order    int not null,
    latitude      double precision not null,
    longitude     double precision not null,
    elevation_metres int not null,
    caution       text not null
);

create table builder (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    yard_id       uuid not null references yard,
    code          text not null,
    position      int not null,
    school        text not null
);

create table nuc (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    yard_id       uuid not null references yard,
    code          text not null,
    position      int not null,
    set_up_on     date not null,
    -- the queen or cell in it, null if it stands empty
    queen_id      uuid,
    empty_since   date,
    -- cells and virgins given so far: a nuc gets weaker each round
    rounds        int not null,
    unique (operation_id, code)
);
create index nuc_yard on nuc (operation_id, yard_id, position);

create table graft (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    code          text not null,
    mother_id     uuid not null,
    builder_id    uuid not null references builder,
    grafter       text not null,
    planned_for   timestamptz not null,
    graft_day     date not null,
    grafted       boolean not null,
    cancelled     boolean not null,
    larva_age     text not null,
    -- "placing" alone is a reserved word
    cell_placing  text not null,
    incubator_celsius double precision not null,
    bars          int not null,
    cups_per_bar  int not null,
    steps_done    text[] not null,
    unique (operation_id, code)
);
create index graft_day on graft (operation_id, graft_day);

create table queen (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    code          text not null,
    name          text not null,
    graft_id      uuid references graft,
    bar           int not null,
    cup           int not null,
    mother_id     uuid,
    stage         text not null,
    alive         boolean not null,
    breeder       boolean not null,
    -- where she is; nuc_id stays behind as the last nuc she was in
    whereabouts   text not null,
    nuc_id        uuid,
    -- the entry that put her there, and its place in the journal
    placed_by     uuid,
    placed_sequence bigint not null,
    cage          int,
    emergence_year int not null,
    mark          text not null,
    grafted_on    date,
    take_counted_on date,
    sealed_seen_on date,
    caged_on      date,
    placed_as_cell_on date,
    placed_as_virgin_on date,
    emerged_seen_on date,
    virgin_seen_on date,
    last_look_without_eggs_on date,
    eggs_seen_on  date,
    sealed_brood_seen_on date,
    drone_brood_seen_on date,
    not_found_on  date,
    marked_on     date,
    ended_on      date,
    cull_reason   text
);
create index queen_alive on queen (operation_id) where alive;
create index queen_nuc on queen (nuc_id);
create index queen_graft on queen (operation_id, graft_id, bar, cup);
create index queen_code on queen (operation_id, code);
create index queen_mother on queen (operation_id, mother_id);

-- Entries that clash with what was known. Kept and flagged, never dropped.
create table contradiction (
    entry_id      uuid not null references journal_entry,
    -- LIFE: within one queen's record; NUC: two queens in one nuc
    found_in      text not null,
    operation_id  uuid not null references operation,
    subject_id    uuid not null,
    clash         text not null,
    primary key (entry_id, found_in)
);
create index contradiction_subject on contradiction (operation_id, subject_id);

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

-- The second lock: rows of another operation do not exist for this connection.
create function current_operation() returns uuid language sql stable as
$$ select nullif(current_setting('crown.operation', true), '')::uuid $$;

do $$
declare one text;
begin
    foreach one in array array['person', 'journal_entry', 'yard', 'builder', 'nuc', 'graft', 'queen', 'contradiction'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
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
grant select, insert on journal_entry to crown_app;
grant select, insert, update, delete on yard, builder, nuc, graft, queen, contradiction, spring_session,
    spring_session_attributes to crown_app;
grant select, update on operation to crown_app;
grant select on person to crown_app;
