-- Whether she was sprayed with syrup when she was given: what was recorded before is in the journal.
alter table introduction add column sprayed boolean not null default false;
update introduction set sprayed = true
 where exists (select 1 from journal_subject s join journal_entry e on e.id = s.entry_id
                where s.subject_id = introduction.id and (e.payload ->> 'sprayed')::boolean);
