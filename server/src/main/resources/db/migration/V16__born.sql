-- The year in which she came out, as far as anybody knows: 0 if not. Kept with the row so that the list of queens is
-- narrowed by an index: row-level security lets no expression of a year into one.
alter table queen add column born int not null
    generated always as (coalesce(nullif(emergence_year, 0), extract(year from grafted_on)::int, 0)) stored;
drop index queen_list;
create index queen_born on queen (operation_id, born, stage, code);
