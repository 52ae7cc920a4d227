-- With whom queens mated, and the marks their colonies got.
create table queen_mating (
    queen_id      uuid primary key,
    operation_id  uuid not null references operation,
    how           text not null,
    drone_mother_id uuid,
    sisters       int not null,
    drones        int not null
);
create table queen_score (
    id            uuid primary key,
    operation_id  uuid not null references operation,
    queen_id      uuid not null,
    trait         text not null,
    value         double precision not null,
    yard_id       uuid,
    scored_on     date not null
);
create index queen_score_queen on queen_score (operation_id, queen_id);
alter table queen_mating enable row level security;
create policy own_operation on queen_mating to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on queen_mating to crown_app;
alter table queen_score enable row level security;
create policy own_operation on queen_score to crown_app using (operation_id = current_operation())
    with check (operation_id = current_operation());
grant select, insert, update, delete on queen_score to crown_app;
-- the list of all queens, by line, year and yard
create index queen_list on queen (operation_id, alive, emergence_year, code);
