-- What somebody's searches tell of their eye is asked at every lift.
create index journal_entry_searches on journal_entry (operation_id, recorded_by, sequence) where kind = 'QUEEN_SEARCHED';
