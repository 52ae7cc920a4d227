-- What a place is like, and what its weather was.
alter table yard
    add column climate       text not null default 'UPLAND',
    add column climate_said  boolean not null default false,
    -- usual highest temperature of a day in each month, January first; none if nobody knows
    add column own_highs     double precision[] not null default '{}',
    add column station_on    boolean not null default false,
    add column conditions    text[] not null default '{}',
    add column rules         text not null default '',
    add column closed_on     date;

create table yard_weather (
    yard_id       uuid not null,
    day           date not null,
    operation_id  uuid not null references operation,
    high_celsius  double precision,
    fitness       text not null,
    primary key (yard_id, day)
);
alter table yard_weather enable row level security;
create policy own_operation on yard_weather to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on yard_weather to crown_app;
