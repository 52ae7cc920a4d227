-- When the season's plan means a colony to be given drone comb.
alter table colony add column drone_comb_from date;
alter table colony add column drone_comb_until date;
