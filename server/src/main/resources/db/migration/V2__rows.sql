-- Rows computed from the record, made again by "crown rebuild". Each feature makes and clears its own.

create table settings (
    id            uuid primary key references operation,
    operation_id  uuid not null references operation,
    detail        jsonb not null
);

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

-- One kind of hive: mating nuc, builder, production hive are told apart by their purpose.
create table hive (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    yard_id       uuid not null,
    code          text not null,
    -- the entry that gave it its code
    coded_by      uuid not null,
    coded_sequence bigint not null,
    position      int not null,
    purpose       text not null,
    -- the entry that says what it is kept for
    purposed_by   uuid not null,
    purposed_sequence bigint not null,
    set_up_on     date not null,
    ended_on      date,
    ended_by      uuid,
    ended_sequence bigint not null,
    end_reason    text,
    last_read_on  date,
    -- kept for its drones since
    drone_comb_on date,
    drone_comb_from date,
    drone_comb_until date,
    -- its boxes from the bottom up
    stack         uuid[] not null,
    -- kept up by the queens' rows: who is in it; the last placed if there are two
    queen_id      uuid,
    queens        int not null default 0,
    empty_since   date,
    -- cells and virgins given so far: a nuc gets weaker each round
    rounds        int not null default 0
);
create index hive_yard on hive (operation_id, yard_id, position);
create index hive_code on hive (operation_id, code);
create index hive_purpose on hive (operation_id, purpose) where ended_on is null;

create table box (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    hive_id       uuid,
    -- where it is stored, empty while it stands on a hive
    store         text not null,
    kind          text not null,
    format        text not null,
    slots         int not null
);
create index box_hive on box (hive_id);

create table frame (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    box_id        uuid,
    slot          int not null,
    -- which comb stock it is in, empty while it hangs in a box; null if it is gone
    store         text,
    since         date not null,
    -- the entry that brought it there
    placed_by     uuid not null,
    placed_sequence bigint not null
);
create index frame_box on frame (box_id, slot);

-- How a hive is run as a cell builder.
create table builder (
    hive_id       uuid primary key,
    operation_id  uuid not null references operation,
    school        text not null,
    load          int not null
);

create table graft (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    code          text not null,
    mother_id     uuid not null,
    builder_id    uuid not null,
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
    -- for whom: cups by order and day of delivery
    shares        jsonb not null,
    -- planned or moved by hand: it stays when the season is planned again
    fixed         boolean not null
);
create index graft_day on graft (operation_id, graft_day);
create index graft_code on graft (operation_id, code);

create table queen (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    code          text not null,
    name          text not null,
    graft_id      uuid,
    bar           int not null,
    cup           int not null,
    mother_id     uuid,
    -- a mother's line; her own name where none is given
    line          text,
    stage         text not null,
    alive         boolean not null,
    breeder       boolean not null,
    -- where she is; hive_id stays behind as the last hive she was in
    whereabouts   text not null,
    hive_id       uuid,
    -- the hive from which she mated, as far as is known
    mating_hive_id uuid,
    -- the entry that put her there, and its place in the record
    placed_by     uuid,
    placed_sequence bigint not null,
    placed_beside boolean not null,
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
    mark_lost_on  date,
    ended_on      date,
    cull_reason   text
);
create index queen_alive on queen (operation_id, whereabouts) where alive;
create index queen_breeder on queen (operation_id) where alive and breeder;
create index queen_hive on queen (hive_id);
create index queen_mating_hive on queen (mating_hive_id);
create index queen_graft on queen (operation_id, graft_id, bar, cup);
create index queen_code on queen (operation_id, code);
create index queen_mother on queen (operation_id, mother_id);
create extension if not exists pg_trgm;
create index queen_search on queen using gin ((lower(code || ' ' || name)) gin_trgm_ops);

create index queen_recent on queen (operation_id, alive desc, code desc);
-- Row-level security would keep the condition from the index: this door looks at the operation itself. Planned anew each
-- time, for what is best depends on how rare the pattern is.
create function queens_called(part text, most int, after int) returns setof queen
    language plpgsql stable security definer set search_path = public as
