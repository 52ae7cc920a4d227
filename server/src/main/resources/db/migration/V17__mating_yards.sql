-- Lines whose virgins are to mate at a yard, and the way there and back.
alter table yard add column mating_lines text[] not null default '{}';
alter table yard add column drive_minutes int;
