-- Colonies as they stand are kept with the odds of their queens; those judged without them are judged anew when they are asked for.
delete from colony_day;

-- The newest entry of an operation is asked for often: by it one sees that nothing has changed.
create index journal_entry_of_operation on journal_entry (operation_id, sequence);