$$ begin
    return query execute 'select * from queen where operation_id = $1 and lower(code || '' '' || name) like $2
        order by alive desc, code desc limit $3 offset $4' using current_operation(), '%' || part || '%', most, after;
end $$;

-- What is due at queens' hives and on which days they stay shut, by the days on which it holds; so that a round reads
-- what concerns its day, not every living queen.
create table queen_agenda (
    queen_id      uuid not null,
    operation_id  uuid not null references operation,
    position      int not null,
    -- DUE, SHUT or LATE
    kind          text not null,
    work          text not null,
    -- DUE: when to do it
    earliest      date,
    latest        date,
    -- first and last day on which this holds; no last day: until something is recorded
    holds_from    date not null,
    holds_until   date not null,
    primary key (queen_id, position)
);
create index queen_agenda_days on queen_agenda (operation_id, kind, holds_until, holds_from);

-- Cups and queens of each batch at each step of loss: tried, and come through. Kept beside the queens they count, so
-- that nobody counts tens of thousands of queens to know a rate.
create table graft_tally (
    graft_id      uuid primary key,
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

-- Virgins of a batch that laid or never will, by the yard they flew in.
create table mating_tally (
    graft_id      uuid not null,
    -- zero where the hive is not known
    yard_id       uuid not null,
    operation_id  uuid not null references operation,
    settled       int not null,
    mated         int not null,
    primary key (graft_id, yard_id)
);
create index mating_tally_operation on mating_tally (operation_id);

-- A colony as it stands on one day: judged once a day and after each entry, not at every look at a list.
create table colony_day (
    hive_id       uuid primary key,
    operation_id  uuid not null references operation,
    day           date not null,
    standing      jsonb not null
);
create index colony_day_operation on colony_day (operation_id, day);

-- Jobs of the round that were not possible on a day.
create table put_off (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    subject_id    uuid not null,
    job           text not null,
    day           date not null
);
create index put_off_day on put_off (operation_id, day);

-- What is promised to somebody, or needed at home.
create table queen_order (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    code          text not null,
    customer      text not null,
    own_need      boolean not null,
    product       text not null,
    count         int not null,
    -- own needs may be a share of what the others ask for, percent
    share_percent int,
    from_day      date not null,
    until_day     date not null,
    line          text,
    priority      int not null,
    assurance     double precision,
    deposit       numeric(10, 2),
    note          text not null,
    state         text not null,
    -- handed over so far
    delivered     int not null
);
create index queen_order_until on queen_order (operation_id, state, until_day);
create index queen_order_code on queen_order (operation_id, code);

-- Which queens are promised to whom.
create table order_queen (
    order_id      uuid not null,
    queen_id      uuid not null,
    operation_id  uuid not null references operation,
    promised_on   date not null,
    delivered_on  date,
    primary key (order_id, queen_id)
);
create index order_queen_queen on order_queen (queen_id);
create index order_queen_waiting on order_queen (operation_id) where delivered_on is null;

-- A search for a season's plan: any node may tell how far it is, or stop it.
create table season_search (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    asked_by      uuid not null,
    state         text not null,
    stop          boolean not null,
    seen_at       timestamptz not null,
    plans         int not null,
    cost          double precision,
    bound         double precision,
    seconds       double precision not null,
    answer        jsonb,
    refusal       text
);

-- After many rows were made the planner is told: only their owner may.
create function count_computed_rows() returns void language plpgsql security definer set search_path = public as
$$ begin
    analyze box, hive, frame, graft, queen, queen_agenda, graft_tally, mating_tally, contradiction;
end $$;

do $$
declare one text;
begin
    foreach one in array array['person', 'journal_entry', 'journal_subject', 'contradiction', 'long_job', 'queen_import', 'settings', 'yard',
            'hive', 'box', 'frame', 'builder', 'graft', 'queen', 'queen_agenda', 'graft_tally', 'mating_tally', 'colony_day',
            'put_off', 'queen_order', 'order_queen', 'season_search'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on settings, yard, hive, box, frame, builder, graft, queen, queen_agenda, graft_tally,
    mating_tally, colony_day, put_off, queen_order, order_queen, season_search to crown_app;
