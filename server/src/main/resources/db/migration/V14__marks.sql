-- Marks that queens came with, marks that are worn, clipped wings, and the hive that raised a queen.
alter table queen add column wears text;
alter table queen add column origin_hive uuid;
alter table queen add column mark_worn_on date;
alter table queen add column clipped_on date;
-- how many daughters the season is to bring of a mother
alter table queen add column wished_daughters int;
