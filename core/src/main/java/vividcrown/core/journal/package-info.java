/** What still stands in the record after corrections? See {@link vividcrown.core.journal.Corrections}. */
package vividcrown.core.journal;
