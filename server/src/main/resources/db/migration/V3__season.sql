-- What is promised to somebody, or needed at home; made from the journal.
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
    delivered     int not null,
    unique (operation_id, code)
);
create index queen_order_until on queen_order (operation_id, until_day);

-- Which queens are promised to whom.
create table order_queen (
    queen_id      uuid primary key,
    operation_id  uuid not null references operation,
    order_id      uuid not null references queen_order,
    promised_on   date not null,
    delivered_on  date
);
create index order_queen_order on order_queen (order_id);

-- A search for a plan: any node may tell how far it is, or stop it.
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

do $$
declare one text;
begin
    foreach one in array array['queen_order', 'order_queen', 'season_search'] loop
        execute format('alter table %I enable row level security', one);
        execute format('create policy own_operation on %I to crown_app using (operation_id = current_operation()) '
            'with check (operation_id = current_operation())', one);
    end loop;
end $$;
grant select, insert, update, delete on queen_order, order_queen, season_search to crown_app;

-- For whom a graft is made: cups by order and day of delivery.
alter table graft add column shares jsonb not null default '[]';
-- Planned or moved by hand: it stays when the season is planned again.
alter table graft add column fixed boolean not null default true;
-- A builder is loaded by its strength, unless its load is known.
alter table builder add column load int;
-- A mother's line; her own name where none is given.
alter table queen add column line text;
-- Colonies kept for their drones.
alter table colony add column drone_comb_on date;
