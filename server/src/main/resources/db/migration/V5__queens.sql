-- Where a queen comes from who was not grafted here.
alter table queen add column origin text;
alter table queen add column origin_from text;

-- One file brings yards, hives and queens.
alter table queen_import rename to apiary_import;
alter table apiary_import add column yards int not null default 0;
