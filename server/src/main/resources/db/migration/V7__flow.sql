-- What bees find at a place, as somebody said last.
alter table yard add column flow text;
alter table yard add column flow_on date;
